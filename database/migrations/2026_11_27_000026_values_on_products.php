<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/* A value that is hidden from filters may still be told on the pages of its products. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('attribute_values', fn (Blueprint $table) => $table->boolean('on_products')->default(false));
    }
};
