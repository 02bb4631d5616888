<?php

declare(strict_types=1);

namespace App\Storefront;

use App\Editions\EditionAttribute;
use App\Editions\EditionCategory;
use App\Editions\EditionFile;
use App\Editions\EditionTerm;
use App\Editions\SearchWords;
use Lokum\Facet\Scope;
use Lokum\Lineup\SortOrder;

/** A page with products: the whole shop, a category, what a search found, or what carries a value that has a page. */
final class ShopPage
{
    private ?Scope $scope = null;

    /**
     * @param  string  $lineup  under which the edition keeps its line-up
     * @param  string  $path  its address without what is picked
     * @param  EditionTerm|null  $term  that all its products carry
     */
    private function __construct(
        public readonly string $lineup,
        public readonly string $title,
        public readonly string $path,
        public readonly ?EditionCategory $category = null,
        public readonly ?SearchWords $words = null,
        public readonly ?EditionTerm $term = null,
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

    /** @param  EditionCategory|null  $in  where only its products are looked through */
    public static function ofSearch(string $typed, ?EditionCategory $in = null): self
    {
        $words = SearchWords::of($typed);

        return new self(
            'search',
            $words->text === '' ? 'Search' : "“{$words->text}”",
            route('shop.search', absolute: false),
            $in,
            $words,
        );
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

    /** Its products, before anything is picked; worked out once. */
    public function scope(EditionFile $edition): Scope
    {
        return $this->scope ??= $this->workOut($edition);
    }

    /** @return non-empty-list<SortOrder> that shoppers can choose here */
    public function sorts(EditionFile $edition): array
    {
        return SortOrder::offered($edition->pageSettings($this->lineup)['sorts'] ?? null);
    }

    private function workOut(EditionFile $edition): Scope
    {
        $scope = Scope::listing($edition->layout, $edition->listing($this->category));
        if ($this->term !== null) {
            $scope = $scope->narrow($edition->carriers($this->term->id));
        }
        $words = $this->words->words ?? [];
        if ($words !== []) {
            $scope = $scope->narrow($edition->products->found($words));
        }

        return $scope;
    }
}
