<?php

declare(strict_types=1);

namespace App\Vocabulary;

use App\Catalog\Counted;
use App\Definitions\Definition;
use App\History\Remembered;
use Illuminate\Support\Facades\DB;

/** Distinct products that carry each value, and each spelling, of an attribute. */
final readonly class ProductCounts
{
    public function __construct(private Remembered $remembered)
    {
    }

    /** @return array<int, int> by value id */
    public function byValue(Definition $definition): array
    {
        return $this->by($definition, 'value_id');
    }

    /** @return array<int, int> by spelling id */
    public function bySpelling(Definition $definition): array
    {
        return $this->by($definition, 'id');
    }

    /** @return array<int, int> */
    private function by(Definition $definition, string $column): array
    {
        return $this->remembered->of("{$column}:{$definition->id}", fn (): array => DB::table('spellings as s')->join('assignments as a', 'a.spelling_id', '=', 's.id')->join('items as i', 'i.id', '=', 'a.item_id')
            ->where('s.definition_id', $definition->id)->whereNotNull('s.value_id')->whereRaw(Counted::on($definition->level))
            ->groupBy("s.{$column}")->selectRaw("s.{$column}, COUNT(DISTINCT ".Counted::PRODUCT.') AS n')->pluck('n', $column)->map(intval(...))->all());
    }
}
