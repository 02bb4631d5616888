<?php

declare(strict_types=1);

use App\Draft\DraftLineups;
use App\Feeds\DeliveryRead;
use App\Lineups\CountAhead;
use App\Lineups\EditLineup;
use App\Lineups\FilterWorth;
use App\Lineups\PageWorth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;

/* What the room of line-ups shows of the whole shop is worked out behind a delivery. */

/** @return list<float> coverage of the shop's filters, as the room shows it now */
function coverageNow(): array
{
    app()->forgetScopedInstances();

    return array_values(array_map(
        fn (FilterWorth $one): float => $one->coverage,
        app(PageWorth::class)->of('shop', DraftLineups::load()->of('shop')),
    ));
}

test('a delivery leaves the work to the worker, and nobody waits for it afterwards', function (bool $isDone): void {
    $this->read("sku,name,category,Color,Finish\nA,One,Paint,Red,Matte\nB,Two,Paint,Blue,Gloss\n");
    app(EditLineup::class)->several(['color', 'finish']);
    Queue::fake();
    $this->read("sku,name,category,Color,Finish\nC,Three,Paint,Green,Matte\n");
    event(new DeliveryRead());
    Queue::assertPushed(CountAhead::class, 1);
    if ($isDone) {
        app()->call([new CountAhead(), 'handle']);
    }
    // Behind History's back, so that only what is counted from here on is without them.
    DB::table('assignments')->delete();
    expect(coverageNow())->toBe($isDone ? [1.0, 1.0] : [0.0, 0.0]);
})->with(['done' => true, 'not yet' => false]);
