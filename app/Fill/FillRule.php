<?php

declare(strict_types=1);

namespace App\Fill;

use App\Catalog\Chosen;
use App\Catalog\Narrowing;
use App\Definitions\Definition;
use App\Refused;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Facades\DB;

/**
 * A rule that gives products a value where neither a feed nor a person has.
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
final class FillRule extends Model
{
    protected $guarded = [];

    /**
     * The rules that run, in their order: neither paused nor in want of something that is gone.
     *
     * @return list<self>
     */
    public static function running(): array
    {
        return array_values(
            self::query()
                ->where('paused', false)
                ->orderBy('position')
                ->with('definition')
                ->get()
                ->filter(fn (self $rule): bool => $rule->problem() === null)
                ->all(),
        );
    }

    /** @return BelongsTo<Definition, $this> */
    public function definition(): BelongsTo
    {
        return $this->belongsTo(Definition::class);
    }

    public function chosen(): Chosen
    {
        return Chosen::all(Narrowing::where($this->scope));
    }

    /** Why it cannot run: something that it names is gone. What it filled stays until it can again. */
    public function problem(): ?string
    {
        try {
            RuleForm::from(
                ['definition' => $this->definition->slug, 'source' => $this->source->value, 'scope' => $this->scope] +
                    $this->settings,
            );

            return null;
        } catch (Refused $why) {
            return $why->getMessage();
        }
    }

    /** Where it fills, in words. */
    public function placeInWords(): string
    {
        return $this->scope === [] ? 'everywhere' : Narrowing::where($this->scope)->inWords();
    }

    /** Products and variants whose value it gives now. */
    public function filled(): int
    {
        return (int) DB::scalar('SELECT COUNT(DISTINCT item_id) FROM assignments WHERE origin = ?', [$this->id]);
    }

    /** In words: what it takes the value from. */
    public function inWords(): string
    {
        $settings = $this->settings;

        return match ($this->source) {
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
