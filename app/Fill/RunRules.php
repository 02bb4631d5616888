<?php

declare(strict_types=1);

namespace App\Fill;

use App\History\CellMoves;
use App\History\Journal;
use App\History\Ledger;
use App\Models\Change;
use App\Models\FillRule;
use App\Models\Room;

/** Runs fill rules in their order: dry, or for good as one entry of History. */
final readonly class RunRules
{
    public function __construct(private Ledger $ledger)
    {
    }

    /** What a rule would do now, saved or not. */
    public function consequences(FillRule $rule): FillFigures
    {
        return (new PlanFill(new CellMoves(), $rule->loadMissing('definition')))();
    }

    /**
     * Runs one rule, or all that run.
     *
     * @return array{0: Change|null, 1: array<int, FillFigures>} the entry, null when nothing was different; figures by rule
     */
    public function __invoke(?FillRule $only = null): array
    {
        $rules = $only === null ? RuleState::running() : [$only];
        if ($rules === []) {
            return [null, []];
        }
        $figures = [];
        $change = $this->ledger->record(Room::FillRules, function (Journal $journal) use ($only, $rules, &$figures): string {
            foreach ($rules as $rule) {
                $figures[$rule->id] = self::write($journal, $rule);
            }
            $filled = array_sum(array_map(fn (FillFigures $one): int => $one->comes, $figures));
            $gone = array_sum(array_map(fn (FillFigures $one): int => $one->goes, $figures));

            return ($only === null
                ? 'Ran '.count($figures).(count($figures) === 1 ? ' fill rule' : ' fill rules')
                : "Ran the fill rule for {$only->definition->label}").
                ': '.
                number_format($filled).
                ' filled'.
                ($gone > 0 ? ', '.number_format($gone).' withdrawn' : '');
        });

        return [$change, $figures];
    }

    /** The same as a part of a greater change. */
    public static function write(Journal $journal, FillRule $rule): FillFigures
    {
        $plan = new PlanFill($journal->cells(), $rule->loadMissing('definition'));
        $figures = $plan();
        $plan->sheet->spellings->make($journal);
        $journal->take();
        $journal->put();

        return $figures;
    }
}
