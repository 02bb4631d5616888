<?php

declare(strict_types=1);

namespace App\Console;

use App\Fill\FillFigures;
use App\Models\Change;
use App\Models\FillRule;
use App\Support\Refused;
use Symfony\Component\Console\Exception\InvalidOptionException;

/** What the two commands about fill rules share. */
abstract class FillCommand extends Command
{
    /** @return array<string, mixed> */
    protected function json(string $option): array
    {
        $json = json_decode($this->textOption($option), true);

        return is_array($json) ? $json : throw new InvalidOptionException("--{$option} takes a JSON object.");
    }

    protected function rule(): FillRule
    {
        return FillRule::query()->with('definition')->find((int) $this->argument('rule')) ??
            throw Refused::unknown('fill rule', $this->text('rule'));
    }

    /** @param  array<int, FillFigures>  $figures  by rule */
    protected function figures(array $figures, ?Change $change): int
    {
        $rules = [];
        $lines = $figures === [] ? ['There are no fill rules.'] : [];
        $known = FillRule::query()->whereKey(array_keys($figures))->with('definition')->get()->keyBy('id');
        foreach ($figures as $id => $one) {
            $rule = $known->get($id);
            $rules[] = ['rule' => $id, 'attribute' => $rule?->definition->slug] + $one->toArray();
            $lines[] =
                ($rule === null ? 'The rule' : "Rule {$id} ({$rule->definition->label})").
                ': '.
                number_format($one->comes).
                ' filled, '.
                number_format($one->goes).
                ' withdrawn, '.
                number_format($one->differ).
                ' have another value and keep it';
        }

        return $this->answer(['rules' => $rules, 'change' => $change?->id], $lines);
    }
}
