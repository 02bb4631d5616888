<?php

declare(strict_types=1);

namespace App;

use App\Api\SendNotice;
use App\Data\PatientConnection;
use App\Data\ReadOnlyCatalog;
use App\Door\RelativeUrls;
use App\Feeds\DeliveryRead;
use App\Feeds\FinishReading;
use App\Feeds\ForgetFiles;
use App\History\Ledger;
use App\History\Remembered;
use App\Lineups\CountAhead;
use App\Models\Role;
use App\Models\User;
use App\Publishing\EditionPublished;
use App\Publishing\StatusBar;
use App\Settings\Shop;
use App\Sources\Outbox;
use App\Storefront\ShopFrame;
use App\Support\LookedUp;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Contracts\Foundation\Application;
use Illuminate\Database\Connection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Request;
use Illuminate\Queue\Events\JobProcessing;
use Illuminate\Queue\Events\WorkerStarting;
use Illuminate\Support\Facades\Blade;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Log;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Facades\View;
use Illuminate\Support\ServiceProvider;
use Lokum\Vocabulary\TermSorter;

final class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        Connection::resolverFor(
            'sqlite',
            fn (mixed $pdo, string $database, string $prefix, array $config): PatientConnection => new PatientConnection(
                $pdo,
                $database,
                $prefix,
                $config,
            ),
        );
        $this->app->bind('db.connector.sqlite', ReadOnlyCatalog::class);
        $this->app->singleton(
            'url',
            fn (Application $app): RelativeUrls => new RelativeUrls(
                $app->instance('routes', $app->make('router')->getRoutes()),
                $app->rebinding('request', fn (Application $app, Request $request) => $app->make('url')->setRequest($request)),
            ),
        );
        $this->app->singleton(Ledger::class);
        $this->app->singleton(LookedUp::class);
        $this->app->scoped(Remembered::class);
        $this->app->bind(TermSorter::class, fn (): TermSorter => new TermSorter((string) config('lokum.locale')));
    }

    public function boot(): void
    {
        Model::shouldBeStrict();
        // What costs a query too many is a fault for whoever works on Lokum, and none that should stop anybody else.
        if ($this->app->environment('production')) {
            Model::handleLazyLoadingViolationUsing(
                fn (Model $model, string $relation) => Log::warning('A query too many: '.$model::class."::{$relation}."),
            );
        }

        // What a kill has cut off behind a reading is brought to an end when work goes on; a worker starts anew every hour.
        Event::listen(WorkerStarting::class, fn () => app(FinishReading::class)->whatWasCutOff());
        Event::listen(WorkerStarting::class, fn () => app(ForgetFiles::class)());
        Event::listen(JobProcessing::class, fn () => Shop::apply());
        View::addNamespace('demo', base_path('demo/views'));
        // How a template is set out is for who reads it: a third of a long page would be room at the beginning of lines.
        Blade::prepareStringsForCompilationUsing(fn (string $view): string => (string) preg_replace('/^[ \t]+/m', ' ', $view));

        View::composer('publishing.status-bar', StatusBar::class);
        View::composer('shop.frame', ShopFrame::class);

        // Programs outside are told of every edition; whoever publishes need not know of them.
        Event::listen(EditionPublished::class, fn (EditionPublished $said) => SendNotice::toAll($said->edition));

        Event::listen(DeliveryRead::class, fn () => dispatch(new CountAhead()));

        Mail::extend('outbox', fn (): Outbox => new Outbox());
        Gate::define('look', fn (User $user): bool => true);
        Gate::define('edit', fn (User $user): bool => $user->role !== Role::Viewer);
        Gate::define('publish', fn (User $user): bool => $user->role !== Role::Viewer);
        Gate::define('manage', fn (User $user): bool => $user->role === Role::Manager);

        RateLimiter::for(
            'sign-in',
            fn (Request $request): array => [
                Limit::perMinute(6)->by(User::address((string) $request->input('email')).'|'.$request->ip()),
                Limit::perMinute(30)->by((string) $request->ip()),
            ],
        );
    }
}
