<?php

declare(strict_types=1);

namespace App\Lineups;

use App\Draft\DraftLineups;
use App\Draft\Placement;
use App\History\Journal;
use App\Models\Change;
use App\Models\Definition;
use App\Models\Filter;
use App\Models\FilterChange;
use App\Support\Refused;
use App\Values\TermNames;
use Lokum\Lineup\FilterSettings;
use Lokum\Text\StrictKey;

/** Changes single properties of a filter on some pages: where it is added, in its own row; where it is inherited, only what is other. */
final readonly class ChangeFilter
{
    public function __construct(private LineupLedger $ledger)
    {
    }

    /**
     * Saves what a filter is like on these pages; where it is inherited, only what is other here is kept.
     *
     * @param  array<string, mixed>  $properties  checked
     * @param  string  $token  of what the person started from
     */
    public function save(string $key, array $properties, string $placement, string $token): ?Change
    {
        $all = DraftLineups::load();
        $given = LineupLedger::filter($all, $key, $placement);
        $own = $all->layer($placement) === null ? null : ShareFilter::own($all->layer($placement)->id, $key);
        foreach ([$placement, ...($own === null ? [] : ShareFilter::alsoAt($own))] as $place) {
            LineupLedger::allowTitle($all, $key, $properties['title'] ?? null, $place);
        }
        self::allowLooks($key, $properties['looks'] ?? []);

        return $this->ledger->record($placement, function (Journal $journal, int $lineup) use (
            $key,
            $properties,
            $placement,
            $token,
            $given,
            $all,
        ): string {
            if ($token !== self::token($given)) {
                throw Refused::changedMeanwhile("the filter {$given['title']}");
            }
            self::write($journal, $lineup, $key, $properties, $placement, $all);

            return 'Changed the filter '.
                ($properties['title'] ?? $given['title']).
                ($placement === Placement::SHOP ? '' : ' in '.LineupLedger::said($placement, $all));
        });
    }

    /** Names that the filter gives its terms must not be those of others. */
    private static function allowLooks(string $key, mixed $looks): void
    {
        $definition = Definition::called($key);
        $labels = array_filter(
            array_map(fn (mixed $look): mixed => is_array($look) ? $look['label'] ?? null : null, is_array($looks) ? $looks : []),
            is_string(...),
        );
        if (count(array_unique(array_map(StrictKey::of(...), $labels))) < count($labels)) {
            throw new Refused('Two terms would be called the same here.', 'looks');
        }
        if ($definition === null) {
            return;
        }
        foreach ($labels as $term => $label) {
            TermNames::allow($definition, $label, [(int) $term], 'looks');
        }
    }

    /** Takes back what these pages say otherwise: one property, or all of it. */
    public function fallBack(string $key, string $placement, ?string $property = null): ?Change
    {
        $all = DraftLineups::load();

        return $this->ledger->record($placement, function (Journal $journal, int $lineup) use (
            $key,
            $placement,
            $property,
            $all,
        ): string {
            $change =
                FilterChange::query()->where('lineup_id', $lineup)->where('key', $key)->first() ??
                throw new Refused('Nothing is said otherwise here.');
            $rest = $property === null ? [] : array_diff_key($change->settings ?? [], [$property => 0]);
            if ($rest === []) {
                $journal->delete(FilterChange::class, $change->id);
            } else {
                $journal->update(FilterChange::class, $change->id, [
                    'settings' => (string) json_encode($rest, JSON_UNESCAPED_UNICODE),
                ]);
            }

            return "Let the filter {$key} be as inherited in ".LineupLedger::said($placement, $all);
        });
    }

    /** @param  array<string, mixed>  $given */
    public static function token(array $given): string
    {
        return hash('xxh64', (string) json_encode($given));
    }

    /** @param  array<string, mixed>  $properties */
    public static function write(
        Journal $journal,
        int $lineup,
        string $key,
        array $properties,
        string $placement,
        DraftLineups $all,
    ): void {
        $own = ShareFilter::own($lineup, $key);
        if ($own !== null) {
            $columns = Filter::columns($properties + array_diff_key($own->settings(), ['key' => 0, 'kind' => 0]));
            if (($columns['unit'] ?? null) === $own->definition?->unit) {
                $columns['unit'] = null;
            }
            ShareFilter::write($journal, $own, $columns);

            return;
        }
        $inherited =
            (LineupLedger::before($all, $placement)->filters[$key] ?? throw Refused::unknown('filter', $key))->given +
            FilterSettings::DEFAULTS;
        $other = array_filter(
            $properties,
            fn (mixed $value, string $name): bool => array_key_exists($name, $inherited) &&
                ! in_array($name, ['key', 'kind'], true) &&
                self::plain($inherited[$name]) !== self::plain($value),
            ARRAY_FILTER_USE_BOTH,
        );
        $change = FilterChange::query()->where('lineup_id', $lineup)->where('key', $key)->first();
        $settings = (string) json_encode($other, JSON_UNESCAPED_UNICODE);
        match (true) {
            $change === null && $other === [] => null,
            $change === null => $journal->insert(FilterChange::class, [
                'lineup_id' => $lineup,
                'key' => $key,
                'settings' => $settings,
            ]),
            $other === [] => $journal->delete(FilterChange::class, $change->id),
            default => $journal->update(FilterChange::class, $change->id, ['settings' => $settings, 'dropped' => 0]),
        };
    }

    /** Equal as it is kept: 5 and 5.0, 1 and true. */
    private static function plain(mixed $value): mixed
    {
        return match (true) {
            is_array($value) => array_map(self::plain(...), $value),
            is_bool($value) => (int) $value,
            is_float($value) && floor($value) === $value && abs($value) < 1e15 => (int) $value,
            default => $value,
        };
    }
}
