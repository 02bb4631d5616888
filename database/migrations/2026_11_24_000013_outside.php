<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** For real shops: tokens to read the edition with, receivers of notices, what was sent to them, and what the stand-in got. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('api_tokens', function (Blueprint $table): void {
            $table->id();
            $table->string('name');
            $table->string('hash')->unique();
            $table->timestamp('used_at')->nullable();
            $table->timestamp('created_at')->nullable();
        });
        Schema::create('receivers', function (Blueprint $table): void {
            $table->id();
            $table->string('url');
            $table->text('secret');
            $table->timestamp('created_at')->nullable();
        });
        Schema::create('deliveries', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('receiver_id')->constrained()->cascadeOnDelete();
            $table->foreignId('edition_id')->constrained();
            $table->integer('attempts')->default(0);
            $table->string('state');
            $table->text('answer')->nullable();
            $table->timestamps();
        });
        Schema::create('received_notices', function (Blueprint $table): void {
            $table->id();
            $table->boolean('genuine');
            $table->text('body');
            $table->timestamp('created_at')->nullable();
        });
    }
};
