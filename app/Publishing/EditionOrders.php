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

    /** @param  array<string, SortOrder>  $sorts  that any page can be put in, by what they do */
    public function write(array $sorts): void
    {
        foreach ($sorts as $order) {
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
}
