<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * What a line-up says about a filter that it inherits.
 *
 * @property int $id
 * @property int $lineup_id
 * @property string $key
 * @property bool $dropped
 * @property array<string, mixed>|null $settings the properties that are other here
 * @property int $version
 */
final class FilterChange extends Model
{
    use Versioned;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['settings' => 'array', 'dropped' => 'boolean'];
}
