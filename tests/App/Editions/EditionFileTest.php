<?php

declare(strict_types=1);

use App\Editions\EditionOrder;
use App\Editions\Picks;
use App\Editions\Served;
use App\Lineups\EditLineup;
use App\Models\Category;
use App\Models\Edition;
use App\Storefront\ListingAddress;
use App\Storefront\ListingPage;
use App\Storefront\ShopPage;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Lokum\Facet\ProductSet;
use Lokum\Facet\TermColumn;
use Tests\Support\Acts;

/* What an edition keeps beside its bitmaps so that pages need fewer of them: counts of listings, and orders in parts. */

beforeEach(function (): void {
    mt_srand(4);
    $csv = "sku,parent_sku,category,price,Color,Material\n";
    for ($i = 0; $i < 90; $i++) {
        $category = ['A', 'A > B', 'A > B > C', 'D', ''][mt_rand(0, 4)];
        $csv .= "P{$i},,{$category},".mt_rand(1, 99).',v'.mt_rand(1, 6).',m'.mt_rand(1, 4)."\n";
        for ($v = 0, $variants = mt_rand(0, 3); $v < $variants; $v++) {
            $csv .= "P{$i}-{$v},P{$i},,".mt_rand(1, 99).',v'.mt_rand(1, 9).",\n";
        }
    }
    $this->read(
        $csv,
        '{"columns": {"Color": {"kind": "choice", "level": "variant"}, "Material": {"kind": "choice", "level": "product"}}}',
    );
    array_map(app(EditLineup::class)->add(...), ['color', 'material', 'stock', 'price']);
});

test('the counts that an edition keeps for each listing are those that its bitmaps give', function (bool $ownOnly): void {
    Category::query()
        ->where('slug', 'b')
        ->update(['own_only' => $ownOnly]);
    $this->publish();
    $edition = Served::now()->file();
    $checked = 0;
    foreach ([null, ...$edition->categories()] as $category) {
        $kept = $edition->listingCounts($category);
        [, $counted] = $this->counts(category: $category?->slug);
        foreach ($edition->attributes() as $attribute) {
            foreach ($edition->terms($attribute) as $id => $term) {
                expect($kept[$id] ?? 0)->toBe(
                    $counted[$attribute->slug][$term->slug],
                    ($category->slug ?? 'shop')." {$term->label}",
                );
                $checked++;
            }
        }
    }
    expect($checked)->toBe(5 * 13);
})->with(['with what is below' => false, 'a category of its own products only' => true]);

test('an attribute with many terms is counted by the columns that were written for it, one with few by its sets', function (): void {
    $this->publish();
    $edition = Served::now()->file();
    $columnsOf = function (string $slug) use ($edition): array {
        $terms = array_keys($edition->terms($edition->attribute($slug) ?? throw new RuntimeException("No {$slug}.")));

        return [$terms, $edition->columns($terms[0])];
    };
    [$terms, $columns] = $columnsOf('color');
    $inColumns = array_merge(...array_map(fn (TermColumn $column): array => array_values($column->terms), $columns));
    expect($inColumns)->toEqualCanonicalizing($terms)->and($columnsOf('material')[1])->toBe([]);
});

test('values below their umbrellas are counted as products, too', function (): void {
    $color = App\Models\Definition::query()->where('slug', 'color')->firstOrFail();
    $ids = $color
        ->values()
        ->whereIn('label', ['v1', 'v2', 'v3'])
        ->pluck('id')
        ->all();
    app(App\Vocabulary\GatherValues::class)($color, 'Low', array_values($ids));
    $given = App\Draft\DraftLineups::load()->of('shop')->filters['color']->given;
    app(App\Lineups\ChangeFilter::class)->save(
        'color',
        ['control' => 'nested'] + $given,
        'shop',
        App\Lineups\ChangeFilter::token($given),
    );
    $this->publish();
    $edition = Served::now()->file();
    $attribute = $edition->attribute('color') ?? throw new RuntimeException('No color.');
    $below = array_filter($edition->terms($attribute, nested: true), fn ($term): bool => $term->parent !== null);
    expect($below)->toHaveCount(3);
    foreach ([null, ...$edition->categories()] as $category) {
        $page = new App\Editions\CountPage($edition, $category, new Picks(), ['color'], nested: ['color']);
        $counted = $page->counter->counts()['color'];
        $kept = $edition->listingCounts($category);
        foreach ($below as $id => $term) {
            expect($kept[$id] ?? 0)->toBe($counted[$id], ($category->slug ?? 'shop')." {$term->label}");
        }
    }
});

test('a narrowed page counts what is left of what it offered before', function (): void {
    $this->publish();
    $edition = Served::now()->file();
    $address = ListingAddress::read(
        Request::create('/shop/c/a?color=v1'),
        $edition,
        ShopPage::ofCategory($edition->category('a') ?? throw new RuntimeException('No category.')),
    );
    $shown = array_column((new ListingPage($edition, $address))->filters, 'terms', 'key');
    [, $counted] = $this->counts(new Picks(['color' => ['v1']]), 'a');
    foreach (['color', 'material'] as $slug) {
        $counts = array_filter($counted[$slug]);
        expect($counts)->not->toBe([])->and(array_column($shown[$slug], 'count', 'slug'))->toEqual($counts);
    }
});

test('products stand in the order asked for, whether few of them match or many', function (int $matching): void {
    $products = 400;
    $order = range(0, $products - 1);
    mt_srand(9);
    shuffle($order);
    $places = array_flip($order);
    ksort($places);
    $part = fn (array $numbers): Closure => fn (int $part): string => pack(
        'V*',
        ...array_slice($numbers, $part * EditionOrder::PART, EditionOrder::PART),
    );
    $chosen = (array) array_rand(array_flip(range(0, $products - 1)), $matching);
    $bits = gmp_init(0);
    array_map(fn (int $number) => gmp_setbit($bits, $number), $chosen);
    $wanted = array_values(array_intersect($order, $chosen));
    $kept = new EditionOrder($products, $part($order), $part(array_values($places)));
    foreach ([[0, 24], [3, 2], [$matching, 24]] as [$offset, $length]) {
        expect($kept->page(new ProductSet($bits), $offset, $length))->toBe(array_slice($wanted, $offset, $length));
    }
})->with([1, 5, 6, 7, 200, 400]);

test('every order of an edition holds each product once, and its place', function (): void {
    $this->publish();
    $file = new PDO('sqlite:'.Edition::directory().'/'.Edition::current()?->file);
    $products = DB::table('items')->whereNull('parent_id')->count();
    foreach (
        Acts::rows(
            $file,
            'SELECT name, group_concat(hex(numbers), "") AS numbers, group_concat(hex(ranks), "") AS ranks FROM (SELECT *
                    FROM orders ORDER BY name, part) GROUP BY name',
        ) as $order
    ) {
        $numbers = array_values((array) unpack('V*', (string) hex2bin($order['numbers'])));
        $ranks = array_values((array) unpack('V*', (string) hex2bin($order['ranks'])));
        expect($numbers)->toHaveCount($products)->and(array_unique($numbers))->toHaveCount($products);
        foreach ($numbers as $rank => $number) {
            expect($ranks[$number])->toBe($rank);
        }
    }
});
