<?php

declare(strict_types=1);

namespace App\Api;

use App\Door\Answers;
use App\Door\Throttle;
use App\Editions\Served;
use App\Models\Token;
use Closure;
use Illuminate\Database\QueryException;
use Illuminate\Http\Request;
use LogicException;
use Symfony\Component\HttpFoundation\Response;

/** Lets requests with a token in, answers errors in JSON, and says "not changed" where the edition is the one that is known. */
final class RequireToken
{
    private const SEEN_EVERY = 60;

    /** Requests a minute of one token, and of one address without. */
    private const MOST = 600;

    private const MOST_UNKNOWN = 60;

    /** Of one that copies: a shop has thousands of pictures. */
    private const MOST_COPIES = 30_000;

    /** The token that a request was let in with. */
    public static function shown(Request $request): Token
    {
        $token = $request->attributes->get(self::class);

        return $token instanceof Token ? $token : throw new LogicException('This address is not behind a token.');
    }

    public function handle(Request $request, Closure $next): Response
    {
        $token = Token::of($request->bearerToken());
        Throttle::count(
            $token === null ? 'guest:'.$request->ip() : "token:{$token->id}",
            match (true) {
                $token === null => self::MOST_UNKNOWN,
                $token->copies => self::MOST_COPIES,
                default => self::MOST,
            },
        );
        if ($token === null) {
            return Answers::json(401, 'Show a token: Authorization: Bearer …')->withHeaders(['WWW-Authenticate' => 'Bearer']);
        }
        $request->attributes->set(self::class, $token);
        if ($token->used_at === null || $token->used_at->diffInSeconds(now()) > self::SEEN_EVERY) {
            try {
                $token->forceFill(['used_at' => now()])->save();
            } catch (QueryException) {
                // Where the disk is full, shops are let in all the same.
            }
        }
        $served = Served::of($request);
        if ($served->edition === null) {
            return Answers::json(503, $served->problem ?? 'There is no edition yet.');
        }
        $response = $next($request);
        if ($response->isSuccessful() && $request->isMethodCacheable()) {
            $live = $served->file()->live?->version() ?? 0;
            // After the answer is known: what is not there is not "not changed".
            if ($response->getEtag() === null) {
                $response->setEtag("edition-{$served->edition->id}".($live === 0 ? '' : "-{$live}"));
            }
            $response->setPrivate()->isNotModified($request);
        }

        return $response;
    }
}
