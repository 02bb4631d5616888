<?php

declare(strict_types=1);

namespace App\Door;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Session\NullSessionHandler;
use Illuminate\Session\Store;
use Symfony\Component\HttpFoundation\Response;

/**
 * What a page fetches for itself while somebody works on must not write the session: it would overwrite what a form that was
 * sent meanwhile has put there, such as the words that say what was done.
 */
final class ReadSessionOnly
{
    public function handle(Request $request, Closure $next): Response
    {
        $response = $next($request);
        $session = $request->hasSession() ? $request->session() : null;
        if (
            $request->isMethod('GET') &&
            ! $response->isRedirection() &&
            ($request->hasHeader('HX-Request') || $request->wantsJson()) &&
            $session instanceof Store
        ) {
            $session->setHandler(new NullSessionHandler());
        }

        return $response;
    }
}
