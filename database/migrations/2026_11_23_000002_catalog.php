<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Feeds, products with their variants, and the three layers: assignment → spelling → value. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('feeds', function (Blueprint $table): void {
            $table->id();
            $table->string('name')->unique();
            $table->json('empty')->nullable();
            $table->timestamps();
        });

        Schema::create('readings', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('feed_id')->constrained();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->string('file_name');
            $table->string('path');
            $table->unsignedBigInteger('bytes');
            $table->string('state');
            $table->boolean('takes_good_rows')->default(false);
            $table->json('figures')->nullable();
            $table->text('message')->nullable();
            $table->timestamp('finished_at')->nullable();
            $table->timestamps();
        });

        Schema::create('categories', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('parent_id')->nullable()->constrained('categories');
            $table->string('name');
            $table->string('slug')->unique();
            $table->text('path');
            $table->text('path_key')->unique();
        });

        Schema::create('items', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('parent_id')->nullable()->constrained('items');
            $table->string('sku')->unique();
            $table->text('name')->nullable();
            $table->foreignId('category_id')->nullable()->index()->constrained();
            $table->double('price')->nullable();
            $table->string('currency', 10)->nullable();
            $table->integer('stock')->nullable();
            $table->text('description')->nullable();
            $table->text('image')->nullable();
            $table->integer('variant_count')->default(0);
            $table->foreignId('feed_id')->nullable()->constrained();
            $table->binary('row_hash')->nullable();
            $table->integer('version')->default(1);
            $table->timestamps();
        });
        DB::statement('CREATE INDEX items_parent ON items(parent_id) WHERE parent_id IS NOT NULL');
        DB::statement('ALTER TABLE items ADD COLUMN title TEXT COLLATE NOCASE GENERATED ALWAYS AS (COALESCE(name, sku)) VIRTUAL');
        DB::statement('CREATE INDEX items_products_by_title ON items(title, id) WHERE parent_id IS NULL');

        Schema::create('definitions', function (Blueprint $table): void {
            $table->id();
            $table->string('slug')->unique();
            $table->string('label');
            $table->string('kind');
            $table->string('level');
            $table->boolean('multiple')->default(false);
            $table->string('separator')->default('|');
            $table->string('unit')->nullable();
            $table->string('state');
            $table->string('policy');
            $table->string('term_order');
            $table->text('help')->nullable();
            $table->text('reason')->nullable();
            $table->integer('version')->default(1);
            $table->timestamps();
        });

        Schema::create('headings', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('feed_id')->constrained();
            $table->text('text');
            $table->text('key')->index();
            $table->string('field')->nullable();
            $table->foreignId('definition_id')->nullable()->constrained();
            $table->json('empty')->nullable();
            $table->unique(['feed_id', 'text']);
        });

        Schema::create('attribute_values', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('definition_id')->constrained();
            $table->text('label');
            $table->text('slug');
            $table->integer('position')->default(0);
            $table->json('look')->nullable();
            $table->boolean('held')->default(false);
            $table->foreignId('merged_into')->nullable()->constrained('attribute_values');
            $table->foreignId('reading_id')->nullable()->constrained();
            $table->integer('version')->default(1);
            $table->timestamps();
            $table->unique(['definition_id', 'slug']);
        });

        Schema::create('spellings', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('definition_id')->constrained();
            $table->text('text');
            $table->text('key');
            $table->foreignId('value_id')->nullable()->index()->constrained('attribute_values');
            $table->double('number')->nullable();
            $table->text('problem')->nullable();
            $table->foreignId('reading_id')->nullable()->constrained();
            $table->unique(['definition_id', 'text']);
            $table->index(['definition_id', 'key']);
        });

        // One row for each cell of data: as narrow as can be, and clustered by item.
        DB::statement('CREATE TABLE assignments (
            item_id INTEGER NOT NULL REFERENCES items(id),
            definition_id INTEGER NOT NULL REFERENCES definitions(id),
            spelling_id INTEGER NOT NULL REFERENCES spellings(id),
            by_hand INTEGER NOT NULL DEFAULT 0,
            PRIMARY KEY (item_id, definition_id, spelling_id)
        ) WITHOUT ROWID');
        DB::statement('CREATE INDEX assignments_by_spelling ON assignments(spelling_id, item_id)');
    }
};
