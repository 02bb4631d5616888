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
use App\Models\State;
use App\Support\Refused;
use Illuminate\Support\Facades\DB;

/** Retires a definition (its data is kept, nobody sees it) or deletes it with all its data. Filters, rules and expectations go with it. */
final readonly class EndDefinition
{
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
            'spellings' => DB::table('spellings')->where('definition_id', $definition->id)->count(),
            'filters' => Filter::titlesOver($definition),
            'rules' => FillRule::query()->where('definition_id', $definition->id)->count(),
            'categories' => Expectation::query()->where('definition_id', $definition->id)->where('expected', true)->count(),
            'headings' => Heading::textsOf($definition),
        ];
    }

    public function retire(Definition $definition): ?Change
    {
        ManagersOnly::allow($definition->id);

        return $this->ledger->record('Definitions', function (Journal $journal) use ($definition): string {
            $this->rows($journal, 'filters', $definition);
            $this->rows($journal, 'expectations', $definition);
            foreach (FillRule::query()->where('definition_id', $definition->id)->pluck('id') as $id) {
                $journal->update('fill_rules', $id, ['paused' => 1]);
            }
            $journal->update('definitions', $definition->id, ['state' => State::Aside->value]);

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

        return $this->ledger->record('Definitions', function (Journal $journal) use ($definition): string {
            $journal->cells()->clear();
            DB::insert(
                'INSERT INTO temp.going SELECT item_id, definition_id, spelling_id, origin FROM assignments WHERE definition_id = ?',
                [$definition->id],
            );
            $journal->take();
            foreach (Definition::query()->where('merged_into', $definition->id)->pluck('id') as $id) {
                $journal->update('definitions', $id, ['merged_into' => null]);
            }
            foreach (['kept_apart', 'spellings', 'filters', 'fill_rules', 'expectations', 'headings'] as $table) {
                $this->rows($journal, $table, $definition);
            }
            foreach (
                DB::table('attribute_values')->where('definition_id', $definition->id)->whereNotNull('merged_into')->pluck('id') as $id
            ) {
                $journal->update('attribute_values', (int) $id, ['merged_into' => null]);
            }
            $this->rows($journal, 'attribute_values', $definition);
            $this->rows($journal, 'umbrellas', $definition);
            $journal->delete('definitions', $definition->id);

            return "Deleted {$definition->label} with its values";
        }) ?? throw new Refused('Nothing was written.');
    }

    private function rows(Journal $journal, string $table, Definition $definition): void
    {
        foreach (DB::table($table)->where('definition_id', $definition->id)->orderByDesc('id')->pluck('id') as $id) {
            $journal->delete($table, (int) $id);
        }
    }
}
