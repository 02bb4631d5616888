<?php

declare(strict_types=1);

use App\Access\DemoAccount;
use App\Access\EditPeople;
use App\Access\SoundPassword;
use App\Api\SendNotice;
use App\Data\Setup;
use App\Lineups\EditLineup;
use App\Models\Change;
use App\Models\Definition;
use App\Models\Delivery;
use App\Models\Item;
use App\Models\Receiver;
use App\Models\Role;
use App\Models\Room;
use App\Models\Token;
use App\Models\User;
use App\Products\GridTokens;
use App\Support\PublicAddress;
use App\Support\Refused;
use App\Vocabulary\GatherValues;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Http;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Route;
use Lokum\Feed\CsvWriter;
use Tests\Support\RandomActs;

/* What docs/security.md promises. */

/** @return list<string> all that a definition is and holds, as digests */
function heldBy(int $definition): array
{
    $rows = fn (string $table, string $column): string => md5(
        (string) json_encode(
            DB::table($table)
                ->where($column, $definition)
                ->orderBy($table === 'assignments' ? 'item_id' : 'id')
                ->get(),
        ),
    );

    return [
        $rows('definitions', 'id'),
        $rows('attribute_values', 'definition_id'),
        $rows('spellings', 'definition_id'),
        $rows('umbrellas', 'definition_id'),
        $rows('assignments', 'definition_id'),
        $rows('fill_rules', 'definition_id'),
        $rows('expectations', 'definition_id'),
        $rows('kept_apart', 'definition_id'),
    ];
}

test('what managers keep for themselves no editor changes, whatever the act', function (int $seed): void {
    mt_srand($seed);
    $acts = new RandomActs($this, $this->person(Role::Editor));
    $acts->begin();
    $color = Definition::query()->where('slug', 'color')->firstOrFail();
    app(GatherValues::class)($color, 'Warm', array_values($color->values()->limit(3)->pluck('id')->all()));
    app(EditLineup::class)->several(['color', 'finish', 'use']);
    Definition::query()
        ->whereIn('slug', ['color', 'use', 'watts'])
        ->update(['edited_by' => 'manager']);
    $kept = Definition::query()->where('edited_by', 'manager')->pluck('id')->all();
    $before = array_map(heldBy(...), $kept);
    for ($i = 0; $i < 60; $i++) {
        $acts->act(deliver: false);
    }
    expect(array_map(heldBy(...), $kept))
        ->toEqual($before, implode("\n", $acts->told))
        ->and(implode("\n", $acts->told))
        ->toContain('Only managers change');
})->with([1, 2, 3, 4]);

test('every edit route is closed for what managers keep', function (): void {
    $this->read(
        "sku,category,Color,Watts\nA,Desk,Red,4\nB,Desk,Blue,7\n",
        '{"columns": {"Color": {"kind": "choice", "level": "product"}, "Watts": {"kind": "number", "level": "product"}}}',
    );
    $color = Definition::query()->where('slug', 'color')->firstOrFail();
    app(GatherValues::class)($color, 'Warm', [$color->values()->value('id')]);
    $gathered = Change::query()->latest('id')->value('id');
    Definition::query()->update(['edited_by' => 'manager']);
    $before = heldBy($color->id);
    [$one, $other] = $color->values()->pluck('id')->all();
    $item = Item::query()->where('sku', 'A')->with('variants')->firstOrFail();
    $now = (new GridTokens([$item]))->of($item, $color);
    $cell = [
        'item' => $item->id,
        'definition' => 'color',
        'was' => $now->token(),
        'now' => $now->text(),
    ];
    $version = (int) DB::table('attribute_values')->where('id', $one)->value('version');
    $tried = [
        ['PUT', "values/color/{$one}", ['label' => 'X', 'version' => $version]],
        ['PUT', "values/color/{$one}/name", ['label' => 'X']],
        ['POST', 'values/color', ['label' => 'New']],
        ['POST', 'values/color/order', ['order' => 'hand', 'ids' => [$other, $one]]],
        ['POST', 'values/color/several', ['do' => 'hide', 'pick' => [$one]]],
        ['POST', 'values/color/merge', ['keep' => $one, 'pick' => [$one, $other]]],
        ['POST', 'values/color/apart', ['pick' => [$one, $other]]],
        ['POST', 'values/color/gather', ['under' => 'Cool', 'pick' => [$other]]],
        ['PUT', 'values/color/umbrellas/1', ['label' => 'X', 'version' => 1]],
        ['POST', 'values/color/look-alikes', ['do' => 'apart', 'pick' => [$one, $other]]],
        ['POST', 'rules', ['definition' => 'color', 'source' => 'fixed', 'value' => 'Red']],
        ['POST', 'definitions/several', ['ids' => [$color->id], 'state' => 'aside']],
        ['PUT', "definitions/{$color->id}", [
            'label' => 'X',
            'kind' => 'choice',
            'level' => 'product',
            'version' => 1,
        ]],
        ['POST', "definitions/{$color->id}/end", ['how' => 'retire']],
        ['POST', "definitions/{$color->id}/merge", ['into' => 'watts']],
        ['POST', 'expected', ['category' => 'desk', 'definitions' => [$color->id], 'expected' => 'yes']],
        ['POST', 'products/give', ['all' => '1', 'give' => 'color', 'value' => ['Red']]],
        ['PUT', "products/{$item->id}", ['cells' => [$cell + ['text' => 'Blue']]]],
        ['POST', "history/{$gathered}/take-back", []],
    ];
    foreach ($tried as [$method, $path, $input]) {
        $this->actingAs($this->person(Role::Editor))->call($method, "/{$path}", $input);
        expect("{$method} {$path}: ".session('errors')?->first())
            ->toContain('Only managers change')
            ->and(heldBy($color->id))
            ->toEqual($before, $path);
    }
});

test('a guest leaves no session and gets no cookie', function (): void {
    $this->read("sku,Color\nA,Red\n");
    $this->publish();
    foreach (
        [
            '/shop',
            '/shop/search?q=red',
            '/shop/p/A',
            '/pictures/'.str_repeat('a', 32).'.webp',
            '/api/edition',
            '/api/openapi.json',
        ] as $path
    ) {
        expect($this->get($path)->headers->getCookies())->toBe([], $path);
    }
    expect(DB::connection('runtime')->table('sessions')->count())->toBe(0);
});

test('pages of those who have signed in are kept by no cache, and every answer wears its headers', function (): void {
    expect($this->actingAs($this->person())->get('/products')->headers->get('Cache-Control'))->toContain('no-store');
    foreach (['/shop', '/nothing', '/shop?sort[]=x', '/products/abc', '/api/none', '/sign-in'] as $path) {
        $headers = $this->get($path)->headers;
        expect($headers->get('Content-Security-Policy'))
            ->toContain("default-src 'none'")
            ->and($headers->get('X-Content-Type-Options'))
            ->toBe('nosniff', $path);
    }
    expect($this->get('https://localhost/sign-in')->headers->get('Strict-Transport-Security'))->toStartWith('max-age=');
});

test('a shop that is asked too often by one address answers 429, and pages that are not narrowed go on', function (): void {
    config(['lokum.shop_limit' => 5]);
    $this->read("sku,Color\nA,Red\n");
    $this->publish();
    for ($i = 0; $i < 5; $i++) {
        $this->get('/shop/search?q=red')->assertOk();
    }
    $this->get('/shop/search?q=red')->assertStatus(429)->assertHeader('Retry-After');
    $this->get('/shop')->assertOk();
});

test('passwords are long, not the ones that are tried first, and hashed whole', function (string $password, bool $taken): void {
    expect(SoundPassword::problem($password) === null)->toBe($taken);
})->with([
    ['short', false],
    ['password1234', false],
    ['Password2026', false],
    ['qwertyuiop123', false],
    ['aaaaaaaaaaaa', false],
    ['abababababab', false],
    ['correct horse battery staple', false],
    ['monkey-monkey-1', false],
    ['lokum-2026-2026', false],
    ['1qaz2wsx3edc', false],
    ['!!football!!99', false],
    ['madder-and-linseed', true],
    ['four quiet brass lamps', true],
    [str_repeat('ab cde ', 40), false],
]);

test('no part of a long password is cut off', function (): void {
    $hash = Hash::make(str_repeat('lamp shade ', 10).'A');
    expect(Hash::check(str_repeat('lamp shade ', 10).'B', $hash))
        ->toBeFalse()
        ->and(password_get_info($hash)['algoName'])
        ->toBe('argon2id');
});

test('an address is one whatever its case, and sign-ins that fail are entered once', function (): void {
    app(EditPeople::class)->add('One', User::address('Someone@Example.test'), 'four quiet brass lamps', Role::Editor);
    $this->post('/sign-in', ['email' => 'SOMEONE@example.TEST', 'password' => 'wrong'])->assertSessionHasErrors('email');
    $this->post('/sign-in', ['email' => 'someone@example.test', 'password' => 'wrong']);
    expect(Change::query()->where('summary', 'like', 'A sign-in failed%')->count())->toBe(1);
    $this->post('/sign-in', ['email' => 'SOMEONE@example.TEST', 'password' => 'four quiet brass lamps'])->assertRedirect('/');
    $this->actingAs($this->person())
        ->post('/people', [
            'name' => 'Two',
            'email' => 'SOMEONE@EXAMPLE.test',
            'password' => 'four quiet brass lamps',
            'role' => 'viewer',
        ])
        ->assertSessionHasErrors('email');
});

test('somebody unknown takes as long as somebody known', function (): void {
    app(EditPeople::class)->add('One', 'known@example.test', 'four quiet brass lamps', Role::Editor);
    $seconds = function (string $email): float {
        $start = microtime(true);
        $this->post('/sign-in', ['email' => $email, 'password' => 'wrong']);

        return microtime(true) - $start;
    };
    expect(min($seconds('known@example.test'), $seconds('unknown@example.test')))->toBeGreaterThan(0.19);
});

test('a new password or role ends all other sessions, and people change their own', function (): void {
    $user = app(EditPeople::class)->add('One', 'one@example.test', 'four quiet brass lamps', Role::Editor);
    $session = fn () => DB::connection('runtime')
        ->table('sessions')
        ->updateOrInsert(['id' => 'elsewhere'], ['user_id' => $user->id, 'payload' => '', 'last_activity' => time()]);
    $session();
    $this->actingAs($user)
        ->put('/account', [
            'now' => 'wrong',
            'password' => 'another quiet brass lamp',
            'password_confirmation' => 'another quiet brass lamp',
        ])
        ->assertSessionHasErrors('now');
    $this->actingAs($user)->get('/account')->assertOk();
    $this->actingAs($user)
        ->put('/account', [
            'now' => 'four quiet brass lamps',
            'password' => 'another quiet brass lamp',
            'password_confirmation' => 'another quiet brass lamp',
        ])
        ->assertSessionHas('done');
    expect(DB::connection('runtime')->table('sessions')->count())
        ->toBe(0)
        ->and(Hash::check('another quiet brass lamp', $user->refresh()->password))
        ->toBeTrue();
    $session();
    $this->actingAs($this->person())
        ->put("/people/{$user->id}", ['name' => 'One', 'role' => 'viewer'])
        ->assertSessionHas('done');
    expect(DB::connection('runtime')->table('sessions')->count())
        ->toBe(0)
        ->and(Change::query()->where('room', Room::Access)->pluck('summary')->all())
        ->toContain('Made One viewer', 'Gave One a new password');
});

test('two managers cannot take each other away', function (): void {
    [$one, $other] = [$this->person(), $this->person()];
    app(EditPeople::class)->remove($other);
    expect(fn () => app(EditPeople::class)->change($one, 'One', Role::Editor, null))->toThrow(
        Refused::class,
        'There must be a manager left',
    );
});

test('a token can end by itself', function (): void {
    $token = Token::issue('A shop', 30);
    expect(Token::of($token))->not->toBeNull();
    $this->travel(31)->days();
    expect(Token::of($token))->toBeNull();
});

test('notices go to the open network only, however an address is spelled', function (string $host, bool $public): void {
    $ask = fn (): PublicAddress => PublicAddress::of("https://{$host}/lokum");
    if ($public) {
        expect($ask()->ip)->not->toBe('');
    } else {
        expect($ask)->toThrow(Refused::class);
    }
})->with([
    ['127.0.0.1', false],
    ['localhost', false],
    ['2130706433', false],
    ['0x7f.1', false],
    ['017700000001', false],
    ['127.1', false],
    ['10.1.2.3', false],
    ['192.168.0.1', false],
    ['172.20.0.1', false],
    ['169.254.169.254', false],
    ['100.64.0.1', false],
    ['0.0.0.0', false],
    ['224.0.0.1', false],
    ['255.255.255.255', false],
    ['[::1]', false],
    ['[::ffff:127.0.0.1]', false],
    ['[::ffff:7f00:1]', false],
    ['[fe80::1]', false],
    ['[fc00::1]', false],
    ['[64:ff9b::7f00:1]', false],
    ['[2002:7f00:1::]', false],
    ['[2001:db8::1]', false],
    ['user:pass@93.184.215.14', false],
    ['93.184.215.14', true],
    ['[2606:2800:21f:cb07:6820:80da:af6b:8b2c]', true],
]);

test(
    'a failed notice of an older edition does not come behind a newer one, and notices say when they were sent',
    function (): void {
        Queue::fake();
        $this->read("sku,Color\nA,Red\n");
        $receiver = Receiver::query()->create(['url' => 'https://93.184.215.14/x', 'secret' => 'quiet']);
        $this->publish();
        $first = Delivery::query()->firstOrFail();
        Http::fake(['*' => Http::response('', 500)]);
        (new SendNotice($first->id))->handle();
        $this->publish();
        (new SendNotice($first->id))->handle();
        expect($first->refresh()->state)
            ->toBe(Delivery::GIVEN_UP)
            ->and($first->answer)
            ->toContain('newer edition')
            ->and($first->attempts)
            ->toBe(1);
        Http::assertSent(fn ($request): bool => isset(json_decode($request->body(), true)['sent_at']));
    },
);

test('no cell of a CSV starts a formula, and each comes back as it was', function (string $cell, string $written): void {
    expect(trim(CsvWriter::line([$cell])))
        ->toBe($written)
        ->and(CsvWriter::meant(trim(trim(CsvWriter::line([$cell])), '"')))
        ->toBe($cell);
})->with([
    ['=1+1', "'=1+1"],
    ['+49 30', "'+49 30"],
    ['-5', '-5'],
    ['-5 °C', "'-5 °C"],
    ['@x', "'@x"],
    ["'=x", "''=x"],
    ["it's", "it's"],
    ['Red', 'Red'],
]);

test('the demo keeps out of a catalog that is not its own', function (): void {
    expect(DemoAccount::own())->toBeTrue();
    $this->read("sku,Color\nA,Red\n");
    expect(DemoAccount::own())->toBeFalse();
    DemoAccount::createAll();
    expect(DemoAccount::own())->toBeTrue();
    $this->person();
    expect(DemoAccount::own())->toBeFalse();
});

test('addresses in forms are relative, so that any proxy may stand before them', function (): void {
    $this->actingAs($this->person());
    preg_match_all(
        '/action="([^"]*)"/',
        (string) $this->get('/line-ups')->getContent().$this->get('/people')->getContent(),
        $found,
    );
    expect($found[1])->not->toBe([]);
    foreach ($found[1] as $action) {
        expect($action)->toStartWith('/');
    }
    expect(Route::has('account'))->toBeTrue();
});

test('what a guest asks is bounded, and the page says what of it was left out', function (): void {
    $this->read("sku,name,Color\nA,Red thing,Red\nB,Blue thing,Blue\n", '{"columns": {"Color": {"kind": "choice"}}}');
    $this->publish();
    $this->get('/shop/search?q='.urlencode('a red thing one two three four five six seven'))
        ->assertOk()
        ->assertSee('Only the first 6 words are looked for')
        ->assertSee('Words of a single letter are not looked for');
    $long = $this->get('/shop?color='.implode(',', array_map(fn (int $i): string => "no-{$i}", range(1, 2000))));
    expect($long->getStatusCode())->toBeLessThan(500)->and(strlen((string) $long->getContent()))->toBeLessThan(200_000);
});

test('what lies in the data directory is for its owner alone, whatever it was', function (): void {
    $this->read("sku,Color\nA,Red\n");
    $this->publish();
    exec('chmod -R a+rwX '.escapeshellarg($this->data()));
    Setup::ensure();
    clearstatcache();
    foreach (['', '/editions', '/feeds', '/pictures', '/inbox'] as $folder) {
        expect(fileperms($this->data().$folder) & 0777)->toBe(0700, $folder);
    }
    foreach (
        [
            ...glob($this->data().'/*.sqlite') ?: [],
            ...glob($this->data().'/editions/*.sqlite') ?: [],
            $this->data().'/app.key',
        ] as $file
    ) {
        expect(fileperms($file) & 0777)->toBe(0600, $file);
    }
});

test('debugging is off for every word but true', function (string $word, bool $on): void {
    putenv("LOKUM_DEBUG={$word}");
    expect((require base_path('config/app.php'))['debug'])->toBe($on);
    putenv('LOKUM_DEBUG');
})->with([['false', false], ['0', false], ['', false], ['no', false], ['true', true]]);
