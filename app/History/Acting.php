<?php

declare(strict_types=1);

namespace App\History;

use Closure;
use Illuminate\Support\Facades\Auth;

/** On whose behalf something is done away from a page: told to History, and forgotten behind it, since a worker goes on for hours. */
final class Acting
{
    private static bool $byItself = false;

    private static ?string $program = null;

    /**
     * @template T
     *
     * @param  int|null  $person  who asked for it; null: nobody that is known
     * @param  Closure(): T  $work
     * @return T
     */
    public static function for(?int $person, Closure $work): mixed
    {
        return self::during($person, false, null, $work);
    }

    /**
     * @template T
     *
     * @param  Closure(): T  $work  that happens because its time has come
     * @return T
     */
    public static function byItself(Closure $work): mixed
    {
        return self::during(null, true, null, $work);
    }

    /**
     * @template T
     *
     * @param  string  $program  what its token is called
     * @param  Closure(): T  $work
     * @return T
     */
    public static function asProgram(string $program, Closure $work): mixed
    {
        return self::during(null, false, $program, $work);
    }

    /** The program that acts now, where one does. */
    public static function program(): ?string
    {
        return self::$program;
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
    private static function during(?int $person, bool $byItself, ?string $program, Closure $work): mixed
    {
        $before = [Auth::user(), self::$byItself, self::$program];
        Auth::forgetUser();
        [self::$byItself, self::$program] = [$byItself, $program];
        try {
            if ($person !== null) {
                Auth::onceUsingId($person);
            }

            return $work();
        } finally {
            [self::$byItself, self::$program] = [$before[1], $before[2]];
            Auth::forgetUser();
            if ($before[0] !== null) {
                Auth::setUser($before[0]);
            }
        }
    }
}
