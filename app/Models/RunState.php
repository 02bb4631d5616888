<?php

declare(strict_types=1);

namespace App\Models;

/** What became of a run. */
enum RunState: string
{
    case Running = 'running';
    case Nothing = 'nothing';
    case Read = 'read';
    case Held = 'held';
    case Failed = 'failed';
    case Published = 'published';
    case Unpublished = 'unpublished';

    public function label(): string
    {
        return match ($this) {
            self::Running => 'under way',
            self::Nothing => 'nothing new',
            self::Read => 'read',
            self::Held => 'held',
            self::Failed => 'failed',
            self::Published => 'published',
            self::Unpublished => 'not published',
        };
    }

    /** The tone of its tag. */
    public function tone(): string
    {
        return match ($this) {
            self::Read, self::Published => 'settled',
            self::Failed => 'harm',
            self::Held, self::Unpublished => 'waiting',
            default => '',
        };
    }
}
