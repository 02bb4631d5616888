<?php

declare(strict_types=1);

namespace App\History;

use App\Models\Definition;
use App\Models\Role;
use App\Models\User;
use App\Support\Refused;
use Illuminate\Support\Facades\Auth;

/** Definitions that managers keep for themselves. Asked by whatever writes, so that no act can go round it. */
final class ManagersOnly
{
    /** Whether whoever acts is a manager, the command line or work in the background. */
    public static function isAsked(): bool
    {
        $user = Auth::user();

        return ! ($user instanceof User) || $user->role === Role::Manager;
    }

    /**
     * Whether whoever is signed in may change a definition and its data; the command line and work in the background may.
     *
     * @throws Refused
     */
    public static function allow(int $definition): void
    {
        if (self::isAsked()) {
            return;
        }
        $kept = Definition::table()->where('id', $definition)->where('edited_by', Role::Manager->value)->value('label');
        if ($kept !== null) {
            throw new Refused("Only managers change {$kept}.");
        }
    }
}
