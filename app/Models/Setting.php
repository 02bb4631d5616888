<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * What was said of the shop; there is one row, or none yet.
 *
 * @property int $id
 * @property array<string, mixed> $said
 * @property int $version
 */
final class Setting extends Model
{
    use Versioned;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['said' => 'array'];
    }
}
