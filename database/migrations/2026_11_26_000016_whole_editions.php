<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** How large an edition's file has to be: one that is not is damaged, and the one before is served. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('editions', fn (Blueprint $table) => $table->integer('bytes')->nullable());
    }
};
