<?php

declare(strict_types=1);

namespace App\Console;

use App\Models\Definition;
use App\Support\Refused;
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
        $slug = (string) $this->argument('attribute');
        $definition = Definition::query()->where('slug', $slug)->first() ?? throw Refused::unknown('attribute', $slug);
        $values = array_map(fn (string $label) => FindValue::named($definition, $label), (array) $this->argument('values'));
        $change = $apart($definition, array_map(fn ($value): int => $value->id, $values));

        return $this->answer(
            ['apart' => array_map(fn ($value): string => $value->label, $values), 'change' => $change?->id],
            [$change->summary ?? 'They are kept apart already.'],
        );
    }
}
