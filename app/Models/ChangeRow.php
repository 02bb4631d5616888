<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * One row that a change touched: what it was (null: it was not there) and what it became (null: it went).
 *
 * @property int $id
 * @property int $change_id
 * @property string $table_name
 * @property string $row_key
 * @property array<string, mixed>|null $before
 * @property array<string, mixed>|null $after
 */
final class ChangeRow extends Model
{
    use InSets;

    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['before' => 'array', 'after' => 'array'];
    }
}
