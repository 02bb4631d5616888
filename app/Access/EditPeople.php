<?php

declare(strict_types=1);

namespace App\Access;

use App\History\Ledger;
use App\Models\Role;
use App\Models\Room;
use App\Models\User;
use App\Support\Refused;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Session;

/** Gives people access, changes it and takes it away. Each is entered in History, and ends the sessions that it is about. */
final readonly class EditPeople
{
    public function __construct(private Ledger $ledger)
    {
    }

    public function add(string $name, string $email, string $password, Role $role): User
    {
        return DB::transaction(function () use ($name, $email, $password, $role): User {
            $user = User::query()->create([
                'name' => $name,
                'email' => $email,
                'password' => $password,
                'role' => $role,
            ]);
            $this->ledger->note(Room::Access, "Gave {$name} ({$email}) access as {$role->value}");

            return $user;
        });
    }

    /** @param  string|null  $password  null: as it is */
    public function change(User $user, string $name, Role $role, ?string $password): void
    {
        $ends = DB::transaction(function () use ($user, $name, $role, $password): bool {
            $user->refresh();
            $this->keepAManager($user, $role);
            $changesRole = $user->role !== $role;
            $user->update(['name' => $name, 'role' => $role] + ($password === null ? [] : ['password' => $password]));
            $said = array_filter([
                $changesRole ? "made {$name} {$role->value}" : null,
                $password === null ? null : "gave {$name} a new password",
            ]);
            if ($said !== []) {
                $this->ledger->note(Room::Access, ucfirst(implode(' and ', $said)));
            }

            return $said !== [];
        });
        if ($ends) {
            $this->endSessions($user);
        }
    }

    public function remove(User $user): void
    {
        DB::transaction(function () use ($user): void {
            $user->refresh();
            $this->keepAManager($user, null);
            $user->delete();
            $this->ledger->note(Room::Access, "Took away the access of {$user->name} ({$user->email})");
        });
        $this->endSessions($user);
    }

    /** Inside the transaction, which waits for any other: two acts at once cannot take away the last one. */
    private function keepAManager(User $user, ?Role $becomes): void
    {
        if (
            $user->role === Role::Manager &&
            $becomes !== Role::Manager &&
            User::query()->where('role', Role::Manager)->count() === 1
        ) {
            throw new Refused('There must be a manager left.');
        }
    }

    /** All but the one that this is done in. */
    private function endSessions(User $user): void
    {
        DB::connection('runtime')->table('sessions')->where('user_id', $user->id)->where('id', '!=', Session::getId())->delete();
    }
}
