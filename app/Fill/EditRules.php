<?php

declare(strict_types=1);

namespace App\Fill;

use App\History\Journal;
use App\History\Ledger;
use App\Models\Change;
use App\Models\Definition;
use App\Models\FillRule;
use App\Models\Room;
use App\Support\Refused;
use Illuminate\Support\Facades\DB;

/** Makes, changes, pauses, reorders and removes fill rules; the values follow in the same step. */
final readonly class EditRules
{
    public function __construct(private Ledger $ledger)
    {
    }

    public function add(RuleForm $form): Change
    {
        return $this->ledger->record(Room::FillRules, function (Journal $journal) use ($form): string {
            $id = $journal->insert(
                FillRule::class,
                self::row($form) + ['position' => 1 + (int) FillRule::query()->max('position'), 'paused' => 0],
            );
            $figures = RunRules::write($journal, FillRule::query()->findOrFail($id));

            return "New fill rule for {$form->definition->label}: ".number_format($figures->comes).' filled';
        }) ?? throw new Refused('Nothing was written.');
    }

    /** @throws Refused when someone else saved it meanwhile */
    public function save(FillRule $rule, RuleForm $form, int $version): ?Change
    {
        return $this->ledger->record(Room::FillRules, function (Journal $journal) use ($rule, $form, $version): string {
            if ($rule->refresh()->version !== $version) {
                throw Refused::changedMeanwhile('the rule');
            }
            $moved = $rule->definition_id !== $form->definition->id;
            if ($moved) {
                $this->withdraw($journal, $rule);
            }
            $journal->update(FillRule::class, $rule->id, self::row($form));
            $figures = $rule->paused ? null : RunRules::write($journal, $rule->refresh()->load('definition'));

            return "Changed the fill rule for {$form->definition->label}".
                ($figures === null
                    ? ''
                    : ': '.number_format($figures->comes).' filled, '.number_format($figures->goes).' withdrawn');
        });
    }

    /** A paused rule keeps what it filled and fills nothing more. */
    public function pause(FillRule $rule, bool $paused): ?Change
    {
        return $this->ledger->record(Room::FillRules, function (Journal $journal) use ($rule, $paused): string {
            $journal->update(FillRule::class, $rule->id, ['paused' => (int) $paused]);
            if (! $paused) {
                RunRules::write($journal, $rule->refresh());
            }

            return ($paused ? 'Paused' : 'Resumed')." the fill rule for {$rule->loadMissing('definition')->definition->label}";
        });
    }

    /** Takes the rule and everything it filled away. */
    public function remove(FillRule $rule): Change
    {
        return $this->ledger->record(Room::FillRules, function (Journal $journal) use ($rule): string {
            $gone = $this->withdraw($journal, $rule);
            $journal->delete(FillRule::class, $rule->id);

            return "Removed the fill rule for {$rule->loadMissing('definition')->definition->label} and what it filled: ".
                number_format($gone).
                ' products or variants';
        }) ?? throw new Refused('Nothing was written.');
    }

    /** @param  list<int>  $ids */
    public function order(array $ids): ?Change
    {
        return $this->ledger->record(Room::FillRules, function (Journal $journal) use ($ids): string {
            foreach (array_values(array_intersect($ids, FillRule::query()->pluck('id')->all())) as $place => $id) {
                $journal->update(FillRule::class, $id, ['position' => $place + 1]);
            }
            foreach ($journal->isEmpty() ? [] : RuleState::running() as $rule) {
                RunRules::write($journal, $rule);
            }

            return 'Reordered the fill rules';
        });
    }

    private function withdraw(Journal $journal, FillRule $rule): int
    {
        $journal->cells()->clear();
        DB::insert(
            'INSERT INTO temp.going SELECT item_id, definition_id, spelling_id, origin FROM assignments WHERE origin = ?',
            [$rule->id],
        );
        $items = (int) DB::scalar('SELECT COUNT(DISTINCT item_id) FROM temp.going');
        $journal->take();

        return $items;
    }

    /** @return array<string, mixed> */
    private static function row(RuleForm $form): array
    {
        return [
            'definition_id' => $form->definition->id,
            'source' => $form->source->value,
            'settings' => json_encode($form->settings, JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR),
            'scope' => json_encode($form->scope, JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR),
        ];
    }

    /** A rule as it would be, for a dry run. */
    public static function draft(RuleForm $form, ?FillRule $of): FillRule
    {
        $rule = (new FillRule())->forceFill([
            'id' => $of->id ?? 0,
            'definition_id' => $form->definition->id,
            'source' => $form->source->value,
            'settings' => $form->settings,
            'scope' => $form->scope,
            'position' => $of->position ?? PHP_INT_MAX,
        ]);
        $rule->setRelation('definition', Definition::query()->findOrFail($form->definition->id));

        return $rule;
    }
}
