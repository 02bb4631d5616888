<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Several values that shoppers tick as one. A value is in one umbrella at most. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('umbrellas', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('definition_id')->constrained();
            $table->text('label');
            $table->text('slug');
            $table->json('look')->nullable();
            $table->integer('position')->default(0);
            $table->integer('version')->default(1);
            $table->timestamps();
            $table->unique(['definition_id', 'slug']);
        });
        Schema::table('attribute_values', function (Blueprint $table): void {
            $table->foreignId('umbrella_id')->nullable()->index()->constrained();
        });
    }
};
