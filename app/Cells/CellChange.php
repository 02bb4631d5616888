<?php

declare(strict_types=1);

namespace App\Cells;

use App\Models\Definition;
use App\Support\Refused;
use App\Values\SpellingReading;
use InvalidArgumentException;
use Lokum\Feed\Separator;
use Lokum\Quantity\NumberChange;
use Lokum\Text\Label;
use Lokum\Vocabulary\Kind;

/** What somebody wants done to one definition's cells, checked as far as it can be without looking at any product. */
final readonly class CellChange
{
    private const LONGEST = [Kind::Text->value => 65536, 'other' => 500];

    /** @param  list<string>  $texts  labels, numbers or texts, where they are the same for every product */
    private function __construct(
        public Definition $definition,
        public CellMode $mode,
        public array $texts,
        public ?Definition $source = null,
        public string $find = '',
        public string $replace = '',
        public ?NumberChange $numbers = null,
        public bool $emptyOnly = false,
        public bool $spareHand = false,
    ) {
    }

    /**
     * @param  list<string>  $texts
     *
     * @throws Refused for a text that the definition cannot hold
     */
    public static function set(
        Definition $definition,
        array $texts,
        CellMode $mode = CellMode::Set,
        bool $emptyOnly = false,
        bool $spareHand = false,
    ): self {
        if (! $mode->isFor($definition)) {
            throw new Refused("{$mode->label()} does not go with {$definition->label}.", 'mode');
        }
        $texts =
            $mode === CellMode::Clear
                ? []
                : array_values(
                    array_unique(
                        array_filter(
                            array_map($definition->kind === Kind::Text ? trim(...) : Label::of(...), $texts),
                            fn (string $text): bool => $text !== '',
                        ),
                    ),
                );
        if (! $definition->multiple && count($texts) > 1) {
            throw new Refused("{$definition->label} takes one value.", 'value');
        }
        if ($texts === [] && in_array($mode, [CellMode::Add, CellMode::Remove], true)) {
            throw new Refused('Say which value.', 'value');
        }
        foreach ($texts as $text) {
            self::check($definition, $text);
        }

        return new self(
            $definition,
            $texts === [] ? CellMode::Clear : $mode,
            $texts,
            emptyOnly: $emptyOnly,
            spareHand: $spareHand,
        );
    }

    /**
     * From a form or a command: mode, value, source, find, replace, amount, empty_only, spare_hand.
     *
     * @param  array<string, mixed>  $input
     *
     * @throws Refused naming the field
     */
    public static function from(Definition $definition, array $input): self
    {
        $text = fn (string $key): string => is_scalar($input[$key] ?? null) ? (string) $input[$key] : '';
        $mode =
            CellMode::tryFrom($text('mode') === '' ? CellMode::Set->value : $text('mode')) ??
            throw new Refused('There is no such way to change cells.', 'mode');
        $emptyOnly = (bool) ($input['empty_only'] ?? false);
        $spareHand = (bool) ($input['spare_hand'] ?? false);
        if (! $mode->maps()) {
            return self::set($definition, self::parts($definition, $input['value'] ?? []), $mode, $emptyOnly, $spareHand);
        }
        if (! $mode->isFor($definition)) {
            throw new Refused("{$mode->label()} does not go with {$definition->label}.", 'mode');
        }
        $source =
            $mode === CellMode::Copy
                ? Definition::called($text('source')) ??
                    throw new Refused('Say which definition to copy from.', 'source')
                : null;
        if ($source?->id === $definition->id) {
            throw new Refused("{$definition->label} cannot be copied from itself.", 'source');
        }
        if ($mode === CellMode::Replace && $text('find') === '') {
            throw new Refused('Say which text to find.', 'find');
        }

        return new self(
            $definition,
            $mode,
            [],
            $source,
            $text('find'),
            $text('replace'),
            $mode->isAboutNumbers() ? self::numbers($mode, $text('amount')) : null,
            $emptyOnly,
            $spareHand,
        );
    }

    /**
     * What was typed, several parted by the definition's separator.
     *
     * @return list<string>
     */
    public static function parts(Definition $definition, mixed $typed): array
    {
        $texts = array_map(fn (mixed $text): string => is_scalar($text) ? (string) $text : '', array_values((array) $typed));

        return $definition->multiple
            ? array_merge(
                ...array_map(Separator::of($definition->separator)->parts(...), $texts === [] ? [''] : $texts),
            )
            : $texts;
    }

    /** @throws Refused for a text that the definition cannot hold */
    public static function check(Definition $definition, string $text): void
    {
        $problem = SpellingReading::by($definition, $text)->problem;
        if ($problem !== null) {
            throw new Refused("{$definition->label}: {$problem}.", 'value');
        }
        $most = self::LONGEST[$definition->kind->value] ?? self::LONGEST['other'];
        if (mb_strlen($text) > $most) {
            throw new Refused("{$definition->label}: at most ".number_format($most).' characters.', 'value');
        }
    }

    /** In words, as History says it. */
    public function sentence(string $where): string
    {
        $label = $this->definition->label;
        $what = implode(', ', array_map(fn (string $text): string => mb_strimwidth($text, 0, 60, '…'), $this->texts));

        return match ($this->mode) {
            CellMode::Set => "Set {$label} {$what} {$where}",
            CellMode::Add => "Added {$label} {$what} {$where}",
            CellMode::Remove => "Removed {$label} {$what} {$where}",
            CellMode::Clear => "Cleared {$label} {$where}",
            CellMode::Copy => "Copied {$this->source?->label} to {$label} {$where}",
            CellMode::Replace => 'Replaced "'.
                mb_strimwidth($this->find, 0, 40, '…').
                '" with "'.
                mb_strimwidth($this->replace, 0, 40, '…').
                "\" in {$label} {$where}",
            CellMode::Raise, CellMode::Percent, CellMode::Round => "{$this->mode->label()}: {$label} {$where}",
        };
    }

    private static function numbers(CellMode $mode, string $amount): NumberChange
    {
        try {
            return match ($mode) {
                CellMode::Percent => NumberChange::byPercent($amount),
                CellMode::Round => NumberChange::roundTo($amount),
                default => NumberChange::by($amount),
            };
        } catch (InvalidArgumentException $why) {
            throw new Refused($why->getMessage(), 'amount');
        }
    }
}
