<?php

declare(strict_types=1);

namespace App\Replicas;

use App\Editions\Served;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Cookie;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\HttpException;

/**
 * Nobody sees an older edition after a newer one, whichever replica is asked. What somebody saw last is in a cookie, sealed with what
 * all replicas of one catalog know; a replica that is behind looks at once, waits a moment for what comes, and else sends whoever
 * stands before it to another.
 */
final class NeverOlder
{
    private const COOKIE = 'lokum_edition';

    /** Seconds that a request is held for an edition that is on its way. */
    private const HELD = 2.0;

    private const GLANCE = 50_000;

    public function handle(Request $request, Closure $next): Response
    {
        $state = ReplicaState::read();
        if ($state->isGivenUp()) {
            throw self::elsewhere($state->silent());
        }
        $kept = $request->cookies->get(self::COOKIE);
        $seen = is_string($kept) ? Moment::unsealed($kept, $state->seal) : null;
        if ($seen !== null) {
            $this->catchUp($seen);
        }
        $served = Served::of($request)->edition;
        $response = $next($request);
        $now = $served === null ? null : Moment::of($served)->sealed($state->seal);
        // What any cache may keep, such as pictures, carries nothing of one shopper.
        $isShared = $response->headers->hasCacheControlDirective('public');
        if ($now !== null && $now !== $kept && ! $isShared && $response->getStatusCode() < 400) {
            $response->headers->setCookie(
                Cookie::create(self::COOKIE, $now, httpOnly: true, sameSite: Cookie::SAMESITE_LAX, secure: $request->isSecure()),
            );
        }

        return $response;
    }

    private function catchUp(Moment $seen): void
    {
        $isBehind = fn (): bool => ($here = Served::now()->edition) === null || Moment::of($here)->isBefore($seen);
        for ($until = microtime(true) + self::HELD; $isBehind();) {
            if (microtime(true) >= $until) {
                throw self::elsewhere('This replica has not yet got the edition that you have seen.');
            }
            ReplicaState::poke();
            usleep(self::GLANCE);
        }
    }

    private static function elsewhere(string $why): HttpException
    {
        return new HttpException(503, $why, headers: ['Retry-After' => '1']);
    }
}
