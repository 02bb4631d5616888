<?php

declare(strict_types=1);

namespace App\Console;

use App\Catalog\ProductCounts;
use App\Values\FindValue;
use App\Vocabulary\MergeConsequences;
use App\Vocabulary\MergeValues;
use Symfony\Component\Console\Exception\InvalidOptionException;

final class MergeCommand extends Command
{
    protected $signature = 'merge {attribute : slug of the attribute} {values* : labels of the values that end}
        {--keep= : label of the value that stays}
        {--check : say what the merge would do, and write nothing}
        {--json : answer with one JSON document}';

    protected $description = 'Makes several values of an attribute one';

    public function handle(MergeValues $merge, ProductCounts $counts): int
    {
        $definition = $this->definition();
        if ($this->option('keep') === null) {
            throw new InvalidOptionException('Say which value stays: --keep=LABEL.');
        }
        $keep = FindValue::named($definition, $this->textOption('keep'));
        $plan = $merge->plan($definition, $keep->id, FindValue::ids($definition, self::texts($this->argument('values'))));
        $consequences = MergeConsequences::of($definition, $plan, $counts)->toArray();
        $change = $this->option('check') ? null : $merge($definition, $plan);

        return $this->answer($consequences + ['change' => $change?->id], [
            ($change === null ? 'Would merge ' : 'Merged ').
            implode(', ', array_column($consequences['moved'], 'label')).
            ' into '.
            $consequences['keep'],
            number_format($consequences['products']).
            ' products get another value; '.
            number_format($consequences['spellings']).
            ' spellings move',
            'values '.
            $consequences['values']['before'].
            ' → '.
            $consequences['values']['after'].
            ', terms '.
            $consequences['terms']['before'].
            ' → '.
            $consequences['terms']['after'],
        ]);
    }
}
