<?php

declare(strict_types=1);

namespace App\Catalog;

use App\History\Remembered;
use App\Models\Definition;
use App\Models\Spelling;
use App\Models\Value;

/** Distinct products that carry each value, and each spelling, of an attribute. */
final readonly class ProductCounts
{
    public function __construct(private Remembered $remembered, private ItemPlaces $places)
    {
    }

    /** @return array<int, int> by value id */
    public function byValue(Definition $definition): array
    {
        return $this->by($definition, 'value_id');
    }

    /** @return array<int, int> by value id, or what it was a few changes ago in a large catalog */
    public function lately(Definition $definition): array
    {
        return $this->remembered->lately("value_id:{$definition->id}", fn (): array => $this->byValue($definition));
    }

    /** @return array<int, int> by spelling id */
    public function bySpelling(Definition $definition): array
    {
        return $this->by($definition, 'id');
    }

    /** @return array<int, int> by umbrella id */
    public function byUmbrella(Definition $definition): array
    {
        return $this->remembered->about(
            [$definition->id],
            "umbrella_id:{$definition->id}",
            fn (): array => $this->places->products($definition->level, Value::table('v')
                ->join('spellings as s', 's.value_id', '=', 'v.id')
                ->join('assignments as a', 'a.spelling_id', '=', 's.id')
                ->where('v.definition_id', $definition->id)
                ->whereNotNull('v.umbrella_id')
                ->where('v.held', false)
                ->select(['v.umbrella_id', 'a.item_id'])),
        );
    }

    /** @return array<int, int> */
    private function by(Definition $definition, string $column): array
    {
        $work = fn (): array => $this->count($definition, $column);

        return $this->remembered->about([$definition->id], "{$column}:{$definition->id}", $work);
    }

    /** @return array<int, int> */
    private function count(Definition $definition, string $column): array
    {
        return $this->places->products($definition->level, Spelling::table('s')
            ->join('assignments as a', 'a.spelling_id', '=', 's.id')
            ->where('s.definition_id', $definition->id)
            ->whereNotNull("s.{$column}")
            ->select(["s.{$column}", 'a.item_id']));
    }
}
