<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/* Addresses that values had before theirs was changed; they lead on. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('former_addresses', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('definition_id')->constrained()->cascadeOnDelete();
            $table->foreignId('value_id')->constrained('attribute_values')->cascadeOnDelete();
            $table->text('slug');
            $table->unique(['definition_id', 'slug']);
        });
    }
};
