<?php

declare(strict_types=1);

use App\Models\Edition;
use App\Models\Token;
use App\Watch\CountRequests;
use App\Watch\RequestTally;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/* What load balancers and whoever watches over a server are told. */

test('shoppers are sent here where an edition can be served, and not where none can', function (): void {
    $this->get('/health')->assertStatus(503)->assertJson(['status' => 'down', 'why' => 'There is no edition yet.']);
    $this->read("sku,category,price,Color\nA,Paint,4,Red\n");
    $this->publish();
    $this->get('/health')->assertOk()->assertExactJson(['status' => 'ok', 'edition' => 1])->assertHeaderMissing('Set-Cookie');
    unlink(Edition::directory().'/'.Edition::current()?->file);
    $this->get('/health')->assertStatus(503)->assertJson(['status' => 'down']);
});

test('requests are counted by area and status, those of ended processes too', function (): void {
    $count = new CountRequests();
    $answered = [
        ['/shop', 200, 0.02],
        ['/shop/c/paint', 200, 0.3],
        ['/api/edition', 401, 0.001],
        ['/values/color', 500, 30.0],
        ['/health', 200, 0.0],
    ];
    foreach ($answered as [$path, $status, $seconds]) {
        $request = Request::create($path, server: ['REQUEST_TIME_FLOAT' => microtime(true) - $seconds]);
        $count->terminate($request, new Response('', $status));
    }
    // A process that is no more.
    rename($this->data().'/metrics/'.getmypid(), $this->data().'/metrics/4194999');
    $count->terminate(Request::create('/shop', server: ['REQUEST_TIME_FLOAT' => microtime(true)]), new Response());
    foreach ([1, 2] as $_) {
        $all = RequestTally::all();
        expect(array_keys($all))
            ->toBe(['api 4xx', 'desk 5xx', 'shop 2xx'])
            ->and($all['shop 2xx']['steps'])
            ->toBe([1, 2, 2, 2, 2, 3, 3, 3, 3, 3, 3])
            ->and($all['desk 5xx']['steps'])
            ->toBe([0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 1])
            ->and(is_file($this->data().'/metrics/4194999'))
            ->toBeFalse();
    }
});

test('figures are for who shows a token', function (): void {
    $this->read("sku,category,price,Color\nA,Paint,4,Red\n");
    $this->publish();
    $this->get('/metrics')->assertStatus(401);
    $text = (string) $this->get('/metrics', ['Authorization' => 'Bearer '.Token::issue('Watcher')])->assertOk()->getContent();
    expect($text)
        ->toContain("# TYPE lokum_request_duration_seconds histogram\n")
        ->toContain("\nlokum_edition 1\n")
        ->toContain("\nlokum_edition_products 1\n")
        ->toContain("\nlokum_queue_jobs 0\n");
});
