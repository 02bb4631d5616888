<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What only the running application needs. Catalogs from before this database had migrations of its own have the tables already. */
return new class extends Migration
{
    protected $connection = 'runtime';

    public function up(): void
    {
        $runtime = Schema::connection('runtime');
        foreach (
            [
                'sessions' => function (Blueprint $table): void {
                    $table->string('id')->primary();
                    $table->foreignId('user_id')->nullable()->index();
                    $table->string('ip_address', 45)->nullable();
                    $table->text('user_agent')->nullable();
                    $table->longText('payload');
                    $table->integer('last_activity')->index();
                },
                'cache' => function (Blueprint $table): void {
                    $table->string('key')->primary();
                    $table->mediumText('value');
                    $table->integer('expiration');
                },
                'cache_locks' => function (Blueprint $table): void {
                    $table->string('key')->primary();
                    $table->string('owner');
                    $table->integer('expiration');
                },
                'jobs' => function (Blueprint $table): void {
                    $table->id();
                    $table->string('queue')->index();
                    $table->longText('payload');
                    $table->unsignedTinyInteger('attempts');
                    $table->unsignedInteger('reserved_at')->nullable();
                    $table->unsignedInteger('available_at');
                    $table->unsignedInteger('created_at');
                },
                'failed_jobs' => function (Blueprint $table): void {
                    $table->id();
                    $table->string('uuid')->unique();
                    $table->text('connection');
                    $table->text('queue');
                    $table->longText('payload');
                    $table->longText('exception');
                    $table->timestamp('failed_at')->useCurrent();
                },
            ] as $name => $columns
        ) {
            if (! $runtime->hasTable($name)) {
                $runtime->create($name, $columns);
            }
        }
    }
};
