<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/* Filters of several line-ups that are one: what is changed at one of them is changed at all. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('filters', fn (Blueprint $table) => $table->integer('shared')->nullable()->index());
    }
};
