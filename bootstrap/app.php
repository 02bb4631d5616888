<?php

declare(strict_types=1);

use App\Door\Answers;
use App\Door\ReadSessionOnly;
use App\Door\SecurityHeaders;
use App\Door\SoundInput;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Middleware\HandleCors;

return Application::configure(basePath: dirname(__DIR__))
    ->withProviders([], withBootstrapProviders: true)
    ->withRouting(web: __DIR__.'/../routes/web.php')
    ->withMiddleware(function (Middleware $middleware): void {
        $middleware->remove(HandleCors::class);
        // Outermost, so that what is refused on the way in wears them as well.
        $middleware->prepend(SecurityHeaders::class);
        $middleware->append(SoundInput::class);
        $middleware->web(append: [ReadSessionOnly::class]);
        // Here a space at an end is meant.
        $middleware->trimStrings(except: ['find', 'replace', 'separator']);
        $middleware->redirectGuestsTo(fn (): string => route('sign-in'));
    })
    ->withExceptions(Answers::register(...))
    ->create();
