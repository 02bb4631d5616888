<?php

declare(strict_types=1);

namespace App\Feeds;

use App\Models\Reading;
use App\Models\ReadingState;
use App\Settings\Shop;

/** Files of deliveries that were read are kept for as many days as the settings say; what was read stays, and its figures. */
final readonly class ForgetFiles
{
    /** @return int files that went */
    public function __invoke(): int
    {
        $days = Shop::current()->days;
        if ($days === 0) {
            return 0;
        }
        $old = Reading::query()
            ->where('state', ReadingState::Done)
            ->where('finished_at', '<', now()->subDays($days))
            ->pluck('path');

        return $old->filter(fn (string $path): bool => @unlink(FeedFile::kept($path)))->count();
    }
}
