<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What a program did that was let in with a token, so that History names it. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('changes', fn (Blueprint $table) => $table->string('program')->nullable());
    }
};
