<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Query\Builder;

/** Read many rows at a time, as they stand in the table: without a model for each. */
trait InSets
{
    /** @param  string  $as  what a query that joins calls the table */
    public static function table(string $as = ''): Builder
    {
        $table = (new static())->getTable();

        return static::query()->toBase()->from($as === '' ? $table : "{$table} as {$as}");
    }
}
