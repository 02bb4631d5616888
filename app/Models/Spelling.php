<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A text exactly as it came in, and what it was read as: a value of an attribute, or a number of a field.
 *
 * @property int $id
 * @property int $definition_id
 * @property string $text
 * @property string $key
 * @property int|null $value_id
 * @property float|null $number
 * @property string|null $problem
 * @property int|null $reading_id that it came with; null: by hand
 * @property bool $settled whether somebody has decided on it, or nobody has to
 */
final class Spelling extends Model implements OfDefinition
{
    use InSets;

    public $timestamps = false;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['settled' => 'boolean'];
}
