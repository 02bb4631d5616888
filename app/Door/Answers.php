<?php

declare(strict_types=1);

namespace App\Door;

use App\Data\StorageProblem;
use App\Editions\Served;
use App\Support\Refused;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Http\Exceptions\ThrottleRequestsException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\ValidationException;
use PDOException;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Throwable;

/** What is answered when something cannot be done: a page for people, JSON for programs, each saying why. */
final class Answers
{
    public static function register(Exceptions $exceptions): void
    {
        $exceptions->dontReport([Refused::class]);
        $exceptions->render(
            fn (Refused $why, Request $request): RedirectResponse|JsonResponse|Response => self::refused($why, $request),
        );
        $exceptions->render(
            fn (HttpExceptionInterface $problem, Request $request): JsonResponse|Response => self::http($problem, $request),
        );
        $exceptions->render(
            fn (PDOException $failure, Request $request): JsonResponse|RedirectResponse|Response|null => self::storage(
                $failure,
                $request,
            ),
        );
        $exceptions->render(
            fn (AuthenticationException $why, Request $request): ?JsonResponse => self::isForPrograms($request)
                ? self::json(401, 'Sign in first.')
                : null,
        );
        $exceptions->render(
            fn (Throwable $failure, Request $request): ?JsonResponse => match (true) {
                $failure instanceof ValidationException, ! self::isForPrograms($request), (bool) config('app.debug') => null,
                default => self::json(500, 'Something went wrong here. Nothing was changed; the log says more.'),
            },
        );
    }

    public static function json(int $status, string $message): JsonResponse
    {
        return response()->json(
            ['message' => $message],
            $status,
            options: JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_INVALID_UTF8_SUBSTITUTE,
        );
    }

    /** What cannot be done is told on the page it was asked from, with everything that was typed. */
    private static function refused(Refused $why, Request $request): RedirectResponse|JsonResponse|Response
    {
        return match (true) {
            self::isForPrograms($request) && $why->isForNow => self::json(503, $why->getMessage())->withHeaders(['Retry-After' => 1]),
            self::isForPrograms($request) => self::json(422, $why->getMessage()),
            ! $request->isMethodSafe() => back()
                ->withInput($request->except(['password', 'now']))
                ->withErrors([$why->field ?? 'refused' => $why->getMessage()]),
            // The page without what was asked of it; where nothing was asked, the page itself is what cannot be had.
            $request->getQueryString() !== null && $request->hasSession() => redirect()
                ->to($request->path())
                ->withErrors(['refused' => $why->getMessage()]),
            default => response()->view('errors.page', ['status' => 409, 'said' => $why->getMessage()], 409),
        };
    }

    private static function http(HttpExceptionInterface $problem, Request $request): JsonResponse|Response
    {
        $status = $problem->getStatusCode();
        $said =
            $problem instanceof ThrottleRequestsException
                ? 'Too many requests. Wait a minute, then try again.'
                : $problem->getMessage();
        if (self::isForPrograms($request)) {
            // What the framework says of an address that it does not know is meant for whoever works on Lokum.
            $said = match ($status) {
                404 => 'There is nothing at this address.',
                405 => 'This address takes no such method.',
                default => $said,
            };

            return self::json($status, $said)->withHeaders($problem->getHeaders());
        }

        return response()->view('errors.page', ['status' => $status, 'said' => $said], $status, $problem->getHeaders());
    }

    /** A disk that is full, a directory that cannot be written, a damaged file: said in these words. */
    private static function storage(PDOException $failure, Request $request): JsonResponse|RedirectResponse|Response|null
    {
        // An edition that is damaged gives way to the one before.
        if (
            StorageProblem::isDamage($failure) &&
            preg_match('#^/(?:shop|api)(?:/|$)#D', $request->getPathInfo()) === 1 &&
            Served::of($request)->giveUp()
        ) {
            return redirect()->to($request->getRequestUri());
        }
        $said = StorageProblem::inWords($failure);
        if ($said === null) {
            return null;
        }

        return self::isForPrograms($request)
            ? self::json(503, $said)
            : response()->view('errors.page', ['status' => 503, 'said' => $said], 503);
    }

    private static function isForPrograms(Request $request): bool
    {
        // By its bytes: a path may be no text at all.
        return preg_match('#^/api(?:/|$)#D', $request->getPathInfo()) === 1 || $request->wantsJson();
    }
}
