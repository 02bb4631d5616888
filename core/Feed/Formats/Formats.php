<?php

declare(strict_types=1);

namespace Lokum\Feed\Formats;

use Lokum\Feed\CsvFile;
use Lokum\Feed\SupplierFile;
use Lokum\Feed\UnreadableFile;

/** Opens whatever a supplier sent: what it is, is told by what stands in it, not by its name. */
final class Formats
{
    /** @var list<class-string<Format>> what is none of these is read as CSV */
    private const ALL = [Xlsx::class, Ods::class, XmlList::class, JsonLines::class, JsonList::class];

    private const HEAD = 65536;

    /**
     * @param  resource  $source  open for reading and seeking
     * @param  string|null  $pattern  of the file wanted in an archive, as "*.csv"; null: the only one that can be read
     *
     * @throws UnreadableFile
     */
    public static function open($source, ?string $pattern = null): SupplierFile
    {
        $source = Packed::opened($source, $pattern);
        rewind($source);
        $head = (string) fread($source, self::HEAD);
        rewind($source);
        $plain = str_starts_with($head, "\xEF\xBB\xBF") ? substr($head, 3) : $head;
        if (preg_match('/^(?:PK\x03\x04|\s*[<{\[])/', $plain) === 1) {
            $file = LocalFile::of($source);
            foreach (self::ALL as $format) {
                if ($format::isOf($plain, $file)) {
                    return $format::open($file);
                }
            }
        }

        return CsvFile::open($source);
    }
}
