<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Contracts\Database\Query\Builder;

/** Looks for what has a text in it: no sign of the text is a wildcard, and case does not count, of any letter. */
final class Containing
{
    /**
     * @template T of Builder
     *
     * @param  T  $query
     * @param  list<string>  $either  conditions, one of which has to hold: "label LIKE ?"
     * @return T
     */
    public static function text(Builder $query, array $either, string $text): Builder
    {
        $query->where(function (Builder $any) use ($either, $text): void {
            foreach (self::inCases($text) as $written) {
                foreach ($either as $condition) {
                    // The builder has no word for what ends a wildcard's meaning.
                    $any->orWhereRaw(
                        str_replace('LIKE ?', "LIKE ? ESCAPE '\\'", $condition),
                        ['%'.addcslashes($written, '%_\\').'%'],
                    );
                }
            }
        });

        return $query;
    }

    /** @return list<string> the database compares A to Z without regard to case, but no other letters */
    private static function inCases(string $text): array
    {
        return preg_match('/[^\x00-\x7F]/', $text) === 1
            ? array_values(
                array_unique([$text, mb_strtolower($text), mb_strtoupper($text), mb_convert_case($text, MB_CASE_TITLE)]),
            )
            : [$text];
    }
}
