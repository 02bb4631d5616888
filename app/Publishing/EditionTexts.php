<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Catalog\ItemsOfLevel;
use App\Data\Rows;
use App\Editions\Blob;
use App\Models\Definition;
use Illuminate\Support\Collection;
use Lokum\Facet\StoredBits;
use Lokum\Text\StrictKey;
use Lokum\Vocabulary\Level;

/** Writes the texts of fields that are filters. What the search box finds products by is written with the products. */
final readonly class EditionTexts
{
    public function __construct(private EditionWriter $writer, private Numbering $numbering)
    {
    }

    /**
     * @param  Collection<int, Definition>  $definitions  text fields that are filters
     * @param  TakenOver|null  $before  whose texts stay where nothing touched them
     */
    public function write(Collection $definitions, ?TakenOver $before): void
    {
        $there = $before?->textFields() ?? [];
        $kept = $definitions
            ->whereIn('slug', $there)
            ->filter(fn (Definition $one): bool => $before?->keeps($one) === true)
            ->pluck('slug')
            ->all();
        foreach (array_diff($there, $kept) as $field) {
            $this->writer->remove('texts', 'field', $field);
            $this->writer->remove('text_levels', 'field', $field);
        }
        foreach ($definitions->whereNotIn('slug', $kept) as $definition) {
            $bits = [];
            foreach (
                Rows::of(
                    'SELECT a.item_id, s.text FROM spellings s JOIN assignments a ON a.spelling_id = s.id
                        JOIN items i ON i.id = a.item_id WHERE s.definition_id = '.
                        $definition->id.
                        ' AND '.
                        ItemsOfLevel::on($definition->level),
                ) as [$item, $text]
            ) {
                $bit = $this->numbering->bitsOf([(int) $item], $definition->level)[0] ?? null;
                if ($bit !== null) {
                    $bits[$bit] = true;
                    $this->writer->insert('texts', [$definition->slug, $bit, StrictKey::of((string) $text)]);
                }
            }
            $bytes =
                $definition->level === Level::Product
                    ? $this->numbering->layout->productBytes()
                    : $this->numbering->layout->bytes;
            $present = $bits === [] ? null : new Blob(StoredBits::encode(array_keys($bits), $bytes));
            $this->writer->insert('text_levels', [$definition->slug, $definition->level->value, $present]);
        }
    }
}
