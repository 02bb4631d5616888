<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Tokens that replicas copy editions with, and receivers of notices in a network of one's own, as replicas are. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('api_tokens', fn (Blueprint $table) => $table->boolean('copies')->default(false));
        Schema::table('receivers', fn (Blueprint $table) => $table->boolean('private')->default(false));
    }
};
