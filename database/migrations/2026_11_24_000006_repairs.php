<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What somebody says a text that cannot be read stands for. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('spellings', function (Blueprint $table): void {
            $table->text('read_as')->nullable();
        });
    }
};
