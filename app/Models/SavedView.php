<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A way to look at the grid that somebody gave a name: what it is narrowed to, its columns, order and page size.
 *
 * @property int $id
 * @property string $name
 * @property array<string, mixed> $query
 */
final class SavedView extends Model
{
    use Versioned;

    protected $table = 'views';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['query' => 'array'];
    }
}
