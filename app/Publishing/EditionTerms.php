<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Catalog\Stock;
use App\Catalog\TermNumbers;
use App\Draft\DraftTerms;
use App\Editions\Blob;
use App\Models\Definition;
use Lokum\Facet\ColumnCutter;
use Lokum\Facet\StoredBits;
use Lokum\Lineup\ProductField;
use Lokum\Vocabulary\Level;
use PDO;

/** Writes attributes with their terms: bitmaps and columns of who carries them, and where former addresses lead. */
final readonly class EditionTerms
{
    /** The attribute that stock is. */
    public const STOCK = 0;

    private const OF_ATTRIBUTE = [
        'attributes' => 'id',
        'terms' => 'attribute_id',
        'term_columns' => 'attribute_id',
        'term_column_parts' => 'attribute_id',
        'redirects' => 'attribute_id',
    ];

    public function __construct(
        private EditionWriter $writer,
        private Numbering $numbering,
        private DraftTerms $draft,
        private EditionCounts $counts,
        private ListingCounts $listings,
        private PDO $pdo,
    ) {
    }

    /** @param  list<int>  $terms  that the file has of an attribute, which is written anew */
    public function remove(int $attribute, array $terms): void
    {
        array_map(fn (int $term) => $this->writer->remove('term_bits', 'id', $term), $terms);
        foreach (self::OF_ATTRIBUTE as $table => $column) {
            $this->writer->remove($table, $column, $attribute);
        }
        $this->listings->forget($terms);
    }

    /** @param  bool  $nests  whether values below umbrellas are shown */
    public function write(Definition $definition, bool $nests): void
    {
        $this->writer->insert('attributes', [
            $definition->id,
            $definition->slug,
            $definition->label,
            $definition->kind->value,
            $definition->level->value,
            $definition->help,
        ]);
        $carried = $counts = [];
        foreach ($this->carrying($definition) as $term => $items) {
            [$carried[$term], $products] = $this->numbering->bits($items, $definition->level);
            $counts[$term] = count($products);
            $this->listings->add($term, $products);
        }
        $this->counts->add($definition->id, $counts);
        $offered = $this->draft->of($definition, array_filter($counts));
        $this->listings->forget(array_values(array_diff(array_keys($carried), array_column($offered, 'id'))));
        foreach ($offered as $position => $term) {
            $this->term(
                $term['id'],
                $definition->id,
                $position,
                $term['slug'],
                $term['label'],
                $term['look'],
                $definition->level,
                $carried[$term['id']],
                $counts[$term['id']],
            );
        }
        $this->columns($definition, array_filter($carried));
        if ($nests) {
            $this->nested($definition);
        }
        foreach (EndedAddresses::of($definition) + EndedAddresses::ofMerged($definition) as $slug => $term) {
            $this->writer->insert('redirects', [$definition->id, (string) $slug, $term]);
        }
    }

    public function stock(): void
    {
        $stock = ProductField::Stock;
        $this->writer->insert('attributes', [
            self::STOCK,
            $stock->value,
            $stock->label(),
            $stock->kind()->value,
            $stock->level()->value,
            null,
        ]);
        foreach ($stock->terms() as $position => $term) {
            $items = $this->items(
                'SELECT i.id FROM items i WHERE variant_count = 0 AND stock IS NOT NULL AND '.Stock::TERM." = {$term->id}",
            );
            [$bits, $products] = $this->numbering->bits($items, $stock->level());
            $this->listings->add($term->id, $products);
            $this->term($term->id, self::STOCK, $position, $term->slug, $term->label, null, $stock->level(), $bits, count($products));
        }
    }

    /** @return array<int, list<int>> items by term; those of the other level are among them and have no bit */
    private function carrying(Definition $definition): array
    {
        // In one go: row by row takes three times as long.
        $statement = $this->pdo->query(
            'SELECT '.
                TermNumbers::SQL.
                ', a.item_id FROM spellings s JOIN attribute_values v ON v.id = s.value_id AND v.held = 0
                JOIN assignments a ON a.spelling_id = s.id WHERE s.definition_id = '.
                $definition->id,
        );

        return $statement === false ? [] : $statement->fetchAll(PDO::FETCH_GROUP | PDO::FETCH_COLUMN);
    }

    /** Values below their umbrellas, where a filter shows them. */
    private function nested(Definition $definition): void
    {
        foreach ($this->draft->below($definition) as $position => $term) {
            $items = $this->items(
                "SELECT a.item_id FROM spellings s JOIN assignments a ON a.spelling_id = s.id WHERE s.value_id = {$term->id}",
            );
            [$bits, $products] = $this->numbering->bits($items, $definition->level);
            if ($bits !== []) {
                $look = $term->look->toJson();
                $this->listings->add($term->id, $products);
                $this->term(
                    $term->id,
                    $definition->id,
                    $position,
                    $term->slug,
                    $term->label,
                    $look,
                    $definition->level,
                    $bits,
                    count($products),
                    $term->parent,
                );
            }
        }
    }

    /** @return list<int> */
    private function items(string $sql): array
    {
        $statement = $this->pdo->query($sql);

        return $statement === false ? [] : array_values($statement->fetchAll(PDO::FETCH_COLUMN));
    }

    /** @param  list<int>  $bits  of who carries it */
    private function term(
        int $id,
        int $attribute,
        int $position,
        string $slug,
        string $label,
        ?string $look,
        Level $level,
        array $bits,
        int $products,
        ?int $parent = null,
    ): void {
        $this->writer->insert('terms', [$id, $attribute, $position, $slug, $label, $look, $products, $parent]);
        $this->writer->insert('term_bits', [$id, new Blob(StoredBits::encode($bits, $this->numbering->bytes($level)))]);
    }

    /** @param  array<int, list<int>>  $bits  of the terms of an attribute, by term */
    private function columns(Definition $definition, array $bits): void
    {
        $layout = $this->numbering->layout;
        foreach ((new ColumnCutter($layout, $definition->level === Level::Product))->cut($bits) as $place => $column) {
            $repeats = $column->repeats === null ? null : new Blob(StoredBits::ofVariants($column->repeats, $layout));
            $this->writer->insert('term_columns', [$definition->id, $place, (string) json_encode($column->terms), $repeats]);
            for ($block = 0; $block < $column->blocks->count(); $block++) {
                $this->writer->insert('term_column_parts', [$definition->id, $place, $block, new Blob($column->part($block))]);
            }
        }
    }
}
