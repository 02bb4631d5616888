<?php

declare(strict_types=1);

namespace App\Models;

use App\Support\LookedUp;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Lokum\Feed\Column;
use Lokum\Vocabulary\DayOrder;
use Lokum\Vocabulary\Kind;
use Lokum\Vocabulary\Level;
use Lokum\Vocabulary\Policy;
use Lokum\Vocabulary\TermOrder;

/**
 * An attribute or a custom field.
 *
 * @property int $id
 * @property string $slug
 * @property string $label
 * @property Kind $kind
 * @property Level $level
 * @property bool $multiple
 * @property non-empty-string $separator
 * @property string|null $unit
 * @property int|null $decimals that its numbers are shown with; null: as many as they need
 * @property DayOrder|null $day_order of dates written in digits with slashes or hyphens
 * @property State $state
 * @property Policy $policy
 * @property TermOrder $term_order
 * @property string|null $help
 * @property string|null $reason
 * @property string|null $team_help
 * @property string|null $section
 * @property Role $edited_by
 * @property int|null $merged_into
 * @property string|null $dress how new values look: colors from their names, or letters; null: judged by itself
 * @property list<string> $former_slugs that it had before, and that lead to it
 * @property bool $has_pages whether its values have pages of their own in the shop
 * @property int $version
 */
final class Definition extends Model
{
    use InSets;
    use Versioned;

    /** The definition that the known column "brand" leads to. */
    public const BRAND = 'brand';

    protected $guarded = [];

    /** @return HasMany<Value, $this> */
    public function values(): HasMany
    {
        return $this->hasMany(Value::class)->whereNull('merged_into');
    }

    /** One that is not left aside. Filters go by their slugs, and a page asks for the same ones many times. */
    public static function liveBySlug(string $slug): ?self
    {
        return app(LookedUp::class)
            ->of('live definitions', fn (): Collection => self::query()->live()->get()->keyBy('slug'))
            ->get($slug);
    }

    /** The definition that a word in an address, a typed condition or a command means: its own, or one that it had before. */
    public static function called(string $slug): ?self
    {
        return self::query()->where('slug', $slug)->first() ?? self::query()->whereJsonContains('former_slugs', $slug)->first();
    }

    /** Whether it is called so in addresses, or was. */
    public function goesBy(string $slug): bool
    {
        return $this->slug === $slug || in_array($slug, $this->former_slugs, true);
    }

    /**
     * @param  mixed  $value
     * @param  string|null  $field
     */
    public function resolveRouteBinding($value, $field = null): ?Model
    {
        return $field === 'slug' && is_string($value) ? self::called($value) : parent::resolveRouteBinding($value, $field);
    }

    /** @param  Builder<self>  $query */
    public function scopeLive(Builder $query): void
    {
        $query->where('state', '!=', State::Aside->value);
    }

    /** @param  Builder<self>  $query */
    public function scopeAccepted(Builder $query): void
    {
        $query->where('state', State::Accepted->value);
    }

    /**
     * @param  non-empty-string|null  $separator
     * @param  list<string>  $empty
     */
    public function asColumn(?string $separator = null, array $empty = []): Column
    {
        return new Column(
            $this->slug,
            $this->label,
            $this->kind,
            $this->multiple,
            $separator ?? $this->separator,
            $this->level,
            $this->unit,
            $empty,
            $this->day_order,
        );
    }

    /** Whether its texts say something else by another state of it. */
    public function isReadOtherwise(self $than): bool
    {
        return [$this->kind, $this->unit, $this->day_order] !== [$than->kind, $than->unit, $than->day_order];
    }

    /** @return array{attribute: string, label: string, kind: string, level: string, multiple: bool, unit: string|null, state: string} */
    public function described(): array
    {
        return [
            'attribute' => $this->slug,
            'label' => $this->label,
            'kind' => $this->kind->value,
            'level' => $this->level->value,
            'multiple' => $this->multiple,
            'unit' => $this->unit,
            'state' => $this->state->value,
        ];
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'kind' => Kind::class,
            'day_order' => DayOrder::class,
            'level' => Level::class,
            'multiple' => 'boolean',
            'has_pages' => 'boolean',
            'state' => State::class,
            'policy' => Policy::class,
            'former_slugs' => 'array',
            'edited_by' => Role::class,
            'term_order' => TermOrder::class,
        ];
    }
}
