<?php

declare(strict_types=1);

namespace App\Lineups;

use App\Draft\DraftLineups;
use App\Draft\Placement;
use App\History\Journal;
use App\History\Ledger;
use App\Models\Change;
use App\Models\Lineup;
use App\Models\Room;
use App\Support\Refused;
use Closure;
use Lokum\Lineup\ComposedFilter;
use Lokum\Lineup\ComposedLineup;

/**
 * What all work on line-ups shares: the line-up of a placement is made when something is first said there, and everything is
 * entered in History.
 */
final readonly class LineupLedger
{
    public function __construct(private Ledger $ledger)
    {
    }

    /** @param  Closure(Journal, int): string  $act */
    public function record(string $placement, Closure $act): ?Change
    {
        return $this->recordAll(
            fn (Journal $journal, Closure $lineup): string => $act($journal, $lineup($placement)),
        );
    }

    /**
     * Work on several line-ups as one step.
     *
     * @param  Closure(Journal, Closure(string): int): string  $act  the line-up of each placement is asked for when something is said
     */
    public function recordAll(Closure $act): ?Change
    {
        return $this->ledger->record(Room::LineUps, fn (Journal $journal): string => $act(
            $journal,
            fn (string $placement): int => (int) (Lineup::query()->where('placement', $placement)->value('id') ??
                $journal->insert(Lineup::class, ['placement' => $placement])),
        ));
    }

    public static function said(string $placement, DraftLineups $all): string
    {
        return $placement === Placement::SHOP
            ? "the shop's line-up"
            : 'the line-up of '.Placement::of($placement, $all->tree)->name($all->tree);
    }

    /**
     * No two filters of a page go by one title, and those that hide behind what is said for a page alone count, too.
     *
     * @throws Refused when another has it
     */
    public static function allowTitle(DraftLineups $all, string $key, mixed $title, string $placement): void
    {
        $given = [
            ...array_map(fn (ComposedFilter $filter): array => $filter->given, $all->of(self::pageOf($placement))->filters),
            ...$all->layer($placement)->added ?? [],
        ];
        foreach (array_diff_key($given, [$key => 0]) as $other) {
            if ($title === $other['title']) {
                throw new Refused(
                    'Another filter of '.self::said($placement, $all)." is titled \"{$other['title']}\".",
                    'title',
                );
            }
        }
    }

    /** The page on which a placement is seen: its category, or itself. */
    public static function pageOf(string $placement): string
    {
        return preg_match('/:(\d+)$/D', $placement, $part) === 1 ? $part[1] : $placement;
    }

    /** What a placement inherits: its page's line-up without what is said at it. */
    public static function before(DraftLineups $all, string $placement): ComposedLineup
    {
        $layers = [];
        foreach (Placement::chain(self::pageOf($placement), $all->tree) as $one) {
            if ($one === $placement) {
                break;
            }
            $layer = $all->layer($one);
            if ($layer !== null) {
                $layers[] = $layer;
            }
        }

        return ComposedLineup::of(...$layers);
    }

    /** @return array<string, mixed> */
    public static function filter(DraftLineups $all, string $key, string $placement): array
    {
        return ($all->of(self::pageOf($placement))->filters[$key] ?? throw Refused::unknown('filter', $key))->given;
    }
}
