<?php

declare(strict_types=1);

namespace App\Lineups;

use App\Definitions\Definition;
use App\History\Change;
use App\History\Journal;
use App\History\Ledger;
use App\Publishing\DraftTerms;
use App\Refused;
use Lokum\Facet\Combine;
use Lokum\Lineup\Control;
use Lokum\Lineup\EmptyTerms;
use Lokum\Text\Label;
use Lokum\Vocabulary\Kind;
use Lokum\Vocabulary\Look;

/** Adds filters to a line-up, orders them, takes them out, and saves what each is like. */
final readonly class EditLineup
{
    public function __construct(private Ledger $ledger, private DraftTerms $terms)
    {
    }

    /** @param  string  $source  slug of a definition, "price" or "stock" */
    public function add(Lineup $lineup, string $source): Change
    {
        $definition = Definition::query()->live()->where('slug', $source)->first();
        if ($definition === null && ! in_array($source, [Filter::PRICE, Filter::STOCK], true)) {
            throw Refused::unknown('definition', $source);
        }
        $row = $definition === null ? $this->fieldRow($source) : $this->definitionRow($definition);
        foreach ($lineup->filters()->get() as $filter) {
            if ($filter->definition_id === ($row['definition_id'] ?? null) && $filter->field === ($row['field'] ?? null)) {
                throw new Refused("{$row['title']} is in the line-up already, as {$filter->title}.");
            }
        }
        $row['title'] = $this->freeTitle($lineup, $row['title']);
        $change = $this->ledger->record('Line-ups', function (Journal $journal) use ($lineup, $row): string {
            $journal->insert('filters', ['lineup_id' => $lineup->id, 'position' => (int) $lineup->filters()->max('position') + 1] + $row);
            $journal->update('lineups', $lineup->id, ['placement' => $lineup->placement]);

            return "Added the filter {$row['title']} to the shop's line-up";
        });
        assert($change !== null);

        return $change;
    }

    /**
     * @param  list<int>  $ids  filters in the order wanted
     *
     * @throws Refused when they are not exactly the line-up's filters
     */
    public function order(Lineup $lineup, array $ids): ?Change
    {
        return $this->ledger->record('Line-ups', function (Journal $journal) use ($lineup, $ids): string {
            $standing = $lineup->filters()->pluck('id')->all();
            if (array_diff($standing, $ids) !== [] || array_diff($ids, $standing) !== []) {
                throw Refused::changedMeanwhile('the line-up');
            }
            foreach (array_values(array_unique($ids)) as $i => $id) {
                $journal->update('filters', $id, ['position' => $i + 1]);
            }

            return "Reordered the shop's line-up";
        });
    }

    public function remove(Filter $filter): ?Change
    {
        return $this->ledger->record('Line-ups', function (Journal $journal) use ($filter): string {
            $journal->delete('filters', $filter->id);

            return "Took the filter {$filter->title} out of the shop's line-up";
        });
    }

    /**
     * @param  array<string, mixed>  $input
     * @param  int  $version  that the person started from
     *
     * @throws Refused naming the field
     */
    public function save(Filter $filter, array $input, int $version): ?Change
    {
        $changes = $this->checked($filter, $input);

        return $this->ledger->record('Line-ups', function (Journal $journal) use ($filter, $changes, $version): string {
            if ($filter->refresh()->version !== $version) {
                throw Refused::changedMeanwhile("the filter {$filter->title}");
            }
            $journal->update('filters', $filter->id, $changes);

            return "Changed the filter {$changes['title']}";
        });
    }

    /**
     * @param  array<string, mixed>  $input
     * @return array{title: string, control: string, combine: string, empty_terms: string, open: int, step: float|null, unit: string|null}
     */
    private function checked(Filter $filter, array $input): array
    {
        $text = fn (string $key): string => is_scalar($input[$key] ?? null) ? Label::of((string) $input[$key]) : '';
        $title = $text('title');
        if ($title === '' || mb_strlen($title) > 100) {
            throw new Refused('A filter needs a title of 1 to 100 characters.', 'title');
        }
        if (Filter::query()->where('lineup_id', $filter->lineup_id)->where('title', $title)->whereKeyNot($filter->id)->exists()) {
            throw new Refused("Another filter of this line-up is titled \"{$title}\".", 'title');
        }
        $control = Control::tryFrom($text('control')) ?? $filter->control;
        if (! in_array($control, Control::fitting($filter->kind()), true)) {
            throw new Refused("{$control->label()} does not fit what {$filter->title} holds.", 'control');
        }
        $step = $text('step') === '' ? null : str_replace(',', '.', $text('step'));
        if ($step !== null && (! is_numeric($step) || (float) $step <= 0 || ! is_finite((float) $step))) {
            throw new Refused('The step is a number above zero, for example 5 or 0.5.', 'step');
        }

        return [
            'title' => $title, 'control' => $control->value, 'combine' => (Combine::tryFrom($text('combine')) ?? $filter->combine)->value,
            'empty_terms' => (EmptyTerms::tryFrom($text('empty_terms')) ?? $filter->empty_terms)->value, 'open' => (int) (bool) ($input['open'] ?? false),
            'step' => $step === null ? null : (float) $step, 'unit' => $text('unit') === '' ? null : mb_strimwidth($text('unit'), 0, 20),
        ];
    }

    /** @return array<string, mixed> */
    private function definitionRow(Definition $definition): array
    {
        $terms = $definition->kind->isAttribute() ? $this->terms->of($definition) : [];
        $dressed = count(array_filter($terms, fn (array $term): bool => Look::fromJson($term['look'])->colors !== []));
        $control = Control::proposeFor($definition->kind, count($terms), $dressed) ?? throw new Refused("{$definition->label} holds {$definition->kind->label()}: shoppers cannot filter by that.");

        return $this->row($definition->label, $control) + ['definition_id' => $definition->id, 'combine' => $definition->kind === Kind::Flag ? Combine::One->value : Combine::Any->value];
    }

    /** @return array<string, mixed> */
    private function fieldRow(string $field): array
    {
        return $field === Filter::PRICE
            ? $this->row('Price', Control::Scale) + ['field' => $field, 'combine' => Combine::Any->value, 'step' => 1.0]
            : $this->row('In stock', Control::Flag) + ['field' => $field, 'combine' => Combine::One->value];
    }

    /** @return array{title: string, control: string, empty_terms: string, open: int} */
    private function row(string $title, Control $control): array
    {
        return ['title' => $title, 'control' => $control->value, 'empty_terms' => EmptyTerms::Hide->value, 'open' => 1];
    }

    private function freeTitle(Lineup $lineup, string $title): string
    {
        $try = $title;
        for ($n = 2; $lineup->filters()->where('title', $try)->exists(); $n++) {
            $try = "{$title} {$n}";
        }

        return $try;
    }
}
