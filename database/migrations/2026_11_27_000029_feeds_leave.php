<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/* What a feed leaves to the others, where they send the same product. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('feeds', fn (Blueprint $table) => $table->text('leaves')->nullable());
    }
};
