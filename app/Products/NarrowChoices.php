<?php

declare(strict_types=1);

namespace App\Products;

use App\Catalog\ItemsOfLevel;
use App\Cells\Narrowing;
use App\Models\Definition;
use App\Models\Spelling;
use App\Support\Containing;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Lokum\Vocabulary\Kind;

/** By what of a definition the products that are left can be narrowed further: values with their counts, or numbers over their range. */
final readonly class NarrowChoices
{
    /** Values that are listed; more are found by words. */
    private const MOST = 60;

    private const BARS = 30;

    /**
     * @param  list<array{slug: string, label: string, products: int}>  $values  with most products first
     * @param  bool  $more  whether there are more values than are listed
     * @param  list<int>  $bars  products by equal parts of the range
     */
    private function __construct(
        public Definition $definition,
        public string $words,
        public array $values = [],
        public bool $more = false,
        public ?float $from = null,
        public ?float $to = null,
        public array $bars = [],
    ) {
    }

    public static function of(Definition $definition, Narrowing $narrowing, string $words): self
    {
        return match (true) {
            $definition->kind->isAttribute() => self::values($definition, $narrowing, $words),
            $definition->kind === Kind::Number => self::numbers($definition, $narrowing),
            default => new self($definition, $words),
        };
    }

    private static function values(Definition $definition, Narrowing $narrowing, string $words): self
    {
        $rows = self::carried($definition, $narrowing)
            ->join('attribute_values as v', 'v.id', '=', 's.value_id')
            ->when($words !== '', fn ($query) => Containing::text($query, ['v.label LIKE ?'], $words))
            ->groupBy('v.id', 'v.slug', 'v.label')
            ->orderByDesc('n')
            ->orderBy('v.label')
            ->limit(self::MOST + 1)
            ->get(['v.slug', 'v.label', DB::raw('COUNT(DISTINCT '.ItemsOfLevel::PRODUCT.') AS n')]);
        $values = $rows->take(self::MOST)->map(fn (object $row): array => [
            'slug' => (string) $row->slug,
            'label' => (string) $row->label,
            'products' => (int) $row->n,
        ]);

        return new self($definition, $words, array_values($values->all()), $rows->count() > self::MOST);
    }

    private static function numbers(Definition $definition, Narrowing $narrowing): self
    {
        /** @var Collection<int, \stdClass> $rows */
        $rows = self::carried($definition, $narrowing)
            ->whereNotNull('s.number')
            ->groupBy('s.number')
            ->get(['s.number', DB::raw('COUNT(DISTINCT '.ItemsOfLevel::PRODUCT.') AS n')]);
        if ($rows->isEmpty()) {
            return new self($definition, '');
        }
        [$from, $to] = [(float) $rows->min('number'), (float) $rows->max('number')];
        $bars = array_fill(0, self::BARS, 0);
        foreach ($rows as $row) {
            $place = $to > $from ? ($row->number - $from) / ($to - $from) : 0.0;
            $bars[min(self::BARS - 1, (int) floor($place * self::BARS))] += (int) $row->n;
        }

        return new self($definition, '', from: $from, to: $to, bars: array_values($bars));
    }

    private static function carried(Definition $definition, Narrowing $narrowing): \Illuminate\Database\Query\Builder
    {
        $query = Spelling::table('s')
            ->join('assignments as a', 'a.spelling_id', '=', 's.id')
            ->join('items as i', 'i.id', '=', 'a.item_id')
            ->where('s.definition_id', $definition->id)
            ->whereRaw(ItemsOfLevel::on($definition->level));
        if (! $narrowing->isOpen()) {
            $found = $narrowing->query()->select('items.id')->toBase();
            $query->whereRaw(ItemsOfLevel::PRODUCT." IN ({$found->toSql()})", $found->getBindings());
        }

        return $query;
    }

    /** @return list<Definition> that products can be narrowed by, by label */
    public static function definitions(): array
    {
        return array_values(Definition::query()->live()->orderBy('label')->get()->all());
    }
}
