<?php

declare(strict_types=1);

namespace App\Console;

use App\Vocabulary\ValueRow;
use App\Vocabulary\ValueTable;

final class ValuesCommand extends Command
{
    protected $signature = 'values {attribute : slug of the attribute} {--json : answer with one JSON document}';

    protected $description = 'Lists the values of an attribute with their products and spellings';

    public function handle(ValueTable $table): int
    {
        $definition = $this->definition();
        $rows = array_map(
            fn (ValueRow $row): array => [
                'label' => $row->label,
                'slug' => $row->value->slug,
                'products' => $row->products,
                'umbrella' => $row->value->umbrella?->label,
                'spellings' => array_map(
                    fn (array $spelling): array => ['text' => $spelling['text'], 'products' => $spelling['products']],
                    $row->spellings,
                ),
            ],
            $table->of($definition),
        );

        return $this->answer(
            $rows,
            array_map(
                fn (array $row): string => sprintf(
                    '%8s  %s  (%s)',
                    number_format($row['products']),
                    $row['label'],
                    implode(', ', array_map(fn (array $spelling): string => '"'.$spelling['text'].'"', $row['spellings'])),
                ),
                $rows,
            ),
        );
    }
}
