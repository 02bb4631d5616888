<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/* Whoever went back to an edition had a reason: nothing replaces it by itself. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('editions', fn (Blueprint $table) => $table->integer('again_of')->nullable());
    }
};
