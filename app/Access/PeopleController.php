<?php

declare(strict_types=1);

namespace App\Access;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Illuminate\View\View;

final class PeopleController
{
    public function index(): View
    {
        return view('access.people', ['people' => User::query()->orderBy('name')->get()]);
    }

    public function store(Request $request): RedirectResponse
    {
        $input = $request->validate(self::rules() + [
            'email' => 'required|email|max:200|unique:users', 'password' => 'required|string|min:12|max:200',
        ]);
        User::query()->create($input);

        return back()->with('done', "{$input['name']} can sign in now.");
    }

    public function update(Request $request, User $user): RedirectResponse
    {
        $input = $request->validate(self::rules() + ['password' => 'nullable|string|min:12|max:200']);
        if ($input['role'] !== Role::Manager->value) {
            $this->keepAManager($user);
        }
        $user->update(array_filter($input, fn (?string $value): bool => $value !== null && $value !== ''));

        return back()->with('done', "Saved {$user->name}.");
    }

    public function destroy(Request $request, User $user): RedirectResponse
    {
        abort_if($user->is($request->user()), 422, 'You cannot remove yourself.');
        $this->keepAManager($user);
        $user->delete();

        return back()->with('done', "{$user->name} can no longer sign in. What they did stays in History.");
    }

    /** @return array<string, mixed> */
    private static function rules(): array
    {
        return ['name' => 'required|string|max:100', 'role' => ['required', Rule::enum(Role::class)]];
    }

    private function keepAManager(User $user): void
    {
        $last = $user->role === Role::Manager && User::query()->where('role', Role::Manager)->count() === 1;
        abort_if($last, 422, 'There must be a manager left.');
    }
}
