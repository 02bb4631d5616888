<?php

declare(strict_types=1);

namespace App\Values;

use App\Catalog\ProductCounts;
use App\Models\Definition;
use App\Models\Spelling;
use App\Models\Value;
use Lokum\LookAlike\Names;
use Lokum\Text\StrictKey;
use Lokum\Vocabulary\Kind;

/**
 * Values that fit what is being typed, most products first; before them those that only look like it, or are it in another language
 * or by a standard. Of a text field the texts that were written before.
 *
 * @phpstan-type Offer array{label: string, colors: list<string>, products: int, near: bool, same: bool}
 */
final readonly class SuggestValues
{
    /** Labels that a field offers by itself. */
    private const OFFERED = 1000;

    private const MOST = 12;

    private const NEAR = 3;

    /** Texts of a field that are looked through, the newest. */
    private const TEXTS = 5000;

    /** Longer keys are not compared letter by letter. */
    private const LONGEST = 60;

    public function __construct(private ProductCounts $counts)
    {
    }

    /** @return list<Offer> */
    public function __invoke(Definition $definition, string $typed): array
    {
        if ($definition->kind === Kind::Text) {
            return $this->texts($definition, $typed);
        }
        $products = $this->counts->lately($definition);
        $values = $definition->values()->where('retired', false)->get(['id', 'label', 'look']);
        [$near, $fit] = $this->ranked(
            $typed,
            $values->map(
                fn (Value $value): array => [
                    'label' => $value->label,
                    'colors' => $value->look()->colors,
                    'products' => $products[$value->id] ?? 0,
                ],
            )->all(),
        );
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

        return self::best($near, $fit);
    }

    /**
     * Texts that were written before: they are proposed, and taken only by who chooses them.
     *
     * @return list<Offer>
     */
    private function texts(Definition $definition, string $typed): array
    {
        $products = $this->counts->bySpelling($definition);
        $texts = Spelling::table()
            ->where('definition_id', $definition->id)
            ->orderByDesc('id')
            ->limit(self::TEXTS)
            ->get(['id', 'text'])
            ->map(
                fn (\stdClass $one): array => [
                    'label' => trim($one->text),
                    'colors' => [],
                    'products' => $products[$one->id] ?? 0,
                ],
            )
            ->filter(fn (array $one): bool => $one['products'] > 0 && mb_strlen($one['label']) <= self::LONGEST);
        $best = self::best(...$this->ranked($typed, $texts->values()->all()));

        return array_map(fn (array $one): array => ['same' => $one['label'] === $typed] + $one, $best);
    }

    /**
     * @param  array<int, array{label: string, colors: list<string>, products: int}>  $rows
     * @return array{0: list<array{0: list<mixed>, 1: Offer}>,
     *         1: list<array{0: list<mixed>, 1: Offer}>} those
     *         that look like it and those that hold it, each with what it is ranked by
     */
    private function ranked(string $typed, array $rows): array
    {
        $key = StrictKey::of($typed);
        $meant = Names::shipped()->otherwise($key);
        $fit = $near = [];
        foreach ($rows as $row) {
            $own = StrictKey::of($row['label']);
            $row += ['near' => false, 'same' => $own === $key];
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

        return [$near, $fit];
    }

    /**
     * @param  list<array{0: list<mixed>, 1: Offer}>  $near
     * @param  list<array{0: list<mixed>, 1: Offer}>  $fit
     * @return list<Offer>
     */
    private static function best(array $near, array $fit): array
    {
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
