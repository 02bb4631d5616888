<?php

declare(strict_types=1);

namespace App\Cells;

use App\History\CellMoves;
use App\History\Journal;
use App\History\Ledger;
use App\History\ManagersOnly;
use App\Models\Change;
use App\Models\Item;
use App\Models\Room;
use App\Support\Refused;

/** Changes the cells of one definition on some products by hand. What is set by hand stays when feeds are read and rules run. */
final readonly class ChangeCells
{
    public function __construct(private Ledger $ledger)
    {
    }

    /** What it would do, in figures. Nothing is written. */
    public function consequences(Chosen $chosen, CellChange $change): CellFigures
    {
        return (new PlanCells(new CellMoves(), $chosen, $change))();
    }

    /**
     * @param  array<int, int>  $versions  that the person started from, by item id; none given: not compared
     * @param  int|null  $counted  products or variants that the consequences were shown for; null: none were shown
     * @return Change|null null when all of them have it already
     *
     * @throws Refused
     */
    public function __invoke(Chosen $chosen, CellChange $change, array $versions = [], ?int $counted = null): ?Change
    {
        ManagersOnly::allow($change->definition->id);

        return $this->ledger->record(Room::Products, function (Journal $journal) use ($chosen, $change, $versions, $counted): string {
            foreach (
                Item::table()
                    ->whereIn('id', array_keys($versions))
                    ->get(['id', 'sku', 'version']) as $item
            ) {
                if ($item->version !== $versions[$item->id]) {
                    throw Refused::changedMeanwhile($item->sku);
                }
            }
            $figures = self::write($journal, $chosen, $change);
            if ($counted !== null && $figures->items !== $counted) {
                throw Refused::countedOtherwise('products or variants', $figures->items, $counted);
            }

            return $change->sentence(
                $figures->change === 1
                    ? 'on '.$figures->samples[0]['item']
                    : 'on '.number_format($figures->change).' products or variants',
            );
        });
    }

    /**
     * Several definitions on the same products, as one step.
     *
     * @param  non-empty-list<CellChange>  $changes
     * @param  int|null  $counted  products and variants that the consequences were shown for, of all changes together
     *
     * @throws Refused
     */
    public function several(Chosen $chosen, array $changes, ?int $counted = null): ?Change
    {
        foreach ($changes as $change) {
            ManagersOnly::allow($change->definition->id);
        }

        return $this->ledger->record(Room::Products, function (Journal $journal) use ($chosen, $changes, $counted): string {
            $figures = array_map(fn (CellChange $change): CellFigures => self::write($journal, $chosen, $change), $changes);
            $items = array_sum(array_map(fn (CellFigures $one): int => $one->items, $figures));
            if ($counted !== null && $items !== $counted) {
                throw Refused::countedOtherwise('products or variants', $items, $counted);
            }

            $said = array_map(
                fn (CellChange $change, CellFigures $one): ?string => $one->change === 0
                    ? null
                    : $change->sentence('on '.number_format($one->change)),
                $changes,
                $figures,
            );

            return implode('; ', array_filter($said));
        });
    }

    /** The same as a part of a greater change. */
    public static function write(Journal $journal, Chosen $chosen, CellChange $change): CellFigures
    {
        $plan = new PlanCells($journal->cells(), $chosen, $change);
        $figures = $plan();
        $plan->sheet->spellings->make($journal);
        $journal->take();
        $journal->put();

        return $figures;
    }
}
