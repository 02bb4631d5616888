<?php

declare(strict_types=1);

namespace Tests\Support;

use Lokum\Feed\Formats\Formats;
use RuntimeException;
use ZipArchive;

/** Files as suppliers send them, and what is read from them. */
final class Supplied
{
    /** @return array{0: list<string>, 1: array<int, list<string>|string>} headings, and cells or the problem by line */
    public static function rows(string $bytes, ?string $pattern = null): array
    {
        $file = Formats::open(Acts::file($bytes), $pattern);
        $rows = [];
        foreach ($file->rows() as $row) {
            $rows[$row->line] = $row->problem ?? $row->cells;
        }
        if (iterator_count($file->rows()) !== count($rows)) {
            throw new RuntimeException('What can be read once cannot be read again.');
        }

        return [$file->headings(), $rows];
    }

    /**
     * @param  array<string, string>  $files
     * @return string bytes of an archive with them
     */
    public static function zip(array $files, ?string $password = null): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'lokum-zip-');
        $zip = new ZipArchive();
        $zip->open($path, ZipArchive::OVERWRITE);
        foreach ($files as $name => $bytes) {
            $name = (string) $name;
            if (str_ends_with($name, '/')) {
                $zip->addEmptyDir($name);
            } else {
                $zip->addFromString($name, $bytes);
            }
            if ($password !== null) {
                $zip->setEncryptionName($name, ZipArchive::EM_AES_256, $password);
            }
        }
        $zip->close();
        $bytes = (string) file_get_contents($path);
        unlink($path);

        return $bytes;
    }
}
