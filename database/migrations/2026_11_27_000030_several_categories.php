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
        // The pages that list a product beyond those of its own category and what that is below.
        DB::statement('CREATE VIEW also_on (item_id, category_id) AS WITH RECURSIVE
            said(item_id, category_id) AS (
                SELECT i.id, j.value FROM items i, json_each(COALESCE(i.also_by_hand, i.also_in)) j
                WHERE (i.also_in IS NOT NULL OR i.also_by_hand IS NOT NULL) AND i.parent_id IS NULL
            ),
            up(item_id, category_id) AS (
                SELECT item_id, category_id FROM said
                UNION SELECT u.item_id, c.parent_id FROM up u JOIN categories c ON c.id = u.category_id WHERE c.parent_id IS NOT NULL
            ),
            main(item_id, category_id) AS (
                SELECT i.id, i.category_id FROM items i
                WHERE (i.also_in IS NOT NULL OR i.also_by_hand IS NOT NULL) AND i.parent_id IS NULL AND i.category_id IS NOT NULL
                UNION SELECT m.item_id, c.parent_id FROM main m JOIN categories c ON c.id = m.category_id WHERE c.parent_id IS NOT NULL
            )
            SELECT u.item_id, u.category_id FROM up u JOIN categories c ON c.id = u.category_id WHERE c.own_only = 0
                AND (u.item_id, u.category_id) NOT IN (SELECT item_id, category_id FROM main)
            UNION SELECT s.item_id, s.category_id FROM said s JOIN categories c ON c.id = s.category_id
                JOIN items i ON i.id = s.item_id WHERE c.own_only = 1 AND s.category_id IS NOT i.category_id');
    }
};
