<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/* A product may stand in several categories: the one that it belongs to, and others, as a feed or somebody says. */
return new class extends Migration
{
    public function up(): void
    {
        foreach (['items', 'item_changes'] as $table) {
            DB::statement("ALTER TABLE {$table} ADD COLUMN also_in TEXT");
            DB::statement("ALTER TABLE {$table} ADD COLUMN also_by_hand TEXT");
        }
        DB::statement('CREATE INDEX items_also ON items(id) WHERE also_in IS NOT NULL OR also_by_hand IS NOT NULL');
        DB::statement('CREATE TABLE category_above (
            category_id INTEGER NOT NULL, above_id INTEGER NOT NULL, PRIMARY KEY (category_id, above_id)
        ) WITHOUT ROWID');
        DB::statement('INSERT INTO category_above WITH RECURSIVE up(category_id, above_id) AS (
                SELECT id, id FROM categories
                UNION SELECT u.category_id, c.parent_id FROM up u JOIN categories c ON c.id = u.above_id WHERE c.parent_id IS NOT NULL
            ) SELECT category_id, above_id FROM up');
        // The pages that list a product beyond those of its own category and what that is below.
        DB::statement('CREATE TABLE also_on (
            category_id INTEGER NOT NULL, item_id INTEGER NOT NULL, PRIMARY KEY (category_id, item_id)
        ) WITHOUT ROWID');
        DB::statement('CREATE INDEX also_on_by_item ON also_on(item_id)');
        $this->triggers();
    }

    /** Whatever changes an item or a category keeps both tables right: a reading, somebody, a way back. */
    private function triggers(): void
    {
        DB::unprepared('CREATE TRIGGER category_comes AFTER INSERT ON categories BEGIN
            INSERT OR IGNORE INTO category_above VALUES (NEW.id, NEW.id);
            INSERT OR IGNORE INTO category_above SELECT NEW.id, above_id FROM category_above WHERE category_id = NEW.parent_id;
        END');
        $says = fn (string $row): string => "({$row}.also_in IS NOT NULL OR {$row}.also_by_hand IS NOT NULL)";
        $pages = fn (string $item, string $page): string => "SELECT {$page}, {$item}.id FROM items i, json_each(
                COALESCE(i.also_by_hand, i.also_in)) j JOIN category_above a ON a.category_id = j.value
                JOIN categories c ON c.id = a.above_id WHERE i.parent_id IS NULL AND {$says('i')} AND (
                (c.own_only = 0 AND c.id NOT IN (SELECT m.above_id FROM category_above m WHERE m.category_id = i.category_id)) OR
                (c.own_only = 1 AND c.id = j.value AND c.id IS NOT i.category_id))";
        $again = "BEGIN DELETE FROM also_on WHERE item_id = NEW.id;
            INSERT OR IGNORE INTO also_on {$pages('i', 'c.id')} AND i.id = NEW.id; END";
        DB::unprepared("CREATE TRIGGER item_comes AFTER INSERT ON items WHEN {$says('NEW')}
            OR EXISTS (SELECT 1 FROM also_on WHERE item_id = NEW.id) {$again}");
        DB::unprepared("CREATE TRIGGER item_moves AFTER UPDATE OF also_in, also_by_hand, category_id, parent_id ON items
            WHEN {$says('NEW')} OR {$says('OLD')} {$again}");
        DB::unprepared('CREATE TRIGGER item_goes AFTER DELETE ON items BEGIN DELETE FROM also_on WHERE item_id = OLD.id; END');
        DB::unprepared("CREATE TRIGGER category_lists AFTER UPDATE OF own_only ON categories WHEN NEW.own_only IS NOT OLD.own_only BEGIN
            DELETE FROM also_on WHERE category_id = NEW.id;
            INSERT OR IGNORE INTO also_on {$pages('i', 'c.id')} AND c.id = NEW.id; END");
    }
};
