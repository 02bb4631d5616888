<?php

declare(strict_types=1);

namespace App\History;

use App\Models\CellMove;
use App\Models\Change;
use App\Models\ChangeRow;
use App\Models\Definition;
use App\Models\Item;
use App\Models\Tables;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** What taking a change back would do, and what stands in the way. */
final readonly class WayBack
{
    /** Obstacles that are named; there may be more. */
    private const NAMED = 5;

    private const LOOKED_AT = 1000;

    /** Tables of what words mean. */
    private const WORDS = ['attribute_values', 'spellings', 'umbrellas'];

    /** Columns of theirs that nothing is built upon. */
    private const PASSING = ['position', 'settled', 'version', 'updated_at'];

    private const NOUNS = [
        'attribute_values' => ['value', 'values'],
        'spellings' => ['spelling', 'spellings'],
        'definitions' => ['definition', 'definitions'],
        'headings' => ['heading', 'headings'],
        'items' => ['product or variant', 'products or variants'],
        'filters' => ['filter', 'filters'],
        'filter_changes' => ['change of an inherited filter', 'changes of inherited filters'],
        'categories' => ['category', 'categories'],
        'fill_rules' => ['fill rule', 'fill rules'],
        'expectations' => ['expectation', 'expectations'],
        'views' => ['saved view', 'saved views'],
        'umbrellas' => ['umbrella', 'umbrellas'],
        'kept_apart' => ['pair kept apart', 'pairs kept apart'],
        'lineups' => ['line-up', 'line-ups'],
        'assignments' => ['product value', 'product values'],
        'feeds' => ['feed', 'feeds'],
    ];

    /** @param  list<string>  $obstacles  sentences; empty when nothing stands in the way */
    private function __construct(public Change $change, public array $obstacles)
    {
    }

    public static function of(Change $change): self
    {
        $obstacles = match (true) {
            ! $change->has_way_back => ['It has no way back by itself.'],
            $change->taken_back_by !== null => ["It was taken back already, by entry {$change->taken_back_by}."],
            default => self::inTheWay($change),
        };

        return new self($change, $obstacles);
    }

    public function isOpen(): bool
    {
        return $this->obstacles === [];
    }

    /** @return array<string, string> figures in words, by what they are about */
    public function consequences(): array
    {
        $lines = [];
        $counts = ChangeRow::query()
            ->where('change_id', $this->change->id)
            ->selectRaw('table_name, "before" IS NULL AS came, "after" IS NULL AS went, COUNT(*) AS n')
            ->groupBy('table_name', 'came', 'went')
            ->toBase()
            ->get();
        foreach ($counts as $count) {
            $noun = self::NOUNS[$count->table_name][$count->n === 1 ? 0 : 1] ?? $count->table_name;
            $verb = match (true) {
                (bool) $count->came => $count->n === 1 ? 'goes again' : 'go again',
                (bool) $count->went => $count->n === 1 ? 'comes back' : 'come back',
                default => $count->n === 1 ? 'as it was before' : 'as they were before',
            };
            $lines[ucfirst($noun).' '.$verb] = number_format($count->n);
        }
        foreach (
            CellMove::table()
                ->where('change_id', $this->change->id)
                ->groupBy('came')
                ->selectRaw('came, COUNT(*) AS n')
                ->pluck('n', 'came') as $came => $n
        ) {
            $lines[
                ucfirst(self::NOUNS['assignments'][$n === 1 ? 0 : 1]).
                    ($came === 1 ? ($n === 1 ? ' goes again' : ' go again') : ($n === 1 ? ' comes back' : ' come back'))
            ] = number_format($n);
        }
        $moved = DB::select(
            'SELECT b.existed, i.id IS NOT NULL AS there, COUNT(*) AS n FROM item_changes b LEFT JOIN items i ON i.id = b.item_id
                WHERE b.change_id = ? GROUP BY 1, 2',
            [$this->change->id],
        );
        foreach ($moved as $items) {
            $does = match (true) {
                ! $items->existed => $items->n === 1 ? 'goes again' : 'go again',
                (bool) $items->there => $items->n === 1 ? 'as it was before' : 'as they were before',
                default => $items->n === 1 ? 'comes back' : 'come back',
            };
            $lines[ucfirst(self::NOUNS['items'][$items->n === 1 ? 0 : 1]).' '.$does] = number_format($items->n);
        }
        $products = $this->productsConcerned();
        if ($products > 0) {
            $lines['Products concerned'] = number_format($products);
        }

        return $lines;
    }

    private function productsConcerned(): int
    {
        $id = $this->change->id;

        return (int) (DB::selectOne(
            "SELECT COUNT(DISTINCT COALESCE(i.parent_id, i.id)) AS n FROM items i WHERE i.id IN (
                SELECT a.item_id FROM assignments a
                JOIN change_rows r ON r.table_name = 'spellings' AND CAST(r.row_key AS INTEGER) = a.spelling_id WHERE r.change_id = ?
                UNION SELECT item_id FROM cell_changes WHERE change_id = ?
                UNION SELECT item_id FROM item_changes WHERE change_id = ?
                UNION SELECT CAST(row_key AS INTEGER) FROM change_rows WHERE change_id = ? AND table_name = 'items')",
            [$id, $id, $id, $id],
        )->n ?? 0);
    }

    /** @return list<string> */
    private static function inTheWay(Change $change): array
    {
        $obstacles = [];
        $seen = [];
        foreach ($change->rows()->orderByDesc('id')->lazy(1000) as $row) {
            // Of a row that it touched several times, the last state is what it left.
            $key = "{$row->table_name}:{$row->row_key}";
            if (isset($seen[$key]) || self::standsAsLeft($row, self::current($row))) {
                $seen[$key] = true;

                continue;
            }
            $seen[$key] = true;
            $later = self::laterChange($row);
            $obstacles[$later->id ?? 0] =
                $later === null
                    ? 'Newer data has changed the '.
                        (self::NOUNS[$row->table_name][0] ?? $row->table_name).
                        ' it would set back.'
                    : self::named($later->id);
            if (count($obstacles) >= self::NAMED) {
                break;
            }
        }

        return [
            ...array_values(
                $obstacles + self::builtUpon($change) + self::spellingsInTheWay($change) + self::itemsInTheWay($change),
            ),
            ...self::cellsInTheWay($change),
        ];
    }

    /**
     * Later changes of products that this one brought or changed: of those that it brought, their values, too.
     *
     * @return array<int, string> obstacles by the later change
     */
    private static function itemsInTheWay(Change $change): array
    {
        $standing =
            'JOIN changes c ON c.id = theirs.change_id AND c.taken_back_by IS NULL AND c.takes_back IS NULL WHERE mine.change_id = ?';
        $later = DB::select(
            "SELECT DISTINCT c.id FROM item_changes mine
                JOIN item_changes theirs ON theirs.item_id = mine.item_id AND theirs.change_id > mine.change_id {$standing}
            UNION SELECT DISTINCT c.id FROM item_changes mine
            JOIN cell_changes theirs ON theirs.item_id = mine.item_id AND theirs.change_id > mine.change_id {$standing} AND mine.existed = 0
            ORDER BY 1 DESC LIMIT ".self::NAMED,
            [$change->id, $change->id],
        );
        $obstacles = [];
        foreach ($later as $one) {
            $obstacles[(int) $one->id] = self::named((int) $one->id);
        }

        return $obstacles;
    }

    /**
     * Later changes that said something else of the rows that this one wrote, even where all is as it was again by now: they could not be
     * taken back any more without it.
     *
     * @return array<int, string> obstacles by the later change
     */
    private static function builtUpon(Change $change): array
    {
        $later = ChangeRow::table('mine')
            ->join(
                'change_rows as theirs',
                fn ($join) => $join
                    ->on('theirs.table_name', 'mine.table_name')
                    ->on('theirs.row_key', 'mine.row_key')
                    ->on('theirs.change_id', '>', 'mine.change_id'),
            )
            ->join('changes as c', 'c.id', '=', 'theirs.change_id')
            ->where('mine.change_id', $change->id)
            ->whereIn('mine.table_name', self::WORDS)
            ->whereNotNull('theirs.before')
            ->whereNotNull('theirs.after')
            ->whereNull('c.taken_back_by')
            ->whereNull('c.takes_back')
            ->where('c.has_way_back', true)
            ->orderBy('c.id')
            ->limit(self::LOOKED_AT)
            ->get(['c.id', 'theirs.after', 'mine.before']);
        $obstacles = [];
        foreach ($later as $row) {
            $columns = array_keys((array) json_decode((string) $row->after, true));
            $own = $row->before === null ? $columns : array_keys((array) json_decode((string) $row->before, true));
            if (count($obstacles) < self::NAMED && array_diff(array_intersect($columns, $own), self::PASSING) !== []) {
                $obstacles[$row->id] ??= self::named((int) $row->id);
            }
        }

        return $obstacles;
    }

    /**
     * Later changes that took cells away whose spelling this one brought: it has to be there when they are taken back.
     *
     * @return array<int, string> obstacles by the later change
     */
    private static function spellingsInTheWay(Change $change): array
    {
        $brought = ChangeRow::table()
            ->where('change_id', $change->id)
            ->where('table_name', 'spellings')
            ->whereNull('before')
            ->selectRaw('CAST(row_key AS INTEGER)');
        if ((clone $brought)->doesntExist()) {
            return [];
        }
        $later = Change::table('c')
            ->where('c.id', '>', $change->id)
            ->whereNull('c.taken_back_by')
            ->whereNull('c.takes_back')
            ->whereExists(
                fn (Builder $taken) => $taken
                    ->from('cell_changes')
                    ->whereColumn('change_id', 'c.id')
                    ->where('came', 0)
                    ->whereIn('spelling_id', $brought),
            )
            ->orderBy('c.id')
            ->limit(self::NAMED)
            ->pluck('c.id');

        return $later->mapWithKeys(fn (int $id): array => [$id => self::named($id)])->all();
    }

    /**
     * Cells that are no more as the change left them, and cells that came where it took the only one away.
     *
     * @return list<string>
     */
    private static function cellsInTheWay(Change $change): array
    {
        $moved = DB::select(
            'SELECT c.item_id, c.definition_id FROM cell_changes c LEFT JOIN assignments a USING (item_id, definition_id, spelling_id)
            WHERE c.change_id = ? AND c.came = 1 AND a.origin IS NOT c.origin
            UNION ALL SELECT c.item_id, c.definition_id FROM cell_changes c JOIN assignments a USING (item_id, definition_id)
            JOIN definitions d ON d.id = c.definition_id
            LEFT JOIN cell_changes n ON n.change_id = c.change_id AND n.came = 1 AND n.item_id = a.item_id
            AND n.definition_id = a.definition_id AND n.spelling_id = a.spelling_id
            WHERE c.change_id = ? AND c.came = 0 AND n.change_id IS NULL AND (a.spelling_id = c.spelling_id OR d.multiple = 0)
            LIMIT 200',
            [$change->id, $change->id],
        );
        $obstacles = [];
        foreach ($moved as $cell) {
            $later = CellMove::table()
                ->where('item_id', $cell->item_id)
                ->where('definition_id', $cell->definition_id)
                ->where('change_id', '>', $change->id)
                ->max('change_id');
            $obstacles[$later ?? 0] ??=
                $later === null
                    ? 'Newer data has changed '.
                        (Definition::table()->where('id', $cell->definition_id)->value('label') ?? 'a value').
                        ' of '.
                        Item::table()->where('id', $cell->item_id)->value('sku').
                        '.'
                    : self::named((int) $later);
            if (count($obstacles) >= self::NAMED) {
                break;
            }
        }

        return array_values($obstacles);
    }

    private static function named(int $id): string
    {
        $later = Change::query()->whereKey($id)->firstOrFail();

        return "Entry {$later->id} stands in the way: {$later->summary}. Take that back first.";
    }

    /** @param  array<string, mixed>|null  $now */
    private static function standsAsLeft(ChangeRow $row, ?array $now): bool
    {
        if ($row->after === null || $now === null) {
            return $row->after === null && $now === null;
        }
        foreach ($row->after as $column => $value) {
            if ($row->before !== null && ! Journal::same($now[$column] ?? null, $value)) {
                return false;
            }
        }

        return true;
    }

    /** @return array<string, mixed>|null */
    private static function current(ChangeRow $row): ?array
    {
        $found = Tables::model($row->table_name)::query()->toBase()->where('id', $row->row_key)->first();

        return $found === null ? null : (array) $found;
    }

    private static function laterChange(ChangeRow $row): ?Change
    {
        return Change::query()
            ->whereIn(
                'id',
                ChangeRow::query()
                    ->where('table_name', $row->table_name)
                    ->where('row_key', $row->row_key)
                    ->where('change_id', '>', $row->change_id)
                    ->select('change_id'),
            )
            ->latest('id')
            ->first();
    }
}
