<?php

declare(strict_types=1);

namespace App\Feeds;

use App\Definitions\NewDefinition;
use App\History\ItemMoves;
use App\Models\Category;
use App\Models\Definition;
use App\Models\Feed;
use App\Models\Heading;
use App\Models\Origin;
use Lokum\Feed\Gone;
use Lokum\Text\Slug;
use Lokum\Text\StrictKey;

/** Writes what was staged and judged into the catalog. To be called inside one transaction: all of it, or nothing. */
final class ApplyStaged
{
    /** SQL of the other categories that a staged row s names, as a JSON list of ids; NULL for none. */
    private const ALSO = 'IIF(s.also IS NULL, NULL, (SELECT json_group_array(o.id) FROM json_each(s.also) j
        JOIN categories o ON o.path_key = j.value))';

    /**
     * @param  list<TargetColumn>  $targets
     * @param  array<string, list<string>>  $paths  names of categories from the top down, by path key
     */
    public function __construct(
        private readonly Staging $staging,
        private readonly Feed $feed,
        private readonly array $targets,
        private readonly array $paths,
        private readonly ?int $reading,
        private readonly int $change,
    ) {
    }

    public function __invoke(): void
    {
        $definitions = $this->definitions();
        $this->headings($definitions);
        $this->categories();
        foreach ($definitions as $index => $definition) {
            (new NewSpellings($definition, $this->reading))->fromStaging($this->staging, $index);
        }
        $this->items();
        $this->assignments();
    }

    /** @return array<int, Definition> by column index */
    private function definitions(): array
    {
        $definitions = [];
        $made = [];
        foreach ($this->targets as $target) {
            $column = $target->column();
            if ($column === null) {
                continue;
            }
            $definition =
                $target->definition ??
                ($made[$column->attribute] ??
                    (Definition::called($column->attribute) ??
                        NewDefinition::fromColumn($column, $target->described, $target->why)));
            $made[$column->attribute] = $definition;
            $definitions[$target->index] = $definition;
            $this->staging->run('UPDATE temp.staged_columns SET definition_id = ? WHERE col = ?', [
                $definition->id,
                $target->index,
            ]);
        }

        return $definitions;
    }

    /** @param  array<int, Definition>  $definitions */
    private function headings(array $definitions): void
    {
        foreach ($this->targets as $target) {
            $leadsTo = isset($definitions[$target->index])
                ? ['field' => null, 'definition_id' => $definitions[$target->index]->id]
                : ['field' => $target->target, 'definition_id' => null];
            Heading::query()->updateOrCreate(
                ['feed_id' => $this->feed->id, 'text' => $target->heading],
                $leadsTo + ['key' => StrictKey::of($target->heading), 'empty' => $target->column()->empty ?? []],
            );
        }
    }

    private function categories(): void
    {
        $known = Category::table()->pluck('id', 'path_key')->all();
        $slugs = array_fill_keys(Category::table()->pluck('slug')->all(), true);
        foreach (array_intersect_key($this->paths, $this->used()) as $names) {
            $parent = null;
            $keys = [];
            foreach ($names as $depth => $name) {
                $keys[] = StrictKey::of($name);
                $key = implode(' > ', $keys);
                if (! isset($known[$key])) {
                    $slug = Slug::unique($name, fn (string $slug): bool => isset($slugs[$slug]));
                    $slugs[$slug] = true;
                    $known[$key] = Category::table()->insertGetId([
                        'parent_id' => $parent,
                        'name' => $name,
                        'slug' => $slug,
                        'path' => implode(' > ', array_slice($names, 0, $depth + 1)),
                        'path_key' => $key,
                    ]);
                }
                $parent = $known[$key];
            }
        }
    }

    /** @return array<string, true> path keys of the categories that rows name; of rows that are refused or left to others none are made */
    private function used(): array
    {
        $keys = $this->staging->rows(
            'SELECT DISTINCT category AS path FROM temp.staged_rows WHERE category IS NOT NULL
                UNION SELECT j.value FROM temp.staged_rows s, json_each(s.also) j WHERE s.also IS NOT NULL',
        );
        $used = [];
        foreach ($keys as $row) {
            $used[(string) $row['path']] = true;
        }

        return $used;
    }

    private function items(): void
    {
        $now = now()->toDateTimeString();
        $this->staging->run(
            'UPDATE temp.staged_rows SET item_id = (SELECT id FROM items WHERE sku = staged_rows.sku) WHERE item_id IS NULL',
        );
        $insert = 'INSERT INTO items (parent_id, sku, name, category_id, also_in, price, currency, stock, description, image, feed_id,
            row_hash, created_at, updated_at)
            SELECT %s, s.sku, s.name, c.id, '.self::ALSO.', s.price, s.currency, s.stock, s.description, s.image, ?, s.hash, ?, ?
            FROM temp.staged_rows s LEFT JOIN categories c ON c.path_key = s.category %s
            WHERE s.item_id IS NULL AND s.parent IS %s NULL ORDER BY s.line';
        $this->staging->run(sprintf($insert, 'NULL', '', ''), [$this->feed->id, $now, $now]);
        $this->staging->run(sprintf($insert, 'p.id', 'JOIN items p ON p.sku = s.parent', 'NOT'), [$this->feed->id, $now, $now]);
        $this->staging->run(
            'UPDATE temp.staged_rows SET item_id = (SELECT id FROM items WHERE sku = staged_rows.sku) WHERE changed = ?',
            [RowChange::New->value],
        );
        $this->staging->run(
            'UPDATE temp.staged_rows SET parent_id = (SELECT id FROM items WHERE sku = staged_rows.parent)
                WHERE parent IS NOT NULL AND changed <> ?',
            [RowChange::None->value],
        );
        $moves = new ItemMoves();
        $moves->noteNew($this->change, 'SELECT item_id AS id FROM temp.staged_rows WHERE changed = '.RowChange::New->value);
        $moves->noteBefore($this->change, 'SELECT item_id FROM temp.staged_rows WHERE changed = '.RowChange::Changed->value);
        $this->updateChanged($now);
        $this->staging->run(
            'UPDATE items SET row_hash = s.hash FROM temp.staged_rows s WHERE s.item_id = items.id AND s.same = 0 AND s.changed <> ?',
            [RowChange::New->value],
        );
        $this->gone($now);
        $this->followProducts();
        // What only others send now is theirs to say: their row is looked at again, though it has not changed.
        $this->staging->run('UPDATE items SET row_hash = NULL WHERE id IN (SELECT item_id FROM temp.staged_others)');
        $this->staging->run(
            'DELETE FROM sent WHERE feed_id = ? AND item_id IN (SELECT item_id FROM temp.staged_gone WHERE ? UNION
                SELECT item_id FROM temp.staged_others)',
            [$this->feed->id, (int) $this->feed->whole],
        );
        $this->staging->run('INSERT OR IGNORE INTO sent SELECT ?, item_id FROM temp.staged_rows', [$this->feed->id]);
        ItemMoves::countVariants();
    }

    /** What is sent no longer is sold out or goes out of the shop, as the feed says; the same row is looked at again when it comes. */
    private function gone(string $now): void
    {
        if ($this->feed->gone === Gone::Stay) {
            return;
        }
        (new ItemMoves())->noteBefore($this->change, 'SELECT item_id FROM temp.staged_gone');
        $isSoldOut = $this->feed->gone === Gone::SoldOut;
        // A variant of a product that is still sent is sold out; there is nothing smaller to take out of the shop.
        $this->staging->run(
            'UPDATE items SET row_hash = NULL, version = version + 1, updated_at = ?, stock = IIF(variant_count = 0, 0, stock)
                WHERE id IN (SELECT item_id FROM temp.staged_gone) AND (? OR
                (parent_id IS NOT NULL AND parent_id NOT IN (SELECT item_id FROM temp.staged_gone)))',
            [$now, (int) $isSoldOut],
        );
        if (! $isSoldOut) {
            $this->staging->run(
                'UPDATE items SET row_hash = NULL, version = version + 1, updated_at = ?, out_since = ?, out_by = ?
                    WHERE id IN (SELECT item_id FROM temp.staged_gone) AND COALESCE(parent_id, id) IN (SELECT item_id
                    FROM temp.staged_gone)',
                [$now, $now, $this->feed->id],
            );
        }
    }

    /** A product comes back with any of its variants, and variants are in the shop or out of it with their product. */
    private function followProducts(): void
    {
        if ($this->staging->number('SELECT EXISTS (SELECT 1 FROM items WHERE out_since IS NOT NULL)') === 0) {
            return;
        }
        $this->move(
            'SELECT p.id FROM temp.staged_rows s JOIN items v ON v.id = s.item_id JOIN items p ON p.id = v.parent_id WHERE p.out_by > 0',
            'out_since = NULL, out_by = NULL',
        );
        $this->move(
            'SELECT v.id FROM items v JOIN items p ON p.id = v.parent_id WHERE v.out_since IS NOT p.out_since OR v.out_by IS NOT p.out_by',
            'out_since = (SELECT p.out_since FROM items p WHERE p.id = items.parent_id),
                out_by = (SELECT p.out_by FROM items p WHERE p.id = items.parent_id)',
        );
    }

    /**
     * @param  string  $ids  SQL that gives them
     * @param  string  $sets  SQL of what becomes of them
     */
    private function move(string $ids, string $sets): void
    {
        $this->staging->run('DELETE FROM temp.staged_moves');
        $this->staging->run("INSERT OR IGNORE INTO temp.staged_moves {$ids}");
        (new ItemMoves())->noteBefore(
            $this->change,
            "SELECT item_id FROM temp.staged_moves EXCEPT SELECT item_id FROM item_changes WHERE change_id = {$this->change}",
        );
        $this->staging->run("UPDATE items SET {$sets}, version = version + 1 WHERE id IN (SELECT item_id FROM temp.staged_moves)");
    }

    private function updateChanged(string $now): void
    {
        $sets = [
            'updated_at = ?',
            'version = version + 1',
            'parent_id = s.parent_id',
            'out_since = IIF(items.out_by > 0, NULL, items.out_since)',
            'out_by = IIF(items.out_by > 0, NULL, items.out_by)',
        ];
        foreach ($this->targets as $target) {
            if (is_string($target->target) && ! in_array($target->target, ['sku', 'parent_sku'], true)) {
                $sets[] =
                    $target->target === 'category'
                        ? 'category_id = (SELECT id FROM categories WHERE path_key = s.category), also_in = '.self::ALSO
                        : "{$target->target} = s.{$target->target}";
            }
        }
        $this->staging->run(
            'UPDATE items SET '.implode(', ', $sets).' FROM temp.staged_rows s WHERE s.item_id = items.id AND s.changed = ?',
            [$now, RowChange::Changed->value],
        );
    }

    /** What somebody set by hand stays: the feed's cell for it is passed over. */
    private function assignments(): void
    {
        $changed = '(SELECT s.item_id, k.definition_id FROM temp.staged_rows s JOIN temp.staged_columns k WHERE s.changed = '.
            RowChange::Changed->value.')';
        $this->staging->run(
            "CREATE TEMP TABLE cells_before AS SELECT item_id, definition_id, spelling_id, origin FROM assignments
                WHERE (item_id, definition_id) IN {$changed}",
        );
        $this->staging->run('DELETE FROM assignments WHERE origin = '.Origin::FEED." AND (item_id, definition_id) IN {$changed}");
        $insert = 'INSERT INTO assignments (item_id, definition_id, spelling_id, origin)
            SELECT s.item_id, k.definition_id, t.spelling_id, '.Origin::FEED.'
            FROM temp.staged_rows s JOIN temp.staged_cells x ON x.line = s.line JOIN temp.staged_columns k ON k.col = x.col
            JOIN temp.staged_texts t ON t.id = x.text_id WHERE ';
        // A cell that a fill rule had made is the feed's from now on.
        $taken = ' ON CONFLICT DO UPDATE SET origin = '.Origin::FEED.' WHERE origin '.Origin::BY_RULE;
        $this->staging->run($insert.'s.changed = '.RowChange::New->value.$taken);
        $this->staging->run(
            $insert.
                's.changed = '.RowChange::Changed->value.' AND NOT EXISTS (SELECT 1 FROM assignments h
                    WHERE h.item_id = s.item_id AND h.definition_id = k.definition_id AND h.origin = '.Origin::HAND.')'.
                $taken,
        );
        // What came with a product goes with it; of products that were there each cell is noted.
        $note =
            'INSERT INTO cell_changes (change_id, came, item_id, definition_id, spelling_id, origin)
                SELECT ?, ?, x.item_id, x.definition_id, x.spelling_id, x.origin FROM ';
        $this->staging->run(
            "{$note}temp.cells_before x LEFT JOIN assignments a USING (item_id, definition_id, spelling_id) WHERE a.origin IS NOT x.origin",
            [$this->change, 0],
        );
        $this->staging->run(
            "{$note}assignments x LEFT JOIN temp.cells_before b USING (item_id, definition_id, spelling_id)
                WHERE b.origin IS NOT x.origin AND (x.item_id, x.definition_id) IN {$changed}",
            [$this->change, 1],
        );
        $this->staging->run('DROP TABLE temp.cells_before');
    }
}
