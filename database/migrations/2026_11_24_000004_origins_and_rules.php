<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Where each cell came from, cells in History as narrow rows, and fill rules. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('fill_rules', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('definition_id')->constrained();
            $table->string('source');
            $table->json('settings');
            $table->json('scope');
            $table->integer('position');
            $table->boolean('paused')->default(false);
            $table->integer('version')->default(1);
            $table->timestamps();
        });

        // 0: a feed; -1: by hand; else the fill rule.
        DB::statement('ALTER TABLE assignments RENAME COLUMN by_hand TO origin');
        DB::statement('UPDATE assignments SET origin = -origin WHERE origin <> 0');
        DB::statement('CREATE INDEX assignments_by_rule ON assignments(origin) WHERE origin > 0');

        // What a change did to cells: came 1, went 0. A bulk change has a hundred thousand of them, so they are kept narrow.
        DB::statement('CREATE TABLE cell_changes (
            change_id INTEGER NOT NULL REFERENCES changes(id),
            came INTEGER NOT NULL,
            item_id INTEGER NOT NULL,
            definition_id INTEGER NOT NULL,
            spelling_id INTEGER NOT NULL,
            origin INTEGER NOT NULL,
            PRIMARY KEY (change_id, came, item_id, definition_id, spelling_id)
        ) WITHOUT ROWID');
        DB::statement('CREATE INDEX cell_changes_by_cell ON cell_changes(item_id, definition_id, change_id)');
        foreach (['after' => 1, 'before' => 0] as $column => $came) {
            DB::statement("INSERT INTO cell_changes (change_id, came, item_id, definition_id, spelling_id, origin)
                SELECT change_id, {$came}, \"{$column}\" ->> 'item_id',
                \"{$column}\" ->> 'definition_id', \"{$column}\" ->> 'spelling_id', -(\"{$column}\" ->> 'by_hand')
                FROM change_rows WHERE table_name = 'assignments' AND \"{$column}\" IS NOT NULL");
        }
        DB::table('change_rows')->where('table_name', 'assignments')->delete();
    }
};
