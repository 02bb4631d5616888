<?php

declare(strict_types=1);

namespace App\Vocabulary;

use App\Catalog\ProductCounts;
use App\Models\Definition;
use App\Models\Umbrella;
use App\Models\Value;
use Closure;
use Lokum\Color\BasicColor;
use Lokum\Lens\Measures;
use Lokum\Lineup\ProposedBands;
use Lokum\Text\Label;
use Lokum\Text\StrictKey;

/** Umbrellas for values that are in none yet, two or more of them that products carry: by color, by a word that they share, by measure. */
final readonly class ProposeUmbrellas
{
    public const WAYS = ['color' => 'By color', 'words' => 'By words', 'measure' => 'By measure'];

    /** Words that say nothing about what a value is. */
    private const EMPTY_WORDS = ['and', 'or', 'of', 'the', 'with', 'for', 'in', 'hue', 'no', 'nr', 'size', 'series', 'type'];

    public function __construct(private ProductCounts $counts)
    {
    }

    /** @return array<string, non-empty-list<Value>> by the umbrella's label; values with most products first */
    public function of(Definition $definition, string $way = 'color'): array
    {
        /** @var list<Value> $values */
        $values = array_values(
            $definition->values()->whereNull('umbrella_id')->where('held', false)->orderBy('id')->get()->all(),
        );
        $products = $this->counts->byValue($definition);
        $carried = array_values(array_filter($values, fn (Value $value): bool => isset($products[$value->id])));
        $groups = match ($way) {
            'words' => $this->byWords($definition, $carried),
            'measure' => $this->byMeasure($carried, $products),
            default => $this->grouped(
                $carried,
                fn (Value $value): ?string => count($value->look()->colors) === 1
                    ? BasicColor::of($value->look()->colors[0])
                    : null,
            ),
        };
        foreach ($groups as $label => $group) {
            usort($group, fn (Value $a, Value $b): int => $products[$b->id] <=> $products[$a->id]);
            $groups[$label] = $group;
        }
        if ($way !== 'measure') {
            ksort($groups);
        }

        return array_filter($groups, fn (array $group): bool => count($group) > 1);
    }

    /**
     * "Matte white", "White, titanium" and "White" share a word; each value goes where most of the others go.
     *
     * @param  list<Value>  $values
     * @return array<string, non-empty-list<Value>>
     */
    private function byWords(Definition $definition, array $values): array
    {
        $words = [];
        $shared = [];
        foreach ($values as $value) {
            $words[$value->id] = array_unique(
                array_filter(
                    preg_split('/[^\pL]+/u', StrictKey::of($value->label)) ?: [],
                    fn (string $word): bool => mb_strlen($word) > 2 && ! in_array($word, self::EMPTY_WORDS, true),
                ),
            );
            // What a name is about stands last, or first where a comma follows: "burnt sienna", "sienna, burnt".
            $head = self::head($value->label, $words[$value->id]);
            foreach ($words[$value->id] as $word) {
                $shared[$word] = ($shared[$word] ?? 0) + ($word === $head ? 100 : 1);
            }
        }
        $standing = [];
        foreach (Umbrella::query()->where('definition_id', $definition->id)->pluck('label') as $label) {
            $standing[StrictKey::of($label)] = $label;
        }

        return $this->grouped($values, function (Value $value) use ($words, $shared, $standing): ?string {
            $known = array_intersect($words[$value->id], array_map(strval(...), array_keys($standing)));
            $best =
                array_values($known)[0] ??
                array_reduce(
                    $words[$value->id],
                    fn (?string $best, string $word): string => $best === null || $shared[$word] >= $shared[$best] ? $word : $best,
                );

            return $best === null || ($shared[$best] < 101 && ! isset($standing[$best]))
                ? null
                : $standing[$best] ?? Label::of(mb_convert_case($best, MB_CASE_TITLE));
        });
    }

    /** @param  array<int, string>  $words */
    private static function head(string $label, array $words): ?string
    {
        $about = str_contains($label, ',') ? explode(',', $label)[0] : $label;
        $found = array_filter(
            $words,
            fn (string $word): bool => preg_match('/\b'.preg_quote($word, '/').'\b/u', StrictKey::of($about)) === 1,
        );

        return $found === [] ? null : end($found);
    }

    /**
     * Values that are measures of one kind, in bands of about equally many products.
     *
     * @param  list<Value>  $values
     * @param  array<int, int>  $products
     * @return array<string, non-empty-list<Value>>
     */
    private function byMeasure(array $values, array $products): array
    {
        $measures = Measures::among(array_column($values, 'label', 'id'));
        $numbers = $measures->numbers;
        if (count($numbers) < 4) {
            return [];
        }
        $carried = [];
        foreach ($numbers as $id => $number) {
            $carried[(string) $number] = ($carried[(string) $number] ?? 0) + ($products[$id] ?? 0);
        }
        $edges = ProposedBands::equalShares($carried, min(6, max(2, intdiv(count($numbers), 2))));

        return $this->grouped(
            array_values(array_filter($values, fn (Value $value): bool => isset($numbers[$value->id]))),
            fn (Value $value): string => self::band($numbers[$value->id], $edges, $measures->unit),
        );
    }

    /** @param  list<float>  $edges  rising */
    private static function band(float $number, array $edges, string $unit): string
    {
        $below = array_values(array_filter($edges, fn (float $edge): bool => $edge <= $number));
        $above = array_values(array_filter($edges, fn (float $edge): bool => $edge > $number));

        return match (true) {
            $above === [] => rtrim(end($below)." {$unit}").' and more',
            $below === [] => rtrim("Under {$above[0]} {$unit}"),
            default => rtrim(end($below)."–{$above[0]} {$unit}"),
        };
    }

    /**
     * @param  list<Value>  $values
     * @param  Closure(Value): (string|null)  $label
     * @return array<string, non-empty-list<Value>>
     */
    private function grouped(array $values, Closure $label): array
    {
        $groups = [];
        foreach ($values as $value) {
            $name = $label($value);
            if ($name !== null) {
                $groups[$name][] = $value;
            }
        }

        return $groups;
    }
}
