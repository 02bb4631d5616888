<?php

declare(strict_types=1);

namespace App\Access;

use App\Models\User;
use App\Support\Refused;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Hash;
use Illuminate\View\View;

/** One's own password. */
final class AccountController
{
    public function show(): View
    {
        return view('access.account');
    }

    public function update(Request $request, EditPeople $edit): RedirectResponse
    {
        $request->validate([
            'now' => 'required|string|max:200',
            'password' => ['required', 'string', 'confirmed', new SoundPassword()],
        ]);
        $user = $request->user();
        if (! ($user instanceof User) || ! Hash::check($request->string('now')->toString(), $user->password)) {
            throw new Refused('That is not your password now.', 'now');
        }
        $edit->change($user, $user->name, $user->role, $request->string('password')->toString());
        $request->session()->regenerate();

        return back()->with('done', 'You have a new password. Wherever else you were signed in, you are no more.');
    }
}
