<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What definitions say of themselves, where they are expected, what a merged one leads to, and saved views of the grid. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('definitions', function (Blueprint $table): void {
            $table->text('team_help')->nullable();
            $table->string('section')->nullable();
            $table->string('edited_by')->default('editor');
            $table->foreignId('merged_into')->nullable()->constrained('definitions');
        });

        // Inherited downwards; a row with expected = 0 drops it again. No category: the whole catalog.
        Schema::create('expectations', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('category_id')->nullable()->constrained();
            $table->foreignId('definition_id')->index()->constrained();
            $table->boolean('expected');
            $table->unique(['category_id', 'definition_id']);
        });

        Schema::create('views', function (Blueprint $table): void {
            $table->id();
            $table->string('name')->unique();
            $table->json('query');
            $table->integer('version')->default(1);
            $table->timestamps();
        });
    }
};
