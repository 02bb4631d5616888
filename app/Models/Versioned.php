<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/** Its version rises whenever it is saved otherwise than it was, so that of two people who change it one is told. */
trait Versioned
{
    protected static function bootVersioned(): void
    {
        static::updating(function (Model $row): void {
            $row->setAttribute('version', (int) $row->getOriginal('version') + 1);
        });
    }
}
