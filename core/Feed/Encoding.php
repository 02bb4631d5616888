<?php

declare(strict_types=1);

namespace Lokum\Feed;

/** Tells how a file's characters are stored, and copies it as UTF-8, in chunks of constant size. */
final class Encoding
{
    private const CHUNK = 1 << 18;

    /** What stands for bytes that are no character: U+FDD0, which is none for good (The Unicode Standard, 23.7). */
    public const BROKEN = "\u{FDD0}";

    private const MARKS = ['UTF-8' => "\xEF\xBB\xBF", 'UTF-16LE' => "\xFF\xFE", 'UTF-16BE' => "\xFE\xFF"];

    /** The five bytes without a character in Windows-1252 (WHATWG Encoding, index windows-1252), as they are converted. */
    private const NOT_IN_1252 = ["\u{81}", "\u{8D}", "\u{8F}", "\u{90}", "\u{9D}"];

    /** First bytes of what people send instead of a CSV. */
    private const OTHERS = [
        "PK\x03\x04" => 'a spreadsheet or zip archive',
        "\xD0\xCF\x11\xE0" => 'an old office document',
        '%PDF' => 'a PDF document',
        "\x89PNG" => 'a picture',
        "\xFF\xD8\xFF" => 'a picture',
        'GIF8' => 'a picture',
        "\x1F\x8B" => 'a compressed file',
        'SQLite format 3' => 'a database',
        '<?xml' => 'an XML file',
        '{"' => 'a JSON file',
        '[{' => 'a JSON file',
        "{\n" => 'a JSON file',
        "{\r\n" => 'a JSON file',
        "\x7FELF" => 'a program',
        'MZ' => 'a program',
        'RIFF' => 'a sound or video file',
    ];

    /** " <!DOCTYPE html>", "<HTML lang=…": what a shop's server sends where the file is not there any more. */
    private const WEB_PAGE = '/^\s*<(?:!doctype|html)\b/i';

    /**
     * @param  resource  $file  open for reading, at its start
     * @return array{0: string, 1: bool} "UTF-8", "UTF-16LE", "UTF-16BE" or "Windows-1252", and whether a byte order mark says so
     *
     * @throws UnreadableFile when it is empty, or no text
     */
    public static function detect($file): array
    {
        $head = (string) fread($file, self::CHUNK);
        if (trim($head, " \t\r\n\0\xEF\xBB\xBF\xFE\xFF") === '') {
            throw UnreadableFile::empty();
        }
        foreach (self::MARKS as $encoding => $mark) {
            if (str_starts_with($head, $mark)) {
                return [$encoding, true];
            }
        }
        // "MZ" alone may begin an honest heading.
        $hasNuls = str_contains(substr($head, 0, 512), "\0");
        foreach (self::OTHERS as $bytes => $kind) {
            if (str_starts_with($head, $bytes) && ($bytes !== 'MZ' || $hasNuls)) {
                throw UnreadableFile::otherKind($kind);
            }
        }
        if (preg_match(self::WEB_PAGE, $head) === 1) {
            throw UnreadableFile::otherKind('a web page');
        }
        $nuls = substr_count($head, "\0");
        if ($nuls * 4 > strlen($head)) {
            $even = 0;
            $end = min(strlen($head), 4096);
            for ($i = 0; $i < $end; $i += 2) {
                $even += $head[$i] === "\0" ? 1 : 0;
            }

            return [$even * 8 > $end ? 'UTF-16BE' : 'UTF-16LE', false];
        }
        if ((int) preg_match_all('/[\x01-\x08\x0E-\x1A\x1C-\x1F]/', $head) * 20 > strlen($head)) {
            throw UnreadableFile::otherKind('a binary file');
        }
        rewind($file);

        return [self::isUtf8($file) ? 'UTF-8' : 'Windows-1252', false];
    }

    /**
     * @param  resource  $from  open for reading
     * @param  resource  $to  gets the same text as UTF-8, without mark, with line ends "\n" where the file has only "\r"
     */
    public static function copyAsUtf8($from, $to, string $encoding, bool $marked): void
    {
        rewind($from);
        if ($marked) {
            fread($from, strlen(self::MARKS[$encoding]));
        }
        $rest = '';
        $oldLineEnds = null;
        $substitute = mb_substitute_character();
        mb_substitute_character(mb_ord(self::BROKEN));
        while (! feof($from)) {
            $chunk = $rest.fread($from, self::CHUNK);
            $rest = '';
            if (! feof($from)) {
                [$chunk, $rest] = self::cut($chunk, $encoding);
            }
            $text = $encoding === 'UTF-8' ? $chunk : (string) mb_convert_encoding($chunk, 'UTF-8', $encoding);
            if ($encoding === 'Windows-1252') {
                $text = str_replace(self::NOT_IN_1252, self::BROKEN, $text);
            }
            $oldLineEnds ??= ! str_contains($text, "\n") && str_contains($text, "\r");
            fwrite($to, $oldLineEnds ? str_replace("\r", "\n", $text) : $text);
        }
        mb_substitute_character($substitute);
    }

    /**
     * A file with more good than broken accented lines is UTF-8 with broken rows; those are refused one by one.
     *
     * @param  resource  $file
     */
    private static function isUtf8($file): bool
    {
        $good = 0;
        $broken = 0;
        while (($line = fgets($file, self::CHUNK)) !== false) {
            if (preg_match('/[\x80-\xFF]/', $line) === 1) {
                if (mb_check_encoding($line, 'UTF-8')) {
                    $good++;
                } else {
                    $broken++;
                }
            }
        }

        return $broken === 0 || $good > $broken;
    }

    /**
     * Cuts where no character is split.
     *
     * @return array{0: string, 1: string}
     */
    private static function cut(string $chunk, string $encoding): array
    {
        if (! str_starts_with($encoding, 'UTF-16')) {
            return [$chunk, ''];
        }
        $keep = strlen($chunk) % 2;
        $high = $encoding === 'UTF-16LE' ? -1 - $keep : -2 - $keep;
        if (strlen($chunk) >= 4 && (ord($chunk[strlen($chunk) + $high]) & 0xFC) === 0xD8) {
            $keep += 2;
        }

        return $keep === 0 ? [$chunk, ''] : [substr($chunk, 0, -$keep), substr($chunk, -$keep)];
    }
}
