<?php

declare(strict_types=1);

namespace App\Storefront;

use App\Publishing\CountPage;
use App\Publishing\EditionFile;
use App\Publishing\EditionProduct;
use App\Publishing\Picks;

/** The products of one value, page by page, whether shoppers can filter by it or not. */
final readonly class ValueListing
{
    private const PER_PAGE = 24;

    public int $products;

    public int $pages;

    public int $at;

    /** @var list<EditionProduct> */
    public array $shown;

    public function __construct(private EditionFile $edition, string $attribute, string $term, int $page)
    {
        $matching = (new CountPage($edition, null, new Picks([$attribute => [$term]]), [$attribute]))->matching();
        $this->products = $matching->count();
        $this->pages = max(1, (int) ceil($this->products / self::PER_PAGE));
        $this->at = min(max(1, $page), $this->pages);
        $this->shown = $edition->products($edition->page($matching, 'name', ($this->at - 1) * self::PER_PAGE, self::PER_PAGE));
    }

    public function currency(): string
    {
        return $this->edition->meta('currency');
    }
}
