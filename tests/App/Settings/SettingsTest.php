<?php

declare(strict_types=1);

use App\Feeds\FeedFile;
use App\Feeds\ForgetFiles;
use App\Feeds\ReadFeed;
use App\Feeds\StartReading;
use App\History\TakeBack;
use App\Models\Change;
use App\Models\Role;
use App\Settings\SaveShop;
use App\Settings\Shop;
use App\Support\Format;
use Illuminate\Http\UploadedFile;
use Lokum\Feed\ColumnMap;
use Lokum\Vocabulary\Term;
use Lokum\Vocabulary\TermOrder;
use Lokum\Vocabulary\TermSorter;
use Tests\Support\Acts;

/* What managers say once about the shop. */

const SETTINGS = [
    'name' => 'Lantern & Co',
    'line' => 'Lighting',
    'language' => 'de',
    'currency' => 'CHF',
    'timezone' => 'Europe/Zurich',
    'taxes' => 'included',
    'editions' => 3,
    'days' => 30,
    'version' => 0,
];

test('the shop wears its name, writes as it is told, and goes back exactly', function (): void {
    $this->read("sku,name,price,Color\nA,Hall lamp,1234.5,Red\n", '{"columns": {"Color": {"kind": "choice"}}}');
    $this->publish();
    $this->get('/shop')->assertSee('Your shop')->assertDontSee('incl. tax');
    $this->actingAs($this->person(Role::Manager));
    $this->put('/settings', SETTINGS)->assertSessionHasNoErrors();
    $this->get('/shop')->assertSee('Lantern &amp; Co', false)->assertSee('Lighting')->assertSee('incl. tax');
    $this->get('/shop/p/A')->assertSee('1.234,50')->assertSee('Hall lamp · Lantern &amp; Co Lighting', false);
    $this->get('/settings')->assertSee('value="Lantern &amp; Co"', false)->assertSee('Swiss Franc');
    $change = Change::query()->latest('id')->firstOrFail();
    expect($change->summary)->toBe(
        'Changed the shop\'s name, line behind the name, language of numbers and letters, currency, time zone, word on tax, '.
            'number of editions kept and days that files are kept',
    );
    app(TakeBack::class)($change);
    Shop::apply();
    expect(Shop::current()->name)->toBe('Your shop')->and(Format::money(5.0, null))->toBe('€5.00');
});

test('letters are ordered as the language does', function (): void {
    $this->read("sku,Color\nA,Zinc\nB,Ärla\nC,Amber\n", '{"columns": {"Color": {"kind": "choice"}}}');
    $order = fn (): array => array_map(
        fn ($term): string => $term->label,
        app(TermSorter::class)->sort(
            array_map(fn (string $label): Term => new Term(0, $label, 0, 0), ['Zinc', 'Ärla', 'Amber']),
            TermOrder::Alphabet,
        ),
    );
    expect($order())->toBe(['Amber', 'Ärla', 'Zinc']);
    app(SaveShop::class)(['language' => 'sv'], 0);
    expect($order())->toBe(['Amber', 'Zinc', 'Ärla']);
});

test('who saves from an older page is told, and nothing is lost', function (): void {
    $this->actingAs($this->person(Role::Manager));
    $this->put('/settings', SETTINGS);
    $this->from('/settings')
        ->put('/settings', ['name' => 'Other'] + SETTINGS)
        ->assertSessionHasErrors('refused');
    expect(Shop::current()->name)->toBe('Lantern & Co');
});

test('what is not known is refused at its field', function (string $field, mixed $value): void {
    $this->actingAs($this->person(Role::Manager));
    $this->from('/settings')
        ->put('/settings', [$field => $value] + SETTINGS)
        ->assertSessionHasErrors($field);
    expect(Shop::current()->name)->toBe('Your shop');
})->with([
    ['language', 'tlh-X'],
    ['currency', 'ABC'],
    ['timezone', 'Mars/Olympus'],
    ['taxes', 'perhaps'],
    ['editions', 0],
    ['days', -1],
    ['name', str_repeat('a', 61)],
]);

test('a mark is a picture, drawn anew, and can be taken away', function (): void {
    $this->actingAs($this->person(Role::Manager));
    $picture = fn (string $bytes): UploadedFile => UploadedFile::fake()->createWithContent('m.png', $bytes);
    $this->put('/settings', ['picture' => $picture('no picture')] + SETTINGS)->assertSessionHasErrors('picture');
    $png = UploadedFile::fake()->image('m.png', 40, 40)->getContent();
    $this->put('/settings', ['picture' => $picture((string) $png)] + SETTINGS)->assertSessionHasNoErrors();
    $mark = (string) Shop::current()->mark;
    $this->get("/pictures/{$mark}")->assertOk()->assertHeader('Content-Type', 'image/webp');
    $this->get('/shop')->assertSee($mark);
    $this->put('/settings', ['no_mark' => '1', 'version' => 1] + SETTINGS)->assertSessionHasNoErrors();
    expect(Shop::current()->mark)->toBeNull();
});

test('files of old deliveries go after the days that were said, and what was read stays', function (): void {
    $path = $this->data().'/harbour.csv';
    file_put_contents($path, "sku,Color\nA,Red\n");
    $reading = StartReading::atOnce($path, 'Harbour');
    app(ReadFeed::class)(FeedFile::ofReading($reading), 'Harbour', new ColumnMap(), false, fn () => null, true, $reading);
    $file = FeedFile::kept($reading->refresh()->path);
    app(SaveShop::class)(['days' => 30], 0);
    expect(app(ForgetFiles::class)())->toBe(0)->and(is_file($file))->toBeTrue();
    $this->travel(31)->days();
    expect(app(ForgetFiles::class)())->toBe(1)->and(is_file($file))->toBeFalse();
    $this->actingAs($this->person(Role::Manager))
        ->get("/feeds/readings/{$reading->id}")
        ->assertOk();
    expect(Acts::definition('color')->values()->count())->toBe(1);
});

test('an editor does not come in', function (): void {
    $this->actingAs($this->person(Role::Editor));
    $this->get('/settings')->assertForbidden();
    $this->put('/settings', SETTINGS)->assertForbidden();
});
