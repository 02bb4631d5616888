<?php

declare(strict_types=1);

namespace App\Access;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\View\View;

/** Where the address that the terminal tells leads to. For anybody else there is nothing here. */
final class FirstAccountController
{
    public function show(string $secret): View|RedirectResponse
    {
        if (! FirstAccount::isMissing()) {
            return redirect()->route('sign-in');
        }
        abort_unless(FirstAccount::isInvited($secret), 404);

        return view('access.begin', ['secret' => $secret]);
    }

    public function store(Request $request, string $secret, FirstAccount $first): RedirectResponse
    {
        abort_unless(FirstAccount::isInvited($secret), 404);
        $user = $first->make(
            $request->string('name')->toString(),
            $request->string('email')->toString(),
            $request->string('password')->toString(),
        );
        Auth::login($user);
        $request->session()->regenerate();

        return redirect()->route('today')->with('done', "Welcome, {$user->name}. The catalog begins with a supplier's file.");
    }
}
