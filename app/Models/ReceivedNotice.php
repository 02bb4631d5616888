<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * What the stand-in for an outside shop was sent.
 *
 * @property int $id
 */
final class ReceivedNotice extends Model
{
    public $timestamps = false;

    protected $guarded = [];
}
