<?php

declare(strict_types=1);

use App\Access\ReadSessionOnly;
use App\Access\SecurityHeaders;
use App\Refused;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;

return Application::configure(basePath: dirname(__DIR__))
    ->withProviders([], withBootstrapProviders: true)
    ->withRouting(web: __DIR__.'/../routes/web.php')
    ->withMiddleware(function (Middleware $middleware): void {
        $middleware->remove(HandleCors::class);
        $middleware->append(SecurityHeaders::class);
        $middleware->web(append: [ReadSessionOnly::class]);
        // Here a space at an end is meant.
        $middleware->trimStrings(except: ['find', 'replace', 'separator']);
        $middleware->redirectGuestsTo(fn (): string => route('sign-in'));
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        $exceptions->dontReport([Refused::class]);
        // What cannot be done is told on the page it was asked from, with everything that was typed.
        $exceptions->render(fn (Refused $why, Request $request): RedirectResponse|JsonResponse|Response => match (true) {
            $request->wantsJson() => response()->json(['message' => $why->getMessage()], 422),
            ! $request->isMethodSafe() => back()->withInput($request->except('password'))->withErrors([$why->field ?? 'refused' => $why->getMessage()]),
            // The page without what was asked of it; where nothing was asked, the page itself is what cannot be had.
            $request->getQueryString() !== null => redirect()->to($request->path())->withErrors(['refused' => $why->getMessage()]),
            default => response()->view('errors.page', ['status' => 409, 'said' => $why->getMessage()], 409),
        });
        $exceptions->render(fn (HttpExceptionInterface $problem, Request $request): ?Response => $request->wantsJson() ? null
            : response()->view('errors.page', ['status' => $problem->getStatusCode()], $problem->getStatusCode(), $problem->getHeaders()));
    })
    ->create();
