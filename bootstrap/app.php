<?php

declare(strict_types=1);

use App\Door\Answers;
use App\Door\AsSettled;
use App\Door\NotStored;
use App\Door\ReadSessionOnly;
use App\Door\SecurityHeaders;
use App\Door\SoundInput;
use App\Sources\LookAtSources;
use App\Watch\CountRequests;
use Illuminate\Console\Scheduling\Schedule;
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
        $middleware->prepend(CountRequests::class);
        $middleware->append(SoundInput::class);
        $middleware->append(AsSettled::class);
        $middleware->web(append: [ReadSessionOnly::class, NotStored::class]);
        // Set in the environment, since it has to be known before anything is read: docs/running.md.
        $middleware->trustProxies(at: array_filter(array_map(trim(...), explode(',', (string) getenv('LOKUM_PROXIES')))));
        $middleware->trustHosts(
            at: fn (): array => array_map(
                fn (string $host): string => '^'.preg_quote($host).'$',
                array_filter([
                    'localhost',
                    '127.0.0.1',
                    '[::1]',
                    (string) parse_url((string) getenv('LOKUM_URL'), PHP_URL_HOST),
                    // Where a replica listens for notices, and is asked how it is.
                    (string) getenv('LOKUM_REPLICA_LISTEN'),
                ]),
            ),
            subdomains: false,
        );
        // Here a space at an end is meant.
        $middleware->trimStrings(except: ['find', 'replace', 'separator']);
        $middleware->redirectGuestsTo(fn (): string => route('sign-in'));
    })
    ->withSchedule(function (Schedule $schedule): void {
        $schedule->job(LookAtSources::class)->everyMinute();
    })
    ->withExceptions(Answers::register(...))
    // What is written from here on is the user's alone.
    ->booting(fn () => umask(0077))
    ->create();
