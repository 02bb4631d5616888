<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** How products and variants stood before a change touched many of them, so that a reading can be taken back. */
return new class extends Migration
{
    public function up(): void
    {
        DB::statement('CREATE TABLE item_changes (
            change_id INTEGER NOT NULL REFERENCES changes(id),
            item_id INTEGER NOT NULL,
            existed INTEGER NOT NULL,
            parent_id INTEGER, sku TEXT, name TEXT, category_id INTEGER, price REAL, currency TEXT, stock INTEGER,
                description TEXT, image TEXT,
            feed_id INTEGER, row_hash BLOB, created_at TEXT, updated_at TEXT,
            PRIMARY KEY (change_id, item_id)
        ) WITHOUT ROWID');
        DB::statement('CREATE INDEX item_changes_by_item ON item_changes(item_id, change_id)');
    }
};
