<?php

declare(strict_types=1);

use App\Draft\DraftLineups;
use App\Draft\Placement;
use App\Editions\Served;
use App\Lineups\DraftListing;
use App\Lineups\EditLineup;
use App\Models\Definition;
use App\Publishing\CurrentDrift;
use App\Storefront\ListingAddress;
use App\Storefront\ListingPage;
use App\Storefront\ShopPage;
use App\Storefront\ShownFilter;
use Illuminate\Http\Request;
use Lokum\Lineup\OfferedTerm;
use Tests\Support\CatalogTestCase;
use Tests\Support\RandomActs;

/*
 * Ordinary acts in every order: after each, every room opens; and the page beside the work, once published, is the storefront, filter
 * by filter, term by term, count by count, text by text. LOKUM_SEEDS=100..400 tries other days than these.
 */

/** @return array<string, mixed> all that a shopper sees of a filter */
function asShown(ShownFilter $filter): array
{
    $term = fn (OfferedTerm $one): array => [
        $one->slug,
        $one->label,
        $one->count,
        $one->look->help,
        $one->look->colors,
        $one->look->picture,
        array_map(
            fn (OfferedTerm $below): array => [
                $below->slug,
                $below->label,
                $below->count,
                $below->look->help,
                $below->look->colors,
            ],
            $one->below,
        ),
    ];

    return [
        'key' => $filter->key,
        'title' => $filter->title,
        'shown' => $filter->settings->titleShown,
        'help' => $filter->help(),
        'control' => $filter->control->value,
        'combine' => $filter->combine->value,
        'open' => $filter->open,
        'unit' => $filter->unit,
        'counts' => $filter->settings->counts,
        'more' => $filter->settings->more,
        'scale' => $filter->steps === null ? null : [$filter->steps->min, $filter->steps->max, $filter->steps->step],
        'terms' => array_map($term, $filter->terms),
    ];
}

/** @return array{filters: list<array<string, mixed>>, products: list<string>, total: int} the page beside the work */
function besideTheWork(string $page): array
{
    $all = DraftLineups::load();
    $draft = app(DraftListing::class);
    $lineup = $all->of($page);

    return [
        'filters' => array_map(asShown(...), $draft->of($page, $lineup, $all)['filters']),
        'products' => array_map(fn ($item): string => $item->sku, $draft->products($page, $lineup)),
        'total' => app(App\Draft\PageFacts::class)->products($page),
    ];
}

/**
 * @return array{filters: list<array<string, mixed>>, products: list<string>, total: int}|null the page as shoppers have it; null
 *         where there is none
 */
function asPublished(string $page): ?array
{
    $edition = Served::now()->file();
    $byId = array_column($edition->categories(), null, 'id');
    $shopPage = match (true) {
        ctype_digit($page) => ShopPage::ofCategory($byId[(int) $page]),
        $page === Placement::SEARCH => ShopPage::ofSearch(''),
        $page === Placement::BRANDS => brandPage(),
        default => ShopPage::ofShop(),
    };
    if ($shopPage === null) {
        return null;
    }
    $address = ListingAddress::read(Request::create($shopPage->path), $edition, $shopPage);
    $listing = new ListingPage($edition, $address);

    return [
        'filters' => array_map(asShown(...), $listing->filters),
        'products' => array_map(fn ($product): string => $product->sku, array_slice($listing->shown, 0, 6)),
        'total' => $listing->products,
    ];
}

function brandPage(): ?ShopPage
{
    $edition = Served::now()->file();
    $term = app(App\Draft\PageFacts::class)->scope(Placement::BRANDS)->term;
    foreach ($edition->directories() as $attribute) {
        $found = $edition->terms($attribute)[$term ?? 0] ?? null;
        if ($found !== null) {
            return ShopPage::ofValue($attribute, $found);
        }
    }

    return null;
}

/** @return list<string> */
function allPages(): array
{
    return array_map(strval(...), array_keys(DraftLineups::load()->pages()));
}

/** Opens every room and ten pages of the shop. */
function openAll(CatalogTestCase $test, string $told): void
{
    $pages = allPages();
    shuffle($pages);
    $rooms = [
        '/',
        '/today/found',
        '/products',
        '/products?columns[]=color',
        '/definitions',
        '/expected',
        '/rules',
        '/values',
        '/newcomers',
        '/feeds',
        '/history',
        '/publishing',
        '/publishing/status',
        '/outside',
        '/people',
    ];
    foreach (Definition::query()->get() as $definition) {
        $rooms[] = "/definitions?open={$definition->slug}";
        foreach ($definition->kind->isAttribute() ? ['', '/flow', '/map', '/look-alikes', '/umbrellas'] : [] as $lens) {
            $rooms[] = "/values/{$definition->slug}{$lens}";
        }
    }
    foreach (array_slice($pages, 0, 4) as $page) {
        array_push(
            $rooms,
            "/line-ups?page={$page}&why=1",
            "/line-ups?page={$page}&at=only&propose=order",
            "/line-ups?page={$page}&propose=lineup&with=shop",
        );
        foreach (array_slice(array_keys(DraftLineups::load()->of($page)->filters), 0, 3) as $key) {
            $rooms[] = "/line-ups?page={$page}&filter={$key}&bands=steps";
        }
    }
    foreach ($rooms as $path) {
        $status = $test->get($path)->getStatusCode();
        expect($status < 500 && $status !== 409)->toBeTrue("{$path} answers {$status} after\n{$told}");
    }
}

function openShop(CatalogTestCase $test, string $told): void
{
    $paths = ['/shop', '/shop/search?q=lamp', '/shop?color=red', '/shop?sort=dear-first&page=2'];
    $edition = Served::now()->file();
    foreach ($edition->categories() as $category) {
        $paths[] = "/shop/c/{$category->slug}";
    }
    foreach (array_slice($edition->attributes(), 0, 3) as $attribute) {
        $terms = array_values($edition->terms($attribute));
        $paths[] = "/shop?{$attribute->slug}=".($terms[0]->slug ?? 'x').','.($terms[1]->slug ?? 'y');
    }
    foreach ($edition->directories() as $attribute) {
        $paths[] = "/shop/a/{$attribute->slug}";
    }
    foreach ($paths as $path) {
        $response = $test->get($path);
        expect($response->getStatusCode())
            ->toBeLessThan(500, "{$path} after\n{$told}")
            ->not->toBe(409);
    }
}

test('whatever is done in whatever order, every room and the shop open', function (int $seed): void {
    mt_srand($seed);
    $acts = new RandomActs($this, $this->person());
    $acts->begin();
    for ($i = 0; $i < 14; $i++) {
        $acts->act();
        $told = implode("\n", $acts->told);
        expect($told)->not->toMatch('/→ (?:500|409)/');
        if ($i % 3 === 2) {
            openAll($this, $told);
        }
    }
    $this->publish();
    expect(app(CurrentDrift::class)()->differences())->toBe(0, $told);
    openShop($this, $told);
})->with(fn (): array => RandomActs::seeds(1, 6));

test('the page beside the work, once published, is the storefront', function (int $seed): void {
    mt_srand($seed);
    $acts = new RandomActs($this, $this->person());
    $acts->begin();
    app(EditLineup::class)->several([
        'color',
        'finish',
        'use',
        'dimmable',
        'watts',
        'notes',
        'made',
        'price',
        'stock',
        'category',
        'added',
        'discount',
        'brand',
    ]);
    for ($i = 0; $i < 24; $i++) {
        $acts->act();
    }
    $told = implode("\n", $acts->told);
    $draft = [];
    foreach (allPages() as $page) {
        $draft[$page] = besideTheWork($page);
    }
    $this->publish();
    foreach ($draft as $page => $beside) {
        $published = asPublished((string) $page);
        if ($published !== null) {
            expect($beside)->toEqual($published, "page {$page} (seed {$seed}) after\n{$told}");
        }
    }
    expect(count($draft))->toBeGreaterThan(5);
})->with(fn (): array => RandomActs::seeds(31, 42));
