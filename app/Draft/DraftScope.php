<?php

declare(strict_types=1);

namespace App\Draft;

use App\Catalog\AlsoOn;
use App\Catalog\CategoryTree;
use App\Catalog\ProductCounts;
use App\Catalog\Stock;
use App\Catalog\TermNumbers;
use App\Models\Definition;
use App\Models\Umbrella;
use Lokum\Vocabulary\Kind;
use Lokum\Vocabulary\Level;

/**
 * Which products and variants a page of the draft lists, in SQL: what products (p) and what variants (i) have to fulfil. A brand page
 * is shown for the value that most products carry.
 */
final readonly class DraftScope
{
    /**
     * @param  string  $products  condition on the product p
     * @param  list<string>  $variants  conditions on one and the same variant, over %1$s
     * @param  string|null  $of  the value whose page it is, where it is one
     * @param  int|null  $term  its term
     */
    private function __construct(
        public string $products,
        private array $variants,
        public ?string $of = null,
        public ?int $term = null,
    ) {
    }

    /**
     * @param  string  $page  a category's id, or "shop", "search", "brands"
     * @param  bool  $hidesSoldOut  whether sold-out products are hidden there
     * @param  bool  $someAreOut  whether the catalog has products that are out of the shop
     */
    public static function of(
        string $page,
        CategoryTree $tree,
        ProductCounts $counts,
        bool $hidesSoldOut,
        bool $someAreOut,
    ): self {
        $scope = self::listed($page, $tree, $counts, $hidesSoldOut);

        return $someAreOut
            ? new self("p.out_since IS NULL AND {$scope->products}", $scope->variants, $scope->of, $scope->term)
            : $scope;
    }

    private static function listed(string $page, CategoryTree $tree, ProductCounts $counts, bool $hidesSoldOut): self
    {
        $stock = $hidesSoldOut ? [Stock::of('%1$s')] : [];
        if (ctype_digit($page)) {
            $own = $tree->find((int) $page)?->own_only === true;

            $listed = 'p.category_id IN ('.implode(',', $own ? [(int) $page] : $tree->withDescendants((int) $page)).')';
            $also = AlsoOn::condition('p.id', (int) $page);

            return new self($also === null ? $listed : "({$listed} OR {$also})", $stock);
        }
        $brand = $page === Placement::BRANDS ? self::brand($counts) : null;
        if ($brand === null) {
            return new self('1', $stock);
        }
        [$definition, $term, $name] = $brand;
        $values = $term > Umbrella::TERM ? 'v.umbrella_id = '.($term - Umbrella::TERM).' AND v.held = 0' : "v.id = {$term}";
        $carry = "SELECT a.item_id FROM attribute_values v JOIN spellings s ON s.value_id = v.id
            JOIN assignments a ON a.spelling_id = s.id WHERE {$values}";

        return $definition->level === Level::Product
            ? new self("p.id IN ({$carry})", $stock, $name, $term)
            : new self('1', [...$stock, "%1\$s.id IN ({$carry})"], $name, $term);
    }

    /** Condition on the variant i; "1" where every one counts. */
    public function variant(): string
    {
        return $this->on('i');
    }

    /** Condition on the product p: what it fulfils itself, and that one of its variants does. */
    public function product(): string
    {
        return $this->variants === [] ? $this->products : "{$this->products} AND ".Stock::productWith($this->on('w'));
    }

    private function on(string $alias): string
    {
        return $this->variants === []
            ? '1'
            : implode(' AND ', array_map(fn (string $condition): string => sprintf($condition, $alias), $this->variants));
    }

    /** @return array{0: Definition, 1: int, 2: string}|null the term with a page that most products carry */
    private static function brand(ProductCounts $counts): ?array
    {
        foreach (
            Definition::query()->live()->where('has_pages', true)->where('kind', Kind::Choice)->orderBy('id')->get() as $definition
        ) {
            $terms = TermNumbers::shown($definition);
            $products = [];
            foreach ($counts->byValue($definition) as $value => $n) {
                if (isset($terms[$value]) && $terms[$value] === $value) {
                    $products[$value] = $n;
                }
            }
            foreach ($counts->byUmbrella($definition) as $umbrella => $n) {
                $products[Umbrella::TERM + $umbrella] = $n;
            }
            arsort($products);
            $term = array_key_first($products);
            if ($term !== null) {
                return [$definition, $term, TermNumbers::name($term)];
            }
        }

        return null;
    }
}
