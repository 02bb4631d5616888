<?php

declare(strict_types=1);

namespace App\Feeds;

use App\Data\FileLock;
use App\Models\Reading;

/**
 * Held by the process that works on a reading, for as long as it lives: the system frees it however that process ends, so a reading
 * that is under way and held by nobody was broken off.
 */
final class ReadingLock
{
    private function __construct(private readonly FileLock $lock, private readonly string $path)
    {
    }

    public static function hold(Reading $reading): ?self
    {
        $path = self::path($reading);
        $lock = FileLock::tryHold($path);

        return $lock === null ? null : new self($lock, $path);
    }

    public function release(): void
    {
        @unlink($this->path);
        $this->lock->release();
    }

    /** Whether somebody had begun with it, and is gone. */
    public static function isLost(Reading $reading): bool
    {
        return is_file(self::path($reading)) && ! FileLock::isHeld(self::path($reading));
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
