<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('lineups', function (Blueprint $table): void {
            $table->id();
            $table->string('placement')->unique();
            $table->integer('version')->default(1);
            $table->timestamps();
        });

        DB::table('lineups')->insert(['placement' => 'shop', 'created_at' => now(), 'updated_at' => now()]);

        Schema::create('filters', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('lineup_id')->constrained();
            $table->integer('position');
            $table->foreignId('definition_id')->nullable()->constrained();
            $table->string('field')->nullable();
            $table->string('title');
            $table->string('control');
            $table->string('combine');
            $table->string('empty_terms');
            $table->boolean('open')->default(true);
            $table->double('step')->nullable();
            $table->string('unit')->nullable();
            $table->integer('version')->default(1);
            $table->timestamps();
            $table->unique(['lineup_id', 'title']);
        });

        Schema::create('changes', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->string('room');
            $table->text('summary');
            $table->json('figures')->nullable();
            $table->boolean('has_way_back');
            $table->foreignId('takes_back')->nullable()->constrained('changes');
            $table->foreignId('taken_back_by')->nullable()->constrained('changes');
            $table->timestamp('created_at')->nullable();
        });

        Schema::create('change_rows', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('change_id')->index()->constrained();
            $table->string('table_name');
            $table->string('row_key');
            $table->json('before')->nullable();
            $table->json('after')->nullable();
            $table->index(['table_name', 'row_key']);
        });

        // The newest row is the edition that shoppers see: inserting it is the switch.
        Schema::create('editions', function (Blueprint $table): void {
            $table->id();
            $table->string('file');
            $table->integer('products');
            $table->integer('variants');
            $table->integer('terms');
            $table->double('seconds');
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->foreignId('change_id')->constrained();
            $table->timestamp('created_at')->nullable();
        });
    }
};
