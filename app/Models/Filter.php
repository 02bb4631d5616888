<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Lokum\Facet\Combine;
use Lokum\Lineup\Control;
use Lokum\Lineup\EmptyTerms;
use Lokum\Lineup\FilterSettings;
use Lokum\Lineup\ProductField;
use Lokum\Vocabulary\Kind;

/**
 * One question shoppers can answer, as a line-up adds it: over a definition, or over something that every product has.
 *
 * @property int $id
 * @property int $lineup_id
 * @property int $position
 * @property int|null $definition_id
 * @property string|null $field
 * @property string $title
 * @property Control $control
 * @property Combine $combine
 * @property EmptyTerms $empty_terms
 * @property bool $open
 * @property float|null $step
 * @property string|null $unit
 * @property array<string, mixed>|null $settings all that is not as usual
 * @property int|null $shared a number that filters of several line-ups have where they are one
 * @property int $version
 * @property-read Definition|null $definition
 * @property-read Lineup $lineup
 */
final class Filter extends Model
{
    use Versioned;

    public const COLUMNS = ['title', 'control', 'combine', 'empty_terms', 'open', 'step', 'unit'];

    protected $guarded = [];

    /** @return BelongsTo<Definition, $this> */
    public function definition(): BelongsTo
    {
        return $this->belongsTo(Definition::class);
    }

    /** @return BelongsTo<Lineup, $this> */
    public function lineup(): BelongsTo
    {
        return $this->belongsTo(Lineup::class);
    }

    /** @return list<string> titles of all filters over a definition */
    public static function titlesOver(Definition $definition): array
    {
        return array_values(self::query()->where('definition_id', $definition->id)->pluck('title')->all());
    }

    /** The word for it in addresses and counts. */
    public function key(): string
    {
        return $this->definition->slug ?? (string) $this->field;
    }

    public function kind(): Kind
    {
        return $this->definition->kind ?? ProductField::from((string) $this->field)->kind();
    }

    /** @return array<string, mixed> everything that is said of it, as {@see FilterSettings::of()} reads it */
    public function settings(): array
    {
        return [
            'key' => $this->key(),
            'kind' => $this->kind()->value,
            'title' => $this->title,
            'control' => $this->control->value,
            'combine' => $this->combine->value,
            'empty_terms' => $this->empty_terms->value,
            'open' => $this->open,
            'step' => $this->step,
            'unit' => $this->unit ?? $this->definition?->unit,
        ] +
            ($this->getAttribute('settings') ?? []) +
            ['decimals' => $this->definition?->decimals];
    }

    /**
     * Properties, parted into the columns that hold them.
     *
     * @param  array<string, mixed>  $properties
     * @return array<string, mixed>
     */
    public static function columns(array $properties): array
    {
        $columns = array_intersect_key($properties, array_flip(self::COLUMNS));
        $more = array_filter(
            array_diff_key($properties, $columns),
            fn (mixed $value, string $name): bool => array_key_exists($name, FilterSettings::DEFAULTS) &&
                $value !== FilterSettings::DEFAULTS[$name],
            ARRAY_FILTER_USE_BOTH,
        );

        return $columns + ['settings' => $more === [] ? null : (string) json_encode($more, JSON_UNESCAPED_UNICODE)];
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'control' => Control::class,
            'combine' => Combine::class,
            'empty_terms' => EmptyTerms::class,
            'open' => 'boolean',
            'step' => 'float',
            'settings' => 'array',
        ];
    }
}
