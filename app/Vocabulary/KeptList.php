<?php

declare(strict_types=1);

namespace App\Vocabulary;

use App\Support\Refused;

/** A list of values that somebody has sent, kept between the look at what it would do and the decision. */
final class KeptList
{
    private const NAME = '/^[0-9a-f]{24}$/D';

    /** Seconds after which a list that nobody decided on is forgotten. */
    private const KEPT = 86400;

    /** @return string its name */
    public static function keep(string $path): string
    {
        foreach (glob(self::path('*')) ?: [] as $old) {
            if ((int) @filemtime($old) < time() - self::KEPT) {
                @unlink($old);
            }
        }
        $name = bin2hex(random_bytes(12));
        if (! @copy($path, self::path($name))) {
            throw new Refused('The list cannot be kept. Is the disk full?', 'list');
        }
        chmod(self::path($name), 0600);

        return $name;
    }

    /** @return resource */
    public static function open(string $name)
    {
        $file = preg_match(self::NAME, $name) === 1 ? @fopen(self::path($name), 'rb') : false;

        return $file === false ? throw new Refused('This list is not there any more. Choose the file again.') : $file;
    }

    public static function forget(string $name): void
    {
        if (preg_match(self::NAME, $name) === 1) {
            @unlink(self::path($name));
        }
    }

    private static function path(string $name): string
    {
        return config('lokum.data')."/feeds/list-{$name}.csv";
    }
}
