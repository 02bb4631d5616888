<?php

declare(strict_types=1);

namespace App\Api;

use App\Publishing\Edition;
use App\Publishing\EditionFile;
use App\Publishing\EditionProduct;
use App\Publishing\EditionTerm;
use App\Storefront\ListingAddress;
use App\Storefront\ListingPage;
use App\Storefront\ShopPage;
use App\Storefront\ShownFilter;
use App\Storefront\ShownTerm;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Lokum\Lineup\FilterSettings;
use Lokum\Vocabulary\Look;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** The current edition for other programs: line-ups, counts for picks, listings, terms, products, all of it. Read only. */
final class ApiController
{
    public function edition(): JsonResponse
    {
        $edition = Edition::current();

        return $this->answer([
            'edition' => $edition?->id, 'products' => $edition?->products, 'variants' => $edition?->variants, 'terms' => $edition?->terms,
            'published_at' => $edition?->created_at->toIso8601String(),
        ]);
    }

    public function lineup(Request $request): JsonResponse
    {
        $edition = Edition::openCurrent();
        $page = $this->page($request, $edition);

        return $this->answer([
            'page' => $page->title,
            'filters' => array_map(
                fn (FilterSettings $filter): array => [
                    'key' => $filter->key, 'title' => $filter->title, 'kind' => $filter->kind->value, 'control' => $filter->control->value,
                    'combine' => $filter->combine->value, 'unit' => $filter->unit,
                ],
                $edition->filters($page->lineup),
            ),
        ]);
    }

    /** Counts for picks, and one page of products; picks as in the addresses of the storefront. */
    public function listing(Request $request): JsonResponse
    {
        $edition = Edition::openCurrent();
        $address = ListingAddress::read($request, $edition, $this->page($request, $edition));
        $page = new ListingPage($edition, $address);

        return $this->answer([
            'products' => $page->products, 'page' => min($address->number, $page->pages), 'pages' => $page->pages,
            'filters' => array_map($this->filter(...), $page->filters), 'items' => array_map($this->product(...), $page->shown),
        ]);
    }

    public function terms(string $attribute): JsonResponse
    {
        $edition = Edition::openCurrent();
        $found = $edition->attribute($attribute);
        if ($found === null) {
            return LetIn::error(404, "There is no attribute \"{$attribute}\".");
        }

        return $this->answer([
            'attribute' => $found->slug,
            'label' => $found->label,
            'terms' => array_values(array_map(
                fn (EditionTerm $term): array => [
                    'slug' => $term->slug, 'label' => $term->label, 'products' => $term->products,
                ] + $this->look($term->look),
                $edition->terms($found),
            )),
        ]);
    }

    public function show(string $sku): JsonResponse
    {
        $product = Edition::openCurrent()->goods->product($sku);

        return $product === null ? LetIn::error(404, "There is no product \"{$sku}\".") : $this->answer($this->product($product) + ['description' => $product->description, 'properties' => $product->properties === [] ? new \stdClass : $product->properties,
            'variants' => array_map(
                fn (array $variant): array => ['properties' => $variant['properties'] === [] ? new \stdClass : $variant['properties']] + $variant,
                $product->variants,
            )]);
    }

    /** The whole edition, one JSON document a line: what it is, attributes with their terms, then every product. */
    public function everything(): StreamedResponse
    {
        $edition = Edition::openCurrent();
        $about = Edition::current();

        return response()->stream(function () use ($edition, $about): void {
            $line = function (array $document): void {
                echo json_encode($document, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_INVALID_UTF8_SUBSTITUTE), "\n";
            };
            $line(['type' => 'edition', 'edition' => $about?->id, 'products' => $about?->products]);
            foreach ($edition->attributes() as $attribute) {
                $line([
                    'type' => 'attribute',
                    'attribute' => $attribute->slug,
                    'label' => $attribute->label,
                    'kind' => $attribute->kind->value,
                    'terms' => array_values(array_map(
                        fn (EditionTerm $term): array => [
                            'slug' => $term->slug, 'label' => $term->label, 'products' => $term->products,
                        ] + $this->look($term->look),
                        $edition->terms($attribute),
                    )),
                ]);
            }
            foreach ($edition->goods->everyProduct() as $product) {
                $line(['type' => 'product'] + $this->product($product) + ['properties' => $product->properties, 'variants' => $product->variants]);
            }
            flush();
        }, 200, ['Content-Type' => 'application/jsonl']);
    }

    public function document(): JsonResponse
    {
        return response()->json(json_decode((string) file_get_contents(base_path('docs/openapi.json'))));
    }

    private function page(Request $request, EditionFile $edition): ShopPage
    {
        $category = $request->query('category');
        if (is_string($category) && $category !== '') {
            return ShopPage::ofCategory($edition->category($category) ?? abort(LetIn::error(404, "There is no category \"{$category}\".")));
        }

        return is_string($request->query('q')) ? ShopPage::ofSearch(trim(mb_substr($request->query('q'), 0, 200))) : ShopPage::ofShop();
    }

    /** @return array<string, mixed> */
    private function filter(ShownFilter $filter): array
    {
        $term = fn (ShownTerm $term): array => [
            'slug' => $term->slug, 'label' => $term->label, 'count' => $term->count, 'picked' => $term->picked,
        ] + $this->look($term->look);

        return ['key' => $filter->key, 'title' => $filter->title, 'control' => $filter->control->value, 'combine' => $filter->combine->value]
            + ($filter->steps === null ? [] : [
                'min' => $filter->steps->min, 'max' => $filter->steps->max, 'step' => $filter->steps->step, 'from' => $filter->from,
                'to' => $filter->to,
            ])
            + ['terms' => array_map(
                fn (ShownTerm $one): array => $term($one) + ($one->below === [] ? [] : ['below' => array_map($term, $one->below)]),
                $filter->terms,
            )];
    }

    /** @return array<string, mixed> */
    private function product(EditionProduct $product): array
    {
        return [
            'sku' => $product->sku, 'name' => $product->name, 'price_from' => $product->priceFrom, 'price_to' => $product->priceTo,
            'currency' => $product->currency, 'in_stock' => $product->inStock,
        ];
    }

    /** @return array<string, mixed> */
    private function look(Look $look): array
    {
        return array_filter(
            ['help' => $look->help, 'colors' => $look->colors, 'picture' => $look->picture === null ? null : route('shop.picture', $look->picture)],
            fn (mixed $part): bool => $part !== null && $part !== [],
        );
    }

    /** @param  array<string, mixed>  $document */
    private function answer(array $document): JsonResponse
    {
        return response()->json($document, options: JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
    }
}
