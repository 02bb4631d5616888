<?php

declare(strict_types=1);

namespace App\Lineups;

use App\Draft\DraftLineups;
use App\Draft\Placement;
use App\History\Journal;
use App\Models\Change;
use App\Models\Filter;
use App\Models\FilterChange;
use App\Models\Lineup;
use App\Support\Refused;
use Closure;

/**
 * Works on the line-up of a placement: filters are added, dropped and ordered, and what holds for the page is said. What is inherited
 * stays where it is said; only the difference is kept here.
 */
final readonly class EditLineup
{
    public function __construct(private LineupLedger $ledger, private ProposeFilter $propose)
    {
    }

    /**
     * @param  string  $source  slug of a definition, or a field that every product has
     * @param  string  $placement  that exists
     */
    public function add(string $source, string $placement = Placement::SHOP): Change
    {
        return $this->several([$source], $placement);
    }

    /**
     * Adds filters, as one step; those that the page has already stay as they are.
     *
     * @param  non-empty-list<string>  $sources
     */
    public function several(array $sources, string $placement = Placement::SHOP): Change
    {
        $change = $this->ledger->record($placement, function (Journal $journal, int $lineup) use ($sources, $placement): string {
            $added = $this->write($journal, $lineup, $sources, $placement);

            return 'Added the filter'.
                (count($added) > 1 ? 's ' : ' ').
                implode(', ', $added).
                ' to '.
                LineupLedger::said($placement, DraftLineups::load());
        });

        return $change ?? throw new Refused('Nothing was different.');
    }

    /**
     * Filters for several places, in one step: all of them or none.
     *
     * @param  non-empty-array<string, non-empty-list<string>>  $places  sources by placement, those further up first
     */
    public function compose(array $places): Change
    {
        $change = $this->ledger->recordAll(function (Journal $journal, Closure $lineup) use ($places): string {
            $filters = 0;
            foreach ($places as $placement => $sources) {
                $filters += count($this->write($journal, $lineup((string) $placement), $sources, (string) $placement));
            }

            return 'Composed '.count($places).(count($places) === 1 ? ' line-up' : ' line-ups').
                " of {$filters} ".($filters === 1 ? 'filter' : 'filters');
        });

        return $change ?? throw new Refused('Nothing was different.');
    }

    /**
     * @param  list<string>  $sources
     * @return list<string> titles of the filters that came
     */
    private function write(Journal $journal, int $lineup, array $sources, string $placement): array
    {
        $all = DraftLineups::load();
        $here = $all->of(LineupLedger::pageOf($placement));
        // A line-up's own filters may hide behind what is said for a page alone; their titles are taken all the same.
        $titles = array_map(fn (array $given): string => (string) $given['title'], [
            ...array_column($here->filters, 'given'),
            ...array_column(LineupLedger::before($all, $placement)->filters, 'given'),
            ...array_values($all->layer($placement)->added ?? []),
        ]);
        $added = [];
        foreach ($sources as $source) {
            if (isset($here->filters[$source])) {
                throw new Refused("{$here->filters[$source]->given['title']} is in the line-up already.");
            }
            $lost = $here->dropped[$source] ?? null;
            $change = FilterChange::query()
                ->where('lineup_id', $lineup)
                ->where('key', $source)
                ->where('dropped', true)
                ->first();
            if ($change !== null && $lost?->by === $lineup) {
                // One that was dropped here comes back as it was.
                if (($change->settings ?? []) === []) {
                    $journal->delete(FilterChange::class, $change->id);
                } else {
                    $journal->update(FilterChange::class, $change->id, ['dropped' => 0]);
                }
                $added[] = $lost->filter->given['title'];

                continue;
            }
            if ($change !== null) {
                $journal->delete(FilterChange::class, $change->id);
            }
            $row = ($this->propose)($source);
            // One that was dropped further up is said here anew, as it was inherited until there.
            if ($lost !== null) {
                $row = Filter::columns(array_diff_key($lost->filter->given, ['key' => 0, 'kind' => 0])) + $row;
            }
            $row['title'] = self::free((string) $row['title'], $titles);
            $titles[] = $row['title'];
            $journal->insert(
                Filter::class,
                [
                    'lineup_id' => $lineup,
                    'position' => (int) Filter::query()->where('lineup_id', $lineup)->max('position') + 1,
                ] + $row,
            );
            $added[] = $row['title'];
        }

        return $added;
    }

    /**
     * @param  list<string>  $keys  of the page's filters, in the order wanted
     *
     * @throws Refused when they are not exactly those that the page has
     */
    public function order(array $keys, string $placement = Placement::SHOP): ?Change
    {
        $all = DraftLineups::load();

        return $this->ledger->record($placement, function (Journal $journal, int $lineup) use ($keys, $placement, $all): string {
            $standing = array_map(strval(...), array_keys($all->of(LineupLedger::pageOf($placement))->filters));
            if (array_diff($standing, $keys) !== [] || array_diff($keys, $standing) !== []) {
                throw Refused::changedMeanwhile('the line-up');
            }
            $settings = Lineup::query()->findOrFail($lineup)->settings ?? [];
            $journal->update(Lineup::class, $lineup, [
                'settings' => (string) json_encode(
                    ['order' => array_values(array_unique($keys))] + $settings,
                    JSON_UNESCAPED_UNICODE,
                ),
            ]);

            return 'Reordered '.LineupLedger::said($placement, $all);
        });
    }

    public function drop(string $key, string $placement = Placement::SHOP): ?Change
    {
        $all = DraftLineups::load();
        $title = LineupLedger::filter($all, $key, $placement)['title'];

        return $this->ledger->record($placement, function (Journal $journal, int $lineup) use (
            $key,
            $placement,
            $all,
            $title,
        ): string {
            $own = ShareFilter::own($lineup, $key);
            $change = FilterChange::query()->where('lineup_id', $lineup)->where('key', $key)->first();
            match (true) {
                $own !== null => $journal->delete(Filter::class, $own->id),
                $change !== null => $journal->update(FilterChange::class, $change->id, ['dropped' => 1]),
                default => $journal->insert(FilterChange::class, ['lineup_id' => $lineup, 'key' => $key, 'dropped' => 1]),
            };

            return "Took the filter {$title} out of ".LineupLedger::said($placement, $all);
        });
    }

    /**
     * What holds for the whole page: what becomes of sold-out products, the sort orders. Null: as inherited.
     *
     * @param  array<string, mixed>  $settings
     */
    public function page(array $settings, string $placement): ?Change
    {
        $all = DraftLineups::load();

        return $this->ledger->record($placement, function (Journal $journal, int $lineup) use (
            $settings,
            $placement,
            $all,
        ): string {
            $now = array_filter(
                array_replace(Lineup::query()->findOrFail($lineup)->settings ?? [], $settings),
                fn (mixed $value): bool => $value !== null,
            );
            $journal->update(Lineup::class, $lineup, [
                'settings' => $now === [] ? null : (string) json_encode($now, JSON_UNESCAPED_UNICODE),
            ]);

            return 'Changed sorting and stock of '.LineupLedger::said($placement, $all);
        });
    }

    /** @param  list<string>  $taken */
    private static function free(string $title, array $taken): string
    {
        for ($try = $title, $n = 2; in_array($try, $taken, true); $n++) {
            $try = "{$title} {$n}";
        }

        return $try;
    }
}
