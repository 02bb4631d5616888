<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Tokens that may say prices and stock beside reading the edition. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('api_tokens', fn (Blueprint $table) => $table->boolean('says_prices')->default(false));
    }
};
