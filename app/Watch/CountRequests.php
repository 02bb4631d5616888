<?php

declare(strict_types=1);

namespace App\Watch;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Counts what was answered, once the answer is out. */
final class CountRequests
{
    public function handle(Request $request, Closure $next): Response
    {
        return $next($request);
    }

    public function terminate(Request $request, Response $response): void
    {
        $area = explode('/', ltrim($request->getPathInfo(), '/'))[0];
        if (! in_array($area, ['health', 'metrics'], true)) {
            RequestTally::add(
                in_array($area, ['shop', 'api'], true) ? $area : 'desk',
                $response->getStatusCode(),
                microtime(true) - (float) $request->server('REQUEST_TIME_FLOAT', microtime(true)),
            );
        }
    }
}
