<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Catalog\Discount;
use App\Data\FileLock;
use App\Editions\Served;
use App\History\Acting;
use App\History\Journal;
use App\History\Ledger;
use App\Models\Edition;
use App\Models\Item;
use App\Models\Room;
use App\Support\Format;
use App\Support\Refused;

/**
 * Prices and stock that a shop says by the minute (C16): the catalog has them, and the served edition at once, without a publication.
 * The next edition takes them in. Saying the same again changes nothing.
 */
final readonly class SayPrices
{
    private const WAIT_SECONDS = 30;

    public function __construct(private Ledger $ledger)
    {
    }

    /**
     * @param  string  $program  that says it
     * @param  list<PriceRow>  $rows  each sku once
     * @return array{edition: int|null, seen: int, results: array<string, string>} what became of each row, by sku: "changed", "same",
     *         or why it was refused; and how many of them the edition shows
     *
     * @throws Refused where others are said for so long that these have to be said again
     */
    public function __invoke(string $program, array $rows): array
    {
        // One after the other, so that what is seen last is what the catalog has.
        $lock =
            FileLock::hold(Edition::directory().'/prices.lock', self::WAIT_SECONDS) ??
            throw new Refused('Others say prices right now. Say these again.', isForNow: true);
        try {
            return Acting::asProgram($program, fn (): array => $this->say($rows));
        } finally {
            $lock->release();
        }
    }

    /**
     * @param  list<PriceRow>  $rows
     * @return array{edition: int|null, seen: int, results: array<string, string>}
     */
    private function say(array $rows): array
    {
        $said = [];
        $results = [];
        $content = 0;
        $change = $this->ledger->record(
            Room::Products,
            function (Journal $journal) use ($rows, &$said, &$results, &$content): string {
                $items = Item::query()
                    ->whereIn('sku', array_map(fn (PriceRow $row): string => $row->sku, $rows))
                    ->get()
                    ->keyBy('sku');
                $said = array_filter($rows, fn (PriceRow $row): bool => self::problem($items->get($row->sku)) === null);
                $ids = array_values(array_map(fn (PriceRow $row): int => (int) $items->get($row->sku)?->id, $said));
                $before = ContentDigest::of($ids);
                $changes = [];
                foreach ($rows as $row) {
                    $item = $items->get($row->sku);
                    $other = $item === null ? [] : $row->differs($item);
                    $results[$row->sku] = self::problem($item) ?? ($other === [] ? 'same' : 'changed');
                    if ($item !== null && $results[$row->sku] === 'changed') {
                        $changes[$item->id] = $other;
                    }
                }
                $journal->updateItems($changes);
                $content = ContentDigest::of($ids) - $before;

                return 'Said price and stock of '.Format::count(count(array_keys($results, 'changed', true)), 'sku');
            },
        );

        return $this->layOver(array_values($said), $change->id ?? $this->ledger->revision(), $content) + ['results' => $results];
    }

    private static function problem(?Item $item): ?string
    {
        return match (true) {
            $item === null => 'There is no product of this sku.',
            $item->variant_count > 0 => 'It has variants: say what each of them costs, by its own sku.',
            $item->out_since !== null => 'It is out of the shop.',
            default => null,
        };
    }

    /**
     * @param  list<PriceRow>  $rows
     * @param  int  $revision  of History, when they were said
     * @return array{edition: int|null, seen: int}
     */
    private function layOver(array $rows, int $revision, int $content): array
    {
        $said = $this->withProducts($rows);
        $lock = LayOver::lock();
        try {
            $edition = Served::now()->edition;

            return [
                'edition' => $edition?->id,
                'seen' => $edition === null || $said === []
                    ? 0
                    : LayOver::on(Edition::directory()."/{$edition->file}", $said, $revision, $content),
            ];
        } finally {
            $lock->release();
        }
    }

    /**
     * @param  list<PriceRow>  $rows
     * @return list<SaidPrice> with the product that each belongs to, and its list price
     */
    private function withProducts(array $rows): array
    {
        $items = Item::query()
            ->from('items as i')
            ->leftJoin('items as p', 'p.id', 'i.parent_id')
            ->whereIn('i.sku', array_map(fn (PriceRow $row): string => $row->sku, $rows))
            ->selectRaw('i.id, i.sku, COALESCE(p.sku, i.sku) AS product')
            ->get()
            ->keyBy('sku');
        $list = Discount::listPrice();
        $prices = $list === null ? [] : Discount::listPrices($list, array_values($items->pluck('id')->all()));

        return array_map(function (PriceRow $row) use ($items, $prices): SaidPrice {
            $item = $items->get($row->sku);

            return $row->said((string) $item?->getAttribute('product'), $prices[(int) $item?->id] ?? null);
        }, $rows);
    }
}
