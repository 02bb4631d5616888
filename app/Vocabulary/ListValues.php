<?php

declare(strict_types=1);

namespace App\Vocabulary;

use App\Models\Definition;
use App\Models\KeptApart;
use Lokum\Feed\CsvWriter;
use Lokum\LookAlike\Names;
use Lokum\Text\StrictKey;
use Lokum\Vocabulary\ListedValue;
use Lokum\Vocabulary\Skos;

/** An attribute's values for another shop: as CSV, one spelling a line, or as SKOS. */
final readonly class ListValues
{
    public const FORMATS = ['csv', 'turtle', 'jsonld'];

    public const HEADINGS = ['value', 'umbrella', 'spelling', 'colors', 'help', 'language', 'hidden', 'address', 'apart'];

    /** Between labels of one cell. */
    public const BETWEEN = '|';

    public function __construct(private ValueTable $table)
    {
    }

    public function write(Definition $definition, string $format): string
    {
        $rows = $this->table->of($definition);
        $apart = self::apart($definition, $rows);
        $values = array_map(
            fn (ValueRow $row): ListedValue => new ListedValue(
                $row->value->label,
                $row->value->slug,
                $row->value->umbrella?->label,
                array_map(fn (array $spelling): string => $spelling['text'], $row->spellings),
                $row->value->look()->colors,
                $row->value->look()->help,
                self::languages(array_map(fn (array $spelling): string => $spelling['text'], $row->spellings)),
                $row->value->held,
                $apart[$row->value->id] ?? [],
            ),
            $rows,
        );

        return match ($format) {
            'turtle' => (new Skos($definition->slug, $definition->label, $values))->turtle(),
            'jsonld' => (new Skos($definition->slug, $definition->label, $values))->jsonLd(),
            default => $this->csv($values),
        };
    }

    /**
     * @param  list<ValueRow>  $rows
     * @return array<int, list<string>> labels of the others, by value
     */
    private static function apart(Definition $definition, array $rows): array
    {
        $labels = [];
        foreach ($rows as $row) {
            $labels[$row->value->id] = $row->value->label;
        }
        $apart = [];
        foreach (KeptApart::query()->where('definition_id', $definition->id)->orderBy('id')->get() as $pair) {
            if (isset($labels[$pair->one_id], $labels[$pair->other_id])) {
                $apart[$pair->one_id][] = $labels[$pair->other_id];
                $apart[$pair->other_id][] = $labels[$pair->one_id];
            }
        }

        return $apart;
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
                    $value->hidden ? 'yes' : '',
                    $value->slug,
                    implode(self::BETWEEN, $value->apart),
                ]);
            }
        }

        return $csv;
    }
}
