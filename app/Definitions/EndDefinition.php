<?php

declare(strict_types=1);

namespace App\Definitions;

use App\Catalog\Coverage;
use App\History\Journal;
use App\History\Ledger;
use App\History\ManagersOnly;
use App\Models\Change;
use App\Models\Definition;
use App\Models\Expectation;
use App\Models\FillRule;
use App\Models\Filter;
use App\Models\Heading;
use App\Models\KeptApart;
use App\Models\Room;
use App\Models\Spelling;
use App\Models\State;
use App\Models\Umbrella;
use App\Models\Value;
use App\Support\Refused;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\DB;

/** Retires a definition (its data is kept, nobody sees it) or deletes it with all its data. Filters, rules and expectations go with it. */
final readonly class EndDefinition
{
    /** What is said of a definition, beside its values and their umbrellas. */
    private const AROUND = [
        KeptApart::class,
        Spelling::class,
        Filter::class,
        FillRule::class,
        Expectation::class,
        Heading::class,
    ];

    public function __construct(private Ledger $ledger, private Coverage $coverage)
    {
    }

    /**
     * @return array{products: int, values: int, spellings: int, filters: list<string>, rules: int, categories: int,
     *         headings: list<string>}
     */
    public function consequences(Definition $definition): array
    {
        return [
            'products' => $this->coverage->products()[$definition->id] ?? 0,
            'values' => $definition->values()->count(),
            'spellings' => Spelling::table()->where('definition_id', $definition->id)->count(),
            'filters' => Filter::titlesOver($definition),
            'rules' => FillRule::query()->where('definition_id', $definition->id)->count(),
            'categories' => Expectation::query()->where('definition_id', $definition->id)->where('expected', true)->count(),
            'headings' => Heading::textsOf($definition),
        ];
    }

    public function retire(Definition $definition): ?Change
    {
        ManagersOnly::allow($definition->id);

        return $this->ledger->record(Room::Definitions, function (Journal $journal) use ($definition): string {
            $this->rows($journal, Filter::class, $definition);
            $this->rows($journal, Expectation::class, $definition);
            foreach (FillRule::query()->where('definition_id', $definition->id)->pluck('id') as $id) {
                $journal->update(FillRule::class, $id, ['paused' => 1]);
            }
            $journal->update(Definition::class, $definition->id, ['state' => State::Aside->value]);

            return "Retired {$definition->label}; its data is kept";
        });
    }

    /** @throws Refused for one that every feed knows */
    public function delete(Definition $definition): Change
    {
        ManagersOnly::allow($definition->id);
        if ($definition->slug === Definition::BRAND) {
            throw new Refused('Brand is known to every feed and cannot be deleted. It can be retired.');
        }

        return $this->ledger->record(Room::Definitions, function (Journal $journal) use ($definition): string {
            $journal->cells()->clear();
            DB::insert(
                'INSERT INTO temp.going SELECT item_id, definition_id, spelling_id, origin FROM assignments WHERE definition_id = ?',
                [$definition->id],
            );
            $journal->take();
            foreach (Definition::query()->where('merged_into', $definition->id)->pluck('id') as $id) {
                $journal->update(Definition::class, $id, ['merged_into' => null]);
            }
            foreach (self::AROUND as $model) {
                $this->rows($journal, $model, $definition);
            }
            $merged = Value::query()->where('definition_id', $definition->id)->whereNotNull('merged_into')->pluck('id');
            $merged->each(fn (int $id) => $journal->update(Value::class, $id, ['merged_into' => null]));
            $this->rows($journal, Value::class, $definition);
            $this->rows($journal, Umbrella::class, $definition);
            $journal->delete(Definition::class, $definition->id);

            return "Deleted {$definition->label} with its values";
        }) ?? throw new Refused('Nothing was written.');
    }

    /** @param  class-string<Model>  $model */
    private function rows(Journal $journal, string $model, Definition $definition): void
    {
        $ids = $model::query()->where('definition_id', $definition->id)->orderByDesc('id')->pluck('id');
        $ids->each(fn (int $id) => $journal->delete($model, $id));
    }
}
