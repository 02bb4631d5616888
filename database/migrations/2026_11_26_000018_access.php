<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Tokens that end by themselves; addresses of people in one case, so that nobody has two. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('api_tokens', fn (Blueprint $table) => $table->timestamp('expires_at')->nullable());
        foreach (
            DB::table('users')
                ->orderBy('id')
                ->get(['id', 'email']) as $user
        ) {
            $email = mb_strtolower((string) $user->email);
            $taken = DB::table('users')->where('email', $email)->where('id', '!=', $user->id)->exists();
            if (! $taken) {
                DB::table('users')
                    ->where('id', $user->id)
                    ->update(['email' => $email]);
            }
        }
    }
};
