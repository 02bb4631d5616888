<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/* A publication that somebody wants at a set time. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('planned_publications', function (Blueprint $table): void {
            $table->id();
            $table->dateTime('at');
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->boolean('anyway')->default(false);
        });
    }
};
