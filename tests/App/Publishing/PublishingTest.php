<?php

declare(strict_types=1);

use App\Editions\Picks;
use App\Editions\Served;
use App\Lineups\EditLineup;
use App\Models\Change;
use App\Models\Definition;
use App\Models\Edition;
use App\Models\Filter;
use App\Models\Role;
use App\Models\Room;
use App\Models\State;
use App\Publishing\CurrentDrift;
use App\Publishing\DriftInWords;
use App\Publishing\Publish;
use App\Settings\SaveShop;
use App\Settings\Shop;
use App\Support\Format;
use App\Support\Refused;
use Symfony\Component\Process\Exception\ProcessSignaledException;
use Symfony\Component\Process\Process;
use Tests\Support\Acts;

const SHOP = "sku,parent_sku,name,category,brand,price,stock,Color,Size\nP,,Paint,Paint > Oil,Ninefold,,,,\nP1,P,,,,4,0,Red,10\n".
    "P2,P,,,,6,3,Blue,20\nQ,,Ink,Ink,Ostrelle,5,1,Red,10\nR,,Pad,Paper,Ostrelle,65,,,\n";

const SHOP_MAP = '{"columns": {"Color": {"attribute": "color", "label": "Color", "kind": "choice"}, "Size": {"attribute": '.
    '"size", "label": "Size", "kind": "number", "unit": "ml"}}}';

beforeEach(function (): void {
    $this->read(SHOP, SHOP_MAP);
    foreach (['color', 'price', 'brand', 'size', 'stock'] as $source) {
        app(EditLineup::class)->add($source);
    }
});

test('an edition counts what it was made from, whatever happens to the catalog', function (): void {
    $this->publish();
    $this->read("sku,Color\nQ,Green\n", SHOP_MAP);
    expect($this->counts()[1]['color'])
        ->toBe(['blue' => 1, 'red' => 2])
        ->and($this->counts(new Picks(['stock' => ['yes'], 'color' => ['red']]))[0])
        ->toBe(1);
    $this->publish();
    expect($this->counts()[1]['color'])
        ->toBe(['blue' => 1, 'green' => 1, 'red' => 1])
        ->and(Edition::query()->count())
        ->toBe(2);
});

test('drift tells terms, counts, filters and pages, and is gone after publishing', function (): void {
    $drift = app(CurrentDrift::class);
    expect($drift()->differences())->toBeGreaterThan(8);
    $this->publish();
    expect($drift()->differences())->toBe(0)->and($drift->known(Served::now()->edition))->toBe(0);
    $this->read("sku,Color\nR,Green\n", SHOP_MAP);
    app(EditLineup::class)->drop('size');
    $found = $drift();
    expect(array_column($found->new, 'label'))
        ->toBe(['Green'])
        ->and($found->filters['disappearing'])
        ->toBe(['Size'])
        ->and($found->pages['paint']['disappearing'])
        ->toBe(['Size'])
        ->and($found->differences())
        ->toBe(3);
});

test('proposals and what is left aside stay out of drift, and what is left aside out of counts', function (): void {
    $this->read("sku,Mood\nQ,calm\nR,wild\n");
    $this->publish();
    expect(array_keys($this->counts()[1]))->toContain('mood');
    Definition::query()
        ->where('slug', 'mood')
        ->update(['state' => State::Aside]);
    // History knows nothing of it, so nothing can be taken over.
    app(Publish::class)(fn () => null, afresh: true);
    expect(array_keys($this->counts()[1]))->not->toContain('mood');
});

test('a publication that is killed leaves the old edition served', function (): void {
    $this->publish();
    file_put_contents(Edition::directory().'/edition-killed.sqlite.part', 'half');
    // The process stops the hard way while the new file is being written.
    $script =
        'require "'.
        base_path('vendor/autoload.php').
        '"; $app = require "'.
        base_path('bootstrap/app.php').
        '"; $app->make(Illuminate\Contracts\Console\Kernel::class)->bootstrap();
        app(App\Publishing\Publish::class)(function (string $what): void { if ($what === "Writing products") { '.
            'posix_kill(getmypid(), SIGKILL); } });';
    $process = new Process([PHP_BINARY, '-r', $script], null, ['LOKUM_DATA' => $this->data()]);
    expect(fn () => $process->run())
        ->toThrow(ProcessSignaledException::class)
        ->and($process->getTermSignal())
        ->toBe(SIGKILL)
        ->and(Edition::query()->count())
        ->toBe(1)
        ->and($this->counts()[0])
        ->toBe(3);
    expect($this->publish()->id)->toBe(2)->and($this->counts()[0])->toBe(3);
});

test('two publications at once: the second is told', function (): void {
    $seen = null;
    app(Publish::class)(function () use (&$seen): void {
        if ($seen === null) {
            try {
                app(Publish::class)(fn () => null);
            } catch (Refused $seen) {
                // That is what should happen.
            }
        }
    });
    expect($seen?->getMessage())
        ->toContain('being made right now')
        ->and(Edition::query()->count())
        ->toBe(1);
});

test('an empty catalog has nothing to publish, and no edition nothing to count', function (): void {
    expect(fn () => Served::now()->file())->toThrow(Refused::class, 'There is no edition yet');
});

test('an edition that another version has made is not read, says so, and gives way to the next', function (): void {
    $this->publish();
    $edition = Edition::current();
    (new PDO('sqlite:'.Edition::directory().'/'.$edition?->file))->exec("UPDATE meta SET value = '1' WHERE key = 'format'");
    $this->get('/shop')->assertStatus(409)->assertSee('made by another version of Lokum');
    $this->actingAs($this->person());
    foreach (['/', '/publishing', '/line-ups', '/values/color', '/products'] as $path) {
        $this->get($path)->assertOk();
    }
    expect(app(CurrentDrift::class)()->new)->not->toBe([]);
    $this->publish();
    $this->get('/shop')->assertOk();
});

test('the shop shows the line-up, its counts and what is picked', function (): void {
    $this->publish();
    $page = $this->get('/shop/c/paint?color=red')->assertOk();
    $page->assertSee('1 product')->assertSee('Color: Red')->assertDontSee('Ostrelle', false);
    $this->get('/shop/p/P')->assertOk()->assertSee('Ninefold')->assertSee('20 ml');
    $this->get('/shop/c/nowhere')->assertNotFound();
    $this->get('/shop/p/nothing')->assertNotFound();
    $this->get('/shop?color[]=red&color[]=blue')->assertRedirect('/shop?color=blue,red');
    $this->get('/shop?color=nonsense&price=x..y&sort=zzz&page=-5')->assertOk()->assertSee('3 products');
});

// Common practice, no source: drill into a category with one color only, and the color filter has nothing to offer there.
test('a filter with nothing to offer on a page is not shown there', function (): void {
    $this->publish();
    $this->get('/shop')->assertSee('name="color[]"', false);
    $this->get('/shop/c/ink')->assertOk()->assertDontSee('name="color[]"', false);
});

test('texts of a feed are shown as texts', function (): void {
    $this->read("sku,name,category,Color\nX,<script>alert(1)</script>,<b onclick=x,<img src=x>\n", SHOP_MAP);
    $this->publish();
    foreach (['/shop', '/shop/p/X', '/shop/c/b-onclick-x'] as $path) {
        $html = (string) $this->get($path)->assertOk()->getContent();
        expect($html)->not->toContain('<script>alert')->not->toContain('<img src=x')->not->toContain('<b onclick');
    }
});

test('editions are kept by number and by size, and two of them whatever their size', function (): void {
    $this->publish();
    $size = (int) filesize(Edition::directory().'/'.Edition::current()?->file);
    app(SaveShop::class)(['editions' => 5, 'editions_mb' => max(1, (int) ceil(3 * $size / 1e6))], 0);
    $bound = Shop::current()->editionsMegabytes * 1e6;
    $files = fn (): array => glob(Edition::directory().'/edition-*.sqlite') ?: [];
    foreach (range(1, 4) as $i) {
        // So large that two of them are beyond the bound.
        foreach ($files() as $file) {
            ftruncate(fopen($file, 'r+b') ?: STDIN, max(0, (int) $bound));
            touch($file, time() - 120);
        }
        $this->publish();
    }
    expect($files())->toHaveCount(2)->and(in_array(Edition::directory().'/'.Edition::current()?->file, $files(), true))->toBeTrue();
});

test('an earlier edition is served again under a new number, and History says who and why', function (): void {
    $this->publish();
    $this->read("sku,name,category,Color\nZ,Zinc white,Paint > Oil,White\n", SHOP_MAP);
    $this->publish();
    $person = $this->person();
    $this->actingAs($person);
    $this->get('/shop')->assertSee('Zinc white');
    $this->get('/publishing?again=1')->assertOk()->assertSee('Serve it again?');
    $this->post('/publishing/1/serve', ['why' => 'Zinc was not meant to be sold'])->assertSessionHasNoErrors();
    $this->get('/shop')->assertOk()->assertDontSee('Zinc white');
    $change = Change::query()->latest('id')->firstOrFail();
    expect($change->summary)
        ->toBe('Served edition 1 again, as edition 3: Zinc was not meant to be sold')
        ->and($change->who())
        ->toBe($person->name)
        ->and(Edition::current()?->id)
        ->toBe(3);
    $this->post('/publishing/3/serve')->assertSessionHasErrors();
    $this->post('/publishing/99/serve')->assertSessionHasErrors();
    $this->actingAs($this->person(Role::Viewer))->post('/publishing/1/serve')->assertForbidden();
});

test('how many products more or fewer is said with its sign, in thousands', function (int $number, string $said): void {
    expect(Format::difference($number))->toBe($said);
})->with([[22000, '+22,000'], [-3, '−3'], [0, '0']]);

test('what comes and what goes is said by its number', function (): void {
    $this->publish();
    $said = fn (string $part = 'text'): array => array_column(DriftInWords::lines(app(CurrentDrift::class)()), $part);
    $this->read("sku,name,category\nS,Stick,Ink\n", SHOP_MAP);
    expect($said())->toContain('1 more product, 1 more variant');
    $this->read("sku,parent_sku,name\nP3,P,\nP4,P,\n", SHOP_MAP);
    expect($said())->toContain('1 more product, 3 more variants');
    // Variants alone that go are fewer by their sign, too.
    $this->publish();
    Acts::takeBack(Change::query()->where('room', Room::Feeds)->latest('id')->firstOrFail());
    expect($said())->toContain('2 fewer variants')->and($said('sign'))->toBe(['−']);
});
