<?php

declare(strict_types=1);

namespace Bench;

use App\Feeds\ReadFeed;
use App\Lineups\EditLineup;
use App\Models\Definition;
use App\Models\Edition;
use App\Publishing\Publish;
use Illuminate\Support\Facades\DB;

/** A catalog with a line-up, published; and what every figure about it is held against: one plain SQL count of each attribute. */
final readonly class Shop
{
    public function __construct(private ReadFeed $read, private EditLineup $edit, private Publish $publish)
    {
    }

    /**
     * @param  bool  $hasVariants  about three for each product, or none
     * @param  callable(string): void  $say
     */
    public function open(int $products, bool $hasVariants, callable $say): Edition
    {
        $say('reading '.number_format($products).' products');
        $catalog = new Catalog($products);
        Catalog::readIn($this->read, $hasVariants ? $catalog->variantRows() : $catalog->flatRows());
        Definition::query()->update(['state' => 'accepted']);
        $this->edit->several([...array_keys(Catalog::ATTRIBUTES), 'price', 'stock']);

        return $this->publish($say);
    }

    /** @param  callable(string): void  $say */
    public function publish(callable $say): Edition
    {
        $say('publishing');
        memory_reset_peak_usage();

        return ($this->publish)(fn () => null);
    }

    /**
     * @param  callable(string): void  $say
     * @return float seconds that one GROUP BY an attribute takes
     */
    public function oneCount(callable $say): float
    {
        $say('baseline: one GROUP BY an attribute');
        $start = hrtime(true);
        foreach (Definition::query()->pluck('id') as $definition) {
            DB::select(
                'SELECT s.value_id, COUNT(DISTINCT COALESCE(i.parent_id, i.id)) FROM spellings s
                    JOIN assignments a ON a.spelling_id = s.id JOIN items i ON i.id = a.item_id WHERE s.definition_id = ?
                    GROUP BY s.value_id',
                [$definition],
            );
        }

        return (hrtime(true) - $start) / 1e9;
    }
}
