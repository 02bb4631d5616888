<?php

declare(strict_types=1);

namespace Lokum\Feed\Formats;

use Lokum\Feed\UnreadableFile;

/** What libxml finds wrong with a document while it is read. */
final class XmlErrors
{
    /** From here on they are kept for {@see check()} instead of being printed. */
    public static function keep(): void
    {
        libxml_use_internal_errors(true);
        libxml_clear_errors();
    }

    /**
     * @param  string  $where  the document inside an archive; empty for the file itself
     *
     * @throws UnreadableFile naming the line at which it is damaged
     */
    public static function check(string $where = ''): void
    {
        foreach (libxml_get_errors() as $error) {
            if ($error->level === LIBXML_ERR_FATAL) {
                libxml_clear_errors();
                throw UnreadableFile::damaged(($where === '' ? '' : "{$where}, ")."line {$error->line}: ".trim($error->message));
            }
        }
    }
}
