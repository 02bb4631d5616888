<?php

declare(strict_types=1);

namespace Lokum\Feed\Formats;

use Lokum\Feed\SupplierFile;
use Lokum\Feed\UnreadableFile;

/** One format that suppliers send. A new one is a class of its own and a line in {@see Formats::ALL}. */
interface Format
{
    /**
     * Whether a file is of this format.
     *
     * @param  string  $head  its first bytes, up to 64 kB
     */
    public static function isOf(string $head, LocalFile $file): bool;

    /** @throws UnreadableFile */
    public static function open(LocalFile $file): SupplierFile;
}
