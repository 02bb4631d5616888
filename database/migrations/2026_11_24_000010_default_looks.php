<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** How new values of a definition are dressed; null: Lokum judges by its name and its other values. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('definitions', function (Blueprint $table): void {
            $table->string('dress')->nullable();
        });
    }
};
