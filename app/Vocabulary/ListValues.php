<?php

declare(strict_types=1);

namespace App\Vocabulary;

use App\Models\Definition;
use Lokum\Feed\CsvWriter;
use Lokum\LookAlike\Names;
use Lokum\Text\StrictKey;
use Lokum\Vocabulary\ListedValue;
use Lokum\Vocabulary\Skos;

/** An attribute's values for another shop: as CSV, one spelling a line, or as SKOS. */
final readonly class ListValues
{
    public const FORMATS = ['csv', 'turtle', 'jsonld'];

    public const HEADINGS = ['value', 'umbrella', 'spelling', 'colors', 'help', 'language'];

    public function __construct(private ValueTable $table)
    {
    }

    public function write(Definition $definition, string $format): string
    {
        $values = array_map(
            fn (ValueRow $row): ListedValue => new ListedValue(
                $row->value->label,
                $row->value->slug,
                $row->value->umbrella?->label,
                array_map(fn (array $spelling): string => $spelling['text'], $row->spellings),
                $row->value->look()->colors,
                $row->value->look()->help,
                self::languages(array_map(fn (array $spelling): string => $spelling['text'], $row->spellings)),
            ),
            $this->table->of($definition),
        );

        return match ($format) {
            'turtle' => (new Skos($definition->slug, $definition->label, $values))->turtle(),
            'jsonld' => (new Skos($definition->slug, $definition->label, $values))->jsonLd(),
            default => $this->csv($values),
        };
    }

    /**
     * @param  list<string>  $spellings
     * @return array<string, string>
     */
    private static function languages(array $spellings): array
    {
        $tags = array_map(fn (string $text): ?string => Names::shipped()->language(StrictKey::of($text)), $spellings);

        return array_filter(array_combine($spellings, $tags), is_string(...));
    }

    /** @param  list<ListedValue>  $values */
    private function csv(array $values): string
    {
        $csv = CsvWriter::line(self::HEADINGS);
        foreach ($values as $value) {
            foreach ($value->spellings === [] ? [$value->label] : $value->spellings as $spelling) {
                $csv .= CsvWriter::line([
                    $value->label,
                    $value->umbrella ?? '',
                    $spelling,
                    implode(' ', $value->colors),
                    $value->help ?? '',
                    $value->languages[$spelling] ?? '',
                ]);
            }
        }

        return $csv;
    }
}
