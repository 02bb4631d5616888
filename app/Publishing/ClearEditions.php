<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Editions\LivePrices;
use App\Models\Edition;
use App\Settings\Shop;

/** Keeps the newest files, as many as the shop says, and removes what a killed publication or a broken transfer left behind. */
final readonly class ClearEditions
{
    /** Whatever their size. */
    private const LEAST = 2;

    /** Seconds: what is younger may be at work. */
    private const YOUNG = 60;

    public function __invoke(): void
    {
        $kept = self::kept(Shop::current());
        foreach (glob(Edition::directory().'/edition-*') ?: [] as $file) {
            if (! in_array(basename($file, LivePrices::file('')), $kept, true) && filemtime($file) < time() - self::YOUNG) {
                @unlink($file);
            }
        }
    }

    /** @return list<string> files of the newest editions, as many as the shop keeps by number and by size; two whatever their size */
    private static function kept(Shop $shop): array
    {
        $most = $shop->editionsMegabytes === 0 ? INF : $shop->editionsMegabytes * 1e6;
        $bytes = 0;
        $kept = [];
        foreach (Edition::query()->orderByDesc('id')->limit($shop->editions)->pluck('file') as $file) {
            $bytes += (int) @filesize(Edition::directory()."/{$file}");
            if (count($kept) >= self::LEAST && $bytes > $most) {
                break;
            }
            $kept[] = (string) $file;
        }

        return $kept;
    }
}
