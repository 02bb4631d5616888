<?php

declare(strict_types=1);

namespace App\History;

use App\Models\Change;
use App\Models\Room;
use App\Support\LookedUp;
use Closure;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;

/** Carries out a change: one transaction, one entry in History. */
final readonly class Ledger
{
    public function __construct(private LookedUp $lookedUp)
    {
    }

    /**
     * @param  Room  $room  where it happened, for History
     * @param  Closure(Journal): string  $act  does the writing and returns what it did, in one sentence
     * @param  int|null  $takesBack  the change whose way back this is
     * @return Change|null null when nothing was written
     */
    public function record(Room $room, Closure $act, ?int $takesBack = null): ?Change
    {
        return DB::transaction(function () use ($room, $act, $takesBack): ?Change {
            $change = $this->entry($room, '', true, $takesBack);
            $journal = new Journal($change->id, ofFeeds: $takesBack !== null && $room === Room::Feeds);
            $summary = $act($journal);
            if ($journal->isEmpty()) {
                $change->delete();

                return null;
            }
            $journal->save();
            $change->update(['summary' => $summary]);

            return $change;
        });
    }

    /**
     * What an act would do that cannot be told without doing it: it is done, and nothing of it stays.
     *
     * @template T
     *
     * @param  Closure(Journal): T  $act
     * @return T
     */
    public function rehearse(Closure $act): mixed
    {
        DB::beginTransaction();
        try {
            return $act(new Journal(0));
        } finally {
            DB::rollBack();
        }
    }

    /**
     * Enters something that does its own writing: a publication, which has no way back, or a reading, which notes what it needs for
     * one. To be called inside its transaction.
     *
     * @param  array<string, mixed>  $figures
     */
    public function note(Room $room, string $summary, array $figures = [], bool $hasWayBack = false): Change
    {
        return $this->entry($room, $summary, $hasWayBack, null, $figures);
    }

    /** A number that rises with every change of the catalog. */
    public function revision(): int
    {
        return $this->newest('catalog', fn (Room $room): bool => $room->changesCatalog());
    }

    /** A number that rises with every change of products, values and definitions; line-ups and editions leave it alone. */
    public function dataRevision(): int
    {
        return $this->newest('data', fn (Room $room): bool => $room->changesData());
    }

    /** One that rises with every change of products, categories, prices and stock; work on values leaves it alone. */
    public function productRevision(): int
    {
        return $this->newest('products', fn (Room $room): bool => $room->changesProducts());
    }

    /** @param  Closure(Room): bool  $counts */
    private function newest(string $name, Closure $counts): int
    {
        return $this->lookedUp->of(
            "newest change of {$name}",
            fn (): int => (int) Change::query()->whereIn('room', Room::those($counts))->max('id'),
        );
    }

    /** @param  array<string, mixed>  $figures */
    private function entry(Room $room, string $summary, bool $hasWayBack, ?int $takesBack, array $figures = []): Change
    {
        return Change::query()->create([
            'user_id' => Auth::id(),
            'by_itself' => Acting::isByItself(),
            'program' => Acting::program(),
            'room' => $room,
            'summary' => $summary,
            'figures' => $figures,
            'has_way_back' => $hasWayBack,
            'takes_back' => $takesBack,
            'taken_back_by' => null,
        ]);
    }
}
