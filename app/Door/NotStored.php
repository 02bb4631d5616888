<?php

declare(strict_types=1);

namespace App\Door;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** What somebody sees who has signed in is kept by no cache, so that nobody finds it there behind them. */
final class NotStored
{
    public function handle(Request $request, Closure $next): Response
    {
        $response = $next($request);
        if ($request->user() !== null) {
            $response->headers->set('Cache-Control', 'no-store, private');
        }

        return $response;
    }
}
