<?php

declare(strict_types=1);

namespace App\Door;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Lets a page run and load only what Lokum itself ships, and be shown in no other page. */
final class SecurityHeaders
{
    public const ALL = [
        'Content-Security-Policy' => "default-src 'none'; script-src 'self'; style-src 'self'; img-src 'self' data:; font-src ".
        "'self'; connect-src 'self'; form-action 'self'; base-uri 'none'; frame-ancestors 'none'; manifest-src 'self'",
        'X-Content-Type-Options' => 'nosniff',
        'Referrer-Policy' => 'same-origin',
        'X-Frame-Options' => 'DENY',
        'Cross-Origin-Opener-Policy' => 'same-origin',
        'Permissions-Policy' => 'camera=(), geolocation=(), microphone=()',
    ];

    /** Seconds that a browser remembers to come by TLS only. */
    private const BY_TLS = 31536000;

    public function handle(Request $request, Closure $next): Response
    {
        $response = $next($request);
        $response->headers->add(self::ALL);
        if ($request->isSecure()) {
            $response->headers->set('Strict-Transport-Security', 'max-age='.self::BY_TLS);
        }

        return $response;
    }

    /** The same for answers that never come through here: of a failure that stops PHP itself. */
    public static function onEveryAnswer(): void
    {
        header_register_callback(function (): void {
            $there = array_map(fn (string $header): string => strtolower(strstr($header, ':', true) ?: ''), headers_list());
            foreach (self::ALL as $name => $value) {
                if (! in_array(strtolower($name), $there, true)) {
                    header("{$name}: {$value}");
                }
            }
        });
    }
}
