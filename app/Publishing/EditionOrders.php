<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Catalog\SortSql;
use App\Editions\Blob;
use App\Editions\EditionOrder;
use Lokum\Lineup\SortOrder;
use Lokum\Vocabulary\Level;
use PDO;

/** Writes the orders that the products of an edition can stand in. */
final readonly class EditionOrders
{
    public function __construct(private EditionWriter $writer, private Numbering $numbering, private PDO $pdo)
    {
    }

    /**
     * @param  array<string, SortOrder>  $sorts  that any page can be put in, by what they do
     * @param  TakenOver|null  $before  whose orders stay where nothing that they go by was touched
     * @param  array<string, int>  $definitions  by their words in addresses
     */
    public function write(array $sorts, ?TakenOver $before, array $definitions): void
    {
        $kept = array_filter(
            $before?->orders() ?? [],
            fn (string $name): bool => isset($sorts[$name]) && self::keeps($before, $name, $definitions),
        );
        foreach (array_diff($before?->orders() ?? [], $kept) as $name) {
            $this->writer->remove('orders', 'name', $name);
        }
        foreach (array_diff_key($sorts, array_flip($kept)) as $order) {
            $statement = $this->pdo->query(SortSql::of($order));
            [$numbers] = $this->numbering->bits(
                $statement === false ? [] : array_values($statement->fetchAll(PDO::FETCH_COLUMN)),
                Level::Product,
            );
            $places = array_flip($numbers);
            ksort($places);
            foreach (array_chunk($numbers, EditionOrder::PART) as $part => $chunk) {
                $this->writer->insert('orders', [
                    $order->key(),
                    $part,
                    new Blob(pack('V*', ...$chunk)),
                    new Blob(pack('V*', ...array_slice($places, $part * EditionOrder::PART, EditionOrder::PART))),
                ]);
            }
        }
    }

    /** @param  array<string, int>  $definitions */
    private static function keeps(?TakenOver $before, string $order, array $definitions): bool
    {
        foreach (array_column(SortOrder::ofKey($order), 0) as $field) {
            $isTouched =
                isset($before?->touched->fields[$field]) || isset($before?->touched->definitions[$definitions[$field] ?? 0]);
            if ($isTouched) {
                return false;
            }
        }

        return true;
    }
}
