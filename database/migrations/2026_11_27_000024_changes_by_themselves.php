<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/* What was done because its time had come is told from what somebody typed. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('changes', fn (Blueprint $table) => $table->boolean('by_itself')->default(false));
    }
};
