<?php

declare(strict_types=1);

use App\Access\FirstAccount;
use App\Models\Role;
use App\Models\User;

/* A catalog without people: its first account is made once, by whoever has the address. */

const FIRST_PERSON = ['name' => 'Ada Wick', 'email' => 'Ada@Example.com', 'password' => 'four-words-from-nowhere'];

test('the address makes one manager, signs in, and ends', function (): void {
    $secret = FirstAccount::invite();
    $this->get('/begin/wrong')->assertNotFound();
    $this->post('/begin/wrong', FIRST_PERSON)->assertNotFound();
    $this->get("/begin/{$secret}")->assertOk()->assertSee('Begin');
    $this->post("/begin/{$secret}", FIRST_PERSON)->assertRedirect('/');
    $user = User::query()->sole();
    expect([$user->name, $user->email, $user->role])->toBe(['Ada Wick', 'ada@example.com', Role::Manager]);
    $this->assertAuthenticatedAs($user);
    auth()->logout();
    $this->get("/begin/{$secret}")->assertRedirect('/sign-in');
    $this->post("/begin/{$secret}", ['email' => 'second@example.com'] + FIRST_PERSON)->assertNotFound();
    expect(User::query()->count())->toBe(1);
});

test('a newer address ends the one before', function (): void {
    $old = FirstAccount::invite();
    $new = FirstAccount::invite();
    $this->get("/begin/{$old}")->assertNotFound();
    $this->get("/begin/{$new}")->assertOk();
});

test('what is wrong is said at its field, and what was typed stays', function (string $field, string $typed, string $says): void {
    $secret = FirstAccount::invite();
    $this->from("/begin/{$secret}")
        ->post("/begin/{$secret}", [$field => $typed] + FIRST_PERSON)
        ->assertRedirect("/begin/{$secret}")
        ->assertSessionHasErrors([$field => $says]);
    expect(User::query()->doesntExist())->toBeTrue()->and(old('password'))->toBeNull();
    $this->get("/begin/{$secret}")->assertSee($field === 'name' ? 'Ada@Example.com' : 'Ada Wick');
})->with([
    ['name', ' ', 'A name has one to a hundred letters.'],
    ['email', 'ada', 'That is no e-mail address.'],
    ['password', 'short', 'A password has 12 characters or more.'],
    ['password', 'password1234', 'This password is one of those that are tried first. Choose another, such as four words that have '.
        'nothing to do with each other.'],
]);
