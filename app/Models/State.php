<?php

declare(strict_types=1);

namespace App\Models;

/** Whether somebody has decided on a definition. */
enum State: string
{
    case Proposed = 'proposed';
    case Accepted = 'accepted';
    case Aside = 'aside';

    public function label(): string
    {
        return match ($this) {
            self::Proposed => 'Proposed',
            self::Accepted => 'In use',
            self::Aside => 'Left aside',
        };
    }
}
