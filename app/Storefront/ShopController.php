<?php

declare(strict_types=1);

namespace App\Storefront;

use App\Publishing\Edition;
use App\Publishing\EditionAttribute;
use App\Publishing\EditionCategory;
use App\Publishing\EditionFile;
use App\Publishing\EditionProduct;
use App\Refused;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\View\View;

/** The simulated shop. It reads the current edition and nothing else. */
final class ShopController
{
    public function home(Request $request): View|Response|RedirectResponse
    {
        return $this->listing($request, null);
    }

    public function category(Request $request, string $slug): View|Response|RedirectResponse
    {
        return $this->listing($request, $slug);
    }

    public function product(string $sku): View|Response
    {
        if (Edition::current() === null) {
            return response()->view('shop.closed');
        }
        $edition = Edition::openCurrent();
        $product = $edition->product($sku) ?? abort(404);
        $trail = [];
        $byId = array_column($edition->categories(), null, 'id');
        for ($at = $byId[$product->category] ?? null; $at instanceof EditionCategory; $at = $byId[$at->parent] ?? null) {
            array_unshift($trail, $at);
        }

        return view('shop.product', ['product' => $product, 'pages' => $this->pages($edition, $product), 'trail' => $trail, 'currency' => $edition->meta('currency')]);
    }

    /** @return array<string, array{slug: string, directory: string, picture: string|null}> pages of values that the product carries, by label and text */
    private function pages(EditionFile $edition, EditionProduct $product): array
    {
        $pages = [];
        foreach (array_filter($edition->attributes(), fn (EditionAttribute $attribute): bool => in_array($attribute->id, $edition->directories(), true)) as $attribute) {
            $about = $edition->pages($attribute);
            foreach ($edition->terms($attribute) as $id => $term) {
                if (in_array($term->label, $product->properties[$attribute->label] ?? [], true)) {
                    $pages["{$attribute->label}:{$term->label}"] = ['slug' => $term->slug, 'directory' => $attribute->slug, 'picture' => $about[$id]['picture'] ?? null];
                }
            }
        }

        return $pages;
    }

    private function listing(Request $request, ?string $slug): View|Response|RedirectResponse
    {
        if (Edition::current() === null) {
            return response()->view('shop.closed');
        }
        $edition = Edition::openCurrent();
        $category = $slug === null ? null : ($edition->category($slug) ?? abort(404));
        $address = ListingAddress::read($request, $edition, $category);
        $byForm = array_filter($request->query(), is_array(...)) !== [];
        if ($address->moved || ($byForm && ! $request->hasHeader('HX-Request'))) {
            return redirect($address->url(), $address->moved ? 301 : 302);
        }
        try {
            return response()->view('shop.listing', ['page' => new ListingPage($edition, $category, $address), 'categories' => $edition->categories(), 'category' => $category, 'address' => $address])->header('HX-Push-Url', $address->url());
        } catch (Refused) {
            return redirect($category === null ? route('shop') : route('shop.category', $category->slug));
        }
    }
}
