<?php

declare(strict_types=1);

namespace Lokum\Feed\Formats;

use Lokum\Feed\UnreadableFile;

/** A file that lies at a path. What was unpacked only to be read is gone when nobody holds it any more. */
final readonly class LocalFile
{
    /** @param  resource  $handle  open for reading */
    private function __construct(public mixed $handle, public string $path)
    {
    }

    /**
     * @param  resource  $source  open for reading and seeking; what lies nowhere is put down first
     *
     * @throws UnreadableFile when there is no room
     */
    public static function of($source): self
    {
        $path = stream_get_meta_data($source)['uri'] ?? '';
        if (is_file($path)) {
            return new self($source, $path);
        }
        $copy = self::unpacked();
        rewind($source);
        stream_copy_to_stream($source, $copy->handle);
        fflush($copy->handle);
        rewind($source);

        return $copy;
    }

    /** An empty one, open for writing too. */
    public static function unpacked(): self
    {
        $file = tmpfile();
        $path = $file === false ? null : stream_get_meta_data($file)['uri'] ?? null;

        return $file === false || $path === null
            ? throw UnreadableFile::cannotOpen(sys_get_temp_dir())
            : new self($file, $path);
    }

    /** @return resource another handle, at its start */
    public function opened()
    {
        $file = @fopen($this->path, 'rb');

        return $file === false ? throw UnreadableFile::cannotOpen(basename($this->path)) : $file;
    }

    public function bytes(): int
    {
        return fstat($this->handle)['size'] ?? 0;
    }
}
