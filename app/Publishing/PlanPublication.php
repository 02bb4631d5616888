<?php

declare(strict_types=1);

namespace App\Publishing;

use App\History\Ledger;
use App\Models\PlannedPublication;
use App\Models\Room;
use App\Models\User;
use App\Settings\Shop;
use App\Support\Format;
use App\Support\Refused;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** Says that an edition is to be published at a set time, by the clock of the shop. There is one such time, or none. */
final readonly class PlanPublication
{
    public function __construct(private Ledger $ledger)
    {
    }

    /**
     * @param  string  $at  as 2026-12-01T06:00
     * @param  bool  $anyway  also where shoppers would lose more than the shop's bounds let pass
     *
     * @throws Refused for a time that is none, that has passed or that is more than a year ahead
     */
    public function __invoke(string $at, bool $anyway, ?User $by): PlannedPublication
    {
        $moment = Carbon::canBeCreatedFromFormat($at, 'Y-m-d\TH:i')
            ? Carbon::createFromFormat('Y-m-d\TH:i', $at, Shop::current()->timezone)
            : null;
        if ($moment === null || $moment->format('Y-m-d\TH:i') !== $at) {
            throw new Refused('Say a day and a time.', 'at');
        }
        if ($moment->isPast() || $moment->greaterThan(Carbon::now()->addYear())) {
            throw new Refused('Choose a time ahead, within a year.', 'at');
        }

        return DB::transaction(function () use ($moment, $anyway, $by): PlannedPublication {
            PlannedPublication::query()->delete();
            $this->ledger->note(Room::Publishing, 'Planned a publication for '.Format::moment($moment));

            return PlannedPublication::query()->create([
                'at' => $moment->startOfMinute()->utc(),
                'user_id' => $by?->id,
                'anyway' => $anyway,
            ]);
        });
    }

    public function cancel(): void
    {
        if (PlannedPublication::query()->delete() > 0) {
            $this->ledger->note(Room::Publishing, 'Called off the planned publication');
        }
    }
}
