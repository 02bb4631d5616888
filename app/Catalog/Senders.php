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
        foreach ($this->keys() as $key => $sending) {
            $label = str_starts_with($key, 'definition:') ? $labels[(int) substr($key, 11)] ?? null : ucfirst($key);
            if ($label === null || count($sending) < 2) {
                continue;
            }
            $winning = array_filter($sending, fn (Feed $feed): bool => ! in_array($key, $feed->leaves ?? [], true)) ?: $sending;
            $names = implode(', ', array_map(fn (Feed $feed): string => $feed->name, $winning));
            $words[$label] = count($winning) === 1 ? $names : "the last read of {$names}";
        }
        ksort($words);

        return $words;
    }

    /** @return array<string, list<Feed>> by key of what they send */
    private function keys(): array
    {
        $keys = [];
        foreach ($this->feeds as $feed) {
            $sends = $feed->headings->map(
                fn (Heading $one): ?string => $one->definition_id === null ? $one->field : "definition:{$one->definition_id}",
            );
            foreach ($sends->filter()->unique()->diff(['sku', 'parent_sku']) as $key) {
                $keys[$key][] = $feed;
            }
        }

        return $keys;
    }
}
