<?php

declare(strict_types=1);

namespace App\Vocabulary;

use App\Definitions\Definition;
use Lokum\Color\BasicColor;

/** Umbrellas by basic color: values of one color that are in none yet, two or more of them that products carry. */
final readonly class ProposeUmbrellas
{
    public function __construct(private ProductCounts $counts)
    {
    }

    /** @return array<string, non-empty-list<Value>> by the umbrella's label; values with most products first */
    public function of(Definition $definition): array
    {
        $products = $this->counts->byValue($definition);
        /** @var array<string, non-empty-list<Value>> $groups */
        $groups = [];
        /** @var Value $value */
        foreach ($definition->values()->whereNull('umbrella_id')->where('held', false)->orderBy('id')->get() as $value) {
            $colors = $value->look()->colors;
            if (count($colors) === 1 && isset($products[$value->id])) {
                $groups[BasicColor::of($colors[0])][] = $value;
            }
        }
        foreach ($groups as $label => $values) {
            usort($values, fn (Value $a, Value $b): int => $products[$b->id] <=> $products[$a->id]);
            $groups[$label] = $values;
        }
        ksort($groups);

        return array_filter($groups, fn (array $values): bool => count($values) > 1);
    }
}
