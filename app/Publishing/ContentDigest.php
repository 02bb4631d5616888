<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Data\Rows;
use App\Models\Category;
use App\Models\Definition;
use Illuminate\Support\Facades\DB;
use Lokum\Edition\Summary;
use Lokum\Vocabulary\TermOrder;

/**
 * A digest of all product data that shoppers see, equal exactly when the data is: what was changed and taken back is no difference.
 * Sums of hashes, so that the order in which rows are read does not matter.
 */
final class ContentDigest
{
    private const OF_ITEMS = 'SELECT json_array(sku, parent_id, name, category_id, price, currency, stock, description, image, out_since,
        also_in, also_by_hand) FROM items';

    private const CELL = '(item_id * 2654435761 + spelling_id * 40503 + item_id * spelling_id) % 2147483647';

    /** The same of one, with another price and stock. */
    private const OF_ITEM_AS = 'SELECT json_array(sku, parent_id, name, category_id, CAST(? AS REAL), currency, CAST(? AS INTEGER),
        description, image, out_since, also_in, also_by_hand) FROM items WHERE id = ?';

    public static function now(): string
    {
        $pdo = DB::connection()->getPdo();
        $items = 0;
        foreach (Rows::from($pdo, self::OF_ITEMS) as [$said]) {
            $items = ($items + self::hash($said)) % Summary::MODULUS;
        }
        $ids = implode(',', Definition::query()->accepted()->orderBy('id')->pluck('id')->all()) ?: '0';
        // Mixed in the database: a catalog has millions of cells.
        $cells = (int) DB::scalar('SELECT SUM('.self::CELL.") FROM assignments WHERE definition_id IN ({$ids})");

        return implode(':', [$items, $cells, ...self::words()]);
    }

    /** The same where products and cells are as they were, but for those that were touched. */
    public static function after(TakenOver $before): string
    {
        $prices = $before->touched->prices;
        $summary = $before->summary()->withContentAdded(self::of(array_keys($prices)) - self::as($prices));
        [$items, $cells] = explode(':', $summary->content);
        $ids = implode(',', Definition::query()->accepted()->orderBy('id')->pluck('id')->all()) ?: '0';
        $came = (int) DB::scalar(
            'SELECT SUM(CASE came WHEN 1 THEN 1 ELSE -1 END * ('.self::CELL.")) FROM cell_changes
                WHERE change_id > {$before->touched->revision} AND definition_id IN ({$ids})",
        );

        return implode(':', [$items, (int) $cells + $came, ...self::words()]);
    }

    /** @return list<int|string> of the words that products carry, and of what stands around them */
    private static function words(): array
    {
        $accepted = Definition::query()->accepted()->orderBy('id')->get();
        $ids = implode(',', $accepted->pluck('id')->all()) ?: '0';
        $texts = 0;
        foreach (
            Rows::from(
                DB::connection()->getPdo(),
                "SELECT json_array(s.id, s.text, s.number, v.label, v.look, v.held, v.on_products, v.position) FROM spellings s
                    LEFT JOIN attribute_values v ON v.id = s.value_id
                    WHERE s.definition_id IN ({$ids}) AND EXISTS (SELECT 1 FROM assignments a WHERE a.spelling_id = s.id)",
            ) as [$said]
        ) {
            $texts = ($texts + self::hash($said)) % Summary::MODULUS;
        }
        $around = $accepted
            ->map(
                fn (Definition $one): array => [
                    $one->id,
                    $one->label,
                    $one->unit,
                    $one->decimals,
                    $one->multiple && $one->term_order === TermOrder::Hand,
                    $one->section,
                    $one->level->value,
                    $one->has_pages,
                ],
            )
            ->all();
        $tree = Category::table()
            ->orderBy('id')
            ->get(['id', 'parent_id', 'name', 'own_only'])
            ->all();

        return [$texts, hash('xxh3', serialize([$around, $tree]))];
    }

    /**
     * What some products and variants add to the sum, so that a change of theirs can be told.
     *
     * @param  list<int>  $items
     */
    public static function of(array $items): int
    {
        $sum = 0;
        foreach (array_chunk($items, 500) as $chunk) {
            foreach (Rows::from(DB::connection()->getPdo(), self::OF_ITEMS.' WHERE id IN ('.implode(',', $chunk).')') as [$said]) {
                $sum += self::hash($said);
            }
        }

        return $sum;
    }

    /**
     * The same with the prices and stock that they had.
     *
     * @param  array<int, array{price: float|null, stock: int|null}>  $prices  by item
     */
    private static function as(array $prices): int
    {
        $item = DB::connection()->getPdo()->prepare(self::OF_ITEM_AS);
        $sum = 0;
        foreach ($prices as $id => ['price' => $price, 'stock' => $stock]) {
            $item->execute([$price === null ? null : var_export($price, true), $stock, $id]);
            $sum += self::hash($item->fetchColumn());
        }

        return $sum;
    }

    private static function hash(mixed $said): int
    {
        return (int) hexdec(hash('xxh32', (string) $said));
    }
}
