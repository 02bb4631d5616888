<?php

declare(strict_types=1);

namespace App\Console;

use App\Models\Value;
use App\Values\FindValue;
use App\Vocabulary\KeepApart;

final class ApartCommand extends Command
{
    protected $signature = 'apart {attribute : slug of the attribute}
        {values* : labels that are different things}
        {--json : answer with one JSON document}';

    protected $description = 'Keeps values apart, so that they are not proposed as the same again';

    public function handle(KeepApart $apart): int
    {
        $definition = $this->definition();
        $values = array_map(
            fn (string $label): Value => FindValue::named($definition, $label),
            self::texts($this->argument('values')),
        );
        $change = $apart($definition, array_map(fn (Value $value): int => $value->id, $values));

        return $this->answer(
            ['apart' => array_map(fn (Value $value): string => $value->label, $values), 'change' => $change?->id],
            [$change->summary ?? 'They are kept apart already.'],
        );
    }
}
