<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Http\Request;
use Illuminate\Pagination\Cursor;

/** The place in a long list that an address points at; the start of the list, where the address is broken or belongs to another order. */
final class PageCursor
{
    private const FORWARD = '_pointsToNextItems';

    /** @param  string  ...$columns  that the list is ordered by */
    public static function from(Request $request, string ...$columns): ?Cursor
    {
        $cursor = self::read($request->string('cursor')->toString(), $columns);
        // Whoever is given none would look for it in the request.
        if ($cursor === null) {
            $request->query->remove('cursor');
        }

        return $cursor;
    }

    /** @param  array<string>  $columns */
    private static function read(string $text, array $columns): ?Cursor
    {
        $written = json_decode((string) base64_decode(strtr($text, '-_', '+/'), true), true);
        if (! is_array($written) || ! is_bool($written[self::FORWARD] ?? null)) {
            return null;
        }
        $places = array_diff_key($written, [self::FORWARD => 0]);
        $sound = array_filter($places, fn (mixed $value): bool => is_string($value) || is_int($value));

        return count($sound) === count($places) && array_diff($columns, array_keys($sound)) === []
            ? new Cursor($sound, $written[self::FORWARD])
            : null;
    }
}
