<?php

declare(strict_types=1);

namespace App\Catalog;

use App\Support\LookedUp;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Lokum\Vocabulary\Level;
use PDO;

/**
 * The product that each item counts as, and the category that it stands in, read once for all definitions: to join items and products
 * anew for each of them takes several times as long.
 */
final readonly class ItemPlaces
{
    /** More than there are products: what a category is counted in, where both are one number. */
    public const CATEGORY = 4294967296;

    public function __construct(private LookedUp $lookedUp)
    {
    }

    /**
     * @param  bool  $inStock  only those that are in stock, or of whose stock nothing is known
     * @return array<int, int> category (0: none) and product in one number, by item of the level
     */
    public function of(Level $level, bool $inStock): array
    {
        return $this->lookedUp->of("places of {$level->value} ".(int) $inStock, function () use ($level, $inStock): array {
            $sql = 'SELECT i.id, COALESCE(p.category_id, 0) * '.self::CATEGORY.
                ' + p.id FROM items i JOIN items p ON p.id = '.
                ItemsOfLevel::PRODUCT.
                ' WHERE '.
                ItemsOfLevel::on($level).
                self::stock($level, $inStock);
            $found = DB::connection()->getPdo()->query($sql);

            return $found === false ? [] : $found->fetchAll(PDO::FETCH_KEY_PAIR);
        });
    }

    /**
     * Who carries what.
     *
     * @param  Builder  $cells  gives a key and an item, the latter of whatever level
     * @return array<int, list<int>> categories and products, as above, by key; a product as often as its items carry it
     */
    public function carrying(Level $level, Builder $cells, bool $inStock = false): array
    {
        $places = $this->of($level, $inStock);
        // In one go, since row by row takes three times as long.
        $found = DB::connection()->getPdo()->query($cells->toRawSql());
        $byKey = [];
        foreach ($found === false ? [] : $found->fetchAll(PDO::FETCH_GROUP | PDO::FETCH_COLUMN) as $key => $items) {
            $byKey[$key] = [];
            foreach ($items as $item) {
                if (isset($places[$item])) {
                    $byKey[$key][] = $places[$item];
                }
            }
        }

        return $byKey;
    }

    /** @return array<int, int> distinct products by key; none of 0 */
    public function products(Level $level, Builder $cells): array
    {
        $counts = array_map(fn (array $all): int => count(array_flip($all)), $this->carrying($level, $cells));

        return array_filter($counts);
    }

    /** Condition on what is in stock, or of whose stock nothing is known: the variant i itself, or one of the product p. */
    public static function stock(Level $level, bool $inStock): string
    {
        return ! $inStock ? '' : ($level === Level::Variant ? ' AND '.Stock::of('i') : ' AND '.Stock::ofProduct());
    }
}
