<?php

declare(strict_types=1);

namespace Lokum\Lineup;

/** Why a filter is not shown on a page (C6). */
enum Absence: string
{
    case NobodyCarriesIt = 'nobody';
    case AllTheSame = 'same';
    case LeftOut = 'left out';

    /** The reason in words, for the manager. */
    public function inWords(): string
    {
        return match ($this) {
            self::NobodyCarriesIt => 'no product here carries it',
            self::AllTheSame => 'all products here have the same',
            self::LeftOut => 'all that it could offer here is left out by choice',
        };
    }

    /**
     * Whether a filter with terms has something to offer on a page that is narrowed by nothing.
     *
     * @param  bool  $loneTermNarrows  whether a lone term that only some products carry is something to choose
     * @param  list<int>  $counts  products beside each of its terms, zeros too
     * @param  int  $products  products of the page
     */
    public static function ofTerms(bool $loneTermNarrows, array $counts, int $products): ?self
    {
        $offered = array_values(array_filter($counts, fn (int $count): bool => $count > 0));

        return match (true) {
            $offered === [] => self::NobodyCarriesIt,
            count($offered) > 1 => null,
            // A lone "yes" that only some carry still narrows; a lone color of a choice offers nothing to choose from.
            $loneTermNarrows && $offered[0] < $products => null,
            default => self::AllTheSame,
        };
    }

    /** @param  array{0: float, 1: float}|null  $ends  smallest and largest number on the page */
    public static function ofScale(?array $ends): ?self
    {
        return match (true) {
            $ends === null => self::NobodyCarriesIt,
            $ends[0] === $ends[1] => self::AllTheSame,
            default => null,
        };
    }
}
