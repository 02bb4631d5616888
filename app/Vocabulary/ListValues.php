<?php

declare(strict_types=1);

namespace App\Vocabulary;

use App\Models\Definition;
use App\Models\KeptApart;
use App\Models\Value;
use App\Support\Pictures;
use Lokum\Feed\CsvWriter;
use Lokum\LookAlike\Names;
use Lokum\Text\StrictKey;
use Lokum\Vocabulary\ListedValue;
use Lokum\Vocabulary\Skos;
use ZipArchive;

/** An attribute's values for another shop: as CSV, one spelling a line, or as SKOS. */
final readonly class ListValues
{
    public const FORMATS = ['csv', 'turtle', 'jsonld'];

    public const HEADINGS = [
        'value',
        'umbrella',
        'spelling',
        'colors',
        'help',
        'language',
        'hidden',
        'address',
        'apart',
        'picture',
        'page',
        'page_picture',
    ];

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
                $row->label,
                $row->value->slug,
                $row->value->umbrella?->label,
                array_map(fn (array $spelling): string => $spelling['text'], $row->spellings),
                $row->value->look()->colors,
                $row->value->look()->help,
                self::languages(array_map(fn (array $spelling): string => $spelling['text'], $row->spellings)),
                $row->value->showing(),
                $apart[$row->id] ?? [],
                $row->value->look()->picture,
                $row->value->description,
                $row->value->picture,
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
            $labels[$row->id] = $row->label;
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

    /**
     * The list, and beside it the pictures that it names.
     *
     * @param  string  $name  of the list in the archive
     */
    public function addTo(ZipArchive $archive, Definition $definition, string $format, string $name): void
    {
        $archive->addFromString($name, $this->write($definition, $format));
        foreach (self::pictures($definition) as $picture) {
            $archive->addFile(Pictures::path($picture), "pictures/{$picture}");
        }
    }

    /** @return list<string> file names of the pictures that its values wear or have on their pages */
    public static function pictures(Definition $definition): array
    {
        $names = $definition->values()->get()->flatMap(fn (Value $value): array => [$value->picture, $value->look()->picture]);

        return array_values($names->filter(fn (?string $name): bool => $name !== null && is_file(Pictures::path($name)))->unique()->all());
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
                    $value->shown->mark(),
                    $value->slug,
                    implode(self::BETWEEN, $value->apart),
                    $value->picture ?? '',
                    $value->page ?? '',
                    $value->pagePicture ?? '',
                ]);
            }
        }

        return $csv;
    }
}
