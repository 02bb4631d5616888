<?php

declare(strict_types=1);

namespace App\Storefront;

use App\Editions\EditionCategory;
use App\Editions\EditionFile;
use App\Editions\EditionTerm;
use Lokum\Facet\Carriers;
use Lokum\Lineup\Band;
use Lokum\Lineup\Control;
use Lokum\Lineup\FilterSettings;
use Lokum\Lineup\OfferableTerm;
use Lokum\Lineup\ProductField;

/** The terms that there are for the filters of a page in an edition: an attribute's, bands, the categories below. */
final readonly class PageTerms
{
    public function __construct(private EditionFile $edition, private ShopPage $page)
    {
    }

    /**
     * @return list<OfferableTerm>|null in the attribute's order; null for a scale, a text box, and a filter over what the edition
     *         does not have
     */
    public function of(FilterSettings $filter): ?array
    {
        if ($filter->isScale() || $filter->control === Control::Words) {
            return null;
        }
        if ($filter->control === Control::Bands) {
            return self::bands($filter);
        }
        if ($filter->key === ProductField::Category->value) {
            return array_map(
                fn (EditionCategory $below): OfferableTerm => new OfferableTerm($below->id, $below->slug, $below->name),
                $this->edition->below($this->page->category),
            );
        }
        $attribute = $this->edition->attribute($filter->key);

        return $attribute === null
            ? null
            : array_values(
                array_map(
                    fn (EditionTerm $term): OfferableTerm => new OfferableTerm(
                        $term->id,
                        $term->slug,
                        $term->label,
                        $term->look,
                        $term->parent,
                    ),
                    $this->edition->terms($attribute, $filter->control === Control::Nested),
                ),
            );
    }

    /** @return list<OfferableTerm> bands as terms, numbered from 1 */
    public static function bands(FilterSettings $filter): array
    {
        return array_map(
            fn (int $i, Band $band): OfferableTerm => new OfferableTerm($i + 1, $band->slug(), BandWords::of($filter, $band)),
            array_keys($filter->bands),
            $filter->bands,
        );
    }

    /**
     * @return array<string, Carriers>|null who is in each of the sets that a filter asks for, by slug, in their order; null where
     *         it asks for an attribute's terms
     */
    public function sets(FilterSettings $filter): ?array
    {
        $sets = [];
        if ($filter->control === Control::Bands) {
            foreach ($filter->bands as $band) {
                $sets[$band->slug()] = $this->edition->within(
                    $filter->key,
                    $band->from,
                    $band->to,
                    $band->holdsTo,
                    $band->holdsFrom,
                );
            }

            return $sets;
        }
        if ($filter->key !== ProductField::Category->value) {
            return null;
        }
        foreach ($this->edition->below($this->page->category) as $category) {
            $sets[$category->slug] = $this->edition->listing($category);
        }

        return $sets;
    }
}
