<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Spellings that nobody has decided on, and values that are retired. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('spellings', fn (Blueprint $table) => $table->boolean('settled')->default(true));
        DB::statement('CREATE INDEX spellings_newcomers ON spellings(definition_id, reading_id) WHERE settled = 0');
        Schema::table('attribute_values', fn (Blueprint $table) => $table->boolean('retired')->default(false));
    }
};
