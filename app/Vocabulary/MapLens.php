<?php

declare(strict_types=1);

namespace App\Vocabulary;

use App\Catalog\ProductCounts;
use App\Models\Definition;
use App\Models\Spelling;
use App\Support\Format;
use Lokum\Lens\ColorPlane;
use Lokum\Lens\Measures;
use Lokum\Lens\NumberLine;
use Lokum\Vocabulary\SizeLadder;

/** The shape that an attribute's values have, where they have one: colors on a plane, sizes on a ladder, measures on an axis. */
final class MapLens
{
    public const WIDTH = 840;

    public const HEIGHT = 480;

    public const DOT = 26;

    public string $shape = 'none';

    public ?ColorPlane $plane = null;

    /** @var array<int, list<array{0: float, 1: float}>> by umbrella */
    public array $outlines = [];

    /** @var array<array{name: string, rungs: array<string, list<ValueRow>>}> by ladder, in their order */
    public array $ladders = [];

    public ?NumberLine $line = null;

    public string $unit = '';

    /**
     * @var list<array{number: float, label: string, members: list<array{label: string, value: int|null, products: int}>,
     *         products: int, outlier: bool}> in their order
     */
    public array $points = [];

    /** @var list<ValueRow> that have no place on it */
    public array $beside = [];

    private function __construct()
    {
    }

    /** @param  list<ValueRow>  $rows */
    public static function ofValues(Definition $definition, array $rows): self
    {
        $map = new self();
        $colored = array_filter($rows, fn (ValueRow $row): bool => $row->value->look()->colors !== []);
        $onLadder = array_filter($rows, fn (ValueRow $row): bool => SizeLadder::rung($row->label) !== null);
        $measured = Measures::among(array_map(fn (ValueRow $row): string => $row->label, $rows));
        match (true) {
            $rows === [] => null,
            2 * count($colored) >= count($rows) => $map->colors($rows),
            SizeLadder::isAbout($definition->label) && 2 * count($onLadder) >= count($rows) => $map->sizes($rows),
            5 * count($measured->numbers) >= 3 * count($rows) => $map->measures($rows, $measured),
            default => null,
        };

        return $map;
    }

    /** The numbers of a field, each with the texts that it came in as. */
    public static function ofNumbers(Definition $definition, ProductCounts $counts): self
    {
        $map = new self();
        $map->shape = 'numbers';
        $map->unit = (string) $definition->unit;
        $products = $counts->bySpelling($definition);
        $groups = [];
        foreach (
            Spelling::table()
                ->where('definition_id', $definition->id)
                ->whereNotNull('number')
                ->get(['id', 'text', 'number']) as $spelling
        ) {
            $groups[sprintf('%.9G', $spelling->number)][] = [
                'label' => $spelling->text,
                'value' => null,
                'products' => $products[$spelling->id] ?? 0,
            ];
        }
        $map->onAxis($groups);

        return $map;
    }

    /** @param  list<ValueRow>  $rows */
    private function colors(array $rows): void
    {
        $this->shape = 'colors';
        usort($rows, fn (ValueRow $a, ValueRow $b): int => $b->products <=> $a->products);
        $colors = [];
        $under = [];
        foreach ($rows as $row) {
            $own = $row->value->look()->colors;
            if ($own === []) {
                $this->beside[] = $row;

                continue;
            }
            $colors[$row->id] = $own[0];
            if ($row->umbrella !== null) {
                $under[$row->umbrella][] = $row->id;
            }
        }
        $this->plane = new ColorPlane($colors, self::WIDTH, self::HEIGHT, self::DOT);
        $this->outlines = array_map(fn (array $values): array => $this->plane->outline($values), $under);
    }

    /** @param  list<ValueRow>  $rows */
    private function sizes(array $rows): void
    {
        $this->shape = 'sizes';
        foreach ($rows as $row) {
            $rung = SizeLadder::rung($row->label);
            if ($rung === null) {
                $this->beside[] = $row;
            } else {
                $this->ladders[$rung->ladder] ??= ['name' => $rung->name, 'rungs' => []];
                $this->ladders[$rung->ladder]['rungs'][sprintf('%+020.6f', $rung->height)][] = $row;
            }
        }
        ksort($this->ladders, SORT_STRING);
        foreach ($this->ladders as &$ladder) {
            uksort($ladder['rungs'], fn (string $a, string $b): int => (float) $a <=> (float) $b);
        }
    }

    /** @param  list<ValueRow>  $rows */
    private function measures(array $rows, Measures $measured): void
    {
        $this->shape = 'numbers';
        $this->unit = $measured->unit;
        $groups = [];
        foreach ($rows as $i => $row) {
            $number = $measured->numbers[$i] ?? null;
            if ($number === null) {
                $this->beside[] = $row;
            } else {
                $groups[sprintf('%.9G', $number)][] = [
                    'label' => $row->label,
                    'value' => $row->id,
                    'products' => $row->products,
                ];
            }
        }
        $this->onAxis($groups);
    }

    /** @param  array<int|string, non-empty-list<array{label: string, value: int|null, products: int}>>  $groups  by number */
    private function onAxis(array $groups): void
    {
        uksort($groups, fn (int|string $a, int|string $b): int => (float) $a <=> (float) $b);
        $numbers = array_map(floatval(...), array_keys($groups));
        $products = array_map(fn (array $of): int => array_sum(array_column($of, 'products')), array_values($groups));
        $this->line = $numbers === [] ? null : new NumberLine($numbers, $products);
        foreach (array_values($groups) as $i => $of) {
            $this->points[] = [
                'number' => $numbers[$i],
                'label' => trim(Format::number($numbers[$i]).' '.$this->unit),
                'members' => $of,
                'products' => $products[$i],
                'outlier' => $this->line?->isOutlier($numbers[$i]) ?? false,
            ];
        }
    }

    /**
     * Where the points stand: those that would cover each other are stacked.
     *
     * @return list<array{x: float, y: float, r: float}> by point; y counts up from the axis
     */
    public function places(): array
    {
        $most = max([1, ...array_column($this->points, 'products')]);
        $stacks = [];
        $places = [];
        foreach ($this->points as $point) {
            $r = 5 + 17 * sqrt($point['products'] / $most);
            $x = 30 + ($this->line?->place($point['number']) ?? 0.5) * (self::WIDTH - 60);
            $column = (int) round($x / 24);
            $y = max($stacks[$column - 1] ?? 0.0, $stacks[$column] ?? 0.0, $stacks[$column + 1] ?? 0.0) + $r;
            $stacks[$column] = $y + $r + 2;
            $places[] = ['x' => $x, 'y' => $y, 'r' => $r];
        }

        return $places;
    }
}
