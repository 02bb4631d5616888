<?php

declare(strict_types=1);

namespace App\Definitions;

use App\History\Journal;
use App\History\Ledger;
use App\History\ManagersOnly;
use App\Models\Change;
use App\Models\Definition;
use App\Models\Room;
use Lokum\Vocabulary\DayOrder;

/** Says once, for all texts of a date, whether the day or the month comes first. */
final readonly class SayDayOrder
{
    public function __construct(private Ledger $ledger, private ReadAgain $readAgain)
    {
    }

    public function __invoke(Definition $definition, DayOrder $order): ?Change
    {
        ManagersOnly::allow($definition->id);

        return $this->ledger->record(Room::Definitions, function (Journal $journal) use ($definition, $order): string {
            $journal->update(Definition::class, $definition->id, ['day_order' => $order->value]);
            $this->readAgain->spellings($journal, $definition->refresh());

            return "{$definition->label}: read with the {$order->value} first";
        });
    }
}
