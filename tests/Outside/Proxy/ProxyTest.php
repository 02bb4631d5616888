<?php

declare(strict_types=1);

use App\Access\DemoAccount;
use Tests\Support\Proxy;

/* Behind nginx with TLS, as Debian has it and docs/running.md sets it up. */

function outside(): Proxy
{
    static $proxy = null;

    return $proxy ??= Proxy::start();
}

test('people sign in over TLS, their cookie is for TLS alone, and nothing leads off to plain addresses', function (): void {
    $page = outside()->ask('/sign-in');
    expect($page['status'])
        ->toBe(200)
        ->and($page['headers'])
        ->toMatch('/strict-transport-security: max-age=\d{7,}/i')
        ->and($page['headers'])
        ->toMatch('/set-cookie: [^\n]*secure[^\n]*/i')
        ->and($page['body'])
        ->not->toContain('http://');
    $token = (string) preg_replace('/^.*name="_token" value="([^"]+)".*$/s', '$1', $page['body']);
    $action = (string) preg_replace('/^.*?<form[^>]* action="([^"]*)".*$/s', '$1', $page['body']);
    expect($action)->toStartWith('/');
    $who = DemoAccount::all()[0];
    $answer = outside()->ask($action, ['_token' => $token, 'email' => $who->email, 'password' => $who->password]);
    expect($answer['status'])->toBe(302)->and($answer['headers'])->not->toContain('http://');
    $today = outside()->ask('/');
    expect($today['status'])->toBe(200)->and($today['body'])->toContain('Today')->and($today['headers'])->toContain('no-store');
});

test('throttles see the address of whoever asks, not the proxy\'s', function (): void {
    for ($i = 0; $i < 10; $i++) {
        $last = outside()->ask("/shop?page=1&n={$i}", from: '127.0.0.3');
    }
    expect($last['status'])
        ->toBe(429)
        ->and(outside()->ask('/shop?page=1', from: '127.0.0.4')['status'])
        ->toBe(200);
    // Whoever claims to be somebody else is who nginx sees.
    expect(outside()->ask('/shop?page=1', headers: ['X-Forwarded-For: 10.1.2.3'], from: '127.0.0.3')['status'])->toBe(429);
});

test('another host name is refused, with the headers of every answer', function (): void {
    $answer = outside()->ask('/shop', headers: ['Host: evil.example']);
    expect($answer['status'])
        ->toBe(400)
        ->and($answer['body'])
        ->not->toContain('evil.example')
        ->and($answer['headers'])
        ->toMatch('/content-security-policy/i');
});
