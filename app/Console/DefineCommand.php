<?php

declare(strict_types=1);

namespace App\Console;

use App\Definitions\CreateDefinition;
use App\Definitions\DefinitionForm;
use App\Definitions\SaveDefinition;
use App\Models\Definition;
use App\Models\State;
use Symfony\Component\Console\Exception\InvalidOptionException;

final class DefineCommand extends Command
{
    protected $signature = 'define {attribute : slug of the definition}
        {--kind= : choice, flag, number, text or date}
        {--label= : what people read; the slug when left out}
        {--multiple : a product may have several values}
        {--level= : product or variant; variant when left out}
        {--unit= : of a number}
        {--json : answer with one JSON document}';

    protected $description = 'Defines an attribute or custom field, or changes one';

    public function handle(CreateDefinition $create, SaveDefinition $save): int
    {
        if ($this->option('kind') === null) {
            throw new InvalidOptionException('Say what it holds: --kind=choice, flag, number, text or date.');
        }
        $slug = $this->text('attribute');
        $known = Definition::called($slug);
        $form = DefinitionForm::from([
            'slug' => $slug,
            'label' => $this->option('label') ?? ($known->label ?? ucfirst(str_replace('-', ' ', $slug))),
            'kind' => $this->option('kind'),
            'multiple' => $this->option('multiple'),
            'level' => $this->option('level') ?? $known?->level->value,
            'unit' => $this->option('unit'),
            'separator' => $known->separator ?? '|',
            'policy' => $known?->policy->value,
            'help' => $known?->help,
            'team_help' => $known?->team_help,
            'section' => $known?->section,
            'edited_by' => $known?->edited_by->value,
            'has_pages' => $known?->has_pages,
            'dress' => $known?->dress,
        ]);
        if ($known === null) {
            $known = $create($form);
        } else {
            $save($known, $form, State::Accepted, $known->version);
        }
        $definition = $known->refresh();

        return $this->answer($definition->described(), [
            "{$definition->label} ({$definition->slug}): {$definition->kind->label()}, {$definition->level->value} level",
        ]);
    }
}
