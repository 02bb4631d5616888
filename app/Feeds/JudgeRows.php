<?php

declare(strict_types=1);

namespace App\Feeds;

use App\Models\Origin;
use Lokum\Feed\TextFate;
use Lokum\Vocabulary\Level;

/**
 * Judges the staged rows against each other and against the catalog: skus that come twice, products that never come, which
 * cells count at which level, and what has really changed.
 */
final readonly class JudgeRows
{
    private const FIELDS = ['name', 'price', 'currency', 'stock', 'description', 'image'];

    /** @param  list<TargetColumn>  $targets */
    public function __construct(private Staging $staging, private array $targets)
    {
    }

    public function refuseRepeated(): void
    {
        $this->staging
            ->run("INSERT INTO temp.staged_refusals
                SELECT s.line, s.sku, 'sku', '\"' || s.sku || '\" stands on line ' || f.line || ' already'
            FROM temp.staged_rows s JOIN (SELECT sku, MIN(line) AS line FROM temp.staged_rows
            GROUP BY sku HAVING COUNT(*) > 1) f ON f.sku = s.sku WHERE s.line > f.line");
        $this->dropRefused();
    }

    public function refuseNewcomers(): void
    {
        if ($this->staging->number("SELECT COUNT(*) FROM temp.staged_texts WHERE fate = '".TextFate::Refused->value."'") === 0) {
            return;
        }
        foreach ($this->targets as $target) {
            $this->staging->run(
                "INSERT INTO temp.staged_refusals
                    SELECT s.line, s.sku, ?, '\"' || t.text || '\" is not among its values, and newcomers are refused here'
                FROM temp.staged_texts t JOIN temp.staged_cells c ON c.text_id = t.id JOIN temp.staged_rows s ON s.line = c.line
                WHERE t.col = ? AND t.fate = '".TextFate::Refused->value."' GROUP BY s.line",
                [$target->heading, $target->index],
            );
        }
        $this->dropRefused();
    }

    /** Refuses variants without a product, and whatever hangs on those. */
    public function refuseStranded(): void
    {
        $column = $this->headingOf('parent_sku');
        do {
            $before = $this->staging->number('SELECT COUNT(*) FROM temp.staged_refusals');
            $this->staging->run(
                "INSERT INTO temp.staged_refusals SELECT s.line, s.sku, ?, CASE
                    WHEN r.line IS NOT NULL THEN 'its product \"' || s.parent || '\" on line ' || r.line || ' is refused'
                    ELSE 'its product \"' || s.parent || '\" is neither in the file nor in the catalog' END
                FROM temp.staged_rows s LEFT JOIN temp.staged_rows p ON p.sku = s.parent LEFT JOIN items i ON i.sku = s.parent
                LEFT JOIN (SELECT sku, MIN(line) AS line FROM temp.staged_refusals GROUP BY sku) r ON r.sku = s.parent
                WHERE s.parent IS NOT NULL AND p.line IS NULL AND i.id IS NULL",
                [$column],
            );
            $this->staging->run(
                "INSERT INTO temp.staged_refusals SELECT s.line, s.sku, ?, '\"' || s.parent || '\" is a variant itself; name its product'
                FROM temp.staged_rows s LEFT JOIN temp.staged_rows p ON p.sku = s.parent LEFT JOIN items i ON i.sku = s.parent
                WHERE s.parent IS NOT NULL AND (p.parent IS NOT NULL OR (p.line IS NULL AND i.parent_id IS NOT NULL))",
                [$column],
            );
            $this->staging->run(
                "INSERT INTO temp.staged_refusals SELECT s.line, s.sku, ?, '\"' || s.sku || '\" has variants, so it cannot be one'
                FROM temp.staged_rows s JOIN items i ON i.id = s.item_id WHERE s.parent IS NOT NULL AND i.variant_count > 0",
                [$column],
            );
            $this->dropRefused();
        } while ($this->staging->number('SELECT COUNT(*) FROM temp.staged_refusals') > $before);
    }

    /** Cells of variant-level columns count on variants and on products without any; and only texts that count are kept. */
    public function dropCellsOfOtherLevel(): void
    {
        $this->staging->run(
            'DELETE FROM temp.staged_cells WHERE col IN (SELECT col FROM temp.staged_columns WHERE level = ?) AND line IN (
            SELECT s.line FROM temp.staged_rows s LEFT JOIN items i ON i.id = s.item_id
            WHERE s.parent IS NULL AND (i.variant_count > 0 OR EXISTS (SELECT 1 FROM temp.staged_rows c WHERE c.parent = s.sku)))',
            [Level::Variant->value],
        );
        $this->staging->run('DELETE FROM temp.staged_cells WHERE line NOT IN (SELECT line FROM temp.staged_rows)');
        $this->staging->run('DELETE FROM temp.staged_texts WHERE id NOT IN (SELECT text_id FROM temp.staged_cells)');
    }

    /** Marks what is new, what differs from the catalog and what does not. */
    public function markChanges(): void
    {
        $this->staging->run('UPDATE temp.staged_rows SET changed = ? WHERE item_id IS NULL', [RowChange::New->value]);
        $differs = array_map(
            fn (string $field): string => "s.{$field} IS NOT i.{$field}",
            array_filter(self::FIELDS, $this->has(...)),
        );
        if ($this->has('category')) {
            $differs[] = 's.category IS NOT c.path_key';
            $differs[] = '((s.also IS NOT NULL OR i.also_in IS NOT NULL) AND s.also IS NOT (SELECT json_group_array(o.path_key)
                FROM json_each(i.also_in) j JOIN categories o ON o.id = j.value))';
        }
        $differs[] = 's.parent IS NOT p.sku';
        // What went out of the shop since it was not sent comes back.
        $differs[] = 'i.out_by > 0';
        $this->staging->run(
            'UPDATE temp.staged_rows SET changed = ? WHERE line IN (SELECT s.line FROM temp.staged_rows s JOIN items i ON i.id = s.item_id
            LEFT JOIN categories c ON c.id = i.category_id LEFT JOIN items p ON p.id = i.parent_id WHERE s.same = 0 AND ('.
                implode(' OR ', $differs).
                '))',
            [RowChange::Changed->value],
        );
        $this->markChangedCells();
    }

    private function markChangedCells(): void
    {
        $open =
            'NOT EXISTS (SELECT 1 FROM assignments h WHERE h.item_id = s.item_id AND h.definition_id = k.definition_id AND h.origin = '.
            Origin::HAND.')';
        $sent = "SELECT s.line AS line, k.definition_id AS d, COALESCE(t.spelling_id, -t.id) AS spelling FROM temp.staged_rows s
            JOIN temp.staged_cells x ON x.line = s.line
            JOIN temp.staged_texts t ON t.id = x.text_id JOIN temp.staged_columns k ON k.col = x.col
            WHERE s.item_id IS NOT NULL AND s.same = 0 AND {$open}";
        $held = 'SELECT s.line AS line, k.definition_id AS d, a.spelling_id AS spelling FROM temp.staged_rows s JOIN temp.staged_columns k
            JOIN assignments a ON a.item_id = s.item_id AND a.definition_id = k.definition_id AND a.origin = '.Origin::FEED."
            WHERE s.same = 0 AND {$open}";
        foreach (["{$sent} EXCEPT {$held}", "{$held} EXCEPT {$sent}"] as $difference) {
            $this->staging->run(
                "UPDATE temp.staged_rows SET changed = ? WHERE changed = ? AND line IN (SELECT line FROM ({$difference}))",
                [RowChange::Changed->value, RowChange::None->value],
            );
        }
    }

    private function has(string $field): bool
    {
        return in_array($field, array_column($this->targets, 'target'), true);
    }

    private function headingOf(string $field): string
    {
        foreach ($this->targets as $target) {
            if ($target->target === $field) {
                return $target->heading;
            }
        }

        return $field;
    }

    private function dropRefused(): void
    {
        $this->staging->run('DELETE FROM temp.staged_rows WHERE line IN (SELECT line FROM temp.staged_refusals)');
    }
}
