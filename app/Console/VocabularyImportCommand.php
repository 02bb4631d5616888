<?php

declare(strict_types=1);

namespace App\Console;

use App\Support\Refused;
use App\Vocabulary\TakeInValues;

final class VocabularyImportCommand extends Command
{
    protected $signature = 'vocabulary:import {attribute : slug of the attribute}
        {file : CSV or SKOS as vocabulary:export writes it, or an archive of one with its pictures}
        {--check : says what it would do, and writes nothing}
        {--json : answer with one JSON document}';

    protected $description = 'Takes in a list of values with their spellings and umbrellas';

    public function handle(TakeInValues $take): int
    {
        $definition = $this->definition();
        $path = $this->text('file');
        $file = (is_file($path) ? @fopen($path, 'rb') : false) ?: throw new Refused("\"{$path}\" cannot be read.");
        $figures = $take->consequences($definition, $file);
        rewind($file);
        $change = $this->option('check') ? null : $take($definition, $file);

        return $this->answer($figures + ['change' => $change?->id], [
            $change->summary ??
            ($this->option('check')
                ? "Would bring {$figures['values']} values and {$figures['spellings']} spellings, and move {$figures['moved']}"
                : 'Nothing was different'),
        ]);
    }
}
