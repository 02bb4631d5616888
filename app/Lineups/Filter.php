<?php

declare(strict_types=1);

namespace App\Lineups;

use App\Definitions\Definition;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Lokum\Facet\Combine;
use Lokum\Lineup\Control;
use Lokum\Lineup\EmptyTerms;
use Lokum\Vocabulary\Kind;

/**
 * One question shoppers can answer: over a definition, or over the price or stock that every product has.
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
 * @property int $version
 * @property-read Definition|null $definition
 */
final class Filter extends Model
{
    public const PRICE = 'price';

    public const STOCK = 'stock';

    protected $guarded = [];

    /** @return BelongsTo<Definition, $this> */
    public function definition(): BelongsTo
    {
        return $this->belongsTo(Definition::class);
    }

    /** The word for it in addresses and counts. */
    public function key(): string
    {
        return $this->definition->slug ?? (string) $this->field;
    }

    public function kind(): Kind
    {
        return $this->definition->kind ?? ($this->field === self::PRICE ? Kind::Number : Kind::Flag);
    }

    /** @return array<string, mixed> what shoppers notice of it, for the edition and for telling two editions apart */
    public function settings(): array
    {
        return [
            'key' => $this->key(), 'kind' => $this->kind()->value, 'title' => $this->title, 'control' => $this->control->value, 'combine' => $this->combine->value,
            'empty_terms' => $this->empty_terms->value, 'open' => $this->open, 'step' => $this->step,
            'unit' => $this->unit ?? $this->definition?->unit,
        ];
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'control' => Control::class, 'combine' => Combine::class, 'empty_terms' => EmptyTerms::class,
            'open' => 'boolean', 'step' => 'float',
        ];
    }
}
