<?php

declare(strict_types=1);

namespace App\Storefront;

use App\Editions\EditionFile;
use App\Editions\Served;
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
    public static function answer(
        Request $request,
        Closure $which,
        string $view = 'shop.listing',
        array $more = [],
    ): Response|RedirectResponse {
        $served = Served::of($request);
        if ($served->isBeforeTheFirst()) {
            return response()->view('shop.closed');
        }
        $edition = $served->file();
        $page = $which($edition);
        $address = ListingAddress::read($request, $edition, $page);
        $byForm = array_filter($request->query(), is_array(...)) !== [];
        // What has to be said about the picks is said here: it would be lost on the way to another address.
        if (($address->moved || ($byForm && ! $request->hasHeader('HX-Request'))) && $address->remarks() === []) {
            return redirect($address->url(), $address->moved ? 301 : 302);
        }
        $listing = new ListingPage($edition, $address);

        return response()
            ->view(
                $view,
                $more + [
                    'page' => $listing,
                    'categories' => $edition->categories(),
                    'category' => $page->category,
                    'address' => $address,
                ],
            )
            ->header('HX-Push-Url', $address->onPage($listing->number)->url());
    }
}
