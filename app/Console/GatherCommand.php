<?php

declare(strict_types=1);

namespace App\Console;

use App\Values\FindValue;
use App\Vocabulary\GatherValues;
use Symfony\Component\Console\Exception\InvalidOptionException;

final class GatherCommand extends Command
{
    protected $signature = 'gather {attribute : slug of the attribute}
        {values* : labels that shoppers tick as one}
        {--under= : label of the umbrella; it is made when it is new}
        {--check : says what it would do, and writes nothing}
        {--json : answer with one JSON document}';

    protected $description = 'Gathers values under an umbrella';

    public function handle(GatherValues $gather): int
    {
        $definition = $this->definition();
        if ($this->option('under') === null) {
            throw new InvalidOptionException('Say the umbrella: --under=LABEL.');
        }
        $under = $this->textOption('under');
        $ids = FindValue::ids($definition, self::texts($this->argument('values')));
        $figures = $gather->consequences($definition, $under, $ids);
        $change = $this->option('check') ? null : $gather($definition, $under, $ids);

        return $this->answer($figures->toArray() + ['change' => $change?->id], [
            ($change === null ? 'Would gather ' : 'Gathered ').implode(', ', $figures->values)." under {$figures->umbrella}",
            'terms '.
            $figures->terms.
            ' → '.
            $figures->termsAfter.
            ', '.
            number_format($figures->products).
            ' products under it',
        ]);
    }
}
