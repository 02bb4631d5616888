<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * @property int $id
 * @property int|null $parent_id
 * @property string $name
 * @property string $slug
 * @property string $path names from the top down, joined with " > "
 * @property string $path_key
 * @property bool $own_only whether its page lists only its own products, not those below
 */
final class Category extends Model
{
    use InSets;

    public $timestamps = false;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['own_only' => 'boolean'];
}
