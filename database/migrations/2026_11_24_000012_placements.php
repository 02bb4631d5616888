<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Line-ups for single branches and pages: what each adds, changes and drops; and more that can be said of a filter. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('lineups', fn (Blueprint $table) => $table->json('settings')->nullable());
        Schema::table('filters', fn (Blueprint $table) => $table->json('settings')->nullable());
        Schema::create('filter_changes', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('lineup_id')->constrained();
            $table->string('key');
            $table->boolean('dropped')->default(false);
            $table->json('settings')->nullable();
            $table->integer('version')->default(1);
            $table->timestamps();
            $table->unique(['lineup_id', 'key']);
        });
        Schema::table('categories', fn (Blueprint $table) => $table->boolean('own_only')->default(false));
    }
};
