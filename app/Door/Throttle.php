<?php

declare(strict_types=1);

namespace App\Door;

use Closure;
use Illuminate\Database\QueryException;
use Illuminate\Http\Exceptions\ThrottleRequestsException;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\RateLimiter;
use Symfony\Component\HttpFoundation\Response;

/**
 * So many narrowed pages of the shop an address may ask for in a minute. Where that cannot be counted, since the disk is full,
 * shoppers are served.
 */
final class Throttle
{
    private const SECONDS = 60;

    public function handle(Request $request, Closure $next): Response
    {
        // Pages that are not narrowed cost next to nothing.
        if ($request->getQueryString() !== null) {
            self::count('shop:'.$request->ip(), (int) config('lokum.shop_limit'));
        }

        return $next($request);
    }

    /** @throws ThrottleRequestsException for one too many */
    public static function count(string $who, int $most): void
    {
        try {
            $left = RateLimiter::attempt($who, $most, fn (): bool => true, self::SECONDS);
        } catch (QueryException) {
            return;
        }
        if ($left === false) {
            throw new ThrottleRequestsException('Too many requests.', null, [
                'Retry-After' => (string) RateLimiter::availableIn($who),
            ]);
        }
    }
}
