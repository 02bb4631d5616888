<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A rule that gives products a value where neither a feed nor a person has, or one more where they may have several.
 *
 * @property int $id
 * @property int $definition_id
 * @property FillSource $source
 * @property array<string, mixed> $settings
 * @property list<string> $scope conditions of a narrowing
 * @property int $position
 * @property bool $paused
 * @property int $version
 * @property-read Definition $definition
 */
final class FillRule extends Model implements OfDefinition
{
    use Versioned;

    protected $guarded = [];

    /** @return BelongsTo<Definition, $this> */
    public function definition(): BelongsTo
    {
        return $this->belongsTo(Definition::class);
    }

    /** Whether it gives its values beside those that products have. */
    public function adds(): bool
    {
        return ($this->settings['adds'] ?? false) === true && $this->loadMissing('definition')->definition->multiple;
    }

    /** In words: what it takes the value from. */
    public function inWords(): string
    {
        $settings = $this->settings;

        return (($settings['adds'] ?? false) === true ? 'adds ' : '').match ($this->source) {
            FillSource::Category => 'from what is below '.($settings['branch'] ?? ''),
            FillSource::Words => 'from words in '.
                implode(' and ', (array) ($settings['in'] ?? ['name'])).
                (($settings['lines'] ?? []) === [] ? ', any value' : ', '.count((array) $settings['lines']).' values'),
            FillSource::Number => 'from '.
                ($settings['field'] ?? '').
                ', '.
                count((array) ($settings['bands'] ?? [])).
                ' bands',
            FillSource::Definition => 'from '.
                ($settings['from'] ?? '').
                ', '.
                count((array) ($settings['table'] ?? [])).
                ' values told',
            FillSource::Fixed => 'always '.($settings['value'] ?? ''),
        };
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'source' => FillSource::class,
            'settings' => 'array',
            'scope' => 'array',
            'paused' => 'boolean',
        ];
    }
}
