<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Catalog\FieldNumbers;
use App\Data\Rows;
use App\Editions\Blob;
use App\Editions\StoredNumbers;
use App\Models\Definition;
use Lokum\Facet\ChangedRanks;
use Lokum\Facet\RankedNumbers;
use Lokum\Lineup\ProductField;
use Lokum\Vocabulary\Kind;
use Lokum\Vocabulary\Level;
use PDO;

/** Writes numbers, sliced by their digits: of fields of numbers and dates, of prices, stock, and what only some line-ups ask for. */
final readonly class EditionNumbers
{
    public function __construct(private EditionWriter $writer, private Numbering $numbering, private PDO $pdo)
    {
    }

    /** What the file has of a field is written anew, or not any more. */
    public function remove(string $field): void
    {
        $this->writer->remove('numbers', 'field', $field);
        $this->writer->remove('number_slices', 'field', $field);
    }

    public function definition(Definition $definition): void
    {
        $this->numbers(
            $definition->slug,
            $definition->label,
            $definition->kind === Kind::Date ? 'day' : $definition->unit,
            $definition->level,
            Rows::from(
                $this->pdo,
                'SELECT s.number, group_concat(a.item_id) FROM spellings s JOIN assignments a ON a.spelling_id = s.id
                    WHERE s.definition_id = '.
                    $definition->id.
                    ' AND s.number IS NOT NULL GROUP BY s.number ORDER BY s.number',
            ),
        );
    }

    public function field(ProductField $field): void
    {
        $sql = FieldNumbers::sql($field);
        if ($sql !== null) {
            $unit = $field->unit((string) config('lokum.currency'));
            $rising = "SELECT number, group_concat(id) FROM ({$sql}) GROUP BY number ORDER BY number";
            $this->numbers($field->value, $field->label(), $unit, $field->level(), Rows::from($this->pdo, $rising));
        }
    }

    /**
     * The same where only the products that are copied anew have other prices or stock than in the edition before.
     *
     * @param  array{0: list<float>, 1: string, 2: list<string>}  $before  its numbers, as they are stored
     */
    public function change(ProductField $field, array $before): void
    {
        $bits = [];
        foreach (Rows::from($this->pdo, 'SELECT id, product, lane FROM temp.placed') as [$id, $product, $lane]) {
            $bits[(int) $id] = $this->numbering->layout->bit((int) $lane, (int) $product);
        }
        $byBit = array_fill_keys($bits, null);
        $now = 'SELECT id, number FROM ('.FieldNumbers::sql($field).') WHERE id IN (SELECT id FROM temp.placed)';
        foreach (Rows::from($this->pdo, $now) as [$id, $number]) {
            $byBit[$bits[(int) $id]] = (float) $number;
        }
        $ranks = new ChangedRanks(...[...$before, $this->numbering->bytes($field->level())]);
        $this->remove($field->value);
        $unit = $field->unit((string) config('lokum.currency'));
        $this->insert($field->value, $field->label(), $unit, $field->level(), $ranks->with($byBit));
    }

    /** @param  iterable<list<mixed>>  $groups  number and ids of the items that have it, in rising order of numbers */
    private function numbers(string $field, string $label, ?string $unit, Level $level, iterable $groups): void
    {
        $ranked = RankedNumbers::rising($this->placed($groups, $level), $this->numbering->bytes($level));
        $this->insert($field, $label, $unit, $level, $ranked);
    }

    private function insert(string $field, string $label, ?string $unit, Level $level, RankedNumbers $ranked): void
    {
        $this->writer->insert('numbers', [
            $field,
            $label,
            $unit,
            $level->value,
            new Blob(StoredNumbers::packed($ranked)),
            new Blob($ranked->present),
        ]);
        foreach ($ranked->slices as $digit => $bits) {
            $this->writer->insert('number_slices', [$field, $digit, new Blob($bits)]);
        }
    }

    /**
     * @param  iterable<list<mixed>>  $groups
     * @return iterable<array{0: list<int>, 1: float}> bits of what counts, and the number of all of them
     */
    private function placed(iterable $groups, Level $level): iterable
    {
        foreach ($groups as [$number, $ids]) {
            /** @var list<int> $items */
            $items = json_decode("[{$ids}]");
            yield [$this->numbering->bitsOf($items, $level), (float) $number];
        }
    }
}
