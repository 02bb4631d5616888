<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * Two values that somebody has decided are different, the smaller id first.
 *
 * @property int $id
 * @property int $definition_id
 * @property int $one_id
 * @property int $other_id
 */
final class KeptApart extends Model implements OfDefinition
{
    use InSets;

    public $timestamps = false;

    protected $table = 'kept_apart';

    protected $guarded = [];
}
