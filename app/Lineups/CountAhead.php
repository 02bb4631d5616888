<?php

declare(strict_types=1);

namespace App\Lineups;

use App\Draft\DraftLineups;
use App\Draft\DraftPages;
use App\Draft\PageFacts;
use App\Draft\Placement;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldBeUniqueUntilProcessing;
use Illuminate\Contracts\Queue\ShouldQueue;

/** Works out what the room of line-ups shows of the whole shop after a delivery, so that nobody waits for it there. */
final class CountAhead implements ShouldBeUniqueUntilProcessing, ShouldQueue
{
    use Queueable;

    public int $tries = 1;

    public int $timeout = 3600;

    public function handle(PageWorth $worth, LineupWarnings $warnings, PageFacts $facts, DraftPages $pages): void
    {
        $lineup = DraftLineups::load()->of(Placement::SHOP);
        $warnings->of(Placement::SHOP, $lineup, $facts, $worth->of(Placement::SHOP, $lineup));
        $pages->all();
    }
}
