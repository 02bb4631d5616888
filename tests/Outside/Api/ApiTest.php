<?php

declare(strict_types=1);

use App\Api\ConnectionsController;
use App\Api\SendNotice;
use App\Lineups\EditLineup;
use App\Models\Delivery;
use App\Models\Receiver;
use App\Models\Token;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Http;
use Illuminate\Support\Facades\Queue;
use Symfony\Component\Process\Process;

/*
 * The edition for other programs. Sources: ajv (npm) holds the answers against docs/openapi.json; RFC 2104 and RFC 4231 for the
 * signature.
 */

beforeEach(function (): void {
    $this->read(
        "sku,parent_sku,name,category,brand,price,stock,Color,Weight\nP,,Tube,Paint,Ninefold,,,,10\nP-1,P,,,,4,2,Sage,\n".
        "P-2,P,,,,5,0,Olive,\nQ,,Brush,Brushes,Loxholm,9,1,,\n",
        '{"columns": {"Color": {"attribute": "color", "kind": "choice", "level": "variant"}, "Weight": {"attribute": "weight", '.
        '"kind": "number", "unit": "g"}}}',
    );
    app(EditLineup::class)->several(['color', 'brand', 'price', 'stock', 'weight']);
    $this->publish();
    $this->token = Token::issue('A test shop');
});

/**
 * @param  array<string, string>  $headers
 * @return Illuminate\Testing\TestResponse<Symfony\Component\HttpFoundation\Response>
 */
function ask(Tests\Support\CatalogTestCase $test, string $path, array $headers = []): Illuminate\Testing\TestResponse
{
    return $test->get($path, $headers + ['Authorization' => 'Bearer '.$test->token]);
}

test('every answer is as its description says', function (): void {
    $description = json_decode((string) $this->get('/api/openapi.json')->assertOk()->getContent(), true);
    $answers = [];
    foreach (
        [
            '/api/edition' => '/api/edition',
            '/api/line-up' => '/api/line-up',
            '/api/line-up?category=paint' => '/api/line-up',
            '/api/listing' => '/api/listing',
            '/api/listing?category=paint&color=sage&price=1..10' => '/api/listing',
            '/api/listing?q=brush' => '/api/listing',
            '/api/listing?q=tube&category=paint' => '/api/listing',
            '/api/terms/color' => '/api/terms/{attribute}',
            '/api/products/P' => '/api/products/{sku}',
            '/api/products/Q' => '/api/products/{sku}',
        ] as $path => $described
    ) {
        $answers[] = [
            'path' => $path,
            'schema' => '/paths/'.
                str_replace(['~', '/', '{', '}'], ['~0', '~1', '%7B', '%7D'], $described).
                '/get/responses/200/content/application~1json/schema',
            'document' => json_decode((string) ask($this, $path)->assertOk()->getContent()),
        ];
    }
    $refused = [
        '/api/terms/none' => 404,
        '/api/products/none' => 404,
        '/api/listing?category=none' => 404,
        '/api/listing?page=9' => 404,
        '/api/none' => 404,
        '/api/listing?page=x' => 422,
        '/api/listing?sort=none' => 422,
        '/api/listing?color=none' => 422,
        '/api/listing?none=1' => 422,
        '/api/listing?price=1e999..' => 422,
        '/api/listing?price=a..b' => 422,
        '/api/listing?sort[]=x' => 400,
        '/api/listing?q=%FF' => 400,
    ];
    foreach ($refused as $path => $status) {
        $answers[] = [
            'path' => $path,
            'schema' => '/components/schemas/Error',
            'document' => json_decode((string) ask($this, $path)->assertStatus($status)->getContent()),
        ];
    }
    $sayer = ['Authorization' => 'Bearer '.Token::issue('A sayer', saysPrices: true)];
    foreach (
        [
            [['sku' => 'Q', 'price' => 3], 200],
            [['sku' => 'Q', 'price' => 3, 'stock' => null], 200],
            [['sku' => 'nosuch', 'stock' => 1], 422],
        ] as [$row, $status]
    ) {
        $answer = $this->patchJson('/api/products', ['products' => [$row]], $sayer)->assertStatus($status);
        $answers[] = [
            'path' => 'PATCH /api/products',
            'schema' => '/components/schemas/SaidPrices',
            'document' => json_decode((string) $answer->getContent()),
        ];
    }
    $copies = $this->get('/api/copies', ['Authorization' => 'Bearer '.Token::issue('A replica', copies: true)])->assertOk();
    $answers[] = [
        'path' => '/api/copies',
        'schema' => '/components/schemas/Copies',
        'document' => json_decode((string) $copies->getContent()),
    ];
    $run = new Process(
        ['node', __DIR__.'/schemas.mjs'],
        input: (string) json_encode(['description' => $description, 'answers' => $answers]),
    );
    expect(json_decode($run->mustRun()->getOutput(), true))->toBe([]);
    // The check itself can fail.
    $answers[0]['document']->edition = 'twelve';
    expect(
        json_decode(
            (new Process(
                ['node', __DIR__.'/schemas.mjs'],
                input: (string) json_encode(['description' => $description, 'answers' => $answers]),
            ))
                ->mustRun()
                ->getOutput(),
            true,
        ),
    )->toHaveCount(1);
    $paths = array_map(
        fn ($route): string => '/'.$route->uri(),
        array_filter(
            Illuminate\Support\Facades\Route::getRoutes()->getRoutes(),
            fn ($route): bool => str_starts_with($route->uri(), 'api/') && $route->uri() !== 'api/openapi.json',
        ),
    );
    expect(array_values(array_diff($paths, array_keys($description['paths']))))->toBe([]);
});

test('counts are those of the same variant, picks as in the shop', function (): void {
    $listing = ask($this, '/api/listing?color=sage&stock=yes')->json();
    expect($listing['products'])
        ->toBe(1)
        ->and(array_column(array_column($listing['filters'], null, 'key')['color']['terms'], 'count', 'slug'))
        ->toBe(['sage' => 1])
        ->and(ask($this, '/api/listing?color=olive&stock=yes')->json('products'))
        ->toBe(0);
});

test('nobody is let in without a token, and an edition that is known is not sent again', function (): void {
    $this->get('/api/edition')->assertStatus(401)->assertHeader('WWW-Authenticate', 'Bearer');
    $this->get('/api/edition', ['Authorization' => 'Bearer lokum_wrong'])->assertStatus(401);
    $tag = (string) ask($this, '/api/listing')->assertOk()->headers->get('ETag');
    expect($tag)->toBe('"edition-1"');
    ask($this, '/api/listing', ['If-None-Match' => $tag])->assertStatus(304);
    $this->publish();
    ask($this, '/api/listing', ['If-None-Match' => $tag])
        ->assertOk()
        ->assertHeader('ETag', '"edition-2"');
    Token::query()->delete();
    ask($this, '/api/edition')->assertStatus(401);
});

test('the whole edition comes as JSON Lines', function (): void {
    $lines = array_map(
        fn (string $line): array => json_decode($line, true),
        explode("\n", trim(ask($this, '/api/edition.jsonl')->assertOk()->streamedContent())),
    );
    expect($lines[0])
        ->toMatchArray(['type' => 'edition', 'edition' => 1, 'products' => 2])
        ->and(array_column(array_filter($lines, fn (array $line): bool => $line['type'] === 'product'), 'sku'))
        ->toBe(['P', 'Q'])
        ->and(array_column(array_filter($lines, fn (array $line): bool => $line['type'] === 'attribute'), 'attribute'))
        ->toContain('color');
});

test('a signed notice goes out when an edition is served, is tried again, and is given up in the end', function (): void {
    Queue::fake();
    $receiver = Receiver::query()->create(['url' => 'https://93.184.215.14/lokum', 'secret' => 'quiet']);
    $this->publish();
    $delivery = Delivery::query()->firstOrFail();
    Queue::assertPushed(SendNotice::class, 1);
    Http::fakeSequence()->pushStatus(503)->pushStatus(200);
    (new SendNotice($delivery->id))->handle();
    expect($delivery->refresh()->state)
        ->toBe('waiting')
        ->and($delivery->answer)
        ->toBe('answered 503')
        ->and($delivery->attempts)
        ->toBe(1);
    (new SendNotice($delivery->id))->handle();
    expect($delivery->refresh()->state)->toBe('delivered')->and($delivery->attempts)->toBe(2);
    Http::assertSent(
        fn ($request): bool => $request->header('Signature')[0] === 'sha256='.hash_hmac('sha256', $request->body(), 'quiet') &&
            json_decode($request->body(), true)['edition'] === 2,
    );
    Http::fake(['*' => Http::response('', 500)]);
    $failing = Delivery::query()->create(['receiver_id' => $receiver->id, 'edition_id' => 2, 'state' => Delivery::WAITING]);
    for ($i = 0; $i < 8; $i++) {
        (new SendNotice($failing->id))->handle();
    }
    expect($failing->refresh()->state)
        ->toBe('given up')
        ->and($failing->attempts)
        ->toBe(1 + count(SendNotice::WAITS));
    // RFC 4231, test case 2.
    expect(Receiver::signature('what do ya want for nothing?', 'Jefe'))->toBe(
        'sha256=5bdcc146bf60754e6a042426089575c75a003f089d2739839dec58b964ec3843',
    );
});

test('the stand-in tells a genuine notice from another', function (): void {
    config(['lokum.demo' => true]);
    $body = '{"edition":7}';
    $post = fn (string $signature) => $this->call(
        'POST',
        '/stand-in/notices',
        [],
        [],
        [],
        ['HTTP_SIGNATURE' => $signature, 'CONTENT_TYPE' => 'application/json'],
        $body,
    );
    $post(Receiver::signature($body, ConnectionsController::STAND_IN_SECRET))->assertOk();
    $post('sha256=wrong')->assertStatus(400);
    expect(DB::table('received_notices')->pluck('genuine')->map(boolval(...))->all())->toBe([true, false]);
    $this->actingAs($this->person())->get('/outside')->assertSee('signature is right')->assertSee('signature is wrong');
    $this->post('/outside/receivers', ['url' => 'ftp://x'])->assertSessionHasErrors('url');
    $this->post('/outside/tokens', ['name' => 'Another'])->assertSessionHas('secret');
});

test('the filter over categories is picked by a name of its own, and a search keeps to a category', function (): void {
    app(EditLineup::class)->add('category');
    $this->publish();
    $listing = ask($this, '/api/listing?below=brushes')->assertOk()->json();
    expect($listing['products'])
        ->toBe(1)
        ->and(array_column($listing['filters'], 'parameter', 'key')['category'])
        ->toBe('below')
        ->and(ask($this, '/api/listing?q=tube')->json('products'))
        ->toBe(1)
        ->and(ask($this, '/api/listing?q=tube&category=brushes')->json('products'))
        ->toBe(0);
});

test('what is not there is not "not changed", and weak tags are understood', function (): void {
    ask($this, '/api/products/none', ['If-None-Match' => '"edition-1"'])->assertStatus(404);
    ask($this, '/api/products/P', ['If-None-Match' => 'W/"edition-1"'])->assertStatus(304);
    ask($this, '/api/products/P', ['If-None-Match' => '"edition-9", W/"edition-1"'])->assertStatus(304);
    ask($this, '/api/products/P', ['If-None-Match' => '"edition-9"'])->assertOk();
    foreach (['/api/none', '/api/terms/%FF'] as $path) {
        expect($this->get($path)->headers->get('Content-Type'))->toBe('application/json');
    }
    $this->post('/api/listing')->assertStatus(405)->assertHeader('Content-Type', 'application/json');
});
