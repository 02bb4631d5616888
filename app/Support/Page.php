<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Contracts\Support\Arrayable;

/**
 * What a view shows: its public properties, by their names.
 *
 * @implements Arrayable<string, mixed>
 */
abstract readonly class Page implements Arrayable
{
    /** @return array<string, mixed> */
    final public function toArray(): array
    {
        return get_object_vars($this);
    }
}
