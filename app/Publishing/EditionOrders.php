<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Catalog\SortSql;
use App\Data\Rows;
use App\Editions\Blob;
use App\Editions\EditionOrder;
use App\Editions\EditionProduct;
use Lokum\Lineup\SortOrder;
use Lokum\Vocabulary\Level;
use PDO;

/** Writes the orders that the products of an edition can stand in. */
final class EditionOrders
{
    private ?OrderSlots $slots = null;

    /** @var array<int, EditionProduct>|null those that have other prices or stock now, by number */
    private ?array $products = null;

    public function __construct(
        private readonly EditionWriter $writer,
        private readonly Numbering $numbering,
        private readonly PDO $pdo,
    ) {
    }

    /**
     * @param  array<string, SortOrder>  $sorts  that any page can be put in, by what they do
     * @param  TakenOver|null  $before  whose orders stay where nothing that they go by was touched
     * @param  array<string, int>  $definitions  by their words in addresses
     */
    public function write(array $sorts, ?TakenOver $before, array $definitions): void
    {
        $there = $before?->orders() ?? [];
        $kept = array_filter($there, fn (string $name): bool => isset($sorts[$name]) && self::keeps($before, $name, $definitions));
        $moved = $before?->movesFew() === true
            ? array_filter($there, fn (string $name): bool => isset($sorts[$name]) && self::keepsWords($before, $name, $definitions))
            : [];
        foreach (array_diff($there, $kept) as $name) {
            $this->writer->remove('orders', 'name', $name);
        }
        foreach (array_diff_key($sorts, array_flip($kept)) as $name => $order) {
            $this->insert($name, $before !== null && in_array($name, $moved, true) ? $this->moved($name, $before) : $this->sorted($order));
        }
    }

    /** @return list<int> numbers of all products */
    private function sorted(SortOrder $order): array
    {
        $statement = $this->pdo->query(SortSql::of($order));
        $items = $statement === false ? [] : array_values($statement->fetchAll(PDO::FETCH_COLUMN));

        return $this->numbering->bits($items, Level::Product)[0];
    }

    /** @return list<int> the same as the edition before has them, but for those whose prices or stock were touched */
    private function moved(string $name, TakenOver $before): array
    {
        $this->slots ??= new OrderSlots($before->edition);
        $this->products ??= $before->productsWith(
            Rows::from($this->pdo, 'SELECT i.sku, i.price, i.stock, l.product FROM temp.placed l JOIN items i ON i.id = l.id'),
        );
        $slots = $this->slots->of($name, $this->products);
        $numbers = [];
        $place = 0;
        for ($part = 0; ($packed = $before->edition->products->packedOrder($name, 'numbers', $part)) !== ''; $part++) {
            foreach ((array) unpack('V*', $packed) as $number) {
                if (isset($slots[$place])) {
                    array_push($numbers, ...array_keys($this->slots->sorted($name, $slots[$place])));
                }
                if (! isset($this->products[$number])) {
                    $numbers[] = $number;
                }
                $place++;
            }
        }

        return [...$numbers, ...array_keys($this->slots->sorted($name, $slots[$place] ?? []))];
    }

    /** @param  list<int>  $numbers */
    private function insert(string $name, array $numbers): void
    {
        $places = array_flip($numbers);
        ksort($places);
        foreach (array_chunk($numbers, EditionOrder::PART) as $part => $chunk) {
            $this->writer->insert('orders', [
                $name,
                $part,
                new Blob(pack('V*', ...$chunk)),
                new Blob(pack('V*', ...array_slice($places, $part * EditionOrder::PART, EditionOrder::PART))),
            ]);
        }
    }

    /** @param  array<string, int>  $definitions */
    private static function keeps(?TakenOver $before, string $order, array $definitions): bool
    {
        $touched = array_intersect_key($before->touched->fields ?? [], array_flip(array_column(SortOrder::ofKey($order), 0)));

        return $touched === [] && self::keepsWords($before, $order, $definitions);
    }

    /**
     * Whether no definition was touched that an order goes by.
     *
     * @param  array<string, int>  $definitions
     */
    private static function keepsWords(?TakenOver $before, string $order, array $definitions): bool
    {
        foreach (array_column(SortOrder::ofKey($order), 0) as $field) {
            if (isset($before?->touched->definitions[$definitions[$field] ?? 0])) {
                return false;
            }
        }

        return true;
    }
}
