<?php

declare(strict_types=1);

namespace App\Access;

use App\Models\Item;
use App\Models\Role;
use App\Models\User;

/** The people of the demo shop, with passwords that the demo shows on its sign-in page and nowhere else. */
final readonly class DemoAccount
{
    private function __construct(public string $name, public string $email, public string $password, public Role $role)
    {
    }

    /** @return list<self> */
    public static function all(): array
    {
        return [
            new self('Maren Quill', 'manager@quillmoor.example', 'madder-and-linseed', Role::Manager),
            new self('Tobias Fenn', 'editor@quillmoor.example', 'sable-and-sizing', Role::Editor),
            new self('Ines Harrow', 'viewer@quillmoor.example', 'deckle-and-gesso', Role::Viewer),
        ];
    }

    /** Whether a catalog is the demo's: nobody but them has access to it, or nobody yet and nothing is in it. */
    public static function own(): bool
    {
        return User::query()->exists()
            ? User::query()->whereNotIn('email', array_column(self::all(), 'email'))->doesntExist()
            : Item::query()->doesntExist();
    }

    public static function createAll(): void
    {
        foreach (self::all() as $account) {
            User::query()->firstOrCreate(
                ['email' => $account->email],
                ['name' => $account->name, 'password' => $account->password, 'role' => $account->role],
            );
        }
    }
}
