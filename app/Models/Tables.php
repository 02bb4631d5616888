<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use LogicException;

/** The models of tables whose rows History can set back, by the names that it has noted them under. */
final class Tables
{
    private const MODELS = [
        'attribute_values' => Value::class,
        'categories' => Category::class,
        'definitions' => Definition::class,
        'expectations' => Expectation::class,
        'feeds' => Feed::class,
        'fill_rules' => FillRule::class,
        'former_addresses' => FormerAddress::class,
        'filter_changes' => FilterChange::class,
        'filters' => Filter::class,
        'headings' => Heading::class,
        'items' => Item::class,
        'kept_apart' => KeptApart::class,
        'lineups' => Lineup::class,
        'settings' => Setting::class,
        'spellings' => Spelling::class,
        'umbrellas' => Umbrella::class,
        'views' => SavedView::class,
    ];

    /** @return class-string<Model> */
    public static function model(string $table): string
    {
        return self::MODELS[$table] ?? throw new LogicException("No row of \"{$table}\" is written through History.");
    }
}
