<?php

declare(strict_types=1);

namespace App\Access;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\View\View;

final class SignInController
{
    public function show(): View
    {
        return view('access.sign-in', ['demo' => config('lokum.demo') ? DemoAccount::all() : []]);
    }

    public function store(Request $request): RedirectResponse
    {
        $request->validate(['email' => 'required|string|max:200', 'password' => 'required|string|max:200']);
        if (! Auth::attempt($request->only('email', 'password'))) {
            return back()->withInput($request->only('email'))->withErrors(['email' => 'The address and the password do not belong together.']);
        }
        $request->session()->regenerate();

        return redirect()->intended(route('today'));
    }

    public function destroy(Request $request): RedirectResponse
    {
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return redirect()->route('sign-in');
    }
}
