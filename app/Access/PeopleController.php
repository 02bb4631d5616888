<?php

declare(strict_types=1);

namespace App\Access;

use App\Models\Role;
use App\Models\User;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Illuminate\View\View;

/** Who may come in, and as what. */
final class PeopleController
{
    public function index(): View
    {
        return view('access.people', ['people' => User::query()->orderBy('name')->get()]);
    }

    public function store(Request $request, EditPeople $edit): RedirectResponse
    {
        $request->merge(['email' => User::address($request->string('email')->toString())]);
        $input = $request->validate(
            self::rules() + [
                'email' => 'required|email|max:200|unique:users',
                'password' => ['required', 'string', new SoundPassword()],
            ],
        );
        $edit->add(
            (string) $input['name'],
            (string) $input['email'],
            (string) $input['password'],
            Role::from((string) $input['role']),
        );

        return back()->with('done', "{$input['name']} can sign in now.");
    }

    public function update(Request $request, User $user, EditPeople $edit): RedirectResponse
    {
        $input = $request->validate(self::rules() + ['password' => ['nullable', 'string', new SoundPassword()]]);
        $edit->change(
            $user,
            (string) $input['name'],
            Role::from((string) $input['role']),
            ($input['password'] ?? '') === '' ? null : (string) $input['password'],
        );

        return back()->with('done', "Saved {$user->name}.");
    }

    public function destroy(Request $request, User $user, EditPeople $edit): RedirectResponse
    {
        abort_if($user->is($request->user()), 422, 'You cannot remove yourself.');
        $edit->remove($user);

        return back()->with('done', "{$user->name} can no longer sign in. What they did stays in History.");
    }

    /** @return array<string, mixed> */
    private static function rules(): array
    {
        return ['name' => 'required|string|max:100', 'role' => ['required', 'string', Rule::enum(Role::class)]];
    }
}
