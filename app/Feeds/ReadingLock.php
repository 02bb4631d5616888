<?php

declare(strict_types=1);

namespace App\Feeds;

/**
 * Held by the process that works on a reading, for as long as it lives: the system frees it however that process ends, so a reading
 * that is under way and held by nobody was broken off.
 */
final class ReadingLock
{
    /** @param  resource  $file */
    private function __construct(private mixed $file, private readonly string $path)
    {
    }

    public static function hold(Reading $reading): ?self
    {
        $path = self::path($reading);
        $file = @fopen($path, 'c');
        if ($file === false || ! flock($file, LOCK_EX | LOCK_NB)) {
            return null;
        }

        return new self($file, $path);
    }

    public function release(): void
    {
        @unlink($this->path);
        fclose($this->file);
    }

    /** Whether somebody had begun with it, and is gone. */
    public static function isLost(Reading $reading): bool
    {
        $path = self::path($reading);
        $file = is_file($path) ? @fopen($path, 'r') : false;
        if ($file === false) {
            return false;
        }
        $lost = flock($file, LOCK_SH | LOCK_NB);
        fclose($file);

        return $lost;
    }

    public static function forget(Reading $reading): void
    {
        @unlink(self::path($reading));
    }

    private static function path(Reading $reading): string
    {
        return config('lokum.data')."/feeds/reading-{$reading->id}.lock";
    }
}
