<?php

declare(strict_types=1);

namespace App\Lineups;

use App\History\Change;
use App\History\Journal;
use App\History\Ledger;
use App\Refused;
use Closure;
use Illuminate\Support\Facades\DB;
use Lokum\Lineup\ComposedLineup;
use Lokum\Lineup\FilterSettings;

/**
 * Works on the line-up of a placement: filters are added, dropped, ordered, or changed in single properties. What is inherited
 * stays where it is said; only the difference is kept here.
 */
final readonly class EditLineup
{
    public function __construct(private Ledger $ledger, private ProposeFilter $propose)
    {
    }

    /**
     * @param  string  $source  slug of a definition, or a field that every product has
     * @param  string  $placement  that exists
     */
    public function add(string $source, string $placement = Placement::SHOP): Change
    {
        return $this->several([$source], $placement);
    }

    /**
     * Adds filters, as one step; those that the page has already stay as they are.
     *
     * @param  non-empty-list<string>  $sources
     */
    public function several(array $sources, string $placement = Placement::SHOP): Change
    {
        $all = Compositions::load();
        $titles = array_map(fn (array $given): string => (string) $given['title'], array_column($this->before($all, $placement)->filters, 'given'));
        $change = $this->record($placement, function (Journal $journal, int $lineup) use ($sources, $placement, $all, $titles): string {
            $added = [];
            foreach ($sources as $source) {
                $row = ($this->propose)($source);
                $here = $all->of(self::pageOf($placement));
                if (isset($here->filters[$source])) {
                    throw new Refused("{$row['title']} is in the line-up already, as ".$here->filters[$source]->given['title'].'.');
                }
                // One that was dropped here comes back as it was.
                $dropped = FilterChange::query()->where('lineup_id', $lineup)->where('key', $source)->where('dropped', true)->first();
                if ($dropped !== null) {
                    $journal->delete('filter_changes', $dropped->id);
                    $added[] = $row['title'];

                    continue;
                }
                $row['title'] = self::free((string) $row['title'], $titles);
                $titles[] = $row['title'];
                $journal->insert('filters', ['lineup_id' => $lineup, 'position' => (int) Filter::query()->where('lineup_id', $lineup)->max('position') + 1] + $row);
                $added[] = $row['title'];
            }

            return 'Added the filter'.(count($added) > 1 ? 's ' : ' ').implode(', ', $added).' to '.$this->said($placement, $all);
        });

        return $change ?? throw new Refused('Nothing was different.');
    }

    /**
     * @param  list<string>  $keys  of the page's filters, in the order wanted
     *
     * @throws Refused when they are not exactly those that the page has
     */
    public function order(array $keys, string $placement = Placement::SHOP): ?Change
    {
        $all = Compositions::load();

        return $this->record($placement, function (Journal $journal, int $lineup) use ($keys, $placement, $all): string {
            $standing = array_map(strval(...), array_keys($all->of(self::pageOf($placement))->filters));
            if (array_diff($standing, $keys) !== [] || array_diff($keys, $standing) !== []) {
                throw Refused::changedMeanwhile('the line-up');
            }
            $settings = Lineup::query()->findOrFail($lineup)->settings ?? [];
            $journal->update('lineups', $lineup, ['settings' => (string) json_encode(['order' => array_values(array_unique($keys))] + $settings, JSON_UNESCAPED_UNICODE)]);

            return 'Reordered '.$this->said($placement, $all);
        });
    }

    public function drop(string $key, string $placement = Placement::SHOP): ?Change
    {
        $all = Compositions::load();
        $title = $this->filter($all, $key, $placement)['title'];

        return $this->record($placement, function (Journal $journal, int $lineup) use ($key, $placement, $all, $title): string {
            $own = Filter::query()->with('definition')->where('lineup_id', $lineup)->get()->first(fn (Filter $filter): bool => $filter->key() === $key);
            $change = FilterChange::query()->where('lineup_id', $lineup)->where('key', $key)->first();
            match (true) {
                $own !== null => $journal->delete('filters', $own->id),
                $change !== null => $journal->update('filter_changes', $change->id, ['dropped' => 1]),
                default => $journal->insert('filter_changes', ['lineup_id' => $lineup, 'key' => $key, 'dropped' => 1]),
            };

            return "Took the filter {$title} out of ".$this->said($placement, $all);
        });
    }

    /**
     * Saves what a filter is like on these pages; where it is inherited, only what is other here is kept.
     *
     * @param  array<string, mixed>  $properties  checked
     * @param  string  $token  of what the person started from
     */
    public function save(string $key, array $properties, string $placement, string $token): ?Change
    {
        $all = Compositions::load();
        $given = $this->filter($all, $key, $placement);
        foreach ($all->of(self::pageOf($placement))->filters as $other) {
            if ($other->key !== $key && ($properties['title'] ?? null) === $other->given['title']) {
                throw new Refused("Another filter of this line-up is titled \"{$other->given['title']}\".", 'title');
            }
        }

        return $this->record($placement, function (Journal $journal, int $lineup) use ($key, $properties, $placement, $token, $given, $all): string {
            if ($token !== self::token($given)) {
                throw Refused::changedMeanwhile("the filter {$given['title']}");
            }
            $this->write($journal, $lineup, $key, $properties, $placement, $all);

            return 'Changed the filter '.($properties['title'] ?? $given['title']).($placement === Placement::SHOP ? '' : ' in '.$this->said($placement, $all));
        });
    }

    /** Takes back what these pages say otherwise: one property, or all of it. */
    public function fallBack(string $key, string $placement, ?string $property = null): ?Change
    {
        $all = Compositions::load();

        return $this->record($placement, function (Journal $journal, int $lineup) use ($key, $placement, $property, $all): string {
            $change = FilterChange::query()->where('lineup_id', $lineup)->where('key', $key)->first() ?? throw new Refused('Nothing is said otherwise here.');
            $rest = $property === null ? [] : array_diff_key($change->settings ?? [], [$property => 0]);
            $rest === [] ? $journal->delete('filter_changes', $change->id) : $journal->update('filter_changes', $change->id, ['settings' => (string) json_encode($rest, JSON_UNESCAPED_UNICODE)]);

            return "Let the filter {$key} be as inherited in ".$this->said($placement, $all);
        });
    }

    /**
     * What holds for the whole page: what becomes of sold-out products, the sort orders. Null: as inherited.
     *
     * @param  array<string, mixed>  $settings
     */
    public function page(array $settings, string $placement): ?Change
    {
        $all = Compositions::load();

        return $this->record($placement, function (Journal $journal, int $lineup) use ($settings, $placement, $all): string {
            $now = array_filter(array_replace(Lineup::query()->findOrFail($lineup)->settings ?? [], $settings), fn (mixed $value): bool => $value !== null);
            $journal->update('lineups', $lineup, ['settings' => $now === [] ? null : (string) json_encode($now, JSON_UNESCAPED_UNICODE)]);

            return 'Changed sorting and stock of '.$this->said($placement, $all);
        });
    }

    /** Says the same for other pages as is said for these; what was said there goes. */
    public function copy(string $from, string $to, bool $move = false): ?Change
    {
        $all = Compositions::load();
        $source = Lineup::query()->where('placement', $from)->first();
        if ($source === null || $from === $to || $from === Placement::SHOP && $move) {
            throw new Refused($source === null ? 'Nothing is said there that could be copied.' : 'Choose other pages.', 'to');
        }

        return $this->record($to, function (Journal $journal, int $lineup) use ($source, $from, $to, $move, $all): string {
            $this->clear($journal, $lineup);
            $inherited = $this->before($all, $to)->filters;
            foreach ($source->filters()->with('definition')->get() as $filter) {
                $row = array_intersect_key($filter->getAttributes(), array_flip(['position', 'definition_id', 'field', 'title', 'control', 'combine', 'empty_terms', 'open', 'step', 'unit', 'settings']));
                isset($inherited[$filter->key()]) ? $this->write($journal, $lineup, $filter->key(), $filter->settings(), $to, $all) : $journal->insert('filters', ['lineup_id' => $lineup] + $row);
            }
            foreach ($source->alterations()->get() as $change) {
                $journal->insert('filter_changes', ['lineup_id' => $lineup] + array_intersect_key($change->getAttributes(), array_flip(['key', 'dropped', 'settings'])));
            }
            $journal->update('lineups', $lineup, ['settings' => $source->getAttributes()['settings']]);
            if ($move) {
                $this->clear($journal, $source->id);
                $journal->delete('lineups', $source->id);
            }

            return ($move ? 'Moved ' : 'Copied ').$this->said($from, $all).' to '.$this->said($to, $all);
        });
    }

    /** These pages get what they inherit, and nothing of their own. */
    public function remove(string $placement): ?Change
    {
        $all = Compositions::load();
        $placement !== Placement::SHOP ?: throw new Refused('The line-up of the whole shop stays; take its filters out one by one.');

        return $this->record($placement, function (Journal $journal, int $lineup) use ($placement, $all): string {
            $this->clear($journal, $lineup);
            $journal->delete('lineups', $lineup);

            return 'Removed '.$this->said($placement, $all);
        });
    }

    /** @param  array<string, mixed>  $given */
    public static function token(array $given): string
    {
        return hash('xxh64', (string) json_encode($given));
    }

    /** The page on which a placement is seen: its category, or itself. */
    public static function pageOf(string $placement): string
    {
        return preg_match('/:(\d+)$/D', $placement, $part) === 1 ? $part[1] : $placement;
    }

    private function clear(Journal $journal, int $lineup): void
    {
        foreach (['filters', 'filter_changes'] as $table) {
            foreach (DB::table($table)->where('lineup_id', $lineup)->pluck('id') as $id) {
                $journal->delete($table, (int) $id);
            }
        }
    }

    /** @param  array<string, mixed>  $properties */
    private function write(Journal $journal, int $lineup, string $key, array $properties, string $placement, Compositions $all): void
    {
        $own = Filter::query()->with('definition')->where('lineup_id', $lineup)->get()->first(fn (Filter $filter): bool => $filter->key() === $key);
        if ($own !== null) {
            $columns = Filter::columns($properties + array_diff_key($own->settings(), ['key' => 0, 'kind' => 0]));
            if (($columns['unit'] ?? null) === $own->definition?->unit) {
                $columns['unit'] = null;
            }
            $journal->update('filters', $own->id, $columns);

            return;
        }
        $inherited = ($this->before($all, $placement)->filters[$key] ?? throw Refused::unknown('filter', $key))->given + FilterSettings::DEFAULTS;
        $other = array_filter($properties, fn (mixed $value, string $name): bool => array_key_exists($name, $inherited) && ! in_array($name, ['key', 'kind'], true) && self::plain($inherited[$name]) !== self::plain($value), ARRAY_FILTER_USE_BOTH);
        $change = FilterChange::query()->where('lineup_id', $lineup)->where('key', $key)->first();
        $settings = (string) json_encode($other, JSON_UNESCAPED_UNICODE);
        match (true) {
            $change === null && $other === [] => null,
            $change === null => $journal->insert('filter_changes', ['lineup_id' => $lineup, 'key' => $key, 'settings' => $settings]),
            $other === [] => $journal->delete('filter_changes', $change->id),
            default => $journal->update('filter_changes', $change->id, ['settings' => $settings, 'dropped' => 0]),
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

    /** What a placement inherits: its page's line-up without what is said at it. */
    public function before(Compositions $all, string $placement): ComposedLineup
    {
        $layers = [];
        foreach (Placement::chain(self::pageOf($placement), $all->tree) as $one) {
            if ($one === $placement) {
                break;
            }
            $layer = $all->layer($one);
            $layer === null ?: $layers[] = $layer;
        }

        return ComposedLineup::of(...$layers);
    }

    /** @return array<string, mixed> */
    private function filter(Compositions $all, string $key, string $placement): array
    {
        return ($all->of(self::pageOf($placement))->filters[$key] ?? throw Refused::unknown('filter', $key))->given;
    }

    /** @param  Closure(Journal, int): string  $act */
    private function record(string $placement, Closure $act): ?Change
    {
        return $this->ledger->record('Line-ups', function (Journal $journal) use ($placement, $act): string {
            $lineup = Lineup::query()->where('placement', $placement)->value('id') ?? $journal->insert('lineups', ['placement' => $placement]);

            return $act($journal, (int) $lineup);
        });
    }

    private function said(string $placement, Compositions $all): string
    {
        return $placement === Placement::SHOP ? "the shop's line-up" : 'the line-up of '.Placement::of($placement, $all->tree)->name($all->tree);
    }

    /** @param  list<string>  $taken */
    private static function free(string $title, array $taken): string
    {
        for ($try = $title, $n = 2; in_array($try, $taken, true); $n++) {
            $try = "{$title} {$n}";
        }

        return $try;
    }
}
