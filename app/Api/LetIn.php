<?php

declare(strict_types=1);

namespace App\Api;

use App\Publishing\Edition;
use App\Refused;
use Closure;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Lets requests with a token in, answers errors in JSON, and says "not changed" where the edition is the one that is known. */
final class LetIn
{
    private const SEEN_EVERY = 60;

    public function handle(Request $request, Closure $next): Response
    {
        $token = Token::of($request->bearerToken());
        if ($token === null) {
            return self::error(401, 'Show a token: Authorization: Bearer …')->withHeaders(['WWW-Authenticate' => 'Bearer']);
        }
        if ($token->used_at === null || $token->used_at->diffInSeconds(now()) > self::SEEN_EVERY) {
            $token->forceFill(['used_at' => now()])->save();
        }
        $edition = Edition::current();
        if ($edition === null) {
            return self::error(503, 'There is no edition yet.');
        }
        $tag = '"edition-'.$edition->id.'"';
        if (in_array($tag, array_map(trim(...), explode(',', (string) $request->headers->get('If-None-Match'))), true)) {
            return response('', 304)->setEtag('edition-'.$edition->id);
        }
        $request->headers->set('Accept', 'application/json');
        $response = $next($request);
        if (property_exists($response, 'exception') && $response->exception instanceof Refused) {
            $response = self::error(422, $response->exception->getMessage());
        }

        return $response->isSuccessful() ? $response->setEtag('edition-'.$edition->id)->setPrivate() : $response;
    }

    public static function error(int $status, string $message): JsonResponse
    {
        return response()->json(['message' => $message], $status, options: JSON_UNESCAPED_UNICODE);
    }
}
