<?php

declare(strict_types=1);

namespace App\Editions;

use Lokum\Text\StrictKey;

/** What somebody looks for: a few distinct words of two letters or more, so that no search costs the shop much. */
final readonly class SearchWords
{
    private const MOST = 6;

    private const SHORTEST = 2;

    private const LONGEST = 200;

    /**
     * @param  string  $text  as typed
     * @param  list<string>  $words
     * @param  list<string>  $remarks  what was left out, for the shopper
     */
    private function __construct(public string $text, public array $words, public array $remarks)
    {
    }

    public static function of(string $typed): self
    {
        $text = trim(mb_substr($typed, 0, self::LONGEST));
        $all = [];
        $short = false;
        foreach (preg_split('/\s+/u', $text, -1, PREG_SPLIT_NO_EMPTY) ?: [] as $word) {
            $key = StrictKey::of($word);
            if (mb_strlen($key) >= self::SHORTEST || preg_match('/^\d$/D', $key) === 1) {
                $all[$key] ??= $word;
            } else {
                $short = true;
            }
        }
        $remarks = [];
        if ($short) {
            $remarks[] = 'Words of a single letter are not looked for.';
        }
        if (count($all) > self::MOST) {
            $remarks[] = 'Only the first '.self::MOST.' words are looked for.';
        }

        return new self($text, array_map(strval(...), array_values(array_slice($all, 0, self::MOST))), $remarks);
    }
}
