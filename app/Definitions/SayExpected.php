<?php

declare(strict_types=1);

namespace App\Definitions;

use App\History\Journal;
use App\History\Ledger;
use App\Models\Category;
use App\Models\Change;
use App\Models\Definition;
use App\Models\Expectation;
use App\Models\Room;
use App\Support\Refused;

/** Says which definitions a category's products should carry: expected, dropped again, or left to the category above. */
final readonly class SayExpected
{
    public function __construct(private Ledger $ledger)
    {
    }

    /** @param  list<int>  $definitions */
    public function __invoke(?Category $category, array $definitions, ?bool $expected): ?Change
    {
        if (Definition::query()->whereKey($definitions)->count() !== count(array_unique($definitions))) {
            throw new Refused('A definition that you chose is not there any more. Look at the list again.', 'definitions');
        }

        return $this->ledger->record(Room::Definitions, function (Journal $journal) use ($category, $definitions, $expected): string {
            $this->write($journal, $category?->id, $definitions, $expected);
            $labels = Definition::query()->whereKey($definitions)->orderBy('label')->pluck('label')->join(', ', ' and ');
            $where = $category === null ? 'everywhere' : "in {$category->name}";

            return match ($expected) {
                true => "{$labels} expected {$where}",
                false => "{$labels} not expected {$where}",
                null => "{$labels} {$where} as above",
            };
        });
    }

    /**
     * Expects what was proposed, in one step.
     *
     * @param  list<array{category: int|null, definitions: non-empty-list<int>}>  $proposed
     */
    public function all(array $proposed): ?Change
    {
        return $this->ledger->record(Room::Definitions, function (Journal $journal) use ($proposed): string {
            foreach ($proposed as ['category' => $category, 'definitions' => $definitions]) {
                $this->write($journal, $category, $definitions, true);
            }

            return 'Said what '.count($proposed).(count($proposed) === 1 ? ' place expects' : ' places expect').
                ', as most products there have it';
        });
    }

    /** @param  list<int>  $definitions */
    private function write(Journal $journal, ?int $category, array $definitions, ?bool $expected): void
    {
        foreach ($definitions as $definition) {
            $row = Expectation::table()->where('category_id', $category)->where('definition_id', $definition)->first();
            match (true) {
                $row === null && $expected !== null => $journal->insert(Expectation::class, [
                    'category_id' => $category,
                    'definition_id' => $definition,
                    'expected' => (int) $expected,
                ]),
                $row !== null && $expected === null => $journal->delete(Expectation::class, $row->id),
                $row !== null => $journal->update(Expectation::class, $row->id, ['expected' => (int) $expected]),
                default => null,
            };
        }
    }
}
