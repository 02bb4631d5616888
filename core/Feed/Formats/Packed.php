<?php

declare(strict_types=1);

namespace Lokum\Feed\Formats;

use Lokum\Feed\UnreadableFile;
use ZipArchive;

/** A file inside another: gzip (RFC 1952) and zip archives, unpacked as far as is safe. */
final class Packed
{
    private const CHUNK = 1 << 18;

    /** Bytes that may come out of one packed file. */
    private const MOST = 4 << 30;

    /** How many times larger than what was sent. Texts are seldom packed 100 times; a trap is packed 1000 times. */
    private const MOST_TIMES = 200;

    private const SMALL = 16 << 20;

    private const READABLE = '/\.(?:csv|tsv|txt|json|jsonl|ndjson|xml|xlsx|ods|gz)$/i';

    /**
     * @param  resource  $source  at any place
     * @return resource the file itself, or the one inside
     *
     * @throws UnreadableFile
     */
    public static function opened($source, ?string $pattern)
    {
        rewind($source);
        $head = (string) fread($source, 4);
        rewind($source);

        return match (true) {
            str_starts_with($head, "\x1F\x8B") => self::opened(self::unzipped($source), $pattern),
            $head === "PK\x03\x04" => self::fromArchive($source, $pattern),
            default => $source,
        };
    }

    /**
     * @param  resource  $source
     * @return resource
     */
    private static function unzipped($source)
    {
        $context = inflate_init(ZLIB_ENCODING_GZIP);
        $out = LocalFile::unpacked();
        $bytes = 0;
        $sent = fstat($source)['size'] ?? 0;
        while ($context !== false && ! feof($source) && inflate_get_status($context) !== ZLIB_STREAM_END) {
            $part = @inflate_add($context, (string) fread($source, self::CHUNK / 64));
            if ($part === false) {
                throw UnreadableFile::packed('It is damaged, or not all of it has come.');
            }
            $bytes += strlen($part);
            self::allow($bytes, $sent);
            fwrite($out->handle, $part);
        }
        if ($context === false || inflate_get_status($context) !== ZLIB_STREAM_END) {
            throw UnreadableFile::packed('It is damaged, or not all of it has come.');
        }
        rewind($out->handle);

        return $out->handle;
    }

    /**
     * @param  resource  $source
     * @return resource the archive itself where it is a spreadsheet
     */
    private static function fromArchive($source, ?string $pattern)
    {
        $archive = LocalFile::of($source);
        $zip = new ZipArchive();
        if ($zip->open($archive->path, ZipArchive::RDONLY) !== true) {
            throw UnreadableFile::packed('It is damaged, or not all of it has come.');
        }
        $sizes = [];
        for ($i = 0; $i < $zip->numFiles; $i++) {
            $about = $zip->statIndex($i);
            if ($about !== false && ! str_ends_with($about['name'], '/')) {
                $sizes[$about['name']] = $about['size'];
            }
        }
        self::allow(array_sum($sizes), $archive->bytes());
        if (isset($sizes['xl/workbook.xml']) || isset($sizes['content.xml'])) {
            return $source;
        }
        $fitting = array_filter(
            array_map(strval(...), array_keys($sizes)),
            fn (string $name): bool => ! str_starts_with($name, '__MACOSX') &&
                ($pattern === null
                    ? preg_match(self::READABLE, $name) === 1
                    : fnmatch($pattern, basename($name), FNM_CASEFOLD)),
        );
        if (count($fitting) !== 1) {
            throw UnreadableFile::inArchive(array_values($fitting), array_map(strval(...), array_keys($sizes)));
        }
        $inside = $zip->getStream(reset($fitting));
        $out = LocalFile::unpacked();
        $bytes = 0;
        while ($inside !== false && ! feof($inside)) {
            $part = (string) fread($inside, self::CHUNK);
            $bytes += strlen($part);
            self::allow($bytes, $archive->bytes());
            fwrite($out->handle, $part);
        }
        if ($inside === false || $bytes !== $sizes[reset($fitting)]) {
            throw UnreadableFile::packed('It is damaged, or has a password.');
        }
        rewind($out->handle);

        return self::opened($out->handle, $pattern);
    }

    private static function allow(int $bytes, int $sent): void
    {
        if ($bytes > self::MOST || ($bytes > self::SMALL && $bytes > $sent * self::MOST_TIMES)) {
            throw UnreadableFile::packed('It would become more than '.self::MOST_TIMES.' times as large, so it is left packed.');
        }
    }
}
