<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/* Which number comes first in dates of digits; how many decimals are shown. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('definitions', function (Blueprint $table): void {
            $table->text('day_order')->nullable();
            $table->integer('decimals')->nullable();
        });
    }
};
