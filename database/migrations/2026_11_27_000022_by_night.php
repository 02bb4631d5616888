<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/* Where deliveries come from, when and within which bounds they are read by themselves, and what became of products that are gone. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('feeds', function (Blueprint $table): void {
            $table->text('source')->nullable();
            $table->text('secret')->nullable();
            $table->text('times')->nullable();
            $table->boolean('by_itself')->default(false);
            $table->text('bounds')->nullable();
            $table->boolean('whole')->default(false);
            $table->text('gone')->default('stay');
            $table->text('seen')->nullable();
            $table->dateTime('looked_at')->nullable();
            $table->integer('failures')->default(0);
            $table->integer('version')->default(1);
        });
        Schema::table('readings', function (Blueprint $table): void {
            $table->text('held')->nullable();
        });
        Schema::create('runs', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('feed_id')->nullable()->constrained()->nullOnDelete();
            $table->foreignId('reading_id')->nullable()->constrained()->nullOnDelete();
            $table->foreignId('edition_id')->nullable();
            $table->text('state');
            $table->text('said')->nullable();
            $table->dateTime('started_at');
            $table->dateTime('finished_at')->nullable();
            $table->index('started_at');
        });
        // Which products and variants a feed sent last.
        DB::statement('CREATE TABLE sent (
            feed_id INTEGER NOT NULL REFERENCES feeds(id) ON DELETE CASCADE,
            item_id INTEGER NOT NULL REFERENCES items(id) ON DELETE CASCADE,
            PRIMARY KEY (feed_id, item_id)
        ) WITHOUT ROWID');
        DB::statement('CREATE INDEX sent_by_item ON sent(item_id)');
        DB::statement('INSERT INTO sent SELECT feed_id, id FROM items WHERE feed_id IS NOT NULL');
        foreach (['items', 'item_changes'] as $table) {
            DB::statement("ALTER TABLE {$table} ADD COLUMN out_since TEXT");
            DB::statement("ALTER TABLE {$table} ADD COLUMN out_by INTEGER");
        }
        DB::statement('CREATE INDEX items_out ON items(out_since) WHERE out_since IS NOT NULL');
    }
};
