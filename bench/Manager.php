<?php

declare(strict_types=1);

namespace Bench;

use App\Models\Role;
use App\Models\User;
use Illuminate\Support\Facades\Auth;

/** Who is at work in benchmarks of the desk. */
final class Manager
{
    public static function make(): User
    {
        return User::query()->create([
            'name' => 'Bench',
            'email' => 'bench@example.test',
            'password' => 'a-long-password',
            'role' => Role::Manager,
        ]);
    }

    /** In this process, without a session that outlives it. */
    public static function signIn(): void
    {
        config(['session.driver' => 'array']);
        Auth::login(self::make());
    }
}
