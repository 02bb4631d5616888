<?php

declare(strict_types=1);

use App\Catalog\Coverage;
use App\Catalog\ProductCounts;
use App\Draft\DraftLineups;
use App\Draft\DraftPages;
use App\Draft\PageCounts;
use App\Draft\PageFacts;
use App\Draft\ServedCounts;
use App\History\Remembered;
use App\Lineups\EditLineup;
use App\Lineups\PageWorth;
use App\Models\Definition;
use App\Models\Edition;
use App\Publishing\Publish;
use App\Support\LookedUp;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Tests\Support\RandomActs;

/*
 * Figures that are kept while what they are about is not touched, and those that the served edition has counted, are those that are
 * counted anew.
 */

/** @return array<string, mixed> what rooms show of the draft */
function figuresNow(): array
{
    app()->forgetScopedInstances();
    $figures = ['coverage' => app(Coverage::class)->byCategory(), 'pages' => app(DraftPages::class)->all()];
    foreach (Definition::query()->live()->get() as $definition) {
        $figures["values of {$definition->slug}"] = app(ProductCounts::class)->byValue($definition);
        $figures["umbrellas of {$definition->slug}"] = app(ProductCounts::class)->byUmbrella($definition);
    }
    $facts = app(PageFacts::class);
    $all = DraftLineups::load();
    foreach (['shop', 'search', 'brands', ...array_slice(array_keys($all->pages()), 3, 4)] as $page) {
        $page = (string) $page;
        $lineup = $all->of($page);
        $figures["products of {$page}"] = $facts->products($page);
        foreach (array_keys($lineup->filters) as $key) {
            $figures["{$key} of {$page}"] = $facts->of($page, (string) $key);
        }
        $figures["worth on {$page}"] = app(PageWorth::class)->of($page, $lineup);
    }

    return $figures;
}

test('figures that are kept are those that are counted anew, whatever is done', function (int $seed): void {
    mt_srand($seed);
    $acts = new RandomActs($this, $this->person());
    $acts->begin();
    app(EditLineup::class)->several(
        ['color', 'finish', 'use', 'watts', 'notes', 'made', 'price', 'stock', 'category', 'added', 'discount'],
    );
    figuresNow();
    $byEdition = 0;
    for ($round = 0; $round < 12; $round++) {
        $acts->act(deliver: $round % 4 === 2);
        if ($round % 5 === 1) {
            app(Publish::class)(fn () => null);
        }
        $kept = figuresNow();
        Cache::flush();
        $served = figuresNow();
        $told = implode("\n", array_slice($acts->told, -6));
        expect($kept)->toEqual($served, $told);
        if ($round === 11) {
            // In a transaction nothing is kept, and nothing taken from editions.
            expect($served)->toEqual(DB::transaction(figuresNow(...)), $told);
        }
        $byEdition += count(array_filter(
            Definition::query()->live()->get()->all(),
            fn (Definition $one): bool => app(ServedCounts::class)->terms($one) !== null,
        ));
    }
    expect($byEdition)->toBeGreaterThan(0);
})->with(fn (): array => RandomActs::seeds(811, 814));

test('a damaged edition is not counted by', function (): void {
    $this->read("sku,Color\nA,Red\nB,Blue\nC,Red\n", '{"columns": {"Color": {"kind": "choice"}}}');
    app(EditLineup::class)->add('color');
    $this->publish();
    $color = Definition::query()->where('slug', 'color')->sole();
    $served = app(ServedCounts::class)->terms($color);
    expect($served['carrying'] ?? null)->toBe([0 => 3]);
    $file = Edition::directory().'/'.Edition::query()->sole()->file;
    (new PDO("sqlite:{$file}"))->exec("UPDATE term_bits SET bits = 'l' || x'ffffff7f'");
    app()->forgetInstance(LookedUp::class);
    app()->forgetInstance(Remembered::class);
    expect(app(ServedCounts::class)->terms($color))->toBeNull();
    expect(app(PageCounts::class)->terms($color, false))->toEqual($served);
});
