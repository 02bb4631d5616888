<?php

declare(strict_types=1);

namespace App\Values;

use App\Catalog\ProductCounts;
use App\Models\Definition;
use Lokum\LookAlike\Names;
use Lokum\Text\StrictKey;

/**
 * Values that fit what is being typed, most products first; before them those that only look like it, or are it in another language
 * or by a standard.
 */
final readonly class SuggestValues
{
    /** Labels that a field offers by itself. */
    private const OFFERED = 1000;

    private const MOST = 12;

    private const NEAR = 3;

    /** Longer keys are not compared letter by letter. */
    private const LONGEST = 60;

    public function __construct(private ProductCounts $counts)
    {
    }

    /** @return list<array{label: string, colors: list<string>, products: int, near: bool, same: bool}> */
    public function __invoke(Definition $definition, string $typed): array
    {
        $key = StrictKey::of($typed);
        $products = $this->counts->lately($definition);
        $meant = Names::shipped()->otherwise($key);
        // Each with what it is ranked by.
        $fit = [];
        $near = [];
        foreach (
            $definition
                ->values()
                ->where('retired', false)
                ->get(['id', 'label', 'look']) as $value
        ) {
            $own = StrictKey::of($value->label);
            $row = [
                'label' => $value->label,
                'colors' => $value->look()->colors,
                'products' => $products[$value->id] ?? 0,
                'near' => false,
                'same' => $own === $key,
            ];
            if ($key === '' || str_contains($own, $key)) {
                $fit[] = [[$own !== $key, ! str_starts_with($own, $key), -$row['products']], $row];
            } elseif (in_array($own, $meant, true)) {
                $near[] = [[0], ['near' => true] + $row];
            } elseif (
                strlen($key) >= 4 &&
                strlen($own) <= self::LONGEST &&
                strlen($key) <= self::LONGEST &&
                ($distance = levenshtein($own, $key)) <= max(1, intdiv(strlen($key), 4))
            ) {
                $near[] = [[$distance], ['near' => true] + $row];
            }
        }
        $known = FindValue::known($definition, $typed);
        if ($typed !== '' && $known !== null && ! in_array($known->label, array_column(array_column($fit, 1), 'label'), true)) {
            $row = [
                'label' => $known->label,
                'colors' => $known->look()->colors,
                'products' => $products[$known->id] ?? 0,
                'near' => false,
                'same' => true,
            ];
            $fit[] = [[false, false, 0], $row];
        }
        usort($fit, fn (array $a, array $b): int => $a[0] <=> $b[0]);
        usort($near, fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return array_column([...array_slice($near, 0, self::NEAR), ...array_slice($fit, 0, self::MOST)], 1);
    }

    /**
     * @param  iterable<Definition>  $definitions
     * @return array<int, list<string>> the first labels of each attribute among them, by its id
     */
    public static function labels(iterable $definitions): array
    {
        $labels = [];
        foreach ($definitions as $definition) {
            if ($definition->kind->isAttribute()) {
                $some = $definition->values()->orderBy('label')->limit(self::OFFERED)->pluck('label');
                $labels[$definition->id] = array_values($some->all());
            }
        }

        return $labels;
    }
}
