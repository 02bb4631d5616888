<?php

declare(strict_types=1);

use App\Replicas\NeverOlder;
use App\Replicas\NoticeController;
use App\Replicas\ReplicaState;
use App\Watch\WatchController;
use Illuminate\Support\Facades\Route;

Route::withoutMiddleware('web')->group(function (): void {
    Route::get('/health', [WatchController::class, 'health'])->name('health');
    Route::get('/metrics', [WatchController::class, 'metrics'])->middleware('throttle:60,1')->name('metrics');
});
if (ReplicaState::isReplica()) {
    Route::middleware(NeverOlder::class)->group(base_path('routes/shop.php'));
    Route::post('/notices', NoticeController::class)
        ->withoutMiddleware('web')
        ->middleware('throttle:120,1')
        ->name('notices');
} else {
    require base_path('routes/shop.php');
    require base_path('routes/desk.php');
}
