<?php

declare(strict_types=1);

namespace Lokum\Feed;

use Lokum\Vocabulary\DayOrder;
use Lokum\Vocabulary\Kind;
use Lokum\Vocabulary\Level;

/** What a column of attribute data means: the definition it leads to. */
final readonly class Column
{
    /**
     * @param  string  $attribute  slug of the definition
     * @param  non-empty-string  $separator  as {@see Separator} reads it; only where $multiple
     * @param  string|null  $unit  for numbers
     * @param  DayOrder|null  $dayOrder  for dates written in digits; null: nobody has said
     * @param  list<string>  $empty  cells that count as missing, beside blank ones
     */
    public function __construct(
        public string $attribute,
        public string $label,
        public Kind $kind = Kind::Choice,
        public bool $multiple = false,
        public string $separator = '|',
        public Level $level = Level::Variant,
        public ?string $unit = null,
        public array $empty = [],
        public ?DayOrder $dayOrder = null,
    ) {
    }

    /**
     * The spellings in a cell. A cell of one keeps its stray spaces; between several the spaces belong to the separator.
     *
     * @return list<string>
     */
    public function spellings(string $cell): array
    {
        $separator = Separator::of($this->separator);
        if (! $this->multiple || ! $separator->standsIn($cell)) {
            return in_array(trim($cell), $this->empty, true) ? [] : [$cell];
        }

        return array_values(
            array_filter(
                $separator->parts($cell),
                fn (string $part): bool => $part !== '' && ! in_array($part, $this->empty, true),
            ),
        );
    }
}
