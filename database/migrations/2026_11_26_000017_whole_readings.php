<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Whether fill rules still have to run behind a reading; files are named from the data directory, wherever that lies. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('readings', fn (Blueprint $table) => $table->boolean('rules_wait')->default(false));
        foreach (DB::table('readings')->pluck('path', 'id') as $id => $path) {
            DB::table('readings')
                ->where('id', $id)
                ->update(['path' => 'feeds/'.basename((string) $path)]);
        }
    }
};
