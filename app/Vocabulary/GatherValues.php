<?php

declare(strict_types=1);

namespace App\Vocabulary;

use App\Catalog\ProductCounts;
use App\Catalog\TermNumbers;
use App\Draft\CurrentTerms;
use App\History\Journal;
use App\History\Ledger;
use App\History\ManagersOnly;
use App\Models\Change;
use App\Models\Definition;
use App\Models\Filter;
use App\Models\Room;
use App\Models\Umbrella;
use App\Models\Value;
use App\Support\Refused;
use App\Values\FindValue;
use App\Values\FirstLook;
use App\Values\TermNames;
use Lokum\Text\Label;
use Lokum\Text\StrictKey;
use Lokum\Vocabulary\Kind;
use Lokum\Vocabulary\Look;

/** Gathers values under an umbrella, or takes them out again. No product and no spelling is touched. */
final readonly class GatherValues
{
    public function __construct(private Ledger $ledger, private ProductCounts $counts)
    {
    }

    /** @param  list<int>  $ids */
    public function consequences(Definition $definition, string $label, array $ids): GatherFigures
    {
        [$label, $values] = $this->checked($definition, $label, $ids);
        $umbrella = Umbrella::named($definition, $label);
        $terms = TermNumbers::shown($definition);
        $carried = array_intersect_key($terms, array_filter($this->counts->byValue($definition)));
        $after = $umbrella === null ? -1 : Umbrella::TERM + $umbrella->id;
        /** @var list<Value> $inside */
        $inside = array_values($umbrella?->values()->get()->all() ?? []);
        $members = [...$values, ...$inside];
        $from = Umbrella::query()
            ->whereKey(array_filter(array_map(fn (Value $value): ?int => $value->umbrella_id, $values)))
            ->where('id', '!=', $umbrella->id ?? 0)
            ->pluck('label')
            ->all();

        $chosen = array_map(fn (Value $value): int => $value->id, $values);
        $joins = array_filter($values, fn (Value $value): bool => ! in_array($value->id, $ids, true));

        return new GatherFigures(
            $umbrella->label ?? $label,
            $umbrella === null,
            array_map(fn (Value $value): string => $value->label, $values),
            array_values($joins)[0]->label ?? null,
            array_values($from),
            ValueTable::productsOfAny(
                $definition,
                array_values(
                    array_map(fn (Value $value): int => $value->id, array_filter($members, fn (Value $value): bool => ! $value->held)),
                ),
            ),
            count(array_unique($carried)),
            count(array_unique(array_replace($carried, array_intersect_key(array_fill_keys($chosen, $after), $carried)))),
            Filter::titlesOver($definition),
            PagesTouched::of(
                $definition,
                array_map(fn (Value $value): int => $value->id, $inside),
                array_map(fn (Value $value): int => $value->id, $members),
            ),
            CurrentTerms::handPicked($definition->slug, $chosen),
        );
    }

    /**
     * @param  list<int>  $ids
     * @param  bool  $different  whether that also says that they are not the same
     *
     * @throws Refused
     */
    public function __invoke(Definition $definition, string $label, array $ids, bool $different = false): ?Change
    {
        [$label, $values] = $this->checked($definition, $label, $ids);
        self::allowName($definition, $label, $values);

        return $this->ledger->record(Room::Values, function (Journal $journal) use (
            $definition,
            $label,
            $values,
            $different,
        ): string {
            if ($different !== false) {
                KeepApart::write($journal, $definition, array_map(fn (Value $value): int => $value->id, $values));
            }
            self::write($journal, $definition, $label, $values);
            $this->dropEmpty($journal, $definition);

            return 'Gathered '.
                mb_strimwidth(implode(', ', array_map(fn (Value $value): string => $value->label, $values)), 0, 90, '…').
                " under {$label} ({$definition->label})";
        });
    }

    /**
     * Several umbrellas as one step.
     *
     * @param  non-empty-array<string, list<int>>  $groups  values by the umbrella's label
     */
    public function several(Definition $definition, array $groups): ?Change
    {
        return $this->ledger->record(Room::Values, function (Journal $journal) use ($definition, $groups): string {
            $gathered = 0;
            foreach ($groups as $label => $ids) {
                [$label, $values] = $this->checked($definition, (string) $label, $ids);
                self::allowName($definition, $label, $values);
                self::write($journal, $definition, $label, $values);
                $gathered += count($values);
            }
            $this->dropEmpty($journal, $definition);

            return 'Gathered '.
                number_format($gathered).
                ' values under '.
                implode(', ', array_keys($groups)).
                " ({$definition->label})";
        });
    }

    /** @param  non-empty-list<Value>  $values */
    public static function write(Journal $journal, Definition $definition, string $label, array $values): void
    {
        $id =
            Umbrella::named($definition, $label)->id ??
            $journal->insert(Umbrella::class, [
                'definition_id' => $definition->id,
                'label' => $label,
                'slug' => TermNames::slug($definition, $label, array_map(fn (Value $value): int => $value->id, $values)),
                'look' => FirstLook::wearsColors($definition) ? FirstLook::fromName($label) ?? $values[0]->look : null,
            ]);
        foreach ($values as $value) {
            $journal->update(Value::class, $value->id, ['umbrella_id' => $id]);
        }
        Newcomer::settle($journal, array_map(fn (Value $value): int => $value->id, $values));
    }

    /**
     * Two terms of one name would be one for shoppers.
     *
     * @param  non-empty-list<Value>  $values
     */
    private static function allowName(Definition $definition, string $label, array $values): void
    {
        $umbrella = Umbrella::named($definition, $label);
        $mine = array_map(fn (Value $value): int => $value->id, $values);
        TermNames::allow($definition, $label, $umbrella === null ? $mine : [...$mine, Umbrella::TERM + $umbrella->id], 'under');
    }

    /** @param  list<int>  $ids */
    public function release(Definition $definition, array $ids): ?Change
    {
        $values = $this->values($definition, $ids);
        $leaving = array_map(fn (Value $value): int => $value->id, $values);
        $staying = Umbrella::query()
            ->where('definition_id', $definition->id)
            ->whereHas('values', fn ($inside) => $inside->whereNotIn('id', $leaving))
            ->pluck('label')
            ->all();
        self::allowLeaving($staying, $values);

        return $this->ledger->record(Room::Values, function (Journal $journal) use ($definition, $values): string {
            $this->takeOut($journal, $definition, $values);

            return 'Took '.
                mb_strimwidth(implode(', ', array_map(fn (Value $value): string => $value->label, $values)), 0, 90, '…').
                " out of their umbrella ({$definition->label})";
        });
    }

    /**
     * @param  int  $version  that the person started from
     * @param  list<int>  $in  values that come under it, from wherever they are
     * @param  list<int>  $out  of its values, those that leave it
     */
    public function save(Umbrella $umbrella, string $label, Look $look, int $version, array $in = [], array $out = []): ?Change
    {
        ManagersOnly::allow($umbrella->definition->id);
        $label = Label::of($label);
        $other =
            $label === '' || mb_strlen($label) > 500
                ? throw new Refused('An umbrella needs a name of 1 to 500 characters.', 'label')
                : Umbrella::named($umbrella->definition, $label);
        if ($other !== null && $other->id !== $umbrella->id) {
            throw new Refused("There is an umbrella {$other->label} already.", 'label');
        }
        $mine = [Umbrella::TERM + $umbrella->id, ...$in];
        TermNames::allow($umbrella->definition, $label, $mine, 'label');
        if ($look->label !== null) {
            TermNames::allow($umbrella->definition, $look->label, $mine, 'look_label');
        }
        $in = array_values($umbrella->definition->values()->whereKey($in)->pluck('id')->all());
        $leaving = array_values($umbrella->values()->whereKey($out)->get()->all());
        $others = Umbrella::query()
            ->where('definition_id', $umbrella->definition_id)
            ->whereKeyNot($umbrella->id)
            ->pluck('label')
            ->all();
        $stays = count($leaving) < $umbrella->values()->count() || $in !== [];
        self::allowLeaving($stays ? [...$others, $label] : $others, $leaving);

        return $this->ledger->record(Room::Values, function (Journal $journal) use (
            $umbrella,
            $label,
            $look,
            $version,
            $in,
            $leaving,
        ): string {
            if ($umbrella->refresh()->version !== $version) {
                throw Refused::changedMeanwhile($umbrella->label);
            }
            $journal->update(Umbrella::class, $umbrella->id, ['label' => $label, 'look' => $look->toJson()]);
            foreach ($in as $id) {
                $journal->update(Value::class, $id, ['umbrella_id' => $umbrella->id]);
            }
            $this->takeOut($journal, $umbrella->definition, $leaving);
            Newcomer::settle($journal, $in);
            $moved = implode(', ', array_filter([
                $in === [] ? '' : count($in).' in',
                $leaving === [] ? '' : count($leaving).' out',
            ]));

            return "Changed the umbrella {$label}".($moved === '' ? '' : ": {$moved}")." ({$umbrella->definition->label})";
        });
    }

    /**
     * A value that leaves its umbrella would be a second term of the name that an umbrella has.
     *
     * @param  array<string>  $staying  labels of the umbrellas that stay
     * @param  list<Value>  $leaving
     */
    private static function allowLeaving(array $staying, array $leaving): void
    {
        $names = array_combine(array_map(StrictKey::of(...), $staying), $staying);
        foreach ($leaving as $value) {
            $name = $names[StrictKey::of($value->label)] ?? null;
            if ($name !== null) {
                throw new Refused(
                    "An umbrella is called {$name}, too, so shoppers would read the name twice. Rename the umbrella first.",
                    'label',
                );
            }
        }
    }

    /** @param  list<Value>  $values */
    private function takeOut(Journal $journal, Definition $definition, array $values): void
    {
        foreach ($values as $value) {
            $journal->update(Value::class, $value->id, ['umbrella_id' => null]);
        }
        $this->dropEmpty($journal, $definition);
        $left = array_map(fn (Value $value): ?int => $value->umbrella_id, $values);
        $addresses = array_map(fn (Value $value): string => $value->slug, $values);
        foreach (Umbrella::query()->whereKey($left)->whereIn('slug', $addresses)->get() as $umbrella) {
            // The value has its address back.
            $journal->update(Umbrella::class, $umbrella->id, ['slug' => TermNames::slug($definition, $umbrella->label)]);
        }
    }

    /**
     * What an umbrella is called and what comes under it.
     *
     * @param  list<int>  $ids
     * @return array{0: string, 1: non-empty-list<Value>}
     */
    private function checked(Definition $definition, string $label, array $ids): array
    {
        $values = $this->values($definition, $ids);
        $label = Label::of($label);
        if ($label === '' || mb_strlen($label) > 500) {
            throw new Refused('An umbrella needs a name of 1 to 500 characters.', 'under');
        }
        $called = Umbrella::named($definition, $label) === null ? FindValue::known($definition, $label) : null;
        $isCalled = $called !== null && StrictKey::of($called->label) === StrictKey::of($label);

        // Under the name of a value: that one comes in, too, or shoppers would read the name twice.
        return [$label, $isCalled ? $this->values($definition, [...$ids, $called->id]) : $values];
    }

    /**
     * @param  list<int>  $ids
     * @return non-empty-list<Value>
     */
    private function values(Definition $definition, array $ids): array
    {
        ManagersOnly::allow($definition->id);
        if ($definition->kind !== Kind::Choice) {
            throw new Refused("The values of {$definition->label} are fixed; only those of a choice can be gathered.");
        }
        $values = array_values($definition->values()->whereKey($ids)->orderBy('label')->get()->all());

        return $values === [] ? throw new Refused('Choose at least one value.', 'under') : $values;
    }

    private function dropEmpty(Journal $journal, Definition $definition): void
    {
        foreach (
            Umbrella::query()
                ->where('definition_id', $definition->id)
                ->whereNotExists(fn ($query) => $query->from('attribute_values')->whereColumn('umbrella_id', 'umbrellas.id'))
                ->pluck('id') as $id
        ) {
            $journal->delete(Umbrella::class, $id);
        }
    }
}
