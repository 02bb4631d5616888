<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/** An assignment that came or went with a change. Written set by set only, by History. */
final class CellMove extends Model
{
    use InSets;

    protected $table = 'cell_changes';
}
