<?php

declare(strict_types=1);

namespace App\Console;

use App\Fill\EditRules;
use App\Fill\RuleForm;
use App\Fill\RuleState;
use App\Fill\RunRules;

final class FillCheckCommand extends FillCommand
{
    protected $signature = 'fill:check {rule? : number of a rule; all when left out}
        {--rule= : a rule that is not saved, as JSON: {"definition", "source", …, "scope": ["category:paint"]}}
        {--json : answer with one JSON document}';

    protected $description = 'Says what fill rules would do, and writes nothing';

    public function handle(RunRules $run): int
    {
        if ($this->option('rule') !== null) {
            return $this->figures([0 => $run->consequences(EditRules::draft(RuleForm::from($this->json('rule')), null))], null);
        }
        $rules = $this->argument('rule') === null ? RuleState::running() : [$this->rule()];
        $figures = [];
        foreach ($rules as $rule) {
            $figures[$rule->id] = $run->consequences($rule);
        }

        return $this->figures($figures, null);
    }
}
