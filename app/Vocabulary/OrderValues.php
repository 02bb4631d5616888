<?php

declare(strict_types=1);

namespace App\Vocabulary;

use App\History\Journal;
use App\History\Ledger;
use App\Models\Change;
use App\Models\Definition;
use App\Models\Room;
use App\Models\Value;
use Lokum\Vocabulary\TermOrder;

/** Chooses the order of an attribute's values; by hand, also the place of each. */
final readonly class OrderValues
{
    public function __construct(private Ledger $ledger, private ValueTable $table)
    {
    }

    /** @param  list<int>  $ids  value ids in the order wanted by hand; others follow as they stood */
    public function __invoke(Definition $definition, TermOrder $order, array $ids = []): ?Change
    {
        return $this->ledger->record(Room::Values, function (Journal $journal) use ($definition, $order, $ids): string {
            if ($order === TermOrder::Hand) {
                $standing = array_map(fn (ValueRow $row): int => $row->id, $this->table->of($definition));
                $first = array_values(array_intersect($ids, $standing));
                foreach ([...$first, ...array_diff($standing, $first)] as $i => $id) {
                    $journal->update(Value::class, $id, ['position' => $i + 1]);
                }
            }
            $journal->update(Definition::class, $definition->id, ['term_order' => $order->value]);

            return "Ordered {$definition->label} {$order->label()}";
        });
    }
}
