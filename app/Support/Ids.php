<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Http\Request;

/** A list of ids as a form sends it. */
final class Ids
{
    /** @return list<int> in the order they were sent; none where the name is not there */
    public static function in(Request $request, string $name): array
    {
        return array_values(self::by($request, $name));
    }

    /** @return array<int, int> by the key they were sent under */
    public static function by(Request $request, string $name): array
    {
        return array_map(intval(...), (array) $request->input($name, []));
    }
}
