<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Catalog\Discount;
use App\Editions\Served;
use App\History\Journal;
use App\History\Ledger;
use App\Models\Edition;
use App\Models\Item;
use App\Models\Room;
use App\Support\Format;
use Illuminate\Support\Collection;

/**
 * Prices and stock that a shop says by the minute (C16): the catalog has them, and the served edition at once, without a publication.
 * The next edition takes them in. Saying the same again changes nothing.
 */
final readonly class SayPrices
{
    public function __construct(private Ledger $ledger)
    {
    }

    /**
     * @param  string  $who  says it, for History
     * @param  list<PriceRow>  $rows  each sku once
     * @return array{edition: int|null, seen: int, results: array<string, string>} what became of each row, by sku: "changed", "same",
     *         or why it was refused; and how many of them the edition shows
     */
    public function __invoke(string $who, array $rows): array
    {
        $items = Item::query()
            ->whereIn('sku', array_map(fn (PriceRow $row): string => $row->sku, $rows))
            ->get()
            ->keyBy('sku');
        $results = $said = $ids = [];
        foreach ($rows as $row) {
            $item = $items->get($row->sku);
            $problem = self::problem($item, $row);
            $results[$row->sku] = $problem ?? 'same';
            if ($problem === null && $item instanceof Item) {
                $said[] = $row;
                $ids[] = $item->id;
            }
        }
        if ($said === []) {
            return ['edition' => Served::now()->edition?->id, 'seen' => 0, 'results' => $results];
        }
        $before = ContentDigest::of($ids);
        $changed = 0;
        $this->ledger->record(Room::Products, function (Journal $journal) use ($who, $said, $items, &$results, &$changed): string {
            foreach ($said as $row) {
                /** @var Item $item */
                $item = $items->get($row->sku);
                $changes = $row->differs($item);
                if ($changes !== []) {
                    $journal->update(Item::class, $item->id, $changes);
                    $results[$row->sku] = 'changed';
                    $changed++;
                }
            }

            return "{$who} said price and stock of ".Format::count($changed, 'product');
        });
        $edition = $this->layOver($said, $items, ContentDigest::of($ids) - $before);

        return $edition + ['results' => $results];
    }

    private static function problem(?Item $item, PriceRow $row): ?string
    {
        return $row->problem ??
            match (true) {
                $item === null => 'There is no product of this sku.',
                $item->variant_count > 0 => 'It has variants: say what each of them costs, by its own sku.',
                $item->out_since !== null => 'It is out of the shop.',
                default => null,
            };
    }

    /**
     * @param  list<PriceRow>  $rows
     * @param  Collection<int|string, Item>  $items  by sku
     * @return array{edition: int|null, seen: int}
     */
    private function layOver(array $rows, Collection $items, int $content): array
    {
        $list = Discount::listPrice();
        $lists = $list === null
            ? []
            : Discount::listPrices($list, array_map(fn (PriceRow $row): int => (int) $items->get($row->sku)?->id, $rows));
        $products = Item::query()->whereKey($items->pluck('parent_id')->filter()->unique()->all())->pluck('sku', 'id');
        $said = array_map(function (PriceRow $row) use ($items, $products, $lists): SaidPrice {
            $item = $items->get($row->sku);

            return $row->said((int) $item?->id, (string) ($products[$item?->parent_id] ?? $row->sku), $lists[(int) $item?->id] ?? null);
        }, $rows);
        $lock = LayOver::lock();
        try {
            $edition = Served::now()->edition;

            return [
                'edition' => $edition?->id,
                'seen' => $edition === null
                    ? 0
                    : LayOver::on(Edition::directory()."/{$edition->file}", $said, $this->ledger->revision(), $content),
            ];
        } finally {
            $lock->release();
        }
    }
}
