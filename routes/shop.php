<?php

declare(strict_types=1);

/* What shoppers and programs are served from an edition, by the machine with the catalog and by its replicas. */

use App\Api\ApiController;
use App\Api\RequireToken;
use App\Door\Throttle;
use App\Storefront\DirectoryController;
use App\Storefront\ShopController;
use Illuminate\Support\Facades\Route;

// Outside the session: a guest's visit leaves no row, and what caches keep carries no cookie.
Route::withoutMiddleware('web')
    ->middleware(Throttle::class)
    ->group(function (): void {
        Route::get('/shop', [ShopController::class, 'home'])->name('shop');
        Route::get('/shop/search', [ShopController::class, 'search'])->name('shop.search');
        Route::get('/shop/c/{slug}', [ShopController::class, 'category'])->name('shop.category');
        Route::get('/shop/a/{attribute}', [DirectoryController::class, 'index'])->name('shop.directory');
        Route::get('/shop/a/{attribute}/{slug}', [DirectoryController::class, 'show'])->name('shop.value');
        Route::get('/pictures/{name}', [DirectoryController::class, 'picture'])
            ->where('name', '[a-f0-9]{32}\.webp')
            ->name('shop.picture');
        Route::get('/shop/p/{sku}', [ShopController::class, 'product'])
            ->where('sku', '.*')
            ->name('shop.product');
    });

Route::prefix('api')
    ->name('api.')
    ->withoutMiddleware('web')
    ->middleware(RequireToken::class)
    ->group(function (): void {
        Route::get('/edition', [ApiController::class, 'edition'])->name('edition');
        Route::get('/line-up', [ApiController::class, 'lineup'])->name('line-up');
        Route::get('/listing', [ApiController::class, 'listing'])->name('listing');
        Route::get('/terms/{attribute}', [ApiController::class, 'terms'])->name('terms');
        Route::get('/products/{sku}', [ApiController::class, 'show'])
            ->where('sku', '.*')
            ->name('product');
        Route::get('/edition.jsonl', [ApiController::class, 'everything'])->name('everything');
    });
Route::get('/api/openapi.json', [ApiController::class, 'document'])
    ->withoutMiddleware('web')
    ->name('api.document');
