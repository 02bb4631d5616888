<?php

declare(strict_types=1);

namespace App\Products;

use App\Cells\Chosen;
use App\History\ItemMoves;
use App\History\Ledger;
use App\Models\Change;
use App\Models\Item;
use App\Models\Origin;
use App\Models\Room;
use App\Support\Refused;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/**
 * Takes products out of the shop by hand, or brings them back, with their variants. They keep all their values; feeds leave them as
 * somebody has put them.
 */
final readonly class TakeOut
{
    private const WITH_VARIANTS = 'SELECT i.id FROM items i JOIN temp.targets t ON t.item_id = COALESCE(i.parent_id, i.id)';

    public function __construct(private Ledger $ledger)
    {
    }

    /**
     * @param  bool  $out  whether they go out; else they come back
     * @param  int|null  $counted  products that were shown; null: ticked one by one, or too many to be counted
     *
     * @throws Refused when all of them are so already, or others are chosen now
     */
    public function __invoke(Chosen $chosen, bool $out, ?int $counted = null): Change
    {
        return DB::transaction(function () use ($chosen, $out, $counted): Change {
            $chosen->targetProducts($counted);
            $moved = self::WITH_VARIANTS.' WHERE i.out_since IS '.($out ? 'NULL' : 'NOT NULL');
            $products = $this->those($moved)->whereNull('parent_id')->count();
            if ($products === 0) {
                throw new Refused($out ? 'All of them are out of the shop already.' : 'None of them is out of the shop.');
            }
            $change = $this->ledger->note(
                Room::Products,
                ($out ? 'Took ' : 'Brought ').number_format($products).($products === 1 ? ' product' : ' products').
                    ($out ? ' out of the shop' : ' back into the shop'),
                ['products' => $products],
                hasWayBack: true,
            );
            (new ItemMoves())->noteBefore($change->id, $moved);
            $this->those(self::noted($change))->update([
                'out_since' => $out ? now()->toDateTimeString() : null,
                'out_by' => $out ? Origin::HAND : null,
                'version' => DB::raw('version + 1'),
            ]);

            return $change;
        });
    }

    private static function noted(Change $change): string
    {
        return "SELECT item_id FROM item_changes WHERE change_id = {$change->id}";
    }

    private function those(string $ids): Builder
    {
        return Item::table()->whereRaw("id IN ({$ids})");
    }
}
