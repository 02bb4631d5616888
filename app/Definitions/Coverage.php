<?php

declare(strict_types=1);

namespace App\Definitions;

use App\Catalog\Counted;
use App\History\Remembered;
use Illuminate\Support\Facades\DB;

/** How many products carry each definition. Worked out once for each state of the catalog. */
final readonly class Coverage
{
    public function __construct(private Remembered $remembered)
    {
    }

    /** @return array<int, int> distinct products by definition id */
    public function products(): array
    {
        return $this->remembered->of('coverage', function (): array {
            $counts = [];
            foreach (Definition::query()->get(['id', 'level']) as $definition) {
                $counts[$definition->id] = (int) DB::table('assignments as a')->join('spellings as s', 's.id', '=', 'a.spelling_id')->join('items as i', 'i.id', '=', 'a.item_id')
                    ->where('s.definition_id', $definition->id)->whereRaw(Counted::on($definition->level))->selectRaw('COUNT(DISTINCT '.Counted::PRODUCT.') AS n')->value('n');
            }

            return $counts;
        });
    }

    /** All products of the catalog. */
    public function total(): int
    {
        return $this->remembered->of('products', fn (): int => DB::table('items')->whereNull('parent_id')->count());
    }
}
