<?php

declare(strict_types=1);

namespace Lokum\Feed;

use Lokum\Quantity\NumberText;
use Lokum\Quantity\Unit;
use Lokum\Quantity\UnreadableQuantity;
use Lokum\Text\Label;
use Lokum\Text\StrictKey;
use Lokum\Vocabulary\DayOrder;
use Lokum\Vocabulary\DayText;
use Lokum\Vocabulary\FlagWord;
use Lokum\Vocabulary\Kind;
use Lokum\Vocabulary\Level;
use Lokum\Vocabulary\UnreadableDay;

/** Looks at a column's cells and says what it seems to hold, and why. Feed it the first rows; it keeps little. */
final class ColumnGuess
{
    private const DISTINCT = 2000;

    private const LONGEST = 200;

    private int $filled = 0;

    private int $rows = 0;

    private int $onVariants = 0;

    private int $flags = 0;

    private int $digits = 0;

    private int $numbers = 0;

    private int $dates = 0;

    /** @var array<string, DayOrder> those that some cells tell */
    private array $dayOrders = [];

    private int $length = 0;

    /** @var array<string, int> */
    private array $units = [];

    /** @var array<non-empty-string, int> */
    private array $separators = ['|' => 0, ';' => 0];

    /** @var array<int|string, int> cells by text */
    private array $texts = [];

    public function __construct(private readonly string $heading)
    {
    }

    /**
     * Takes a cell into account.
     *
     * @param  bool  $variant  whether its row is a variant
     */
    public function add(string $cell, bool $variant): void
    {
        $this->rows++;
        if (Label::isBlank($cell)) {
            return;
        }
        $this->filled++;
        $this->onVariants += $variant ? 1 : 0;
        // One cell of thousands of letters among short ones makes no column of texts.
        $this->length += min(strlen($cell), self::LONGEST);
        $this->flags += FlagWord::read($cell) !== null ? 1 : 0;
        $this->digits += in_array(trim($cell), ['0', '1'], true) ? 1 : 0;
        $this->addDay($cell);
        foreach (array_keys($this->separators) as $separator) {
            $this->separators[$separator] += str_contains(trim($cell, " \t".$separator), $separator) ? 1 : 0;
        }
        try {
            [, $unit] = NumberText::leading($cell);
            if ($unit === '' || Unit::find($unit) !== null) {
                $this->numbers++;
                $symbol = $unit === '' ? '' : Unit::find($unit)->symbol ?? '';
                $this->units[$symbol] = ($this->units[$symbol] ?? 0) + 1;
            }
        } catch (UnreadableQuantity) {
            // Not a number: that is what is being found out.
        }
        if (isset($this->texts[$cell]) || count($this->texts) < self::DISTINCT) {
            $this->texts[$cell] = ($this->texts[$cell] ?? 0) + 1;
        }
    }

    /** A date, though it may be one of two; which number comes first is told by those that can be only one. */
    private function addDay(string $cell): void
    {
        try {
            DayText::read(Label::of($cell));
        } catch (UnreadableDay $why) {
            if (! $why->couldBeTwo) {
                return;
            }
        }
        $this->dates++;
        $order = DayOrder::in(Label::of($cell));
        if ($order !== null) {
            $this->dayOrders[$order->value] = $order;
        }
    }

    /** Share of the rows seen that have something in this column, 0 to 1. */
    public function coverage(): float
    {
        return $this->rows === 0 ? 0.0 : $this->filled / $this->rows;
    }

    /** @return array<int|string, int> the most frequent cells, as they stand, with their number */
    public function samples(int $limit = 6): array
    {
        $texts = $this->texts;
        arsort($texts);
        $samples = [];
        foreach (array_slice($texts, 0, $limit, true) as $text => $count) {
            $samples[$text] = $count;
        }

        return $samples;
    }

    /**
     * @param  string  $slug  of the definition that the column would lead to
     * @return array{0: Column, 1: string} the proposal and its reason in words
     */
    public function column(string $slug): array
    {
        [$kind, $why] = $this->kind();
        $separator = $kind === Kind::Choice ? $this->separator() : null;
        if ($separator !== null) {
            $why = "several values in a cell, parted by \"{$separator}\"";
        }
        $level = $this->onVariants > 0 ? Level::Variant : Level::Product;

        return [
            new Column(
                $slug,
                Label::of($this->heading),
                $kind,
                $separator !== null,
                $separator ?? '|',
                $level,
                $kind === Kind::Number ? $this->unit() : null,
                [],
                $kind === Kind::Date && count($this->dayOrders) === 1 ? reset($this->dayOrders) : null,
            ),
            $why,
        ];
    }

    /** @return array{0: Kind, 1: string} */
    private function kind(): array
    {
        $distinct = count($this->texts);

        return match (true) {
            $this->filled === 0 => [Kind::Choice, 'no cell is filled yet'],
            $this->flags === $this->filled && $this->digits < $this->filled => [Kind::Flag, 'every cell says yes or no'],
            $this->dates === $this->filled => [Kind::Date, 'every cell is a date'],
            $this->separator() !== null && $this->numbers * 2 < $this->filled => [Kind::Choice, ''],
            $this->numbers >= 0.95 * $this->filled => [
                Kind::Number,
                $this->unit() === null ? 'the cells are numbers' : 'the cells are numbers with units',
            ],
            $this->length > 60 * $this->filled => [Kind::Text, 'the cells are long'],
            $this->filled > 50 && $distinct > 0.9 * min($this->filled, self::DISTINCT) => [
                Kind::Text,
                'nearly every cell differs',
            ],
            default => [Kind::Choice, $this->counted($distinct)],
        };
    }

    private function counted(int $distinct): string
    {
        $keys = count(
            array_unique(array_map(fn (int|string $text): string => StrictKey::of((string) $text), array_keys($this->texts))),
        );

        return $keys < $distinct ? "{$distinct} spellings of {$keys} values" : "{$distinct} values that repeat";
    }

    /** @return non-empty-string|null */
    private function separator(): ?string
    {
        $found = array_keys(
            array_filter($this->separators, fn (int $cells): bool => $cells > 0 && $cells >= 0.05 * $this->filled),
        );

        return implode(' or ', $found) ?: null;
    }

    /** The unit that most cells carry; one in the heading ("Length (mm)", "Weight g/m²") where the cells have none. */
    private function unit(): ?string
    {
        $units = $this->units;
        unset($units['']);
        if ($units !== []) {
            arsort($units);

            return array_key_first($units);
        }
        if (preg_match('/[\s(\[,]([^\s()\[\],]+)[)\]]?\s*$/u', $this->heading, $part) === 1) {
            return Unit::find($part[1])?->symbol;
        }

        return null;
    }
}
