<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/* Values are found by their label for every row of a list and every cell that is typed. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('attribute_values', fn (Blueprint $table) => $table->index(['definition_id', 'label']));
    }
};
