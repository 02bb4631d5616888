<?php

declare(strict_types=1);

use App\Models\Role;
use Illuminate\Support\Facades\Route;

/* What cannot be shown says so in Lokum's own words, whatever it was. */

test('a page that cannot be had says what happened and where to go on', function (
    string $method,
    string $path,
    int $status,
    string $words,
): void {
    $this->actingAs($this->person(Role::Viewer));
    $this->call($method, $path)
        ->assertStatus($status)
        ->assertSee($words)
        ->assertSee(route('today'))
        ->assertHeader('Content-Security-Policy');
})->with([
    'an address of nothing' => ['GET', '/no-such-page', 404, 'There is nothing here'],
    'a definition that is gone' => ['GET', '/values/no-such-attribute', 404, 'There is nothing here'],
    'the address of a form' => ['GET', '/sign-out', 405, 'only takes a form'],
    'a change that a role may not make' => ['POST', '/publishing', 403, 'not open to you'],
]);

test('a failure shows nothing of its inside, and programs get JSON', function (): void {
    Route::get('/breaks', fn () => throw new RuntimeException('the secret inside'));
    $this->get('/breaks')->assertStatus(500)->assertSee('Something went wrong here')->assertDontSee('the secret inside');
    $this->getJson('/no-such-page')->assertStatus(404)->assertHeader('Content-Type', 'application/json');
});
