<?php

declare(strict_types=1);

namespace App\Draft;

use App\Catalog\AlsoOn;
use App\Catalog\FieldNumbers;
use App\Catalog\ItemsOfLevel;
use App\Catalog\ProductCounts;
use App\Catalog\Stock;
use App\Catalog\TermNumbers;
use App\Data\Rows;
use App\History\Remembered;
use App\Models\Definition;
use App\Models\Item;
use App\Models\Spelling;
use App\Support\LookedUp;
use Lokum\Lineup\ProductField;
use Lokum\Lineup\ProposedBands;
use Lokum\Vocabulary\Kind;
use Lokum\Vocabulary\Level;

/** What the products of a page say about a filter, counted from the draft. Kept until products, values or definitions change. */
final class PageFacts
{
    private ?DraftLineups $compositions = null;

    /** @var array<string, DraftScope> by page */
    private array $scopes = [];

    public function __construct(
        private readonly Remembered $remembered,
        private readonly ProductCounts $counts,
        private readonly PageCounts $pageCounts,
    ) {
    }

    /** Products of a page. */
    public function products(string $page): int
    {
        return $this->remembered->about(
            $this->about($page, ProductField::Category->value),
            "page-products:{$this->name($page)}",
            fn (): int => (int) Item::table('p')
                ->whereNull('p.parent_id')
                ->whereRaw($this->scope($page)->product())
                ->count(),
        );
    }

    /** @param  string  $page  a category's id, or "shop", "search", "brands" */
    public function of(string $page, string $key): FilterFacts
    {
        $about = $this->about($page, $key);

        $work = fn (): FilterFacts => $this->count($page, $key);

        return $this->remembered->about($about, "facts:{$this->name($page)}:{$key}", $work, About::besides($key));
    }

    /** @return list<int|string> what a page's facts about filters are about, beside products and their categories */
    private function about(string $page, string ...$keys): array
    {
        // Of all brands, the one with most products.
        $about = $page === Placement::BRANDS ? self::withPages() : [];
        foreach ($keys as $key) {
            array_push($about, ...About::filter($key, $this->hidesSoldOut($page)));
        }

        return $about;
    }

    /** @return list<int> definitions whose values have pages */
    private static function withPages(): array
    {
        $find = fn (): array => array_values(Definition::query()->where('has_pages', true)->pluck('id')->all());

        return app(LookedUp::class)->of('definitions with pages', $find);
    }

    /** @return array<int, int> products of a page by value, of those that are below an umbrella */
    public function nested(string $page, Definition $definition): array
    {
        return $this->remembered->about(
            $this->about($page, $definition->slug),
            "nested:{$this->name($page)}:{$definition->slug}",
            fn (): array => $this->several(
                $this->ofDefinition($page, $definition, 'v.id', 'v.held = 0 AND v.umbrella_id IS NOT NULL'),
            )[1],
        );
    }

    /** @return array<string, float> how much filters of a page say of each other, so far */
    public function overlaps(string $page): array
    {
        /** @var array<string, list<int|string>> $about */
        $about = [];
        /** @var array<string, float> $overlaps */
        $overlaps = $this->remembered->added(
            "overlaps:{$this->name($page)}",
            function (string $pair) use ($page, &$about): array {
                [$one, $other] = explode('|', $pair);

                return [...$about[$one] ??= $this->about($page, $one), ...$about[$other] ??= $this->about($page, $other)];
            },
        );

        return $overlaps;
    }

    /** @param  array<string, float>  $overlaps */
    public function keepOverlaps(string $page, array $overlaps): void
    {
        $this->remembered->add("overlaps:{$this->name($page)}", $overlaps);
    }

    public function scope(string $page): DraftScope
    {
        return $this->scopes[$page] ??= DraftScope::of(
            $page,
            $this->compositions()->tree,
            $this->counts,
            $this->hidesSoldOut($page),
            $this->remembered->ofProducts('some-are-out', fn (): bool => Item::table()->whereNotNull('out_since')->exists()),
        );
    }

    private function hidesSoldOut(string $page): bool
    {
        return ($this->compositions()->of($page)->settings['sold_out'] ?? null) === 'hidden';
    }

    /** What is kept is kept for each way to list a page. */
    private function name(string $page): string
    {
        return $page.
            ($this->hidesSoldOut($page) ? ' in stock' : '').
            ($page === Placement::BRANDS ? ' of '.$this->scope($page)->term : '');
    }

    private function compositions(): DraftLineups
    {
        return $this->compositions ??= DraftLineups::load();
    }

    private function count(string $page, string $key): FilterFacts
    {
        $definition = Definition::liveBySlug($key);
        $field = ProductField::tryFrom($key);
        $kind = $definition->kind ?? $field?->kind();
        if ($kind === null) {
            return new FilterFacts($this->products($page), 0, [], []);
        }
        if ($kind === Kind::Number || $kind === Kind::Date) {
            return $this->numbers(
                $page,
                $definition === null
                    ? $this->fieldNumbers($page, $field)
                    : $this->ofDefinition($page, $definition, 's.number', 's.number IS NOT NULL'),
            );
        }
        if ($page !== Placement::BRANDS && ($definition !== null || $field === ProductField::Stock)) {
            ['counts' => $counts, 'carrying' => $carrying] = $this->pageCounts->terms($definition, $this->hidesSoldOut($page));
            $place = ctype_digit($page) ? (int) $page : 0;
            $terms = $kind === Kind::Text ? [] : $counts[$place] ?? [];

            return new FilterFacts($this->products($page), $carrying[$place] ?? 0, $terms, []);
        }
        [$first, $counts] = $this->several(match (true) {
            $kind === Kind::Text => $definition === null ? 'SELECT 0, 0 WHERE 0' : $this->ofDefinition($page, $definition, '1', '1'),
            $definition !== null => $this->ofDefinition($page, $definition, TermNumbers::SQL, 'v.held = 0'),
            $field === ProductField::Stock => $this->stock($page, 'p.id'),
            default => $this->categories($page),
        });

        return new FilterFacts($this->products($page), count($first), $kind === Kind::Text ? [] : $counts, []);
    }

    /** @return array{0: array<int, int>, 1: array<int, int>} first answer by product, products by answer */
    private function several(string $sql): array
    {
        $counts = $first = $seen = [];
        foreach (Rows::of($sql) as [$product, $term]) {
            if (! isset($first[$product])) {
                $first[$product] = (int) $term;
            } elseif ($first[$product] === $term || isset($seen[$product][$term])) {
                continue;
            } else {
                // The first answer of all is not in the list of the others.
                $seen[$product][$first[$product]] = $seen[$product][$term] = true;
                $first[$product] = min($first[$product], (int) $term);
            }
            $counts[$term] = ($counts[$term] ?? 0) + 1;
        }

        return [$first, $counts];
    }

    private function numbers(string $page, string $sql): FilterFacts
    {
        $places = $products = [];
        foreach (Rows::of($sql) as [$product, $number]) {
            $products[$places[pack('d', $number)] ??= count($places)][] = $product;
        }
        $rising = array_map(fn (string $packed): float => (float) (unpack('d', $packed) ?: [])[1], array_flip($places));
        asort($rising);
        $numbers = $all = [];
        $carriers = '';
        foreach ($rising as $place => $number) {
            $distinct = array_flip($products[$place]);
            $numbers[var_export($number, true)] = count($distinct);
            $all += $distinct;
            $carriers .= pack('V*', ...array_keys($distinct));
        }

        return new FilterFacts($this->products($page), count($all), [], $numbers, count($all) < array_sum($numbers) ? $carriers : '');
    }

    /** What each product or variant of a page answers; of several answers the smallest. */
    public function answers(string $page, string $key): ItemAnswers
    {
        $about = $this->about($page, $key);

        return $this->remembered->about($about, "answers:{$this->name($page)}:{$key}", function () use ($page, $key): ItemAnswers {
            $definition = Definition::liveBySlug($key);
            $field = ProductField::tryFrom($key);
            $kind = $definition->kind ?? $field?->kind() ?? Kind::Text;
            $level = $definition->level ?? $field?->level() ?? Level::Variant;
            $isNumber = $kind === Kind::Number || $kind === Kind::Date;
            $sql = match (true) {
                $kind === Kind::Text => 'SELECT 0, 0 WHERE 0',
                $definition !== null => $this->ofDefinition(
                    $page,
                    $definition,
                    $isNumber ? 's.number' : TermNumbers::SQL,
                    $isNumber ? 's.number IS NOT NULL' : 'v.held = 0',
                    byItem: true,
                ),
                $field === ProductField::Category => $this->categories($page),
                $field === ProductField::Stock => $this->stock($page, 'i.id'),
                default => $this->fieldNumbers($page, $field, byItem: true),
            };
            $edges = $isNumber ? ProposedBands::equalShares($this->of($page, $key)->numbers, PageSample::SHARES) : [];
            $answers = [];
            foreach (Rows::of($sql) as [$item, $answer]) {
                $place = $isNumber ? PageSample::place($edges, (float) $answer) : (int) $answer + 2;
                $answers[$item] = min($answers[$item] ?? $place, $place);
            }

            return new ItemAnswers($level, $answers);
        });
    }

    private function stock(string $page, string $of): string
    {
        $scope = $this->scope($page);

        return "SELECT {$of}, ".
            Stock::TERM.
            ' FROM items i JOIN items p ON p.id = '.
            ItemsOfLevel::PRODUCT.
            " WHERE i.variant_count = 0 AND i.stock IS NOT NULL AND {$scope->products} AND {$scope->variant()}";
    }

    private function fieldNumbers(string $page, ?ProductField $field, bool $byItem = false): string
    {
        $numbers = $field === null ? null : FieldNumbers::sql($field);
        if ($field === null || $numbers === null) {
            return 'SELECT 0, 0 WHERE 0';
        }
        $scope = $this->scope($page);
        $within = $field->level() === Level::Product ? $scope->product() : "{$scope->products} AND {$scope->variant()}";

        return 'SELECT '.
            ($byItem ? 'i.id' : 'p.id').
            ", n.number FROM ({$numbers}) n JOIN items i ON i.id = n.id JOIN items p ON p.id = ".
            ItemsOfLevel::PRODUCT.
            " WHERE {$within}";
    }

    /** Products (id) and what they carry; tables that say nothing here are left out. */
    private function ofDefinition(string $page, Definition $definition, string $what, string $where, bool $byItem = false): string
    {
        $scope = $this->scope($page);
        $variants = $this->hasVariants();
        $ofProducts = $definition->level === Level::Product || (! $variants && $scope->variant() === '1');
        $within = $ofProducts ? $scope->product() : "{$scope->products} AND {$scope->variant()}";
        $product = $variants || ! $ofProducts ? ItemsOfLevel::PRODUCT : 'a.item_id';
        // Of several numbers of one item the smallest counts.
        $smallest = $what === 's.number' && $this->holdsSeveral($definition);

        return 'SELECT '.
            ($byItem ? 'a.item_id' : $product).
            ' AS id, '.
            ($smallest ? 'MIN(s.number)' : $what).
            ' FROM spellings s'.
            (str_contains($what.$where, 'v.') ? ' JOIN attribute_values v ON v.id = s.value_id' : '').
            ' JOIN assignments a ON a.spelling_id = s.id'.
            ($product === 'a.item_id' ? '' : ' JOIN items i ON i.id = a.item_id').
            ($within === '1' ? '' : " JOIN items p ON p.id = {$product}").
            " WHERE s.definition_id = {$definition->id} AND {$where}".
            ($product === 'a.item_id' ? '' : ' AND '.ItemsOfLevel::on($definition->level)).
            ($within === '1' ? '' : " AND {$within}").
            ($smallest ? ' GROUP BY a.item_id' : '');
    }

    /** Whether any product carries several values of it; it may have taken several before it takes one. */
    public function holdsSeveral(Definition $definition): bool
    {
        return $definition->multiple || $this->remembered->about(
            [$definition->id],
            "holds-several:{$definition->id}",
            fn (): bool => Spelling::table('s')
                ->join('assignments as a', 'a.spelling_id', '=', 's.id')
                ->where('s.definition_id', $definition->id)
                ->groupBy('a.item_id')
                ->havingRaw('COUNT(*) > 1')
                ->exists(),
        );
    }

    private function hasVariants(): bool
    {
        return $this->remembered->ofProducts('has-variants', fn (): bool => Item::table()->whereNotNull('parent_id')->exists());
    }

    /** Products by the category one step below the page that they are in. */
    private function categories(string $page): string
    {
        $tree = $this->compositions()->tree;
        $cases = '';
        $scope = $this->scope($page)->product();
        $below = $tree->below(ctype_digit($page) ? (int) $page : 0);
        foreach ($below as $child) {
            $listed = $tree->find($child)?->own_only === true ? [$child] : $tree->withDescendants($child);
            $cases .= ' WHEN p.category_id IN ('.implode(',', $listed).") THEN {$child}";
        }

        if ($cases === '') {
            return 'SELECT 0, 0 WHERE 0';
        }
        $own = "SELECT * FROM (SELECT p.id, CASE{$cases} END AS term FROM items p WHERE p.parent_id IS NULL AND {$scope})
            WHERE term IS NOT NULL";

        return ! AlsoOn::any()
            ? $own
            : "{$own} UNION SELECT p.id, o.category_id FROM also_on o JOIN items p ON p.id = o.item_id
                WHERE o.category_id IN (".implode(',', $below).") AND p.parent_id IS NULL AND {$scope}";
    }
}
