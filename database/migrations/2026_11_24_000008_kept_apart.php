<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Values that somebody has decided are different, whatever their letters say. The smaller number first. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('kept_apart', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('definition_id')->constrained();
            $table->foreignId('one_id')->constrained('attribute_values');
            $table->foreignId('other_id')->constrained('attribute_values');
            $table->unique(['one_id', 'other_id']);
        });
    }
};
