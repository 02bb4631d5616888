<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Editions\EditionFile;
use App\Editions\EditionProduct;
use Lokum\Lineup\SortOrder;
use PDO;

/** Writes where products whose price or stock has changed stand now in the orders that ask for it. */
final readonly class MovedPlaces
{
    private OrderSlots $slots;

    public function __construct(private EditionFile $edition, private PDO $pdo)
    {
        $this->slots = new OrderSlots($edition);
    }

    /** @param  array<int, EditionProduct>  $products  as they are now, by number */
    public function write(array $products): void
    {
        foreach ($this->edition->products->orders() as $order) {
            if (array_intersect(array_column(SortOrder::ofKey($order), 0), ['price', 'stock']) !== []) {
                $this->move($order, $products);
            }
        }
    }

    /** @param  array<int, EditionProduct>  $products */
    private function move(string $order, array $products): void
    {
        $insert = $this->pdo->prepare('INSERT OR REPLACE INTO places VALUES (?, ?, ?)');
        foreach ($this->slots->of($order, $products) as $slot => $here) {
            $here = $this->slots->sorted($order, $here + $this->movedBefore($order, $slot, $products));
            foreach (array_keys($here) as $i => $number) {
                $insert->execute([$order, $number, var_export($slot - 0.9 + (0.8 * $i) / count($here), true)]);
            }
        }
    }

    /**
     * Those that stand in a slot since earlier.
     *
     * @param  array<int, EditionProduct>  $products  that move now
     * @return array<int, EditionProduct> by number
     */
    private function movedBefore(string $order, int $slot, array $products): array
    {
        $statement = $this->pdo->prepare('SELECT product FROM places WHERE name = ? AND place > ? AND place < ?');
        $statement->execute([$order, $slot - 1, $slot]);
        $numbers = array_values(array_diff($statement->fetchAll(PDO::FETCH_COLUMN), array_keys($products)));
        $found = $this->edition->products->products($numbers);

        return count($found) === count($numbers) ? array_combine($numbers, $found) : [];
    }
}
