<?php

declare(strict_types=1);

namespace App\Console;

use App\Models\Feed;
use App\Models\Item;
use App\Support\Refused;

final class GoneCommand extends Command
{
    private const MOST = 1000;

    protected $signature = 'gone {--feed= : only those that this feed sent} {--json : answer with one JSON document}';

    protected $description = 'Products that are out of the shop, and since when';

    public function handle(): int
    {
        $name = $this->textOption('feed');
        $feed = $name === '' ? null : Feed::query()->where('name', $name)->first() ?? throw Refused::unknown('feed', $name);
        $gone = Item::query()
            ->whereNull('parent_id')
            ->whereNotNull('out_since')
            ->when($feed !== null, fn ($query) => $query->where('out_by', $feed?->id))
            ->orderByDesc('out_since')
            ->orderBy('sku');
        $items = (clone $gone)->limit(self::MOST)->get();

        return $this->answer(
            [
                'products' => $gone->count(),
                'gone' => array_values($items->map(fn (Item $one): array => [
                    'sku' => $one->sku,
                    'name' => $one->name,
                    'since' => $one->out_since,
                ])->all()),
            ],
            $items->isEmpty()
                ? ['Nothing is out of the shop.']
                : $items->map(fn (Item $one): string => "{$one->out_since}  {$one->sku}  {$one->title}")->all(),
        );
    }
}
