<?php

declare(strict_types=1);

namespace App\Catalog;

use App\Models\Definition;
use App\Models\Feed;
use App\Models\Heading;
use App\Models\Item;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** The feeds that send a product, and which of them says which of its columns where there are several. */
final readonly class Senders
{
    /** @param  Collection<int, Feed>  $feeds  by name */
    private function __construct(public Collection $feeds)
    {
    }

    public static function of(Item $item): self
    {
        return new self(
            Feed::query()
                ->whereIn('id', DB::table('sent')->where('item_id', $item->id)->select('feed_id'))
                ->with('headings')
                ->orderBy('name')
                ->get()
                ->toBase(),
        );
    }

    /**
     * Who says what several of them send.
     *
     * @param  Collection<int, Definition>  $definitions
     * @return array<string, string> names of feeds by what they say: the only one whose word counts, or all of which the last read does
     */
    public function words(Collection $definitions): array
    {
        $words = [];
        $labels = $definitions->pluck('label', 'id')->all();
        foreach ($this->keys() as $key) {
            $sending = $this->feeds->filter(fn (Feed $feed): bool => $feed->sends($key));
            $definition = Heading::definitionOf($key);
            $label = $definition === null ? ucfirst($key) : $labels[$definition] ?? null;
            if ($label === null || $sending->count() < 2) {
                continue;
            }
            $winning = $sending->filter(fn (Feed $feed): bool => $feed->hasWord($key));
            $names = ($winning->isEmpty() ? $sending : $winning)->pluck('name');
            $words[$label] = $names->count() === 1 ? (string) $names->first() : "the last read of {$names->implode(', ')}";
        }
        ksort($words);

        return $words;
    }

    /** @return list<string> keys of what they send */
    private function keys(): array
    {
        return array_values(array_unique(array_filter(
            $this->feeds->flatMap(fn (Feed $feed) => $feed->headings->map(fn (Heading $one): ?string => $one->key()))->all(),
            fn (?string $key): bool => $key !== null && ! in_array($key, ['sku', 'parent_sku'], true),
        )));
    }
}
