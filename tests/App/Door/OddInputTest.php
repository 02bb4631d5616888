<?php

declare(strict_types=1);

use App\Fill\EditRules;
use App\Fill\RuleForm;
use App\Lineups\EditLineup;
use App\Models\Definition;
use App\Models\Feed;
use App\Models\Reading;
use App\Models\ReadingState;
use App\Models\Receiver;
use App\Models\Role;
use App\Models\Token;
use App\Models\User;
use App\Products\EditViews;
use App\Vocabulary\GatherValues;
use Illuminate\Http\UploadedFile;
use Illuminate\Routing\Route as OneRoute;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Str;
use Tests\Support\RandomActs;

/*
 * All routes, with all the parameters that their room reads, with odd kinds of input, as guest, viewer, editor and manager: never a
 * failure. A share of all combinations is tried, another for each seed; LOKUM_SEEDS=100..400 tries more.
 */

/**
 * What is odd where a text, a number, a day or a list is expected.
 *
 * @return array<mixed>
 */
function odd(): array
{
    return [
        ['x'],
        [['a' => ['b' => 'c']]],
        ['from' => ['x'], 'to' => 'y'],
        '1e400',
        '-1e999',
        "\xff\xfe",
        "a\0b",
        '2026-13-45',
        '0000-00-00',
        '99999999999999999999',
        '-1',
        '0',
        '',
        ' ',
        '🎨',
        "'; DROP TABLE items; --",
        '<script>',
        str_repeat('ä', 3000),
        'NaN',
        '1,5',
        'true',
        '..',
        '1..1e400',
        ':',
        'color:',
        "\u{202e}abc",
        base64_encode('{"id":["x"],"_pointsToNextItems":true}'),
        base64_encode('{"title":"x"}'),
        'eyJpZCI6MX0',
        '%00',
        '%s%n',
        '../../etc/passwd',
    ];
}

/**
 * What a room's forms send when nothing is odd.
 *
 * @return array<mixed>
 */
function sound(): array
{
    return [
        'pick' => ['1', '2'],
        'keep' => '1',
        'label' => 'A new name',
        'under' => 'Warm',
        'version' => '1',
        'do' => RandomActs::one(['merge', 'hide', 'apart', 'gather', 'keep:1', 'proposed']),
        'to' => 'Red',
        'page' => RandomActs::one(['shop', '1', 'search']),
        'at' => 'only',
        'sources' => ['color'],
        'source' => RandomActs::one(['color', 'words', 'number', 'fixed', 'category']),
        'title' => 'Title',
        'control' => 'ticks',
        'ids' => ['1', 'color'],
        'kind' => RandomActs::one(['choice', 'number', 'text', 'flag', 'date']),
        'level' => 'product',
        'separator' => '|',
        'policy' => 'follow',
        'definition' => 'color',
        'value' => ['Red'],
        'mode' => RandomActs::one(['set', 'replace', 'raise', 'copy']),
        'give' => RandomActs::one(['color', 'watts', 'yes:no']),
        'all' => '1',
        'name' => 'Name',
        'email' => 'x@example.test',
        'password' => 'a-password-that-is-long',
        'role' => 'editor',
        'into' => 'watts',
        'how' => 'retire',
        'expected' => 'yes',
        'definitions' => ['1'],
        'category' => 'lamps',
        'state' => 'accepted',
        'order' => 'alphabet',
        'propose' => '',
        'property' => 'title',
        'amount' => '5',
        'find' => 'e',
        'replace' => 'a',
        'url' => 'https://shop.example/x',
        'cells' => [[
            'item' => '1',
            'definition' => 'color',
            'text' => 'Blue',
            'was' => 'x',
        ]],
        'headings' => ['sku', 'Color'],
        'targets' => ['sku', 'color'],
        'in' => ['name'],
        'lines' => 'Red: red',
        'bands' => '',
        'field' => 'watts',
        'branch' => 'lamps',
        'scope' => ['category:lamps'],
        'groups' => ['Warm' => ['1']],
        'read_as' => ['1' => '5'],
        'sorts' => [['name' => 'N', 'by' => ['name', '']]],
        'colors' => ['#ff0000'],
        'sold_out' => 'last',
    ];
}

/** @return list<string> names that the room of a controller reads */
function namesOf(OneRoute $route): array
{
    static $known = [];
    /** @var class-string $controller */
    $controller = Str::before(ltrim($route->getActionName(), '\\'), '@');
    $file = (new ReflectionClass($controller))->getFileName();
    $folder = dirname((string) $file);

    return $known[$folder] ??= (function () use ($folder): array {
        $names = ['cursor', '_method', '_token', 'later', 'with', 'number', 'wanted'];
        foreach ([...glob("{$folder}/*.php") ?: [], ...glob(resource_path('views/*/*.blade.php')) ?: []] as $path) {
            $source = (string) file_get_contents($path);
            $isView = str_contains($path, '/views/');
            preg_match_all(
                $isView
                    ? '/request\(\'([a-z_-]+)\'|name="([a-z_-]+)[\["]/'
                    : '/(?:string|integer|boolean|input|has|query|file|hasFile|text|number)\(\'([a-z_-]+)\''.
                        '|\$input\[\'([a-z_-]+)\'|\$row\[\'([a-z_-]+)\'/',
                $source,
                $found,
            );
            $here = array_filter(array_merge(...array_slice($found, 1)));
            if (! $isView || str_contains($path, '/'.strtolower(basename($folder)).'/')) {
                array_push($names, ...$here);
            }
        }

        return array_values(array_unique($names));
    })();
}

function pathOf(OneRoute $route): string
{
    $odd = fn (string $usual): string => mt_rand(0, 5) === 0
        ? rawurlencode(RandomActs::one(['%', "\xff", '0', '-1', '99999999999999999999', '1e3', 'é', 'x', '1 2']))
        : $usual;

    return '/'.
        (string) preg_replace_callback(
            '/\{(\w+)(?::\w+)?\??\}/',
            fn (array $part): string => $odd(
                match ($part[1]) {
                    'definition' => str_starts_with($route->uri(), 'definitions') ? '1' : 'color',
                    'lens' => 'flow',
                    'key' => 'color',
                    'slug' => 'lamps',
                    'attribute' => 'brand',
                    'sku' => 'A',
                    'name' => str_repeat('a', 32).'.webp',
                    default => '1',
                },
            ),
            $route->uri(),
        );
}

beforeEach(function (): void {
    $this->read(
        "sku,parent_sku,name,category,brand,price,stock,Color,Watts,Notes\nA,,Lamp,Lamps,Ninefold,,,,,bright\n".
        "A-1,A,,,,5,1,Red,4,\nA-2,A,,,,6,0,Blue,7,\nB,,Shade,Shades,Ostrelle,9,,Green,x,\n",
        '{"columns": {"Color": {"kind": "choice"}, "Watts": {"kind": "number", "unit": "W"}, "Notes": {"kind": "text", "level": '.
        '"product"}}}',
    );
    app(EditLineup::class)->several(['color', 'price', 'watts', 'notes', 'stock', 'category', 'brand', 'added']);
    app(EditViews::class)->save('All', []);
    $this->token = Token::issue('A shop');
    Receiver::query()->create(['url' => 'https://shop.example/', 'secret' => 'x']);
    $color = Definition::query()->where('slug', 'color')->firstOrFail();
    app(GatherValues::class)($color, 'Warm', array_values($color->values()->limit(1)->pluck('id')->all()));
    app(EditRules::class)->add(RuleForm::from(['definition' => 'color', 'source' => 'fixed', 'value' => 'Red']));
    file_put_contents($this->data().'/feeds/a.csv', "sku,Color\nC,Red\n");
    Reading::query()->create([
        'feed_id' => Feed::query()->firstOrFail()->id,
        'file_name' => 'a.csv',
        'path' => 'feeds/a.csv',
        'bytes' => 16,
        'state' => ReadingState::Received,
    ]);
    $this->publish();
});

test('no odd input breaks anything', function (int $seed): void {
    mt_srand($seed);
    $roles = [null, Role::Viewer, Role::Editor, Role::Manager, Role::Manager];
    $routes = array_values(
        array_filter(Route::getRoutes()->getRoutes(), fn (OneRoute $route): bool => ! str_starts_with($route->uri(), 'storage')),
    );
    for ($i = 0; $i < 350; $i++) {
        $route = RandomActs::one($routes);
        $method = RandomActs::one(array_diff($route->methods(), ['HEAD']));
        $names = namesOf($route);
        $input = mt_rand(0, 1) === 0 ? [] : array_intersect_key(sound(), array_flip($names));
        foreach ((array) array_rand(array_flip($names), min(count($names), mt_rand(1, 3))) as $name) {
            $input[$name] = RandomActs::one(odd());
        }
        $files =
            mt_rand(0, 9) === 0
                ? RandomActs::one([
                    ['files' => UploadedFile::fake()->create('a.csv')],
                    ['picture' => UploadedFile::fake()->create('a.png', 3)],
                    ['files' => [UploadedFile::fake()->create('é.csv', 1)]],
                ])
                : [];
        $headers =
            ['HTTP_AUTHORIZATION' => "Bearer {$this->token}"] +
            RandomActs::one([
                [],
                ['HTTP_ACCEPT' => 'application/json'],
                ['HTTP_HX_REQUEST' => 'true'],
                ['HTTP_REFERER' => "http://localhost/\xff"],
            ]);
        $role = RandomActs::one($roles);
        $person = $role === null ? null : User::query()->where('role', $role)->first() ?? $this->person($role)->refresh();
        if ($person === null) {
            $this->app['auth']->forgetGuards();
        } else {
            $this->actingAs($person);
        }
        $path = pathOf($route);
        $response = $this->call($method, $path, $input, [], $files, $headers);
        $said =
            "{$method} {$path} ".
            json_encode($input, JSON_INVALID_UTF8_SUBSTITUTE | JSON_PARTIAL_OUTPUT_ON_ERROR).
            ' as '.
            ($person->role->value ?? 'guest').
            ': '.
            (property_exists($response->baseResponse, 'exception') ? $response->exception?->getMessage() : '');
        expect($response->getStatusCode())->toBeLessThan(500, mb_strimwidth($said, 0, 1200));
        if (str_starts_with($path, '/api') &&
            ! $response->isSuccessful()) {
            expect($response->headers->get('Content-Type'))->toBe('application/json', $said);
        }
    }
})->with(function (): array {
    [$first, $last] = array_map(intval(...), explode('..', getenv('LOKUM_SEEDS') ?: '1..6'));

    return range($first, $last);
});

test('where one text belongs, a list is refused before anybody reads it', function (string $path): void {
    $this->get($path)->assertStatus(400)->assertSee('takes one text');
})->with(['/shop?sort[]=x', '/shop/search?q[]=x', '/sign-in?email[]=x']);

test('an address that is longer than anybody needs is refused', function (): void {
    $this->get('/shop?q='.str_repeat('a', 9000))->assertStatus(414);
});

test('a file where a text is expected is refused, and a cursor of nowhere leads to the start', function (): void {
    $this->actingAs($this->person());
    $this->call(
        'PUT',
        '/line-ups/color',
        ['propose' => 'shares', 'title' => 'T'],
        [],
        ['picture' => UploadedFile::fake()->create('a.png', 3)],
    )->assertStatus(400);
    foreach (['/history', '/feeds', '/products'] as $room) {
        $this->get("{$room}?cursor=".base64_encode('{"title":"x"}'))->assertOk();
        $this->get("{$room}?cursor=".base64_encode('{"id":1}'))->assertOk();
    }
});
