<?php

declare(strict_types=1);

namespace App\History;

use App\Models\Change;
use App\Support\Refused;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;

/** Sets the catalog back to how it stood before an entry: what came since is taken back, the newest first, all of it or nothing. */
final readonly class TakeBackTo
{
    public const MOST = 500;

    public function __construct(private TakeBack $takeBack)
    {
    }

    /**
     * The entries that would be taken back, the newest first. Those that were taken back since, with their ways back, cancel out;
     * publications and accounts stay as they are.
     *
     * @return Collection<int, Change>
     */
    public function plan(Change $first): Collection
    {
        return Change::query()
            ->where('id', '>=', $first->id)
            ->where('has_way_back', true)
            ->whereNull('taken_back_by')
            ->where(fn ($either) => $either->whereNull('takes_back')->orWhere('takes_back', '<', $first->id))
            ->orderByDesc('id')
            ->limit(self::MOST + 1)
            ->get();
    }

    /**
     * @param  int  $counted  entries that were shown
     * @return int entries that were taken back
     *
     * @throws Refused when one of them cannot be, by its number, or when others came meanwhile
     */
    public function __invoke(Change $first, int $counted): int
    {
        return DB::transaction(function () use ($first, $counted): int {
            $plan = $this->plan($first);
            if (count($plan) > self::MOST) {
                throw new Refused('At most '.number_format(self::MOST).' entries at a time. Begin with a later one.');
            }
            if (count($plan) !== $counted) {
                throw new Refused('Something was done meanwhile. Look at what would be taken back again.');
            }
            foreach ($plan as $change) {
                try {
                    ($this->takeBack)($change);
                } catch (Refused $why) {
                    throw new Refused("Nothing was taken back: entry {$change->id} cannot be. {$why->getMessage()}");
                }
            }

            return count($plan);
        });
    }
}
