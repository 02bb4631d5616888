<?php

declare(strict_types=1);

namespace Lokum\Feed\Formats;

use Generator;
use Lokum\Feed\SupplierFile;
use Lokum\Feed\UnreadableFile;

/** A JSON document (RFC 8259) with a list of objects somewhere in it; the longest list is taken. Only one object is held at a time. */
final class JsonList implements Format
{
    private const CHUNK = 1 << 16;

    private const LONGEST = 16 << 20;

    public static function isOf(string $head, LocalFile $file): bool
    {
        return preg_match('/^\s*(?:\{\s*["}]|\[\s*[\[{\]"\dtfn-])/', $head) === 1;
    }

    public static function open(LocalFile $file): SupplierFile
    {
        $lists = [];
        foreach (self::objects($file) as [$list]) {
            $lists[$list] = ($lists[$list] ?? 0) + 1;
        }
        if ($lists === []) {
            throw UnreadableFile::noRecords();
        }
        arsort($lists);
        $chosen = array_key_first($lists);

        return new RecordFile(
            fn (): Generator => self::records($file, $chosen),
            ['JSON', $chosen === '' ? 'a list of objects' : "the list \"{$chosen}\""],
        );
    }

    /** @return Generator<int, array<string, string>|string> */
    private static function records(LocalFile $file, string $chosen): Generator
    {
        $number = 0;
        foreach (self::objects($file) as [$list, $text]) {
            if ($list === $chosen) {
                $data = json_decode($text, true, 64, JSON_BIGINT_AS_STRING);
                yield ++$number => is_array($data) ? Flat::of($data) : 'object '.$number.' cannot be read: '.json_last_error_msg();
            }
        }
    }

    /**
     * Objects that stand in a list, outermost ones, with the names that lead to their list.
     *
     * @return Generator<int, array{0: string, 1: string}>
     */
    private static function objects(LocalFile $file): Generator
    {
        $file = $file->opened();
        /** @var list<array{0: string, 1: string}> $around kind of bracket, and the name under which it stands */
        $around = [];
        $name = $word = '';
        $object = null;
        $depth = 0;
        $quoted = false;
        while (! feof($file)) {
            $chunk = (string) fread($file, self::CHUNK);
            for ($at = 0, $end = strlen($chunk); $at < $end;) {
                $skip = $quoted ? strcspn($chunk, '"\\', $at) : strcspn($chunk, '"{}[]:,', $at);
                $piece = substr($chunk, $at, $skip + 1);
                $at += $skip + 1;
                $sign = $skip < strlen($piece) ? $piece[$skip] : '';
                if ($quoted && $sign === '\\') {
                    // What it escapes belongs to the text; it may begin the next chunk.
                    $piece .= $at < $end ? $chunk[$at] : (string) fread($file, 1);
                    $at++;
                }
                if ($object !== null) {
                    $object .= $piece;
                    if (strlen($object) > self::LONGEST) {
                        throw UnreadableFile::damaged('an object of it is longer than 16 MB');
                    }
                } elseif ($quoted) {
                    $word .= $sign === '"' ? substr($piece, 0, -1) : $piece;
                }
                if ($sign === '"') {
                    $quoted = ! $quoted;
                    $word = $quoted && $object === null ? '' : $word;
                } elseif ($quoted || $sign === '') {
                    continue;
                } elseif ($object !== null) {
                    $depth += match ($sign) {
                        '{', '[' => 1,
                        '}', ']' => -1,
                        default => 0,
                    };
                    if ($depth === 0) {
                        yield [self::names($around), $object];
                        $object = null;
                    }
                } elseif ($sign === '{' && ($around[count($around) - 1][0] ?? '') === '[') {
                    [$object, $depth] = ['{', 1];
                } elseif ($sign === '{' || $sign === '[') {
                    $around[] = [$sign, $name];
                    $name = '';
                } elseif ($sign === '}' || $sign === ']') {
                    array_pop($around);
                } else {
                    $name = $sign === ':' ? $word : '';
                }
            }
        }
        if ($object !== null || $around !== []) {
            throw UnreadableFile::damaged('it ends in the middle of a list');
        }
    }

    /** @param  list<array{0: string, 1: string}>  $around */
    private static function names(array $around): string
    {
        return implode('.', array_filter(array_column($around, 1), fn (string $name): bool => $name !== ''));
    }
}
