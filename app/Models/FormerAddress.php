<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * The word for a value in addresses before it was changed. It leads on.
 *
 * @property int $id
 * @property int $definition_id
 * @property int $value_id
 * @property string $slug
 */
final class FormerAddress extends Model implements OfDefinition
{
    use InSets;

    public $timestamps = false;

    protected $guarded = [];
}
