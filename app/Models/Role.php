<?php

declare(strict_types=1);

namespace App\Models;

/** What a person may do: look at everything, work on the catalog, or also decide who else may. */
enum Role: string
{
    case Manager = 'manager';
    case Editor = 'editor';
    case Viewer = 'viewer';

    public function says(): string
    {
        return match ($this) {
            self::Manager => 'Works on the catalog, publishes, and gives people access',
            self::Editor => 'Works on the catalog and publishes',
            self::Viewer => 'Looks at everything, changes nothing',
        };
    }
}
