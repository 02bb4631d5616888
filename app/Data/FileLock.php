<?php

declare(strict_types=1);

namespace App\Data;

use App\Support\Refused;

/** Held by one process for as long as it lives: the system frees it however that process ends. */
final class FileLock
{
    /** Whoever only looks holds it for a moment, too, so it is tried for a while. */
    private const TRIES = 10;

    private const WAIT_MICROSECONDS = 20_000;

    /** @param  resource  $file */
    private function __construct(private mixed $file)
    {
    }

    /** @throws Refused when its file cannot be made */
    public static function tryHold(string $path): ?self
    {
        $file = @fopen($path, 'c');
        if ($file === false) {
            throw new Refused("\"{$path}\" cannot be opened. Is the disk full, or the directory somebody else's?");
        }
        for ($try = 0; $try < self::TRIES; $try++) {
            if (flock($file, LOCK_EX | LOCK_NB)) {
                return new self($file);
            }
            usleep(self::WAIT_MICROSECONDS);
        }

        return null;
    }

    /**
     * The same, waited for.
     *
     * @throws Refused when its file cannot be made
     */
    public static function hold(string $path, float $seconds): ?self
    {
        $until = microtime(true) + $seconds;
        do {
            $lock = self::tryHold($path);
        } while ($lock === null && microtime(true) < $until);

        return $lock;
    }

    public static function isHeld(string $path): bool
    {
        $file = is_file($path) ? @fopen($path, 'r') : false;
        if ($file === false) {
            return false;
        }
        // Shared, so that several who look are not taken for somebody who works.
        $free = flock($file, LOCK_SH | LOCK_NB);
        fclose($file);

        return ! $free;
    }

    public function release(): void
    {
        fclose($this->file);
    }
}
