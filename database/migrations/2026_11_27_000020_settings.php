<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/* What the shop says of itself and how long things are kept. One row, made with the first change. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('settings', function (Blueprint $table): void {
            $table->id();
            $table->text('said');
            $table->integer('version')->default(1);
            $table->timestamps();
        });
    }
};
