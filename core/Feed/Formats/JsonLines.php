<?php

declare(strict_types=1);

namespace Lokum\Feed\Formats;

use Generator;
use Lokum\Feed\SupplierFile;

/** One JSON object a line (jsonlines.org). */
final class JsonLines implements Format
{
    private const LONGEST = 4 << 20;

    public static function isOf(string $head, LocalFile $file): bool
    {
        $lines = preg_split('/\s*\R\s*/', trim($head), 3) ?: [];

        $first = json_decode($lines[0] ?? '', true);

        return is_array($first) &&
            ! array_is_list($first) &&
            (count($lines) > 1 ? str_starts_with($lines[1], '{') : ! self::holdsList($first));
    }

    /**
     * Whether one object alone is rather a document with a list in it.
     *
     * @param  array<array-key, mixed>  $data
     */
    private static function holdsList(array $data): bool
    {
        foreach ($data as $value) {
            if (is_array($value) && ((array_is_list($value) && is_array($value[0] ?? null)) || self::holdsList($value))) {
                return true;
            }
        }

        return false;
    }

    public static function open(LocalFile $file): SupplierFile
    {
        return new RecordFile(fn (): Generator => self::records($file), ['JSON, one object a line']);
    }

    /** @return Generator<int, array<string, string>|string> */
    private static function records(LocalFile $file): Generator
    {
        $file = $file->opened();
        for ($line = 1; ($text = fgets($file, self::LONGEST)) !== false; $line++) {
            $text = trim($text, "\xEF\xBB\xBF \t\r\n");
            if ($text !== '') {
                $data = json_decode($text, true, 64, JSON_BIGINT_AS_STRING);
                yield $line => is_array($data) && ! array_is_list($data)
                    ? Flat::of($data)
                    : 'this line is no JSON object: '.(is_array($data) ? 'it is a list' : json_last_error_msg());
            }
        }
    }
}
