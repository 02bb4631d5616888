<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/* Words that definitions had in addresses before theirs was changed; they lead on. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('definitions', fn (Blueprint $table) => $table->text('former_slugs')->default('[]'));
    }
};
