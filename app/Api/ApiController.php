<?php

declare(strict_types=1);

namespace App\Api;

use App\Door\Answers;
use App\Editions\EditionDocuments;
use App\Editions\EditionFile;
use App\Editions\EditionLines;
use App\Editions\Served;
use App\Storefront\ListingAddress;
use App\Storefront\ListingPage;
use App\Storefront\ShopPage;
use App\Storefront\ShownFilter;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Lokum\Lineup\OfferedTerm;
use Lokum\Lineup\ProductField;
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
                EditionDocuments::filter(...),
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
            'items' => array_map(EditionDocuments::product(...), $listing->shown),
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
                    EditionDocuments::term(...),
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
                EditionDocuments::product($product) + [
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

    /** The whole edition, one JSON document a line. */
    public function everything(Request $request): StreamedResponse
    {
        $edition = Served::of($request)->file();

        return response()->stream(
            function () use ($edition): void {
                foreach ((new EditionLines($edition))->documents() as $document) {
                    echo json_encode($document, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_INVALID_UTF8_SUBSTITUTE), "\n";
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
        ] + EditionDocuments::look($term->look);

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

    /** @param  array<string, mixed>  $document */
    private function answer(array $document): JsonResponse
    {
        return response()->json($document, options: JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
    }
}
