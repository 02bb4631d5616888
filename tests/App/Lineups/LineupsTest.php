<?php

declare(strict_types=1);

use App\Catalog\ProductCounts;
use App\Draft\DraftLineups;
use App\Draft\PageFacts;
use App\Editions\Served;
use App\History\TakeBack;
use App\Lineups\ChangeFilter;
use App\Lineups\EditLineup;
use App\Lineups\FilterForm;
use App\Lineups\LineupLedger;
use App\Lineups\LineupWarnings;
use App\Lineups\ListOwnOnly;
use App\Lineups\MoveLineup;
use App\Lineups\Overlaps;
use App\Lineups\PageWorth;
use App\Models\Category;
use App\Models\Change;
use App\Models\Definition;
use App\Models\Filter;
use App\Models\Lineup;
use App\Models\Room;
use App\Models\State;
use App\Models\Umbrella;
use App\Support\Refused;
use App\Values\CreateValue;
use App\Values\FindValue;
use App\Vocabulary\GatherValues;
use App\Vocabulary\MergeConsequences;
use App\Vocabulary\MergeValues;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Lokum\Lineup\FilterSettings;
use Tests\Support\Acts;

/* Line-ups page by page, from the edit to what the storefront shows. */

const STOCKED = 'sku,parent_sku,name,category,brand,price,stock,Color,Weight,Note,Made
P1,,Sage oil,Paint > Oil,Ninefold,5,3,Sage,10,Ground in small batches,2026-01-05
P2,,Olive oil,Paint > Oil,Ninefold,12,0,Olive,20,Café green,2026-02-10
P3,,Crimson ink,Paint > Ink,Loxholm,20,5,Crimson,,Café red,2026-03-01
P4,,Cerulean ink,Paint > Ink,Loxholm,60,1,Cerulean,500,,
P5,,Wide brush,Brushes,Ninefold,8,2,,80,Soft hair,2026-02-11
P6,,Fine brush,Brushes,Loxholm,9,0,,8,,
';

const STOCKED_MAP = '{"columns": {"Color": {"attribute": "color", "label": "Color", "kind": "choice"}, "Weight": {"attribute": '.
    '"weight", "label": "Weight", "kind": "number", "unit": "g"}, "Note": {"attribute": "note", "label": "Note", "kind": '.
    '"text"}, "Made": {"attribute": "made", "label": "Made", "kind": "date"}}}';

beforeEach(function (): void {
    $this->read(STOCKED, STOCKED_MAP);
    app(EditLineup::class)->several(['color', 'brand', 'price']);
});

function pageOf(string $slug): string
{
    return (string) Category::query()->where('slug', $slug)->value('id');
}

/** @param  array<mixed>  $changes */
function saveFilter(string $key, array $changes, string $placement = 'shop'): void
{
    $given = DraftLineups::load()->of(LineupLedger::pageOf($placement))->filters[$key]->given;
    app(ChangeFilter::class)->save($key, $changes + $given, $placement, ChangeFilter::token($given));
}

/** @return list<string> titles of the filters that a page of the shop shows, in order */
function shownOn(Tests\Support\CatalogTestCase $test, string $path): array
{
    preg_match_all(
        '/<summary[^>]*>\s*<span[^>]*>([^<]+)<\/span>\s*<\/summary>/',
        (string) $test->get($path)->assertOk()->getContent(),
        $found,
    );

    return array_map(trim(...), $found[1]);
}

/** @return list<string> names of the products that a page of the shop shows, in order */
function goodsOn(Tests\Support\CatalogTestCase $test, string $path): array
{
    preg_match_all('/<span\s+class="title">([^<]+)</', (string) $test->get($path)->assertOk()->getContent(), $found);

    return array_map(trim(...), $found[1]);
}

test(
    'a branch drops, adds, changes and orders filters; its pages get that, others do not, and all of it is taken back',
    function (): void {
        $edit = app(EditLineup::class);
        $paint = 'below:'.pageOf('paint');
        $edit->drop('brand', $paint);
        $edit->add('weight', $paint);
        $edit->order(['weight', 'price', 'color'], $paint);
        saveFilter('color', ['title' => 'Shade', 'columns' => 3], $paint);
        saveFilter('price', ['title' => 'Cost'], 'only:'.pageOf('oil'));
        $this->publish();
        expect(shownOn($this, '/shop'))
            ->toBe(['Color', 'Brand', 'Price'])
            ->and(shownOn($this, '/shop/c/paint'))
            ->toBe(['Weight', 'Price', 'Shade'])
            ->and(shownOn($this, '/shop/c/oil'))
            ->toBe(['Weight', 'Cost', 'Shade'])
            ->and(shownOn($this, '/shop/c/brushes'))
            ->toBe(['Brand', 'Price'])
            ->and(shownOn($this, '/shop/search?q=ink'))
            ->toBe(['Color', 'Price']);
        $composed = DraftLineups::load()->of(pageOf('oil'));
        expect($composed->filters['color']->changed)
            ->toHaveKeys(['title', 'columns'])
            ->and(array_keys($composed->dropped))
            ->toBe(['brand']);
        // What is changed at the top still reaches the branch, save for what it says itself.
        saveFilter('color', ['title' => 'Hue', 'help' => 'Look closely']);
        expect(DraftLineups::load()->of(pageOf('oil'))->filters['color']->given)->toMatchArray([
            'title' => 'Shade',
            'help' => 'Look closely',
        ]);
        app(ChangeFilter::class)->fallBack('color', $paint, 'title');
        expect(DraftLineups::load()->of(pageOf('oil'))->filters['color']->given)->toMatchArray([
            'title' => 'Hue',
            'columns' => 3,
        ]);
        app(MoveLineup::class)->copy($paint, 'below:'.pageOf('brushes'));
        expect(array_keys(DraftLineups::load()->of(pageOf('brushes'))->filters))->toBe(['weight', 'price', 'color']);
        app(MoveLineup::class)->copy('below:'.pageOf('brushes'), 'search', move: true);
        expect(array_keys(DraftLineups::load()->of('search')->filters))
            ->toBe(['weight', 'price', 'color'])
            ->and(array_keys(DraftLineups::load()->of(pageOf('brushes'))->filters))
            ->toBe(['color', 'brand', 'price']);
        app(MoveLineup::class)->remove($paint);
        expect(array_keys(DraftLineups::load()->of(pageOf('ink'))->filters))
            ->toBe(['color', 'brand', 'price'])
            ->and(fn () => app(MoveLineup::class)->remove('shop'))
            ->toThrow(Refused::class);
        while (($newest = app(TakeBack::class)->newest()) !== null && $newest->room === Room::LineUps) {
            Acts::takeBack($newest);
        }
        expect(DraftLineups::load()->of('shop')->filters)
            ->toBe([])
            ->and(DB::table('filter_changes')->count())
            ->toBe(0)
            ->and(DB::table('lineups')->count())
            ->toBe(1);
    },
);

test(
    'only these: a merge, a rename and a gathering carry over by themselves, and new terms wait to be admitted',
    function (): void {
        $id = fn (string $label): int => FindValue::named(Acts::definition('color'), $label)->id;
        saveFilter('color', ['terms' => 'only', 'chosen' => [$id('Sage'), $id('Crimson')], 'seen' => FilterForm::newest()]);
        $terms = function (): array {
            $this->publish();
            preg_match_all('/name="color\[\]" value="([^"]+)"/', (string) $this->get('/shop')->getContent(), $found);

            return array_map(trim(...), $found[1]);
        };
        expect($terms())->toBe(['crimson', 'sage']);
        $merge = app(MergeValues::class);
        expect(
            MergeConsequences::of(
                Acts::definition('color'),
                $merge->plan(Acts::definition('color'), $id('Olive'), [$id('Sage')]),
                app(ProductCounts::class),
            )
                ->handPicked,
        )
            ->toBe(['Color (Whole shop)'])
            ->and(app(GatherValues::class)->consequences(Acts::definition('color'), 'Reds', [$id('Cerulean')])->handPicked)
            ->toBe([]);
        $merge(Acts::definition('color'), $merge->plan(Acts::definition('color'), $id('Olive'), [$id('Sage')]));
        expect($terms())->toBe(['crimson', 'olive']);
        app(GatherValues::class)(Acts::definition('color'), 'Reds', [$id('Crimson')]);
        expect($terms())->toBe(['olive', 'reds']);
        $new = app(CreateValue::class)(Acts::definition('color'), 'Gamboge');
        $this->read("sku,category,Color\nP9,Paint,Gamboge\n", STOCKED_MAP);
        $filter = DraftLineups::load()->of('shop')->filters['color']->settings();
        expect($terms())
            ->toBe(['olive', 'reds'])
            ->and(FilterForm::isWaiting($filter, $new))
            ->toBeTrue()
            ->and(FilterForm::isWaiting($filter, $id('Cerulean')))
            ->toBeFalse();
        $this->actingAs($this->person())
            ->get('/line-ups?filter=color')
            ->assertSee('1 waiting')
            ->assertSee('New, and not shown yet');
        $this->post('/line-ups/color/admit', ['page' => 'shop', 'admit' => [$new]])->assertSessionHas('done');
        expect($terms())->toBe(['gamboge', 'olive', 'reds']);
        saveFilter('color', ['terms' => 'except', 'chosen' => [Umbrella::TERM + (int) Umbrella::query()->value('id')]]);
        expect($terms())->toBe(['cerulean', 'gamboge', 'olive']);
    },
);

test('a page to copy to or to compare with is typed by its path or its name, and an unknown one is told once', function (): void {
    $this->read("sku,category,Color\nA,Paint > Oil,Red\nB,Paint > Ink,Blue\n");
    $this->actingAs($this->person());
    $copy = fn (string $to): TestResponse => $this->from('/line-ups')
        ->followingRedirects()
        ->post('/line-ups/copy', ['page' => 'shop', 'at' => '', 'to' => $to]);
    $copy(' Paint > Oil ')->assertOk();
    $copy('Search results')->assertOk();
    expect(Lineup::query()->pluck('placement')->all())->toEqualCanonicalizing(['shop', 'below:'.pageOf('oil'), 'search']);
    $this->get('/line-ups?with='.urlencode('Paint > Ink'))->assertSee('Compared with');
    $told = (string) $copy('Nowhere')->assertOk()->getContent();
    expect(substr_count($told, 'There is no page &quot;Nowhere&quot;'))->toBe(1)->and(Lineup::query()->count())->toBe(3);
});

test('beside the work stand the first twenty filters, and all where they are asked for', function (): void {
    $traits = array_map(fn (int $i): string => "Trait {$i}", range(1, 23));
    $this->read('sku,category,'.implode(',', $traits)."\nA,Paint".str_repeat(',Red', 23)."\nB,Paint".str_repeat(',Blue', 23)."\n");
    Definition::query()->update(['state' => 'accepted']);
    foreach (range(1, 23) as $i) {
        if (! isset(DraftLineups::load()->of('shop')->filters["trait-{$i}"])) {
            app(EditLineup::class)->add("trait-{$i}");
        }
    }
    $this->actingAs($this->person());
    $drawn = fn (string $path): int => substr_count((string) $this->get($path)->assertOk()->getContent(), '<details class="filter"');
    expect($drawn('/line-ups'))->toBe(20)->and($drawn('/line-ups?whole=1'))->toBe(count(DraftLineups::load()->of('shop')->filters));
    $this->get('/line-ups')->assertSee('more filters');
});

test('how new a product is counts anew every day, though nothing was touched', function (): void {
    $this->read("sku,category,Color\nA,Paint,Red\nB,Paint,Blue\n");
    app(EditLineup::class)->several(['added']);
    $days = function (): array {
        app()->forgetScopedInstances();

        return array_keys(app(PageFacts::class)->of('shop', 'added')->numbers);
    };
    $this->travelTo('2031-05-06 23:50:00');
    $today = $days();
    // The database has its own clock: what it would say ten days later.
    DB::table('items')->update(['created_at' => now()->subDays(4000)]);
    expect($days())->toBe($today);
    $this->travelTo('2031-05-07 00:10:00');
    expect($days())->not->toBe($today);
});

test('bands, dates, texts, categories below and values below their umbrellas narrow the shop', function (): void {
    $color = Acts::definition('color');
    app(GatherValues::class)($color, 'Green', FindValue::ids($color, ['Sage', 'Olive']));
    app(EditLineup::class)->several(['weight', 'note', 'made', 'category', 'stock', 'added']);
    saveFilter('color', ['control' => 'nested']);
    saveFilter('weight', [
        'control' => 'bands',
        'bands' => [
            ['from' => null, 'to' => 10],
            ['from' => 10, 'to' => 100, 'label' => 'Middling'],
            ['from' => 100, 'to' => null],
        ],
    ]);
    saveFilter('note', ['open' => true]);
    $this->publish();
    expect(goodsOn($this, '/shop?weight=..10'))
        ->toBe(['Fine brush', 'Sage oil'])
        ->and(goodsOn($this, '/shop?weight=10..100'))
        ->toBe(['Olive oil', 'Sage oil', 'Wide brush'])
        ->and(goodsOn($this, '/shop?weight=..10,100..'))
        ->toBe(['Cerulean ink', 'Fine brush', 'Sage oil'])
        // Blind to case and diacritics (C8): "cafe" finds "Café".

        ->and(goodsOn($this, '/shop?note=CAFE'))
        ->toBe(['Crimson ink', 'Olive oil'])
        ->and(goodsOn($this, '/shop?made=2026-02-01..2026-02-11'))
        ->toBe(['Olive oil', 'Wide brush']);
    $this->get('/shop?'.http_build_query(['made' => ['from' => '2026-02-11', 'to' => '2026-02-01']]))->assertRedirect(
        '/shop?made=2026-02-01..2026-02-11',
    );
    expect(goodsOn($this, '/shop?category=brushes'))
        ->toBe(['Fine brush', 'Wide brush'])
        ->and(goodsOn($this, '/shop?color=green'))
        ->toBe(['Olive oil', 'Sage oil'])
        ->and(goodsOn($this, '/shop?color=sage'))
        ->toBe(['Sage oil'])
        ->and(goodsOn($this, '/shop?color=green,crimson&category=paint'))
        ->toBe(['Crimson ink', 'Olive oil', 'Sage oil']);
    $this->get('/shop?made=2026-02-01..')->assertSee('Made: 2026-02-01 and over');
    $this->get('/shop')->assertSee('Middling')->assertSee('2 in it');
    saveFilter('note', ['match' => 'whole']);
    // Without a filter that nests them, the address of a value under an umbrella leads to the umbrella.
    saveFilter('color', ['control' => 'ticks']);
    $this->publish();
    expect(goodsOn($this, '/shop?note=cafe'))
        ->toBe([])
        ->and(goodsOn($this, '/shop?note=cafe%20red'))
        ->toBe(['Crimson ink']);
    $this->get('/shop?color=sage')->assertRedirect('/shop?color=green');
});

test('sold-out products are shown last or hidden until asked for, and sort orders are the shop\'s own', function (): void {
    app(EditLineup::class)->page(
        [
            'sold_out' => 'last',
            'sorts' => [
                ['name' => 'Heaviest', 'by' => [['weight', true], ['name', false]]],
                ['name' => 'Dearest', 'by' => [['price', true]]],
                ['name' => 'Off', 'by' => [['name', false]], 'active' => false],
            ],
        ],
        'shop',
    );
    app(EditLineup::class)->page(['sold_out' => 'hidden'], 'below:'.pageOf('brushes'));
    $this->publish();
    expect(goodsOn($this, '/shop'))
        ->toBe(['Cerulean ink', 'Wide brush', 'Sage oil', 'Crimson ink', 'Olive oil', 'Fine brush'])
        ->and(goodsOn($this, '/shop?sort=dearest'))
        ->toBe(['Cerulean ink', 'Crimson ink', 'Wide brush', 'Sage oil', 'Olive oil', 'Fine brush'])

        ->and(goodsOn($this, '/shop/c/brushes'))
        ->toBe(['Wide brush'])
        ->and(goodsOn($this, '/shop/c/brushes?sold-out=1'))
        ->toBe(['Wide brush', 'Fine brush']);
    $this->get('/shop/c/brushes')->assertSee('Show 1 sold-out product too');
    $this->get('/shop')->assertSee('Heaviest')->assertDontSee('>Off<', false);
});

test('a category can list its own products only, and the search finds by words', function (): void {
    $this->read("sku,name,category\nP7,Plain tube,Paint\n");
    app(ListOwnOnly::class)(Category::query()->where('slug', 'paint')->firstOrFail(), true);
    $this->publish();
    expect(goodsOn($this, '/shop/c/paint'))
        ->toBe(['Plain tube'])
        ->and(goodsOn($this, '/shop/search?q=INK+crim'))
        ->toBe(['Crimson ink'])
        ->and(goodsOn($this, '/shop/search?q=p3'))
        ->toBe(['Crimson ink'])
        ->and(goodsOn($this, '/shop/search?q=nothing-like-it'))
        ->toBe([]);
    expect(app(PageFacts::class)->products(pageOf('paint')))->toBe(1);
});

test('a product shows its properties in their sections', function (): void {
    Definition::query()
        ->where('slug', 'weight')
        ->update(['section' => 'Measures']);
    $this->publish();
    $this->get('/shop/p/P1')
        ->assertOk()
        ->assertSeeInOrder(['Color', 'Sage', 'Measures', 'Weight', '10 g']);
});

test('where nothing is left, it says which one filter to drop and what that brings', function (): void {
    $this->publish();
    $this->get('/shop?color=sage&brand=loxholm&price=..6')
        ->assertSee('Nothing has all of this at once')
        ->assertSee('without Brand')
        ->assertDontSee('without Price');
    expect(goodsOn($this, '/shop?color=sage&price=..6'))->toBe(['Sage oil']);
});

test('looks, labels, order, pins and columns of a filter are its own, and the shop shows them', function (): void {
    $id = fn (string $label): int => FindValue::named(Acts::definition('color'), $label)->id;
    saveFilter('color', [
        'control' => 'cubes',
        'columns' => 4,
        'order' => 'products',
        'pinned' => [$id('Olive')],
        'looks' => [$id('Crimson') => ['label' => 'Deep red', 'colors' => ['#770011']]],
        'title_shown' => false,
        'counts' => false,
        'more' => 1,
    ]);
    saveFilter('price', [
        'prefix' => 'EUR ',
        'decimals' => 2,
        'from' => 1,
        'to' => 51,
        'step' => 5,
    ]);
    $this->publish();
    $html = (string) $this->get('/shop')->getContent();
    preg_match_all('/name="color\[\]" value="([^"]+)"/', $html, $found);
    expect($found[1][0])
        ->toBe('olive')
        ->and($html)
        ->toContain('Deep red')
        ->toContain('#770011')
        ->toContain('in-4')
        ->toContain('3 more')
        ->toContain('min="1" max="51" step="5"');
    $this->actingAs($this->person())->get('/line-ups')->assertSee('Deep red');
});

test('a filter dresses a term with all that a look has, on the pages at hand alone, and lets go of it', function (): void {
    $crimson = FindValue::named(Acts::definition('color'), 'Crimson')->id;
    $this->actingAs($this->person());
    $settings = fn (string $page): FilterSettings => DraftLineups::load()->of($page)->filters['color']->settings();
    $dress = function (array $look, string $at = 'shop', ?string $token = null) use ($crimson): TestResponse {
        $page = $at === 'shop' ? 'shop' : pageOf('paint');
        $token ??= ChangeFilter::token(DraftLineups::load()->of($page)->filters['color']->given);

        return $this->put("/line-ups/color/looks/{$crimson}", ['page' => $page, 'at' => $at, 'token' => $token] + $look);
    };
    $this->get("/line-ups?page=shop&filter=color&dress={$crimson}")->assertOk()->assertSee('What is left empty');
    $image = imagecreatetruecolor(8, 8);
    ob_start();
    imagepng($image);
    $picture = UploadedFile::fake()->createWithContent('paper.png', (string) ob_get_clean());
    $dress([
        'color_count' => 3,
        'colors' => ['#770011', '#FFFFFF', '#223344'],
        'look_label' => 'Deep red',
        'look_help' => 'As wine',
        'look_picture' => $picture,
    ])->assertRedirect()->assertSessionHasNoErrors();

    $look = $settings('shop')->looks[$crimson];
    expect([$look->colors, $look->label, $look->help, $look->picture !== null])
        ->toBe([['#770011', '#ffffff', '#223344'], 'Deep red', 'As wine', true]);
    // A branch says otherwise; the shop stays.
    $dress(['color_count' => 0, 'color_name' => 'black and white', 'look_label' => 'Dark'], 'below:'.pageOf('paint'))
        ->assertSessionHasNoErrors();
    expect($settings(pageOf('paint'))->looks[$crimson]->label)
        ->toBe('Dark')
        ->and(count($settings(pageOf('paint'))->looks[$crimson]->colors))
        ->toBe(2)
        ->and($settings('shop')->looks[$crimson]->label)
        ->toBe('Deep red');
    $dress(['look_label' => 'Sage'])->assertSessionHasErrors('looks');
    $dress(['color_name' => 'no such color'])->assertSessionHasErrors('colors');
    $dress(['look_label' => 'Late'], token: 'older')->assertSessionHasErrors();
    $dress(['undress' => 1])->assertSessionHasNoErrors();
    expect($settings('shop')->looks)->toBe([]);
});

test('filters under one heading stand together, where the first of them stands', function (): void {
    app(EditLineup::class)->add('weight');
    $keys = fn (): array => array_map(strval(...), array_keys(DraftLineups::load()->of('shop')->filters));
    $before = $keys();
    [$first, $last] = [$before[0], $before[count($before) - 1]];
    saveFilter($first, ['group' => 'How it feels']);
    saveFilter($last, ['group' => 'How it feels']);
    expect($keys())->toBe([$first, $last, ...array_slice($before, 1, -1)]);
    $this->publish();
    $this->get('/shop')->assertOk()->assertSeeInOrder(['How it feels', "id=\"filter-{$first}\"", "id=\"filter-{$last}\""], false);
    $this->actingAs($this->person());
    $this->get('/line-ups')->assertOk()->assertSee('How it feels');
    // On a branch it can leave the heading.
    $given = DraftLineups::load()->of(pageOf('paint'))->filters[$last]->given;
    app(ChangeFilter::class)->save($last, ['group' => null] + $given, 'below:'.pageOf('paint'), ChangeFilter::token($given));
    expect(array_key_last(DraftLineups::load()->of(pageOf('paint'))->filters))->toBe($last);
});

test('a filter that line-ups share is changed at all of them, and any can part or go', function (): void {
    $edit = app(EditLineup::class);
    [$paint, $brushes] = ['only:'.pageOf('paint'), 'only:'.pageOf('oil')];
    $edit->drop('color');
    $edit->add('color', $paint);
    $this->actingAs($this->person());
    $filter = Filter::query()->whereRelation('definition', 'slug', 'color')->sole();
    $this->get('/line-ups?page='.pageOf('oil').'&at=only')->assertOk()->assertSee("shared:{$filter->id}", false);
    $this->post('/line-ups', ['page' => pageOf('oil'), 'at' => 'only', 'source' => "shared:{$filter->id}"])
        ->assertSessionHasNoErrors();
    $title = fn (string $slug): ?string => DraftLineups::load()->of(pageOf($slug))->filters['color']->given['title'] ?? null;
    $change = function (string $placement, string $slug, string $title): void {
        $given = DraftLineups::load()->of(pageOf($slug))->filters['color']->given;
        app(ChangeFilter::class)->save('color', ['title' => $title] + $given, $placement, ChangeFilter::token($given));
    };
    $change($brushes, 'oil', 'Shade');
    expect([$title('paint'), $title('oil')])->toBe(['Shade', 'Shade']);
    // What the other place has already is no title for both.
    $edit->add('weight', $paint);
    expect(fn () => $change($brushes, 'oil', DraftLineups::load()->of(pageOf('paint'))->filters['weight']->given['title']))
        ->toThrow(Refused::class, 'Another filter of the line-up of Paint');
    $this->get('/line-ups?page='.pageOf('oil').'&at=only'.'&filter=color')->assertSee('Shared with');
    $this->post('/line-ups/color/part', ['page' => pageOf('oil'), 'at' => 'only'])->assertSessionHasNoErrors();
    $change($brushes, 'oil', 'Hue');
    expect([$title('paint'), $title('oil')])->toBe(['Shade', 'Hue'])
        ->and(Filter::query()->whereNotNull('shared')->count())
        ->toBe(0);
    // Taken back one after the other, they are one again, and as before.
    Acts::takeBack(Change::query()->latest('id')->firstOrFail());
    Acts::takeBack(Change::query()->where('summary', 'like', '%its own in%')->latest('id')->firstOrFail());
    $change($paint, 'paint', 'Tone');
    expect([$title('paint'), $title('oil')])->toBe(['Tone', 'Tone']);
    $edit->drop('color', $paint);
    expect($title('oil'))->toBe('Tone');
    $this->post('/line-ups', ['page' => pageOf('oil'), 'at' => 'only', 'source' => 'shared:999999'])->assertSessionHasErrors();
});

test('what filters earn is worked out on the draft, and proposed from nothing', function (): void {
    $rows = "sku,name,category,brand,price,Color,Tone,Grade\n";
    for ($i = 0; $i < 120; $i++) {
        $rows .=
            "B{$i},Thing {$i},Shelf,".
            ($i % 3 === 0 ? 'Ninefold' : 'Loxholm').
            ','.
            (1 + ($i % 40)).
            ','.
            ['Red', 'Blue', 'Green', 'Gray'][$i % 4].
            ','.
            ['Warm', 'Cold', 'Mild', 'Plain'][$i % 4].
            ','.
            ($i < 10 ? 'A' : '').
            "\n";
    }
    $this->read(
        $rows,
        '{"columns": {"Color": {"attribute": "color", "kind": "choice"}, "Tone": {"attribute": "tone", "kind": "choice"}, '.
        '"Grade": {"attribute": "grade", "kind": "choice"}}}',
    );
    app(EditLineup::class)->several(['tone', 'grade']);
    $page = pageOf('shelf');
    $lineup = DraftLineups::load()->of($page);
    $worth = app(PageWorth::class)->of($page, $lineup);
    expect($worth['color']->coverage)
        ->toBe(1.0)
        ->and($worth['color']->narrowing)
        ->toEqualWithDelta(0.75, 1e-9)
        ->and($worth['color']->leaves)
        ->toBe(30)
        ->and($worth['color']->inWords())
        ->toBe('covers 100 % of 120 products; one pick leaves about 30')
        // Two that say the same: four colors and four tones, always together.

        ->and($worth['tone']->same)
        ->toBe('Color')
        ->and($worth['tone']->overlap)
        ->toEqualWithDelta(1.0, 1e-9)
        ->and($worth['brand']->overlap)
        ->toBeLessThan(0.01)
        ->and($worth['grade']->coverage)
        ->toEqualWithDelta(10 / 120, 1e-9);
    // Where all is inherited nothing is warned about; the shop's line-up says it.
    expect(app(LineupWarnings::class)->of($page, $lineup, app(PageFacts::class), $worth))->toBe([]);
    $shop = DraftLineups::load()->of('shop');
    $warnings = app(LineupWarnings::class)->of('shop', $shop, app(PageFacts::class), app(PageWorth::class)->of('shop', $shop));
    expect($warnings['tone'][0]['text'])
        ->toBe('says nearly the same as Color')
        ->and($warnings['grade'][0]['text'])
        ->toContain('all products here have the same');
    // Asked for all of them, and no product has two.
    saveFilter('color', ['combine' => 'all']);
    $shop = DraftLineups::load()->of('shop');
    $warnings = app(LineupWarnings::class)->of('shop', $shop, app(PageFacts::class), app(PageWorth::class)->of('shop', $shop));
    expect(array_column($warnings['color'] ?? [], 'text'))
        ->toContain('two picks never leave anything: all of them are asked for, and nothing has more than one');
    saveFilter('color', ['combine' => 'any']);
    $proposed = array_map(fn ($one): string => $one->key, app(PageWorth::class)->proposal($page, 8));
    expect($proposed)
        ->toContain('color')
        ->toContain('brand')
        ->not->toContain('tone')
        ->not->toContain('grade')
        ->and(app(PageWorth::class)->order($page, $lineup)[count($lineup->filters) - 1])
        ->toBeIn(['tone', 'grade']);
    $this->actingAs($this->person());
    foreach (
        [
            '',
            '&propose=order',
            '&propose=lineup',
            '&why=1',
            '&filter=price&bands=steps&number=4',
            '&filter=price&bands=shares',
            '&with=shop',
            '&at=only',
        ] as $more
    ) {
        $this->get("/line-ups?page={$page}{$more}")->assertOk();
    }
    $this->get('/line-ups?page=shelf&why=1')->assertSee('covers 100 % of 120 products');
    $this->get('/line-ups?page=nowhere')->assertSessionHasErrors('refused');
});

test('bad settings are refused, naming the field, and nothing is lost', function (
    string $field,
    array $input,
    string $why,
): void {
    $this->actingAs($this->person());
    $given = DraftLineups::load()->of('shop')->filters['price']->given;
    $this->put(
        '/line-ups/price',
        $input + [
            'title' => 'Price',
            'control' => 'scale',
            'page' => 'shop',
            'token' => ChangeFilter::token($given),
        ],
    )->assertSessionHasErrors([$field => $why]);
    expect(DraftLineups::load()->of('shop')->filters['price']->given)->toBe($given);
})->with([
    ['title', ['title' => ' '], 'A filter needs a title of 1 to 100 characters.'],
    ['title', ['title' => 'Color'], 'Another filter of the shop\'s line-up is titled "Color".'],
    ['step', ['step' => '-1'], 'The step is a number above zero, for example 5 or 0.5.'],
    ['step', ['step' => 'x'], 'The step is a number, for example 5 or 0.5; "x" is none.'],
    ['to', ['from' => '9', 'to' => '3'], 'The scale ends before it begins.'],
    ['control', ['control' => 'cubes'], 'Cubes with their looks does not fit what Price holds.'],
    ['bands', ['control' => 'bands', 'bands' => [['from' => 'a']]], 'Band 1: "a" is not a number.'],
    [
        'bands',
        ['control' => 'bands', 'bands' => [['from' => '9', 'to' => '2']]],
        'Band 1: a band cannot end (2) before it begins (9).',
    ],
    ['bands', ['control' => 'bands'], 'Bands need at least one, with a lower or an upper end. Let Lokum propose some.'],
]);

test('an edition keeps the line-up of every page, and pages with the same one share it', function (): void {
    $this->publish();
    $edition = Served::now()->file();
    expect(array_map(fn (FilterSettings $filter): string => $filter->key, $edition->filters(pageOf('oil'))))
        ->toBe(['color', 'brand', 'price'])
        ->and($edition->filters('nowhere'))
        ->toBe([]);
});

test('what a form does not show stays: chosen terms, looks; what it clears goes back to the definition', function (): void {
    $id = fn (string $label): int => FindValue::named(Acts::definition('color'), $label)->id;
    saveFilter('color', [
        'terms' => 'only',
        'chosen' => [$id('Sage'), $id('Crimson')],
        'looks' => [$id('Sage') => ['label' => 'Soft green']],
    ]);
    app(EditLineup::class)->add('weight');
    $this->actingAs($this->person());
    $given = DraftLineups::load()->of('shop')->filters['color']->given;
    $this->put('/line-ups/color', [
        'page' => 'shop',
        'title' => 'Color',
        'token' => ChangeFilter::token($given),
        'terms' => 'only',
        'chosen' => [$id('Sage'), $id('Crimson')],
        'open' => 1,
        'shown' => 1,
        'counts' => 1,
        'title_shown' => 1,
    ])->assertSessionHasNoErrors();
    $after = DraftLineups::load()->of('shop')->filters['color']->settings();
    expect($after->chosen)
        ->toBe([$id('Sage'), $id('Crimson')])
        ->and($after->looks[$id('Sage')]->label)
        ->toBe('Soft green')
        ->and($after->looks)
        ->toHaveCount(1);
    saveFilter('weight', ['unit' => 'grams']);
    expect(DraftLineups::load()->of('shop')->filters['weight']->settings()->unit)->toBe('grams');
    $this->put('/line-ups/weight', [
        'page' => 'shop',
        'title' => 'Weight',
        'unit' => '',
        'open' => 1,
        'shown' => 1,
        'counts' => 1,
        'title_shown' => 1,
        'token' => ChangeFilter::token(DraftLineups::load()->of('shop')->filters['weight']->given),
    ])->assertSessionHasNoErrors();
    expect(DraftLineups::load()->of('shop')->filters['weight']->settings()->unit)->toBe('g');
    // Saved on a branch as it is, nothing is said there.
    $paint = pageOf('paint');
    $same = DraftLineups::load()->of($paint)->filters['weight']->given;
    $this->put('/line-ups/weight', [
        'page' => $paint,
        'title' => 'Weight',
        'unit' => 'g',
        'open' => 1,
        'shown' => 1,
        'counts' => 1,
        'title_shown' => 1,
        'more' => 12,
        'columns' => 2,
        'token' => ChangeFilter::token($same),
    ])->assertSessionHasNoErrors();
    expect(DB::table('filter_changes')->count())->toBe(0);
});

test('what is composed for the shop and its branches is one step, and goes as one', function (): void {
    $this->actingAs($this->person());
    $before = [Lineup::query()->count(), Filter::query()->count()];
    $this->post('/today/compose')->assertRedirect('/')->assertSessionHas('undo');
    $change = app(TakeBack::class)->newest();
    expect($change?->summary)
        ->toMatch('/^Composed \d+ line-ups? of \d+ filters?$/')
        ->and(Filter::query()->count())
        ->toBeGreaterThan($before[1]);
    Acts::takeBack($change);
    expect([Lineup::query()->count(), Filter::query()->count()])->toBe($before);
    // Nothing is left to be proposed once it stands.
    $this->post('/today/compose');
    $this->from('/')->post('/today/compose')->assertSessionHasErrors();
});

test('what prices and stock say of other filters is told by the same sample, by variants and by products', function (): void {
    $rows = ['sku,parent_sku,name,category,price,stock,tier,look'];
    for ($i = 0; $i < 90; $i++) {
        // The price says the tier; whether it is in stock says nothing of the look of its product.
        $tier = $i % 3;
        $rows[] = "P{$i},,Product {$i},Paint,,,,look ".(intdiv($i, 9) % 2);
        foreach ([0, 1] as $variant) {
            $rows[] = "P{$i}-{$variant},P{$i},,,".(10 + 100 * $tier).','.(($i + $variant) % 2).",tier {$tier},";
        }
    }
    $this->read(implode("\n", $rows)."\n");
    Definition::query()->update(['state' => State::Accepted]);
    app(EditLineup::class)->several(['tier', 'look', 'stock']);
    $overlaps = app(Overlaps::class);
    expect($overlaps->between('shop', 'tier', 'price'))
        ->toEqualWithDelta(1.0, 0.05)
        ->and($overlaps->between('shop', 'stock', 'look'))
        ->toBeLessThan(0.05)
        ->and($overlaps->between('shop', 'price', 'stock'))
        ->toBeLessThan(0.05);
});
