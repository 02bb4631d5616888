<?php

declare(strict_types=1);

namespace App\Lineups;

use App\Draft\DraftLineups;
use App\Draft\Placement;
use App\History\Journal;
use App\Models\Change;
use App\Models\Filter;
use App\Models\Lineup;
use App\Support\Refused;
use Illuminate\Support\Collection;

/**
 * One filter in several line-ups: it is said once, and what is changed at one place is changed at all. Each place keeps a row of
 * its own, so that it can leave, or go, without the others.
 */
final readonly class ShareFilter
{
    public function __construct(private LineupLedger $ledger)
    {
    }

    /** @return Collection<int, Filter> filters of other line-ups that a page does not have and could share */
    public static function offered(DraftLineups $all, string $placement): Collection
    {
        $here = $all->of(LineupLedger::pageOf($placement))->filters;
        $below = Lineup::query()->where('placement', '!=', $placement)->pluck('placement', 'id');

        return Filter::query()
            ->with('definition', 'lineup')
            ->whereIn('lineup_id', $below->keys())
            ->orderBy('title')
            ->orderBy('id')
            ->get()
            ->filter(fn (Filter $filter): bool => ! isset($here[$filter->key()]))
            ->unique(fn (Filter $filter): string => $filter->shared === null ? "own {$filter->id}" : "shared {$filter->shared}")
            ->values();
    }

    /** @return list<string> the other placements that share a filter */
    public static function alsoAt(Filter $filter): array
    {
        return array_values(self::others($filter)->map(fn (Filter $one): string => $one->lineup->placement)->all());
    }

    /** @return list<string> their names */
    public static function alsoIn(Filter $filter, DraftLineups $all): array
    {
        return array_map(
            fn (string $placement): string => Placement::of($placement, $all->tree)->name($all->tree),
            self::alsoAt($filter),
        );
    }

    /** The filter that a line-up adds itself. */
    public static function own(int $lineup, string $key): ?Filter
    {
        return Filter::query()
            ->with('definition')
            ->where('lineup_id', $lineup)
            ->get()
            ->first(fn (Filter $filter): bool => $filter->key() === $key);
    }

    /** Adds a filter of another line-up, and keeps both one. */
    public function __invoke(Filter $filter, string $placement): Change
    {
        $all = DraftLineups::load();
        $page = $all->of(LineupLedger::pageOf($placement));
        if (isset($page->filters[$filter->key()])) {
            throw new Refused("{$page->filters[$filter->key()]->given['title']} is in the line-up already.");
        }
        LineupLedger::allowTitle($all, $filter->key(), $filter->title, $placement);
        $change = $this->ledger->record($placement, function (Journal $journal, int $lineup) use ($filter, $placement, $all): string {
            $number = $filter->shared ?? $filter->id;
            $journal->update(Filter::class, $filter->id, ['shared' => $number]);
            $journal->insert(
                Filter::class,
                [
                    'lineup_id' => $lineup,
                    'position' => (int) Filter::query()->where('lineup_id', $lineup)->max('position') + 1,
                    'shared' => $number,
                    'definition_id' => $filter->definition_id,
                    'field' => $filter->field,
                ] + self::said($filter),
            );

            return "Shared the filter {$filter->title} with ".LineupLedger::said($placement, $all);
        });

        return $change ?? throw new Refused('Nothing was different.');
    }

    /** Lets a place have the filter for itself from now on, as it stands. */
    public function part(string $key, string $placement): ?Change
    {
        $all = DraftLineups::load();

        return $this->ledger->record($placement, function (Journal $journal, int $lineup) use ($key, $placement, $all): string {
            $own = self::own($lineup, $key) ?? throw Refused::unknown('filter', $key);
            $others = self::others($own);
            $journal->update(Filter::class, $own->id, ['shared' => null]);
            if ($others->count() === 1) {
                $journal->update(Filter::class, $others->firstOrFail()->id, ['shared' => null]);
            }

            return "The filter {$own->title} is its own in ".LineupLedger::said($placement, $all);
        });
    }

    /**
     * Says the same of a filter wherever it is shared.
     *
     * @param  array<string, mixed>  $columns
     */
    public static function write(Journal $journal, Filter $own, array $columns): void
    {
        foreach ([$own, ...self::others($own)] as $filter) {
            $journal->update(Filter::class, $filter->id, $columns);
        }
    }

    /** @return array<string, mixed> what is said of it, as it is kept */
    private static function said(Filter $filter): array
    {
        return array_intersect_key($filter->getAttributes(), array_flip([...Filter::COLUMNS, 'settings']));
    }

    /** @return Collection<int, Filter> */
    private static function others(Filter $filter): Collection
    {
        return $filter->shared === null
            ? new Collection()
            : Filter::query()->with('lineup')->where('shared', $filter->shared)->whereKeyNot($filter->id)->orderBy('id')->get();
    }
}
