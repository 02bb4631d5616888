<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Http\Request;

/** Where somebody came from and goes on, when an act in another room is done: a page of Lokum that the form has named. */
final class Back
{
    public static function to(Request $request, string $else): string
    {
        $named = $request->string('back')->toString();

        return preg_match('#^/(?![/\\\\])#', $named) === 1 ? $named : $else;
    }
}
