<?php

declare(strict_types=1);

namespace App\Storefront;

use App\Editions\EditionCategory;
use App\Editions\EditionFile;
use App\Editions\EditionMeta;
use App\Editions\EditionProduct;
use App\Editions\Served;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\View\View;

/** The simulated shop. It reads the current edition and nothing else. */
final class ShopController
{
    public function home(Request $request): Response|RedirectResponse
    {
        return Listing::answer($request, fn (): ShopPage => ShopPage::ofShop());
    }

    public function category(Request $request, string $slug): Response|RedirectResponse
    {
        return Listing::answer(
            $request,
            fn (EditionFile $edition): ShopPage => ShopPage::ofCategory($edition->category($slug) ?? abort(404)),
        );
    }

    public function search(Request $request): Response|RedirectResponse
    {
        return Listing::answer($request, fn (): ShopPage => ShopPage::ofSearch($request->string('q')->toString()));
    }

    public function product(Request $request, string $sku): View|Response
    {
        $served = Served::of($request);
        if ($served->isBeforeTheFirst()) {
            return response()->view('shop.closed');
        }
        $edition = $served->file();
        $product = $edition->products->product($sku) ?? abort(404);
        $trail = [];
        $byId = array_column($edition->categories(), null, 'id');
        for ($at = $byId[$product->category] ?? null; $at instanceof EditionCategory; $at = $byId[$at->parent] ?? null) {
            array_unshift($trail, $at);
        }

        return view('shop.product', [
            'product' => $product,
            'sections' => $this->sections($edition, $product),
            'pages' => $this->pages($edition, $product),
            'trail' => $trail,
            'currency' => $edition->meta(EditionMeta::Currency),
        ]);
    }

    /** @return array<string, array<string, list<string>>> texts by section and label; those of no section first */
    private function sections(EditionFile $edition, EditionProduct $product): array
    {
        $known = (array) json_decode($edition->meta(EditionMeta::Sections) ?: '{}', true);
        $sections = ['' => []];
        foreach (
            $product->properties + (count($product->variants) === 1 ? $product->variants[0]['properties'] : []) as $label => $texts
        ) {
            $sections[(string) ($known[$label] ?? '')][$label] = $texts;
        }

        return array_filter($sections);
    }

    /**
     * @return array<string, array{slug: string, directory: string, picture: string|null}> pages of values that the product
     *         carries, by label and text
     */
    private function pages(EditionFile $edition, EditionProduct $product): array
    {
        $pages = [];
        foreach ($edition->directories() as $attribute) {
            $about = $edition->pages($attribute);
            foreach ($edition->terms($attribute) as $id => $term) {
                if (in_array($term->label, $product->properties[$attribute->label] ?? [], true)) {
                    $pages["{$attribute->label}:{$term->label}"] = [
                        'slug' => $term->slug,
                        'directory' => $attribute->slug,
                        'picture' => $about[$id]['picture'] ?? null,
                    ];
                }
            }
        }

        return $pages;
    }
}
