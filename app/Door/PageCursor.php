<?php

declare(strict_types=1);

namespace App\Door;

use Illuminate\Http\Request;
use Illuminate\Pagination\Cursor;

/** The place in a long list that an address points at; the start of the list, where the address is broken or belongs to another order. */
final class PageCursor
{
    /** @param  string  ...$columns  that the list is ordered by */
    public static function from(Request $request, string ...$columns): ?Cursor
    {
        $cursor = Cursor::fromEncoded($request->string('cursor')->toString());
        $parameters = $cursor === null ? [] : array_diff_key($cursor->toArray(), ['_pointsToNextItems' => 0]);
        $sound = array_filter($parameters, fn (mixed $value): bool => is_string($value) || is_int($value));

        return $cursor !== null && count($sound) === count($parameters) && array_diff($columns, array_keys($sound)) === [] ? $cursor : null;
    }
}
