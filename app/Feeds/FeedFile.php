<?php

declare(strict_types=1);

namespace App\Feeds;

use App\Models\Reading;
use App\Support\Refused;
use Lokum\Feed\UnreadableFile;

/** Where suppliers' files are kept: the inbox they arrive in, and the copies that readings were made from. */
final class FeedFile
{
    /** Of what is looked at in the inbox; what a file is, is told by what stands in it. */
    private const ENDINGS = 'csv,tsv,txt,xlsx,ods,json,jsonl,ndjson,xml,gz,zip';

    /** What a field for files lets choose. */
    public static function accepted(): string
    {
        return '.'.str_replace(',', ',.', self::ENDINGS);
    }

    /** @return resource */
    public static function open(string $path)
    {
        $file = is_file($path) ? @fopen($path, 'rb') : false;

        return $file === false ? throw UnreadableFile::cannotOpen($path) : $file;
    }

    /** @return resource the copy that a reading was made from */
    public static function ofReading(Reading $reading)
    {
        return self::open(self::kept($reading->path));
    }

    /**
     * Puts a file of the inbox aside that was taken, beside those that wait.
     *
     * @throws Refused when it cannot be moved
     */
    public static function putAside(string $name): void
    {
        $aside = config('lokum.data').'/inbox/taken';
        @mkdir($aside, 0700);
        if (! @rename(config('lokum.data')."/inbox/{$name}", $aside.'/'.date('Ymd-His')."-{$name}")) {
            throw new Refused("{$name} was taken and cannot be moved to inbox/taken. Move it away, so that the next one is taken.");
        }
    }

    /** Keeps a copy of a file under the data directory and says where, from there. */
    public static function keep(string $path): string
    {
        $kept = 'feeds/'.date('Ymd-His').'-'.bin2hex(random_bytes(4));
        if (! @copy($path, self::kept($kept)) || filesize(self::kept($kept)) !== filesize($path)) {
            @unlink(self::kept($kept));
            throw new Refused(
                'The file "'.
                    basename($path).
                    '" cannot be copied into the data directory. Is the disk full, or the directory read-only?',
            );
        }
        chmod(self::kept($kept), 0600);

        return $kept;
    }

    /** Where a kept file lies now. */
    public static function kept(string $path): string
    {
        return config('lokum.data').'/'.$path;
    }

    /** @return list<string> names of the files that wait in the inbox, newest name last */
    public static function inbox(): array
    {
        $files = glob(config('lokum.data').'/inbox/*.{'.self::ENDINGS.','.strtoupper(self::ENDINGS).'}', GLOB_BRACE) ?: [];
        sort($files, SORT_NATURAL);

        return array_map(basename(...), $files);
    }

    /** @throws Refused for a name that is not in the inbox */
    public static function inboxPath(string $name): string
    {
        return in_array($name, self::inbox(), true)
            ? config('lokum.data').'/inbox/'.$name
            : throw Refused::unknown('file in the inbox', $name);
    }
}
