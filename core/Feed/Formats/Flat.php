<?php

declare(strict_types=1);

namespace Lokum\Feed\Formats;

/** Nested data as one text for each name: {"size": {"cm": 5}} is size.cm, a list is its parts with "|" between. */
final class Flat
{
    private const DEEPEST = 8;

    /**
     * @param  array<array-key, mixed>  $data
     * @return array<string, string>
     */
    public static function of(array $data): array
    {
        $texts = [];
        self::add($texts, '', $data, 0);

        return array_map(fn (array $parts): string => implode('|', $parts), $texts);
    }

    /**
     * @param  array<string, list<string>>  $texts
     * @param  array<array-key, mixed>  $data
     */
    private static function add(array &$texts, string $name, array $data, int $depth): void
    {
        foreach ($data as $key => $value) {
            $inner = is_int($key) && array_is_list($data) ? $name : ltrim("{$name}.{$key}", '.');
            if (is_array($value) && $depth < self::DEEPEST) {
                self::add($texts, $inner, $value, $depth + 1);
            } elseif ($inner !== '') {
                $text = self::text($value);
                $texts[$inner] ??= [];
                if ($text !== '') {
                    $texts[$inner][] = $text;
                }
            }
        }
    }

    /** Numbers as they were written, as far as they can be told. */
    private static function text(mixed $value): string
    {
        return match (true) {
            is_bool($value) => $value ? 'true' : 'false',
            is_float($value) => rtrim(rtrim(sprintf('%.12F', $value), '0'), '.'),
            is_string($value) => $value,
            is_int($value) => (string) $value,
            is_array($value) => (string) json_encode($value, JSON_UNESCAPED_UNICODE | JSON_INVALID_UTF8_SUBSTITUTE),
            default => '',
        };
    }
}
