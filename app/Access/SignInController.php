<?php

declare(strict_types=1);

namespace App\Access;

use App\History\Ledger;
use App\Models\Room;
use App\Models\User;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Cache;
use Illuminate\View\View;

final class SignInController
{
    /** Seconds in which the failed tries of one address are entered once. */
    private const NOTED_EVERY = 600;

    public function show(): View
    {
        return view('access.sign-in', ['demo' => config('lokum.demo') ? DemoAccount::all() : []]);
    }

    public function store(Request $request, Ledger $ledger): RedirectResponse
    {
        $request->validate(['email' => 'required|string|max:200', 'password' => 'required|string|max:200']);
        $email = User::address($request->string('email')->toString());
        if (! Auth::attempt(['email' => $email, 'password' => $request->string('password')->toString()])) {
            if (Cache::add("failed:{$request->ip()}:{$email}", true, self::NOTED_EVERY)) {
                $ledger->note(
                    Room::Access,
                    'A sign-in failed: '.mb_strimwidth($email, 0, 100, '…').", from {$request->ip()}",
                );
            }

            return back()
                ->withInput($request->only('email'))
                ->withErrors(['email' => 'The address and the password do not belong together.']);
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
