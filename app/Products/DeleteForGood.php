<?php

declare(strict_types=1);

namespace App\Products;

use App\Cells\Chosen;
use App\History\Ledger;
use App\History\ManagersOnly;
use App\Models\Change;
use App\Models\Item;
use App\Models\Room;
use App\Support\Refused;
use Illuminate\Support\Facades\DB;
use Lokum\Vocabulary\Level;

/**
 * Deletes products that are out of the shop, with their variants and all that was ever noted of them. A managers' act without a way
 * back: what History knew of them goes, too, so that nothing can bring back half of one.
 */
final readonly class DeleteForGood
{
    /** What is to go, variants before their products. */
    private const GOING = 'SELECT i.id FROM items i JOIN temp.targets t ON t.item_id = COALESCE(i.parent_id, i.id)';

    public function __construct(private Ledger $ledger)
    {
    }

    /**
     * What it would do; nothing is written.
     *
     * @return array{products: int, variants: int, cells: int, sent: int, entries: int, inShop: int} products and variants that go,
     *         cells of theirs, products that a feed still sends and would bring back as new ones, entries of History that touched
     *         them, products chosen that are in the shop and therefore stay
     */
    public function consequences(Chosen $chosen): array
    {
        return DB::transaction(fn (): array => $this->figures($chosen));
    }

    /**
     * @param  int  $counted  products that were shown
     *
     * @throws Refused when none of them is out of the shop, others are out of it now, or whoever asks is no manager
     */
    public function __invoke(Chosen $chosen, int $counted): Change
    {
        if (! ManagersOnly::isAsked()) {
            throw new Refused('Only managers delete for good.');
        }

        return DB::transaction(function () use ($chosen, $counted): Change {
            $figures = $this->figures($chosen);
            if ($figures['products'] === 0) {
                throw new Refused('None of them is out of the shop. Take them out first.');
            }
            if ($figures['products'] !== $counted) {
                throw Refused::countedOtherwise('products', $figures['products'], $counted);
            }
            DB::statement('CREATE TEMP TABLE IF NOT EXISTS going_for_good (item_id INTEGER PRIMARY KEY, change_id INTEGER)');
            DB::delete('DELETE FROM temp.going_for_good');
            DB::insert('INSERT INTO temp.going_for_good (item_id) '.self::GOING);
            $those = 'IN (SELECT item_id FROM temp.going_for_good)';
            $touched = array_column(DB::select($this->entries($those)), 'change_id');
            foreach (['cell_changes', 'item_changes', 'assignments', 'sent'] as $table) {
                DB::delete("DELETE FROM {$table} WHERE item_id {$those}");
            }
            DB::delete("DELETE FROM change_rows WHERE table_name = 'items' AND CAST(row_key AS INTEGER) {$those}");
            DB::delete("DELETE FROM items WHERE parent_id IS NOT NULL AND id {$those}");
            DB::delete("DELETE FROM items WHERE id {$those}");
            foreach (array_chunk($touched, 500) as $ids) {
                Change::query()->whereKey($ids)->where('has_way_back', true)->whereRaw($this->isEmpty())->update(['has_way_back' => false]);
            }

            return $this->ledger->note(
                Room::Products,
                'Deleted '.number_format($figures['products']).($figures['products'] === 1 ? ' product' : ' products').' for good',
                $figures,
            );
        });
    }

    /** @return array{products: int, variants: int, cells: int, sent: int, entries: int, inShop: int} */
    private function figures(Chosen $chosen): array
    {
        $chosen->target(Level::Product);
        $inShop = DB::delete('DELETE FROM temp.targets WHERE item_id IN (SELECT id FROM items WHERE out_since IS NULL)');
        $count = fn (string $sql): int => (int) DB::scalar("SELECT COUNT(*) FROM ({$sql})");
        $those = 'IN ('.self::GOING.')';

        return [
            'products' => $count('SELECT item_id FROM temp.targets'),
            'variants' => Item::table()->whereNotNull('parent_id')->whereRaw("id {$those}")->count(),
            'cells' => $count("SELECT 1 FROM assignments WHERE item_id {$those}"),
            'sent' => $count(
                "SELECT DISTINCT COALESCE(i.parent_id, i.id) FROM sent s JOIN items i ON i.id = s.item_id WHERE i.id {$those}",
            ),
            'entries' => $count($this->entries($those)),
            'inShop' => $inShop,
        ];
    }

    private function entries(string $those): string
    {
        return "SELECT change_id FROM cell_changes WHERE item_id {$those} UNION SELECT change_id FROM item_changes WHERE item_id {$those}
            UNION SELECT change_id FROM change_rows WHERE table_name = 'items' AND CAST(row_key AS INTEGER) {$those}";
    }

    private function isEmpty(): string
    {
        return 'NOT EXISTS (SELECT 1 FROM cell_changes c WHERE c.change_id = changes.id) AND NOT EXISTS (SELECT 1 FROM item_changes c '.
            'WHERE c.change_id = changes.id) AND NOT EXISTS (SELECT 1 FROM change_rows c WHERE c.change_id = changes.id)';
    }
}
