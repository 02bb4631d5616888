<?php

declare(strict_types=1);

namespace Lokum\Vocabulary;

use Collator;
use Lokum\Color\Lab;

/** Puts terms in order (C9). Every order is total: equal ones fall back to the alphabet, then to the oldest. */
final readonly class TermSorter
{
    private Collator $alphabet;

    private Collator $numbers;

    /** @param  string  $locale  BCP 47 language of the shop, e.g. "en" or "de-DE" */
    public function __construct(string $locale = 'en')
    {
        $this->alphabet = new Collator($locale);
        $this->numbers = new Collator($locale);
        $this->numbers->setAttribute(Collator::NUMERIC_COLLATION, Collator::ON);
    }

    /**
     * @param  list<Term>  $terms
     * @return list<Term>
     */
    public function sort(array $terms, TermOrder $order): array
    {
        // Read once each, not for every comparison.
        $rungs = [];
        foreach ($order === TermOrder::Size ? $terms : [] as $term) {
            $rungs[$term->label] ??= SizeLadder::rung($term->label);
        }
        usort(
            $terms,
            fn (Term $a, Term $b): int => match ($order) {
                TermOrder::Hand => ($a->position === 0 ? PHP_INT_MAX : $a->position) <=>
                    ($b->position === 0 ? PHP_INT_MAX : $b->position),
                TermOrder::Alphabet => 0,
                TermOrder::Number => $this->compareNumbers($a->label, $b->label),
                TermOrder::Size => self::compareRungs($rungs[$a->label], $rungs[$b->label]) ?:
                    $this->compareNumbers($a->label, $b->label),
                TermOrder::Products => $b->products <=> $a->products,
                TermOrder::Hue => self::hue($a->color) <=> self::hue($b->color),
            } ?:
            $this->compare($this->alphabet, $a->label, $b->label) ?:
            $a->id <=> $b->id,
        );

        return $terms;
    }

    private function compareNumbers(string $a, string $b): int
    {
        return $this->compare($this->numbers, $a, $b);
    }

    /**
     * Round the color circle from red, dark before light where the hue is one; then grays from light to dark; then what has no color.
     *
     * @return array{0: int, 1: float, 2: float}
     */
    private static function hue(?string $color): array
    {
        if ($color === null) {
            return [2, 0.0, 0.0];
        }
        $lab = Lab::ofHex($color);

        return hypot($lab->a, $lab->b) < 7
            ? [1, -$lab->lightness, 0.0]
            : [0, floor(fmod(rad2deg(atan2($lab->b, $lab->a)) + 345, 360) / 10), $lab->lightness];
    }

    /** Labels that are on no ladder come after those that are. */
    private static function compareRungs(?Rung $a, ?Rung $b): int
    {
        return $a === null || $b === null ? [$a === null] <=> [$b === null] : $a->compare($b);
    }

    private function compare(Collator $collator, string $a, string $b): int
    {
        $result = $collator->compare($a, $b);

        return $result === false ? $a <=> $b : $result;
    }
}
