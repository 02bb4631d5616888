<?php

declare(strict_types=1);

namespace App\Storefront;

use App\Publishing\Edition;
use App\Publishing\EditionAttribute;
use App\Publishing\EditionCategory;
use App\Publishing\EditionFile;
use App\Publishing\EditionProduct;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\View\View;

/** The simulated shop. It reads the current edition and nothing else. */
final class ShopController
{
    public function home(Request $request): View|Response|RedirectResponse
    {
        return Listing::answer($request, fn (): ShopPage => ShopPage::ofShop());
    }

    public function category(Request $request, string $slug): View|Response|RedirectResponse
    {
        return Listing::answer($request, fn (EditionFile $edition): ShopPage => ShopPage::ofCategory($edition->category($slug) ?? abort(404)));
    }

    public function search(Request $request): View|Response|RedirectResponse
    {
        return Listing::answer($request, fn (): ShopPage => ShopPage::ofSearch(trim(mb_substr($request->string('q')->toString(), 0, 200))));
    }

    public function product(string $sku): View|Response
    {
        if (Edition::current() === null) {
            return response()->view('shop.closed');
        }
        $edition = Edition::openCurrent();
        $product = $edition->goods->product($sku) ?? abort(404);
        $trail = [];
        $byId = array_column($edition->categories(), null, 'id');
        for ($at = $byId[$product->category] ?? null; $at instanceof EditionCategory; $at = $byId[$at->parent] ?? null) {
            array_unshift($trail, $at);
        }

        return view(
            'shop.product',
            [
                'product' => $product, 'sections' => $this->sections($edition, $product), 'pages' => $this->pages($edition, $product),
                'trail' => $trail, 'currency' => $edition->meta('currency'),
            ],
        );
    }

    /** @return array<string, array<string, list<string>>> texts by section and label; those of no section first */
    private function sections(EditionFile $edition, EditionProduct $product): array
    {
        $known = (array) json_decode($edition->meta('sections') ?: '{}', true);
        $sections = ['' => []];
        foreach ($product->properties + (count($product->variants) === 1 ? $product->variants[0]['properties'] : []) as $label => $texts) {
            $sections[(string) ($known[$label] ?? '')][$label] = $texts;
        }

        return array_filter($sections);
    }

    /** @return array<string, array{slug: string, directory: string, picture: string|null}> pages of values that the product carries, by label and text */
    private function pages(EditionFile $edition, EditionProduct $product): array
    {
        $pages = [];
        foreach (array_filter($edition->attributes(), fn (EditionAttribute $attribute): bool => in_array($attribute->id, $edition->directories(), true)) as $attribute) {
            $about = $edition->pages($attribute);
            foreach ($edition->terms($attribute) as $id => $term) {
                if (in_array($term->label, $product->properties[$attribute->label] ?? [], true)) {
                    $pages["{$attribute->label}:{$term->label}"] = [
                        'slug' => $term->slug, 'directory' => $attribute->slug, 'picture' => $about[$id]['picture'] ?? null,
                    ];
                }
            }
        }

        return $pages;
    }
}
