<?php

declare(strict_types=1);

namespace App\Editions;

use App\Support\Refused;
use Lokum\Facet\Blocks;
use Lokum\Facet\Layout;
use Lokum\Facet\StoredBits;
use Lokum\Facet\TermColumn;
use PDOStatement;

/** The columns of an edition's attributes, read part by part. */
final class EditionColumns
{
    private ?PDOStatement $parts = null;

    /** @var array<int, int> attribute by term */
    private array $attributeOf = [];

    /** @var array<int, list<TermColumn>> by attribute */
    private array $columns = [];

    /** @param  array<int, bool>  $ofProducts  whether an attribute's data belongs to products, by attribute id */
    public function __construct(
        private readonly EditionDatabase $database,
        private readonly Layout $layout,
        private readonly array $ofProducts,
    ) {
    }

    /** @return list<TermColumn> of the attribute that a term belongs to; none where it has few */
    public function of(int $term): array
    {
        return $this->columns[$this->attributeOf($term)] ??= $this->read($this->attributeOf($term));
    }

    /** @return list<TermColumn> */
    private function read(int $attribute): array
    {
        $columns = [];
        foreach ($this->database->rows('SELECT * FROM term_columns WHERE attribute_id = ? ORDER BY place', [$attribute]) as $row) {
            /** @var array<int, int> $terms */
            $terms = (array) json_decode((string) $row['terms'], true);
            $columns[] = new TermColumn(
                new Blocks($this->layout, $this->ofProducts[$attribute]),
                $terms,
                $row['repeats'] === null ? null : StoredBits::variants((string) $row['repeats'], $this->layout),
                fn (int $block): string => $this->part($attribute, (int) $row['place'], $block),
            );
        }

        return $columns;
    }

    private function part(int $attribute, int $column, int $block): string
    {
        $this->parts ??= $this->database->prepared(
            'SELECT numbers FROM term_column_parts WHERE attribute_id = ? AND place = ? AND block = ?',
        );
        $this->parts->execute([$attribute, $column, $block]);
        $part = (string) $this->parts->fetchColumn();
        $this->parts->closeCursor();

        return $part;
    }

    /** @return int id of the attribute that a term belongs to */
    private function attributeOf(int $term): int
    {
        return $this->attributeOf[$term] ??= (int) ($this->database->row('SELECT attribute_id FROM terms WHERE id = ?', [$term])[
            'attribute_id'
        ] ?? throw Refused::unknown('term', (string) $term));
    }
}
