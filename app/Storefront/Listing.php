<?php

declare(strict_types=1);

namespace App\Storefront;

use App\Publishing\Edition;
use App\Publishing\EditionFile;
use App\Refused;
use Closure;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** Answers a request for a page with products. */
final class Listing
{
    /**
     * @param  Closure(EditionFile): ShopPage  $which
     * @param  array<string, mixed>  $more  for the view
     */
    public static function answer(Request $request, Closure $which, string $view = 'shop.listing', array $more = []): Response|RedirectResponse
    {
        if (Edition::current() === null) {
            return response()->view('shop.closed');
        }
        $edition = Edition::openCurrent();
        $page = $which($edition);
        $address = ListingAddress::read($request, $edition, $page);
        $byForm = array_filter($request->query(), is_array(...)) !== [];
        if ($address->moved || ($byForm && ! $request->hasHeader('HX-Request'))) {
            return redirect($address->url(), $address->moved ? 301 : 302);
        }
        try {
            return response()
                ->view(
                    $view,
                    $more + [
                        'page' => new ListingPage($edition, $address), 'categories' => $edition->categories(), 'category' => $page->category,
                        'address' => $address,
                    ],
                )
                ->header('HX-Push-Url', $address->url());
        } catch (Refused) {
            return redirect($page->path);
        }
    }
}
