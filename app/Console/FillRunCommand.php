<?php

declare(strict_types=1);

namespace App\Console;

use App\Fill\EditRules;
use App\Fill\RuleForm;
use App\Fill\RunRules;
use App\Models\FillRule;

final class FillRunCommand extends FillCommand
{
    protected $signature = 'fill:run {rule? : number of a rule; all that are not paused when left out}
        {--rule= : a new rule, as JSON, which is saved and runs from now on: {"definition", "source", …, "scope": ["category:paint"]}}
        {--json : answer with one JSON document}';

    protected $description = 'Runs fill rules, in one step that can be taken back';

    public function handle(RunRules $run, EditRules $edit): int
    {
        if ($this->option('rule') !== null) {
            $form = RuleForm::from($this->json('rule'));
            $figures = $run->consequences(EditRules::draft($form, null));
            $change = $edit->add($form);

            return $this->figures([(int) FillRule::query()->max('id') => $figures], $change);
        }
        [$change, $figures] = $run($this->argument('rule') === null ? null : $this->rule());

        return $this->figures($figures, $change);
    }
}
