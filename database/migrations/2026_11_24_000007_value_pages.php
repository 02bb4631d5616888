<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Values with a page of their own in the shop: brands, and whatever else asks for it. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('definitions', function (Blueprint $table): void {
            $table->boolean('has_pages')->default(false);
        });
        Schema::table('attribute_values', function (Blueprint $table): void {
            $table->text('description')->nullable();
            $table->string('picture')->nullable();
        });
        DB::table('definitions')
            ->where('slug', 'brand')
            ->update(['has_pages' => 1]);
    }
};
