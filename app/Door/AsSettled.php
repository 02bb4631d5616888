<?php

declare(strict_types=1);

namespace App\Door;

use App\Settings\Shop;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Every answer is written in the language and currency that the settings say. */
final class AsSettled
{
    public function handle(Request $request, Closure $next): Response
    {
        Shop::apply();

        return $next($request);
    }
}
