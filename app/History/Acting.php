<?php

declare(strict_types=1);

namespace App\History;

use Closure;
use Illuminate\Support\Facades\Auth;

/** On whose behalf something is done away from a page: told to History, and forgotten behind it, since a worker goes on for hours. */
final class Acting
{
    private static bool $byItself = false;

    /**
     * @template T
     *
     * @param  int|null  $person  who asked for it; null: nobody that is known
     * @param  Closure(): T  $work
     * @return T
     */
    public static function for(?int $person, Closure $work): mixed
    {
        return self::during($person, false, $work);
    }

    /**
     * @template T
     *
     * @param  Closure(): T  $work  that happens because its time has come
     * @return T
     */
    public static function byItself(Closure $work): mixed
    {
        return self::during(null, true, $work);
    }

    /** Whether what is done now happens without anybody. */
    public static function isByItself(): bool
    {
        return self::$byItself;
    }

    /**
     * @template T
     *
     * @param  Closure(): T  $work
     * @return T
     */
    private static function during(?int $person, bool $byItself, Closure $work): mixed
    {
        $before = [Auth::user(), self::$byItself];
        Auth::forgetUser();
        self::$byItself = $byItself;
        try {
            if ($person !== null) {
                Auth::onceUsingId($person);
            }

            return $work();
        } finally {
            self::$byItself = $before[1];
            Auth::forgetUser();
            if ($before[0] !== null) {
                Auth::setUser($before[0]);
            }
        }
    }
}
