<?php

declare(strict_types=1);

namespace App\Lineups;

use App\Models\Umbrella;
use App\Models\Value;
use App\Support\Refused;
use InvalidArgumentException;
use Lokum\Facet\Combine;
use Lokum\Lineup\Band;
use Lokum\Lineup\Control;
use Lokum\Lineup\EmptyTerms;
use Lokum\Lineup\FilterSettings;
use Lokum\Lineup\TermChoice;
use Lokum\Quantity\TypedNumber;
use Lokum\Text\Label;
use Lokum\Vocabulary\Look;
use Lokum\Vocabulary\TermOrder;

/** Reads what somebody has set for a filter. What the form does not show stays as it is. */
final readonly class FilterForm
{
    /** Terms that can be chosen from at once; of more the others are looked for by name. */
    public const LISTED = 50;

    private const MOST_BANDS = 20;

    /** @param  array<string, mixed>  $input */
    public function __construct(private array $input, private FilterSettings $was)
    {
    }

    /**
     * @return array<string, mixed> properties
     *
     * @throws Refused naming the field
     */
    public function read(): array
    {
        $title = $this->text('title');
        if ($title === '' || mb_strlen($title) > 100) {
            throw new Refused('A filter needs a title of 1 to 100 characters.', 'title');
        }
        $control = Control::tryFrom($this->text('control')) ?? $this->was->control;
        if (! in_array($control, Control::fitting($this->was->kind), true)) {
            throw new Refused("{$control->label()} does not fit what {$this->was->title} holds.", 'control');
        }
        [$from, $to] = [$this->number('from', 'The lower end'), $this->number('to', 'The upper end')];
        if ($from !== null && $to !== null && $from >= $to) {
            throw new Refused('The scale ends before it begins.', 'to');
        }
        $step = $this->number('step', 'The step');
        if ($step !== null && $step <= 0) {
            throw new Refused('The step is a number above zero, for example 5 or 0.5.', 'step');
        }

        return [
            'title' => $title,
            'title_shown' => $this->has('shown') ? (bool) $this->text('title_shown') : $this->was->titleShown,
            'group' => $this->has('group') ? (mb_substr($this->text('group'), 0, 100) ?: null) : $this->was->group,
            'help' => mb_substr($this->text('help'), 0, 300) ?: null,
            'control' => $control->value,
            'combine' => (Combine::tryFrom($this->text('combine')) ?? $this->was->combine)->value,
            'empty_terms' => (EmptyTerms::tryFrom($this->text('empty_terms')) ?? $this->was->emptyTerms)->value,
            'open' => (bool) $this->text('open'),
            'more' => min(500, max(0, (int) ($this->number('more', 'The number of terms') ?? $this->was->more))),
            'counts' => $this->has('shown') ? (bool) $this->text('counts') : $this->was->counts,
            'columns' => min(4, max(1, (int) ($this->number('columns', 'The number of columns') ?? $this->was->columns))),
            'prefix' => mb_substr($this->text('prefix'), 0, 20) ?: null,
            'unit' => $this->has('unit') ? (mb_substr($this->text('unit'), 0, 20) ?: null) : $this->was->unit,
            'decimals' => $this->number('decimals', 'The number of decimals') === null
                    ? null
                    : (int) $this->number('decimals', 'The number of decimals'),
            'step' => $step,
            'from' => $from,
            'to' => $to,
            'order' => TermOrder::tryFrom($this->text('order'))?->value,
            'match' => $this->text('match') === 'whole' ? 'whole' : 'contains',
        ] +
            $this->terms() +
            ($control === Control::Bands
                ? ['bands' => array_map(fn (Band $band): array => $band->toArray(), $this->bands())]
                : []);
    }

    /** @return array<string, mixed> */
    private function terms(): array
    {
        $mode = TermChoice::tryFrom($this->text('terms'));
        if ($mode === null) {
            return [];
        }
        $ids = fn (string $name): array => array_values(
            array_map(intval(...), array_filter((array) ($this->input[$name] ?? []), is_scalar(...))),
        );

        return [
            'terms' => $mode->value,
            'chosen' => $ids('chosen'),
            'pinned' => $ids('pinned'),
            'looks' => self::looks($this->was->looks),
            'seen' => $mode === TermChoice::Only
                    ? ($this->was->terms === TermChoice::Only && $this->was->seen > 0
                        ? $this->was->seen
                        : self::newest())
                    : 0,
        ];
    }

    /**
     * Looks as they are kept.
     *
     * @param  array<int, Look>  $looks  by term
     * @return array<int, mixed>
     */
    public static function looks(array $looks): array
    {
        return array_map(fn (Look $look): mixed => json_decode((string) $look->toJson(), true), $looks);
    }

    /** @return list<Band> */
    private function bands(): array
    {
        $bands = [];
        foreach (array_slice((array) ($this->input['bands'] ?? []), 0, self::MOST_BANDS) as $i => $row) {
            $row = (array) $row;
            $end = function (string $name) use ($row, $i): ?float {
                $text = trim((string) ($row[$name] ?? ''));

                return $text === ''
                    ? null
                    : TypedNumber::read($text) ??
                            throw new Refused('Band '.($i + 1).": \"{$text}\" is not a number.", 'bands');
            };
            [$from, $to] = [$end('from'), $end('to')];
            if ($from !== null || $to !== null) {
                try {
                    $band = new Band(
                        $from,
                        $to,
                        Label::of((string) ($row['label'] ?? '')) ?: null,
                        ! (bool) ($row['without_to'] ?? false),
                        ! (bool) ($row['without_from'] ?? false),
                    );
                    $same = array_search($band->slug(), array_map(fn (Band $one): string => $one->slug(), $bands), true);
                    if ($same !== false) {
                        throw new Refused('Band '.($i + 1).' has the same ends as band '.($same + 1).'.', 'bands');
                    }
                    $bands[] = $band;
                } catch (InvalidArgumentException $why) {
                    throw new Refused('Band '.($i + 1).': '.lcfirst($why->getMessage()), 'bands');
                }
            }
        }

        return $bands === []
            ? throw new Refused('Bands need at least one, with a lower or an upper end. Let Lokum propose some.', 'bands')
            : $bands;
    }

    /** The newest value of all; what comes later is waiting to be admitted. */
    public static function newest(): int
    {
        return (int) Value::table()->max('id');
    }

    /** Whether a term has come since the terms of a filter were chosen. */
    public static function isWaiting(FilterSettings $filter, int $term): bool
    {
        return $filter->terms === TermChoice::Only && ! $filter->offers($term) && $term > $filter->seen && $term < Umbrella::TERM;
    }

    private function has(string $name): bool
    {
        return array_key_exists($name, $this->input);
    }

    private function text(string $name): string
    {
        return is_scalar($this->input[$name] ?? null) ? Label::of((string) $this->input[$name]) : '';
    }

    private function number(string $name, string $what): ?float
    {
        $text = $this->text($name);

        return $text === ''
            ? null
            : TypedNumber::read($text) ??
                    throw new Refused("{$what} is a number, for example 5 or 0.5; \"{$text}\" is none.", $name);
    }
}
