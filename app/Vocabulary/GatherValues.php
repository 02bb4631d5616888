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

        return new GatherFigures(
            $umbrella->label ?? $label,
            $umbrella === null,
            array_map(fn (Value $value): string => $value->label, $values),
            array_values($from),
            ValueTable::productsOfAny(
                $definition,
                array_values(
                    array_map(fn (Value $value): int => $value->id, array_filter($members, fn (Value $value): bool => ! $value->held)),
                ),
            ),
            count(array_unique($carried)),
            count(array_unique(array_replace($carried, array_intersect_key(array_fill_keys($ids, $after), $carried)))),
            Filter::titlesOver($definition),
            PagesTouched::of(
                $definition,
                array_map(fn (Value $value): int => $value->id, $inside),
                array_map(fn (Value $value): int => $value->id, $members),
            ),
            CurrentTerms::handPicked($definition->slug, $ids),
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
        [, $values] = $this->checked($definition, 'out', $ids);
        $leaving = array_map(fn (Value $value): int => $value->id, $values);
        $staying = Umbrella::query()
            ->where('definition_id', $definition->id)
            ->whereHas('values', fn ($inside) => $inside->whereNotIn('id', $leaving))
            ->get();
        foreach ($values as $value) {
            foreach ($staying->where('id', $value->umbrella_id) as $umbrella) {
                if (StrictKey::of($umbrella->label) === StrictKey::of($value->label)) {
                    throw new Refused(
                        "The umbrella is called {$umbrella->label}, too, so shoppers would read the name twice. Rename the umbrella first.",
                    );
                }
            }
        }

        return $this->ledger->record(Room::Values, function (Journal $journal) use ($definition, $values, $staying): string {
            foreach ($values as $value) {
                $journal->update(Value::class, $value->id, ['umbrella_id' => null]);
                foreach ($staying->where('slug', $value->slug) as $umbrella) {
                    // The value has its address back.
                    $journal->update(Umbrella::class, $umbrella->id, ['slug' => TermNames::slug($definition, $umbrella->label)]);
                }
            }
            $this->dropEmpty($journal, $definition);

            return 'Took '.
                mb_strimwidth(implode(', ', array_map(fn (Value $value): string => $value->label, $values)), 0, 90, '…').
                " out of their umbrella ({$definition->label})";
        });
    }

    /** @param  int  $version  that the person started from */
    public function save(Umbrella $umbrella, string $label, Look $look, int $version): ?Change
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
        TermNames::allow($umbrella->definition, $label, [Umbrella::TERM + $umbrella->id], 'label');
        if ($look->label !== null) {
            TermNames::allow($umbrella->definition, $look->label, [Umbrella::TERM + $umbrella->id], 'look_label');
        }

        return $this->ledger->record(Room::Values, function (Journal $journal) use ($umbrella, $label, $look, $version): string {
            if ($umbrella->refresh()->version !== $version) {
                throw Refused::changedMeanwhile($umbrella->label);
            }
            $journal->update(Umbrella::class, $umbrella->id, ['label' => $label, 'look' => $look->toJson()]);

            return "Changed the umbrella {$label} ({$umbrella->definition->label})";
        });
    }

    /**
     * @param  list<int>  $ids
     * @return array{0: string, 1: non-empty-list<Value>}
     */
    private function checked(Definition $definition, string $label, array $ids): array
    {
        ManagersOnly::allow($definition->id);
        $label = Label::of($label);
        if ($definition->kind !== Kind::Choice) {
            throw new Refused("The values of {$definition->label} are fixed; only those of a choice can be gathered.");
        }
        if ($label === '' || mb_strlen($label) > 500) {
            throw new Refused('An umbrella needs a name of 1 to 500 characters.', 'under');
        }
        $values = array_values($definition->values()->whereKey($ids)->orderBy('label')->get()->all());

        return $values === [] ? throw new Refused('Choose at least one value.', 'under') : [$label, $values];
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
