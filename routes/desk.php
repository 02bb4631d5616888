<?php

declare(strict_types=1);

/* The desk, and what programs may do beyond reading: where the catalog is, and nowhere else. */

use App\Access\AccountController;
use App\Access\FirstAccountController;
use App\Access\PeopleController;
use App\Access\SignInController;
use App\Api\ConnectionsController;
use App\Api\CopiesController;
use App\Api\PricesController;
use App\Api\RequireToken;
use App\Definitions\DefinitionsController;
use App\Definitions\ExpectedController;
use App\Definitions\UnitsController;
use App\Feeds\FeedsController;
use App\Fill\RulesController;
use App\Guide\GuideController;
use App\History\HistoryController;
use App\Lineups\LineupsController;
use App\Products\GridController;
use App\Products\ProductsController;
use App\Publishing\PublishingController;
use App\Search\SearchController;
use App\Settings\SettingsController;
use App\Sources\SourcesController;
use App\Today\PathController;
use App\Today\TodayController;
use App\Vocabulary\NewcomersController;
use App\Vocabulary\ReviewController;
use App\Vocabulary\UmbrellasController;
use App\Vocabulary\UnreadController;
use App\Vocabulary\ValueActsController;
use App\Vocabulary\ValuesController;
use App\Vocabulary\VocabularyController;
use App\Vocabulary\Workbench;
use Illuminate\Support\Facades\Route;

Route::middleware('guest')->group(function (): void {
    Route::get('/sign-in', [SignInController::class, 'show'])->name('sign-in');
    Route::post('/sign-in', [SignInController::class, 'store'])->middleware('throttle:sign-in');
    Route::middleware('throttle:sign-in')->group(function (): void {
        Route::get('/begin/{secret}', [FirstAccountController::class, 'show'])->name('begin');
        Route::post('/begin/{secret}', [FirstAccountController::class, 'store']);
    });
});

Route::middleware(['auth', 'can:look'])->group(function (): void {
    Route::get('/account', [AccountController::class, 'show'])->name('account');
    Route::put('/account', [AccountController::class, 'update'])
        ->middleware('throttle:sign-in')
        ->name('account.update');
    Route::post('/sign-out', [SignInController::class, 'destroy'])->name('sign-out');
    Route::get('/', TodayController::class)->name('today');
    Route::get('/search', SearchController::class)->name('search');
    Route::get('/guide/pictures/{picture}', [GuideController::class, 'picture'])->where('picture', '[a-z-]+')->name('guide.picture');
    Route::get('/guide/{slug?}', [GuideController::class, 'show'])->where('slug', '[a-z-]+')->name('guide');
    Route::get('/today/merge', [PathController::class, 'merge'])->name('path.merge');
    Route::get('/today/expected', [PathController::class, 'expected'])->name('path.expected');
    Route::get('/today/line-ups', [PathController::class, 'lineups'])->name('path.line-ups');
    Route::get('/today/found', [TodayController::class, 'found'])->name('today.found');
    Route::get('/products', [ProductsController::class, 'index'])->name('products');
    Route::get('/products/choices', [ProductsController::class, 'choices'])->name('products.choices');
    Route::get('/products/suggest', [GridController::class, 'suggest'])->name('products.suggest');
    Route::get('/products/{item}', [ProductsController::class, 'show'])->name('products.show');
    Route::get('/definitions/units', [UnitsController::class, 'show'])->name('units');
    Route::get('/definitions', [DefinitionsController::class, 'index'])->name('definitions');
    Route::get('/expected', [ExpectedController::class, 'show'])->name('expected');
    Route::get('/rules', [RulesController::class, 'index'])->name('rules');
    Route::get('/values', [ValuesController::class, 'index'])->name('values');
    Route::get('/values/vocabulary-{format}.zip', [VocabularyController::class, 'everything'])->name('values.vocabulary.everything');
    Route::get('/values/{definition:slug}/vocabulary', [VocabularyController::class, 'show'])->name('values.vocabulary');
    Route::get('/values/{definition:slug}/vocabulary.zip', [VocabularyController::class, 'withPictures'])
        ->name('values.vocabulary.pictures');
    Route::get('/values/{definition:slug}/vocabulary/{format}', [VocabularyController::class, 'export'])
        ->name('values.vocabulary.export');
    Route::get('/values/{definition:slug}/look-alikes', [ReviewController::class, 'show'])->name('values.review');
    Route::get('/values/{definition:slug}/umbrellas', [UmbrellasController::class, 'show'])->name('values.umbrellas');
    Route::get('/values/{definition:slug}/unread', [UnreadController::class, 'show'])->name('values.unread');
    Route::get('/values/{definition:slug}/{lens?}', [ValuesController::class, 'show'])
        ->whereIn('lens', array_keys(Workbench::LENSES))
        ->name('values.show');
    Route::get('/newcomers/{definition:slug?}', [NewcomersController::class, 'show'])->name('newcomers');
    Route::get('/line-ups', [LineupsController::class, 'show'])->name('line-ups');
    Route::get('/feeds', [FeedsController::class, 'index'])->name('feeds');
    Route::get('/feeds/sources/{feed}', [SourcesController::class, 'show'])->name('sources.show');
    Route::get('/feeds/outbox', [SourcesController::class, 'outbox'])->name('outbox');
    Route::get('/feeds/runs', [SourcesController::class, 'runs'])->name('runs');
    Route::get('/feeds/readings/{reading}', [FeedsController::class, 'show'])->name('readings.show');
    Route::get('/feeds/readings/{reading}/refused.csv', [FeedsController::class, 'refused'])->name('readings.refused');
    Route::get('/history', [HistoryController::class, 'index'])->name('history');
    Route::get('/publishing', [PublishingController::class, 'show'])->name('publishing');
    Route::get('/publishing/status', [PublishingController::class, 'status'])->name('publishing.status');
});

Route::middleware(['auth', 'can:edit'])->group(function (): void {
    Route::post('/today/accept', [PathController::class, 'accept'])->name('path.accept');
    Route::post('/today/expect', [PathController::class, 'expect'])->name('path.expect');
    Route::post('/today/compose', [PathController::class, 'compose'])->name('path.compose');
    Route::post('/products/give', [ProductsController::class, 'give'])->name('products.give');
    Route::post('/products/category', [ProductsController::class, 'putIn'])->name('products.category');
    Route::post('/products/out', [ProductsController::class, 'out'])->name('products.out');
    Route::post('/products/views', [GridController::class, 'saveView'])->name('products.views');
    Route::delete('/products/views/{view}', [GridController::class, 'removeView'])->name('products.views.remove');
    Route::put('/products/cells', [GridController::class, 'cells'])->name('products.cells');
    Route::put('/products/{item}', [ProductsController::class, 'update'])->name('products.update');
    Route::post('/definitions', [DefinitionsController::class, 'store'])->name('definitions.store');
    Route::post('/definitions/several', [DefinitionsController::class, 'several'])->name('definitions.several');
    Route::put('/definitions/units', [UnitsController::class, 'update']);
    Route::put('/definitions/{definition}', [DefinitionsController::class, 'update'])->name('definitions.update');
    Route::put('/definitions/{definition:slug}/address', [DefinitionsController::class, 'address'])->name('definitions.address');
    Route::put('/definitions/{definition:slug}/day-order', [DefinitionsController::class, 'dayOrder'])->name('definitions.day-order');
    Route::post('/definitions/{definition}/merge', [DefinitionsController::class, 'merge'])->name('definitions.merge');
    Route::post('/definitions/{definition}/end', [DefinitionsController::class, 'end'])->name('definitions.end');
    Route::post('/expected', [ExpectedController::class, 'store'])->name('expected.store');
    Route::post('/rules', [RulesController::class, 'store'])->name('rules.store');
    Route::post('/rules/order', [RulesController::class, 'order'])->name('rules.order');
    Route::post('/rules/run', [RulesController::class, 'run'])->name('rules.run');
    Route::put('/rules/{rule}', [RulesController::class, 'update'])->name('rules.update');
    Route::post('/rules/{rule}/pause', [RulesController::class, 'pause'])->name('rules.pause');
    Route::delete('/rules/{rule}', [RulesController::class, 'destroy'])->name('rules.destroy');
    Route::post('/values/vocabulary', [VocabularyController::class, 'lookAtAll'])->name('values.lists');
    Route::post('/values/vocabulary/take-in', [VocabularyController::class, 'takeAllIn'])->name('values.lists.take-in');
    Route::post('/values/{definition:slug}', [ValuesController::class, 'store'])->name('values.store');
    Route::post('/values/{definition:slug}/vocabulary', [VocabularyController::class, 'look'])->name('values.vocabulary.look');
    Route::post('/values/{definition:slug}/vocabulary/take-in', [VocabularyController::class, 'takeIn'])
        ->name('values.vocabulary.take-in');
    Route::post('/values/{definition:slug}/look-alikes', [ReviewController::class, 'store'])->name('values.review.store');
    Route::post('/values/{definition:slug}/look-alikes/certain', [ReviewController::class, 'batch'])->name('values.review.batch');
    Route::put('/values/{definition:slug}/unread', [UnreadController::class, 'update'])->name('values.unread.update');
    Route::post('/values/{definition:slug}/gather', [ValueActsController::class, 'gather'])->name('values.gather');
    Route::post('/values/{definition:slug}/apart', [ValueActsController::class, 'apart'])->name('values.apart');
    Route::post('/values/{definition:slug}/several', [ValueActsController::class, 'several'])->name('values.several');
    Route::post('/values/{definition:slug}/spellings/{spelling}', [ValueActsController::class, 'spelling'])
        ->name('values.spelling')
        ->withoutScopedBindings();
    Route::post('/newcomers/{definition:slug}', [NewcomersController::class, 'store'])->name('newcomers.store');
    Route::post('/values/{definition:slug}/umbrellas', [UmbrellasController::class, 'store'])->name('values.umbrellas.store');
    Route::put('/values/{definition:slug}/umbrellas/{umbrella}', [ValueActsController::class, 'umbrella'])
        ->name('values.umbrella')
        ->withoutScopedBindings();
    Route::post('/values/{definition:slug}/merge', [ValueActsController::class, 'merge'])->name('values.merge');
    Route::post('/values/{definition:slug}/order', [ValuesController::class, 'order'])->name('values.order');
    Route::put('/values/{definition:slug}/{value}/address', [ValuesController::class, 'address'])
        ->name('values.address')
        ->withoutScopedBindings();
    Route::put('/values/{definition:slug}/{value}/name', [ValuesController::class, 'rename'])
        ->name('values.rename')
        ->withoutScopedBindings();
    Route::put('/values/{definition:slug}/{value}', [ValuesController::class, 'update'])
        ->name('values.update')
        ->withoutScopedBindings();
    Route::post('/line-ups', [LineupsController::class, 'store'])->name('line-ups.store');
    Route::post('/line-ups/order', [LineupsController::class, 'order'])->name('line-ups.order');
    Route::post('/line-ups/settings', [LineupsController::class, 'settings'])->name('line-ups.settings');
    Route::post('/line-ups/copy', [LineupsController::class, 'copy'])->name('line-ups.copy');
    Route::delete('/line-ups', [LineupsController::class, 'remove'])->name('line-ups.remove');
    Route::post('/line-ups/categories/{category}', [LineupsController::class, 'own'])->name('line-ups.own');
    Route::put('/line-ups/{key}', [LineupsController::class, 'update'])->name('line-ups.update');
    Route::put('/line-ups/{key}/looks/{term}', [LineupsController::class, 'dress'])
        ->where('term', '[0-9]{1,18}')
        ->name('line-ups.dress');
    Route::post('/line-ups/{key}/admit', [LineupsController::class, 'admit'])->name('line-ups.admit');
    Route::post('/line-ups/{key}/part', [LineupsController::class, 'part'])->name('line-ups.part');
    Route::post('/line-ups/{key}/as-inherited', [LineupsController::class, 'fallBack'])->name('line-ups.inherit');
    Route::delete('/line-ups/{key}', [LineupsController::class, 'destroy'])->name('line-ups.destroy');
    Route::post('/feeds', [FeedsController::class, 'store'])->name('feeds.store');
    Route::put('/feeds/sources/{feed}', [SourcesController::class, 'update'])->name('sources.update');
    Route::post('/feeds/sources/{feed}/run', [SourcesController::class, 'run'])->name('sources.run');
    Route::post('/feeds/readings/{reading}/aside', [SourcesController::class, 'aside'])->name('readings.aside');
    Route::post('/feeds/readings/{reading}/check', [FeedsController::class, 'check'])->name('readings.check');
    Route::post('/feeds/readings/{reading}/read', [FeedsController::class, 'read'])->name('readings.read');
    Route::post('/history/{change}/take-back', [HistoryController::class, 'takeBack'])->name('history.take-back');
    Route::post('/history/{change}/take-back-to', [HistoryController::class, 'takeBackTo'])->name('history.take-back-to');
});

Route::prefix('api')
    ->name('api.')
    ->withoutMiddleware('web')
    ->middleware(RequireToken::class)
    ->group(function (): void {
        Route::patch('/products', [PricesController::class, 'update'])->name('prices');
        Route::get('/copies', [CopiesController::class, 'manifest'])->name('copies');
        Route::get('/copies/editions/{file}', [CopiesController::class, 'edition'])->name('copies.edition');
        Route::get('/copies/editions/{file}/said', [CopiesController::class, 'said'])->name('copies.said');
        Route::get('/copies/pictures/{name}', [CopiesController::class, 'picture'])
            ->where('name', '[a-f0-9]{32}\.webp')
            ->name('copies.picture');
    });

Route::post('/stand-in/notices', [ConnectionsController::class, 'standIn'])
    ->withoutMiddleware('web')
    ->middleware('throttle:120,1')
    ->name('stand-in');

Route::post('/publishing/{edition}/serve', [PublishingController::class, 'serve'])
    ->middleware(['auth', 'can:publish'])
    ->name('publishing.serve');
Route::middleware(['auth', 'can:publish'])->group(function (): void {
    Route::post('/publishing/planned', [PublishingController::class, 'plan'])->name('publishing.plan');
    Route::delete('/publishing/planned', [PublishingController::class, 'callOff'])->name('publishing.call-off');
});
Route::post('/publishing', [PublishingController::class, 'store'])
    ->middleware(['auth', 'can:publish'])
    ->name('publishing.store');

Route::middleware(['auth', 'can:manage'])->group(function (): void {
    Route::get('/outside', [ConnectionsController::class, 'show'])->name('outside');
    Route::post('/outside/tokens', [ConnectionsController::class, 'token'])->name('outside.token');
    Route::delete('/outside/tokens/{token}', [ConnectionsController::class, 'removeToken'])->name('outside.token.remove');
    Route::post('/outside/receivers', [ConnectionsController::class, 'receiver'])->name('outside.receiver');
    Route::post('/outside/receivers/{receiver}', [ConnectionsController::class, 'again'])->name('outside.receiver.again');
    Route::delete('/outside/receivers/{receiver}', [ConnectionsController::class, 'removeReceiver'])->name('outside.receiver.remove');
    Route::post('/products/delete', [ProductsController::class, 'delete'])->name('products.delete');
    Route::get('/settings', [SettingsController::class, 'show'])->name('settings');
    Route::put('/settings', [SettingsController::class, 'update']);
    Route::get('/people', [PeopleController::class, 'index'])->name('people');
    Route::post('/people', [PeopleController::class, 'store'])->name('people.store');
    Route::put('/people/{user}', [PeopleController::class, 'update'])->name('people.update');
    Route::delete('/people/{user}', [PeopleController::class, 'destroy'])->name('people.destroy');
});
