<?php

declare(strict_types=1);

namespace App\Door;

use App\Settings\Shop;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\View;
use Symfony\Component\HttpFoundation\Response;

/** Every answer is written in the language and currency that the settings say. */
final class AsSettled
{
    public function handle(Request $request, Closure $next): Response
    {
        Shop::apply();
        // Once for all the views of a page: a listing has a hundred.
        View::share('shop', Shop::current());

        return $next($request);
    }
}
