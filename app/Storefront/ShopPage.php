<?php

declare(strict_types=1);

namespace App\Storefront;

use App\Publishing\EditionAttribute;
use App\Publishing\EditionCategory;
use App\Publishing\EditionFile;
use App\Publishing\EditionGoods;
use App\Publishing\EditionTerm;
use Lokum\Facet\Scope;
use Lokum\Lineup\SortOrder;

/** A page with products: the whole shop, a category, what a search found, or what carries a value that has a page. */
final readonly class ShopPage
{
    /**
     * @param  string  $lineup  under which the edition keeps its line-up
     * @param  string  $path  its address without what is picked
     * @param  EditionTerm|null  $term  that all its products carry
     */
    private function __construct(
        public string $lineup, public string $title, public string $path, public ?EditionCategory $category = null, public ?string $words = null,
        public ?EditionTerm $term = null,
    ) {
    }

    public static function ofShop(): self
    {
        return new self('shop', 'All products', route('shop', absolute: false));
    }

    public static function ofCategory(EditionCategory $category): self
    {
        return new self((string) $category->id, $category->name, route('shop.category', $category->slug, false), $category);
    }

    public static function ofSearch(string $words): self
    {
        return new self('search', $words === '' ? 'Search' : "“{$words}”", route('shop.search', absolute: false), null, $words);
    }

    public static function ofValue(EditionAttribute $attribute, EditionTerm $term): self
    {
        return new self('brands', $term->label, route('shop.value', [$attribute->slug, $term->slug], false), term: $term);
    }

    /** Whether it lists all of the shop, or of a category. */
    public function isListing(): bool
    {
        return $this->words === null && $this->term === null;
    }

    /** Its products, before anything is picked. */
    public function scope(EditionFile $edition): Scope
    {
        $scope = Scope::listing($edition->layout, $edition->listing($this->category));
        if ($this->term !== null) {
            $scope = $scope->narrow($edition->carriers($this->term->id));
        }
        foreach (preg_split('/\s+/u', trim((string) $this->words), -1, PREG_SPLIT_NO_EMPTY) ?: [] as $word) {
            $scope = $scope->narrow($edition->goods->having(EditionGoods::SEARCH, $word));
        }

        return $scope;
    }

    /** @return non-empty-list<SortOrder> that shoppers can choose here */
    public function sorts(EditionFile $edition): array
    {
        $active = array_values(array_filter(
            SortOrder::list($edition->pageSettings($this->lineup)['sorts'] ?? null),
            fn (SortOrder $order): bool => $order->active,
        ));

        return $active === [] ? SortOrder::usual() : $active;
    }
}
