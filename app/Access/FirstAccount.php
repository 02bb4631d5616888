<?php

declare(strict_types=1);

namespace App\Access;

use App\Models\Role;
use App\Models\User;
use App\Support\Refused;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

/** The manager's account that a catalog begins with. It is made once, at the terminal or at an address that only the terminal tells. */
final readonly class FirstAccount
{
    private const KEPT = 'first account';

    public function __construct(private EditPeople $people)
    {
    }

    /** Whether it is still to be made. */
    public static function isMissing(): bool
    {
        return User::query()->doesntExist();
    }

    /** The secret end of the address at which it can be made, from now on and until it is there; one said before ends. */
    public static function invite(): string
    {
        $secret = bin2hex(random_bytes(16));
        Cache::forever(self::KEPT, hash('sha256', $secret));

        return $secret;
    }

    public static function isInvited(string $secret): bool
    {
        $kept = Cache::get(self::KEPT);

        return self::isMissing() && is_string($kept) && hash_equals($kept, hash('sha256', $secret));
    }

    /** @throws Refused naming the field that has to be other */
    public function make(string $name, string $email, string $password): User
    {
        foreach ([self::nameProblem($name), self::emailProblem($email), SoundPassword::problem($password)] as $i => $problem) {
            if ($problem !== null) {
                throw new Refused($problem, ['name', 'email', 'password'][$i]);
            }
        }

        return DB::transaction(function () use ($name, $email, $password): User {
            if (! self::isMissing()) {
                throw new Refused('There is a manager already. Sign in as that.');
            }
            $user = $this->people->add(trim($name), User::address($email), $password, Role::Manager);
            Cache::forget(self::KEPT);

            return $user;
        });
    }

    public static function nameProblem(string $name): ?string
    {
        return trim($name) === '' || mb_strlen($name) > 100 ? 'A name has one to a hundred letters.' : null;
    }

    public static function emailProblem(string $email): ?string
    {
        return filter_var(User::address($email), FILTER_VALIDATE_EMAIL) === false || strlen($email) > 200
            ? 'That is no e-mail address.'
            : null;
    }
}
