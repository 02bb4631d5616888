<?php

declare(strict_types=1);

namespace App\Api;

use App\Door\Answers;
use App\Editions\EditionFile;
use App\Editions\EditionProduct;
use App\Editions\EditionTerm;
use App\Editions\Served;
use App\Storefront\ListingAddress;
use App\Storefront\ListingPage;
use App\Storefront\ShopPage;
use App\Storefront\ShownFilter;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Lokum\Lineup\FilterSettings;
use Lokum\Lineup\OfferedTerm;
use Lokum\Lineup\ProductField;
use Lokum\Vocabulary\Look;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** The current edition for other programs: line-ups, counts for picks, listings, terms, products, all of it. Read only. */
final class ApiController
{
    public function edition(Request $request): JsonResponse
    {
        $edition = Served::of($request)->edition;

        return $this->answer([
            'edition' => $edition?->id,
            'products' => $edition?->products,
            'variants' => $edition?->variants,
            'terms' => $edition?->terms,
            'published_at' => $edition?->created_at->toIso8601String(),
        ]);
    }

    public function lineup(Request $request): JsonResponse
    {
        $edition = Served::of($request)->file();
        $page = $this->page($request, $edition);

        return $this->answer([
            'page' => $page->title,
            'filters' => array_map(
                fn (FilterSettings $filter): array => [
                    'key' => $filter->key,
                    'title' => $filter->title,
                    'group' => $filter->group,
                    'kind' => $filter->kind->value,
                    'control' => $filter->control->value,
                    'combine' => $filter->combine->value,
                    'unit' => $filter->unit,
                ],
                $edition->filters($page->lineup),
            ),
        ]);
    }

    /**
     * Counts for picks, and one page of products; picks as in the addresses of the storefront. What the edition does not know is
     * refused, not passed over.
     */
    public function listing(Request $request): JsonResponse
    {
        $edition = Served::of($request)->file();
        $page = $this->page($request, $edition);
        $address = ListingAddress::read(self::asForShoppers($request), $edition, $page);
        $refused = [
            ...$address->refused,
            ...$page->words->remarks ?? [],
            ...array_map(fn (string $name): string => "There is no filter \"{$name}\" on this page.", $address->unknown),
        ];
        $number = $request->query('page', '1');
        if (! is_string($number) || preg_match('/^[1-9]\d{0,6}$/D', $number) !== 1) {
            $refused[] = 'A page is a number from 1.';
        }
        if ($refused !== []) {
            return Answers::json(422, implode(' ', $refused));
        }
        $listing = new ListingPage($edition, $address);
        if ($address->number > $listing->pages) {
            return Answers::json(404, "There is no page {$address->number}; the last one is {$listing->pages}.");
        }

        return $this->answer([
            'edition' => $edition->number(),
            'products' => $listing->products,
            'page' => $listing->number,
            'pages' => $listing->pages,
            'filters' => array_map($this->filter(...), $listing->filters),
            'items' => array_map($this->product(...), $listing->shown),
            'remarks' => $listing->remarks(),
        ]);
    }

    /** "category" names the page here, so that the filter of that name is asked by "below". */
    private static function asForShoppers(Request $request): Request
    {
        $query = $request->query->all();
        $below = $query['below'] ?? null;
        unset($query['category'], $query['below']);

        return $request->duplicate($query + ($below === null ? [] : [ProductField::Category->value => $below]));
    }

    public function terms(Request $request, string $attribute): JsonResponse
    {
        $edition = Served::of($request)->file();
        $found = $edition->attribute($edition->endedAttributes()[$attribute] ?? $attribute);
        if ($found === null) {
            return Answers::json(404, "There is no attribute \"{$attribute}\".");
        }

        return $this->answer([
            'attribute' => $found->slug,
            'label' => $found->label,
            'terms' => array_values(
                array_map(
                    fn (EditionTerm $term): array => [
                        'slug' => $term->slug,
                        'label' => $term->label,
                        'products' => $term->products,
                    ] + $this->look($term->look),
                    $edition->terms($found),
                ),
            ),
        ]);
    }

    public function show(Request $request, string $sku): JsonResponse
    {
        $product = Served::of($request)->file()->products->product($sku);

        return $product === null
            ? Answers::json(404, "There is no product \"{$sku}\".")
            : $this->answer(
                $this->product($product) + [
                    'description' => $product->description,
                    'properties' => $product->properties === [] ? new \stdClass() : $product->properties,
                    'variants' => array_map(
                        fn (array $variant): array => [
                            'properties' => $variant['properties'] === [] ? new \stdClass() : $variant['properties'],
                        ] + $variant,
                        $product->variants,
                    ),
                ],
            );
    }

    /** The whole edition, one JSON document a line: what it is, attributes with their terms, then every product. */
    public function everything(Request $request): StreamedResponse
    {
        $edition = Served::of($request)->file();

        return response()->stream(
            function () use ($edition): void {
                $line = function (array $document): void {
                    echo json_encode($document, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_INVALID_UTF8_SUBSTITUTE),
                    "\n";
                };
                $line(['type' => 'edition', 'edition' => $edition->number(), 'products' => $edition->layout->products()]);
                foreach ($edition->attributes() as $attribute) {
                    $line([
                        'type' => 'attribute',
                        'attribute' => $attribute->slug,
                        'label' => $attribute->label,
                        'kind' => $attribute->kind->value,
                        'terms' => array_values(
                            array_map(
                                fn (EditionTerm $term): array => [
                                    'slug' => $term->slug,
                                    'label' => $term->label,
                                    'products' => $term->products,
                                ] + $this->look($term->look),
                                $edition->terms($attribute),
                            ),
                        ),
                    ]);
                }
                foreach ($edition->products->everyProduct() as $product) {
                    $line(
                        ['type' => 'product'] +
                            $this->product($product) + ['properties' => $product->properties, 'variants' => $product->variants],
                    );
                }
                flush();
            },
            200,
            ['Content-Type' => 'application/jsonl'],
        );
    }

    public function document(): JsonResponse
    {
        return response()->json(json_decode((string) file_get_contents(base_path('docs/openapi.json'))));
    }

    private function page(Request $request, EditionFile $edition): ShopPage
    {
        $slug = $request->query('category');
        $category =
            is_string($slug) && $slug !== ''
                ? $edition->category($slug) ?? abort(Answers::json(404, "There is no category \"{$slug}\"."))
                : null;
        $words = $request->query('q');

        return match (true) {
            is_string($words) => ShopPage::ofSearch($words, $category),
            $category !== null => ShopPage::ofCategory($category),
            default => ShopPage::ofShop(),
        };
    }

    /** @return array<string, mixed> */
    private function filter(ShownFilter $filter): array
    {
        $term = fn (OfferedTerm $term): array => [
            'slug' => $term->slug,
            'label' => $term->label,
            'count' => $term->count,
            'picked' => $term->picked,
        ] + $this->look($term->look);

        return [
            'key' => $filter->key,
            'parameter' => $filter->key === ProductField::Category->value ? 'below' : $filter->key,
            'title' => $filter->title,
            'group' => $filter->group,
            'control' => $filter->control->value,
            'combine' => $filter->combine->value,
        ] +
            ($filter->steps === null
                ? []
                : [
                    'min' => $filter->steps->min,
                    'max' => $filter->steps->max,
                    'step' => $filter->steps->step,
                    'from' => $filter->from,
                    'to' => $filter->to,
                ]) + [
                    'terms' => array_map(
                        fn (OfferedTerm $one): array => $term($one) +
                            ($one->below === [] ? [] : ['below' => array_map($term, $one->below)]),
                        $filter->terms,
                    ),
                ];
    }

    /** @return array<string, mixed> */
    private function product(EditionProduct $product): array
    {
        return [
            'sku' => $product->sku,
            'name' => $product->name,
            'price_from' => $product->priceFrom,
            'price_to' => $product->priceTo,
            'currency' => $product->currency,
            'in_stock' => $product->inStock,
        ];
    }

    /** @return array<string, mixed> */
    private function look(Look $look): array
    {
        return array_filter(
            [
                'help' => $look->help,
                'colors' => $look->colors,
                'picture' => $look->picture === null ? null : url(route('shop.picture', $look->picture)),
            ],
            fn (mixed $part): bool => $part !== null && $part !== [],
        );
    }

    /** @param  array<string, mixed>  $document */
    private function answer(array $document): JsonResponse
    {
        return response()->json($document, options: JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
    }
}
