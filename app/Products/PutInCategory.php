<?php

declare(strict_types=1);

namespace App\Products;

use App\Catalog\AlsoOn;
use App\Cells\Chosen;
use App\History\ItemMoves;
use App\History\Ledger;
use App\Models\Category;
use App\Models\Change;
use App\Models\Item;
use App\Models\Room;
use App\Support\Refused;
use Illuminate\Support\Facades\DB;

/**
 * Puts products into a further category, or takes them out of it. What is said by hand stays when feeds are read later; the category
 * that a product belongs to is its feed's to say.
 */
final readonly class PutInCategory
{
    public function __construct(private Ledger $ledger)
    {
    }

    /**
     * @param  bool  $in  whether they come in; else they go out of it
     * @param  int|null  $counted  products that were shown; null: ticked one by one, or too many to be counted
     *
     * @throws Refused when all of them are so already, or others are chosen now
     */
    public function __invoke(Chosen $chosen, Category $category, bool $in, ?int $counted = null): Change
    {
        return DB::transaction(function () use ($chosen, $category, $in, $counted): Change {
            $chosen->targetProducts($counted);
            $stands = 'EXISTS (SELECT 1 FROM json_each('.AlsoOn::SAID.") j WHERE j.value = {$category->id})";
            $moved = 'SELECT i.id FROM items i JOIN temp.targets t ON t.item_id = i.id WHERE '.
                ($in ? "i.category_id IS NOT {$category->id} AND NOT {$stands}" : $stands);
            $products = Item::table()->whereRaw("id IN ({$moved})")->count();
            if ($products === 0) {
                throw new Refused($in ? "All of them stand in {$category->name} already." : "None of them was put into {$category->name}.");
            }
            $change = $this->ledger->note(
                Room::Products,
                ($in ? 'Put ' : 'Took ').number_format($products).($products === 1 ? ' product' : ' products').
                    ($in ? ' into ' : ' out of ').$category->path.($in ? ', too' : ''),
                ['products' => $products],
                hasWayBack: true,
            );
            (new ItemMoves())->noteBefore($change->id, $moved);
            $said = $in
                ? 'SELECT j.value FROM json_each('.AlsoOn::SAID.") j UNION SELECT {$category->id}"
                : 'SELECT j.value FROM json_each('.AlsoOn::SAID.") j WHERE j.value <> {$category->id}";
            DB::update(
                "UPDATE items AS i SET version = version + 1, also_by_hand = (SELECT json_group_array(value) FROM ({$said}))
                    WHERE id IN (SELECT item_id FROM item_changes WHERE change_id = {$change->id})",
            );

            return $change;
        });
    }

    /** @return list<Category> the categories that a product stands in beside its own */
    public static function of(Item $item): array
    {
        return array_values(
            Category::query()
                ->whereRaw('id IN (SELECT j.value FROM items i, json_each('.AlsoOn::SAID.') j WHERE i.id = ?)', [$item->id])
                ->orderBy('path')
                ->get()
                ->all(),
        );
    }
}
