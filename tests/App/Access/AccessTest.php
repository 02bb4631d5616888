<?php

declare(strict_types=1);

use App\Draft\DraftLineups;
use App\Fill\EditRules;
use App\Fill\RuleForm;
use App\Lineups\ChangeFilter;
use App\Lineups\EditLineup;
use App\Models\Definition;
use App\Models\Filter;
use App\Models\Item;
use App\Models\Reading;
use App\Models\ReadingState;
use App\Models\Receiver;
use App\Models\Role;
use App\Models\Token;
use App\Models\User;
use App\Products\EditViews;
use App\Products\GridTokens;
use App\Vocabulary\GatherValues;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Route;

const OPEN_ROUTES = [
    'GET health',
    'GET sign-in',
    'POST sign-in',
    'GET begin/{secret}',
    'POST begin/{secret}',
    'GET shop',
    'GET shop/search',
    'GET shop/c/{slug}',
    'GET shop/p/{sku}',
    'GET shop/a/{attribute}',
    'GET shop/a/{attribute}/{slug}',
    'GET pictures/{name}',
    'GET api/openapi.json',
    'POST stand-in/notices',
];

/** @return list<array{0: string, 1: string}> method and address of every route */
function allRoutes(): array
{
    $routes = [];
    foreach (Route::getRoutes()->getRoutes() as $route) {
        foreach (array_diff($route->methods(), ['HEAD']) as $method) {
            $routes[] = [$method, $route->uri()];
        }
    }

    return $routes;
}

function address_of(string $uri): string
{
    $map = [
        '{item}' => '1',
        'values/{definition}' => 'values/color',
        'newcomers/{definition}' => 'newcomers/color',
        'definitions/{definition}/day-order' => 'definitions/color/day-order',
        'definitions/{definition}/address' => 'definitions/color/address',
        '{term}' => '1',
        '/{lens?}' => '',
        '/{definition?}' => '',
        '/{slug?}' => '',
        '{picture}' => 'today',
        '{format}' => 'csv',
        '{spelling}' => '1',
        '{category}' => '1',
        '{key}' => 'color',
        '{definition}' => '2',
        '{value}' => '1',
        '{filter}' => '1',
        '{feed}' => '1',
        '{edition}' => '1',
        '{reading}' => '1',
        '{change}' => '1',
        '{rule}' => '1',
        '{umbrella}' => '1',
        '{view}' => '1',
        '{token}' => '1',
        '{receiver}' => '1',
        '{user}' => '1',
        '{slug}' => 'x',
        '{attribute}' => 'x',
        '{name}' => str_repeat('a', 32).'.webp',
        '{sku}' => 'x',
    ];

    return '/'.strtr($uri, $map);
}

beforeEach(function (): void {
    $this->read(
        "sku,category,brand,Color\nA,Paint,Ninefold,Red\n",
        '{"columns": {"Color": {"attribute": "color", "kind": "choice"}}}',
    );
    app(EditLineup::class)->add('color');
    app(EditViews::class)->save('All', []);
    Token::issue('A shop');
    Receiver::query()->create(['url' => 'https://shop.example/', 'secret' => 'x']);
    $color = Definition::query()->where('slug', 'color')->firstOrFail();
    app(GatherValues::class)($color, 'Warm', array_values($color->values()->pluck('id')->all()));
    app(EditRules::class)->add(RuleForm::from(['definition' => 'color', 'source' => 'fixed', 'value' => 'Red']));
    Reading::query()->create([
        'feed_id' => 1,
        'file_name' => 'a.csv',
        'path' => '/nowhere',
        'bytes' => 1,
        'state' => ReadingState::Received,
    ]);
});

test('every route wants a sign-in but the storefront and the sign-in itself', function (): void {
    expect(count(allRoutes()))->toBeGreaterThan(35);
    foreach (allRoutes() as [$method, $uri]) {
        $response = $this->call($method, address_of($uri));
        if (in_array("{$method} {$uri}", OPEN_ROUTES, true)) {
            expect($method === 'POST' || $response->headers->get('Location') !== url('/sign-in'))->toBeTrue("{$method} {$uri}");
        } elseif (str_starts_with($uri, 'api/') || $uri === 'metrics') {
            expect($response->status())->toBe(401, "{$method} {$uri}");
        } else {
            expect($response->headers->get('Location'))->toBe(url('/sign-in'), "{$method} {$uri}");
        }
    }
});

test('routes can be cached, as docs/running.md says', function (): void {
    $routes = Route::getRoutes()->getRoutes();
    foreach ($routes as $route) {
        // Refuses what cannot be kept.
        $route->prepareForSerialization();
    }
    expect(count($routes))->toBeGreaterThan(100);
});

test('a viewer changes nothing, an editor gives nobody access', function (): void {
    $changing = array_filter(
        allRoutes(),
        fn (array $route): bool => $route[0] !== 'GET' &&
            // Wants a token, whoever is signed in.
            $route[1] !== 'api/products' &&
            ! in_array($route[1], ['sign-in', 'sign-out', 'account', 'stand-in/notices', 'begin/{secret}'], true),
    );
    foreach ($changing as [$method, $uri]) {
        expect($this->actingAs($this->person(Role::Viewer))->call($method, address_of($uri))->status())->toBe(
            403,
            "{$method} {$uri}",
        );
    }
    $this->actingAs($this->person(Role::Editor))->get('/people')->assertForbidden();
    $this->actingAs($this->person(Role::Editor))->post('/people')->assertForbidden();
    $this->actingAs($this->person(Role::Viewer))->get('/products')->assertOk();
});

test('every page says what a browser may load, and allows no inline code', function (): void {
    foreach (['/sign-in', '/shop'] as $path) {
        $policy = (string) $this->get($path)->headers->get('Content-Security-Policy');
        expect($policy)->toContain("script-src 'self'")->toContain("default-src 'none'")->not->toContain('unsafe');
        expect((string) $this->get($path)->getContent())->not->toMatch('/\sstyle="|<style|\son[a-z]+="|<script>/i');
    }
});

test('signing in changes the session, wrong passwords are slowed down', function (): void {
    $user = $this->person();
    expect(Hash::check('a-long-password', $user->password))->toBeTrue();
    for ($i = 0; $i < 6; $i++) {
        $this->from('/sign-in')
            ->post('/sign-in', ['email' => $user->email, 'password' => 'wrong'])
            ->assertRedirect('/sign-in')
            ->assertSessionHasErrors('email');
    }
    $this->post('/sign-in', ['email' => $user->email, 'password' => 'a-long-password'])->assertStatus(429);
    $this->travel(2)->minutes();
    $before = session()->getId();
    $this->post('/sign-in', ['email' => $user->email, 'password' => 'a-long-password'])->assertRedirect('/');
    expect(session()->getId())->not->toBe($before);
    $this->assertAuthenticatedAs($user);
});

test('only the demo shows its sign-in', function (): void {
    $this->get('/sign-in')->assertDontSee('madder-and-linseed');
    config(['lokum.demo' => true]);
    $this->get('/sign-in')->assertSee('madder-and-linseed');
});

test('a manager gives access and takes it away, but the last manager stays', function (): void {
    $me = $this->person();
    $this->actingAs($me)
        ->post('/people', [
            'name' => 'New',
            'email' => 'new@example.test',
            'password' => 'short',
            'role' => 'editor',
        ])
        ->assertSessionHasErrors('password');
    $this->actingAs($me)
        ->post('/people', [
            'name' => 'New',
            'email' => 'new@example.test',
            'password' => 'long enough now',
            'role' => 'editor',
        ])
        ->assertSessionHas('done');
    $new = User::query()->where('email', 'new@example.test')->firstOrFail();
    $this->actingAs($me)
        ->put("/people/{$me->id}", ['name' => 'Me', 'role' => 'viewer'])
        ->assertSessionHasErrors('refused');
    $this->actingAs($me)->delete("/people/{$new->id}");
    expect(User::query()->whereKey($new->id)->exists())->toBeFalse();
});

test('two people on one line-up: the second is told and keeps what was typed', function (): void {
    $filter = Filter::query()->firstOrFail();
    $input = [
        'title' => 'First',
        'control' => 'ticks',
        'combine' => 'any',
        'empty_terms' => 'hide',
        'page' => 'shop',
        'token' => ChangeFilter::token(DraftLineups::load()->of('shop')->filters['color']->given),
    ];
    $this->actingAs($this->person())->put('/line-ups/color', $input)->assertSessionHas('done');
    $this->from('/line-ups?filter=color')
        ->put('/line-ups/color', ['title' => 'Second'] + $input)
        ->assertSessionHasErrors('refused');
    $this->get('/line-ups?filter=color')->assertSee('Someone else saved')->assertSee('value="Second"', false);
    expect($filter->refresh()->title)->toBe('First');
});

test('a refused form names its field and keeps what was typed', function (): void {
    $this->actingAs($this->person());
    $this->from('/definitions?open=new')
        ->post('/definitions', ['label' => 'COLOR', 'kind' => 'choice', 'level' => 'product'])
        ->assertSessionHasErrors('label');
    $this->get('/definitions?open=new')->assertSee('There is a definition')->assertSee('value="COLOR"', false);
    $item = Item::query()->firstOrFail();
    Definition::query()
        ->where('slug', 'color')
        ->update(['kind' => 'number', 'unit' => 'ml']);
    $this->from("/products/{$item->id}")
        ->put("/products/{$item->id}", [
            'cells' => [
                "{$item->id}-1" => [
                    'item' => $item->id,
                    'definition' => 'color',
                    'was' => (new GridTokens([$item]))->of($item, Definition::query()->where('slug', 'color')->firstOrFail())->token(),
                    'now' => '',
                    'text' => 'five',
                ],
            ],
        ])
        ->assertSessionHasErrors('refused');
    $this->get("/products/{$item->id}")
        ->assertSee('is not a number')
        ->assertSee('value="five"', false);
});

test('unknown narrowings are told, not swallowed', function (): void {
    $this->actingAs($this->person())
        ->followingRedirects()
        ->get('/products?where[]=category:nowhere')
        ->assertSee('There is no category');
    $this->actingAs($this->person())->get('/history?entry=99999')->assertNotFound();
    $this->actingAs($this->person())->get('/values/weight')->assertNotFound();
});
