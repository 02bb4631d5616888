<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/** A product or variant has a value, by one of its spellings. Written set by set only, by History and by readings. */
final class Assignment extends Model
{
    use InSets;
}
