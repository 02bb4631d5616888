<?php

declare(strict_types=1);

namespace App\Models;

enum ReadingState: string
{
    case Received = 'received';
    case Checking = 'checking';
    case Checked = 'checked';
    case Reading = 'reading';
    case Done = 'done';
    case Failed = 'failed';
    case Aside = 'aside';

    public function isRunning(): bool
    {
        return $this === self::Checking || $this === self::Reading;
    }

    public function label(): string
    {
        return match ($this) {
            self::Received => 'to be checked',
            self::Checking => 'being checked',
            self::Checked => 'checked, not read yet',
            self::Reading => 'being read',
            self::Done => 'read',
            self::Failed => 'stopped',
            self::Aside => 'put aside',
        };
    }
}
