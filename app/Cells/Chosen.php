<?php

declare(strict_types=1);

namespace App\Cells;

use App\Models\Item;
use App\Support\Refused;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;
use Lokum\Vocabulary\Level;

/** The products or variants that a change of cells is for: ticked ones, or all that a narrowing finds. */
final readonly class Chosen
{
    private const CHUNK = 500;

    /**
     * @param  list<int>|null  $ids
     * @param  Builder<Item>|null  $query
     */
    private function __construct(private ?array $ids, private ?Builder $query)
    {
    }

    /** @param  list<int>  $ids  products or variants */
    public static function items(array $ids): self
    {
        return new self($ids, null);
    }

    public static function all(Narrowing $narrowing): self
    {
        return new self(null, $narrowing->query());
    }

    /**
     * The same of products, where they are still as many as somebody has seen.
     *
     * @param  int|null  $counted  that were shown; null: ticked one by one, or too many to be counted
     *
     * @throws Refused when others are chosen now
     */
    public function targetProducts(?int $counted): void
    {
        $this->target(Level::Product);
        $now = DB::table('temp.targets')->count();
        if ($counted !== null && $now !== $counted) {
            throw Refused::countedOtherwise('products', $now, $counted);
        }
    }

    /**
     * Fills temp.targets with the items whose cells count: variants of the chosen products for variant-level data, products for
     * the rest.
     */
    public function target(Level $level): void
    {
        DB::statement('CREATE TEMP TABLE IF NOT EXISTS chosen (item_id INTEGER PRIMARY KEY)');
        DB::statement('CREATE TEMP TABLE IF NOT EXISTS targets (item_id INTEGER PRIMARY KEY)');
        DB::delete('DELETE FROM temp.chosen');
        DB::delete('DELETE FROM temp.targets');
        if ($this->query !== null) {
            $query = (clone $this->query)->select('items.id')->reorder();
            DB::insert('INSERT INTO temp.chosen '.$query->toSql(), $query->getBindings());
        }
        foreach (array_chunk($this->ids ?? [], self::CHUNK) as $chunk) {
            DB::insert('INSERT OR IGNORE INTO temp.chosen SELECT id FROM items WHERE id IN ('.implode(',', $chunk).')');
        }
        DB::insert(
            $level === Level::Product
                ? 'INSERT OR IGNORE INTO temp.targets SELECT COALESCE(i.parent_id, i.id) FROM temp.chosen c
                    JOIN items i ON i.id = c.item_id'
                : 'INSERT OR IGNORE INTO temp.targets SELECT i.id FROM temp.chosen c JOIN items i ON i.id = c.item_id
                    WHERE i.variant_count = 0
                UNION SELECT i.id FROM temp.chosen c JOIN items i ON i.parent_id = c.item_id',
        );
    }
}
