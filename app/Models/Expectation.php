<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * That a category's products, and those below it, should carry a definition; or, further down, that they need not.
 *
 * @property int $id
 * @property int|null $category_id null: every product
 * @property int $definition_id
 * @property bool $expected
 */
final class Expectation extends Model implements OfDefinition
{
    use InSets;

    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['expected' => 'boolean'];
    }
}
