<?php

declare(strict_types=1);

namespace App\History;

use Illuminate\Support\Facades\DB;

/**
 * Writes rows and remembers what they were, so that every change has an exact way back. Actions write through it and
 * nowhere else; only readings, which may touch a million rows, do not.
 */
final class Journal
{
    private const VERSIONED = [
        'items',
        'definitions',
        'attribute_values',
        'filters',
        'filter_changes',
        'lineups',
        'fill_rules',
        'views',
        'umbrellas',
    ];

    private const DATED = [
        'items',
        'definitions',
        'attribute_values',
        'filters',
        'filter_changes',
        'lineups',
        'feeds',
        'fill_rules',
        'views',
        'umbrellas',
    ];

    /** Tables of what a definition is and holds, which managers may have kept for themselves. */
    private const KEPT = ['attribute_values', 'spellings', 'umbrellas', 'kept_apart', 'fill_rules', 'expectations'];

    private const CHUNK = 100;

    /** @var list<array{table_name: string, row_key: string, before: string|null, after: string|null}> */
    private array $rows = [];

    private ?CellMoves $cells = null;

    private int $moved = 0;

    /** @var array<int, true> definitions that were found to be open to whoever is at work */
    private array $open = [];

    /**
     * @param  int  $change  the entry of History that all of it belongs to
     * @param  bool  $ofFeeds  whether it is about what feeds have sent, which belongs to nobody's hand
     */
    public function __construct(private readonly int $change, private readonly bool $ofFeeds = false)
    {
    }

    /**
     * @param  array<string, mixed>  $row
     * @return int the new row's id
     */
    public function insert(string $table, array $row): int
    {
        $this->allow($table, $row);
        $now = now()->toDateTimeString();
        $dates = in_array($table, self::DATED, true) ? ['created_at' => $now, 'updated_at' => $now] : [];
        $id = DB::table($table)->insertGetId($row + $dates);
        $this->note($table, (string) $id, null, ['id' => $id] + $row);

        return $id;
    }

    /** @param  array<string, mixed>  $changes */
    public function update(string $table, int $id, array $changes): void
    {
        $before = (array) DB::table($table)
            ->where('id', $id)
            ->first([...array_keys($changes), ...in_array($table, self::KEPT, true) ? ['definition_id'] : []]);
        $changes = array_filter(
            $changes,
            fn (mixed $value, string $column): bool => ! self::same($before[$column] ?? null, $value),
            ARRAY_FILTER_USE_BOTH,
        );
        if ($changes === []) {
            return;
        }
        $this->allow($table, $before + ['id' => $id]);
        $this->allow($table, $changes);
        DB::table($table)
            ->where('id', $id)
            ->update($changes + self::touch($table));
        $this->note($table, (string) $id, array_intersect_key($before, $changes), $changes);
    }

    public function delete(string $table, int $id): void
    {
        $before = (array) DB::table($table)->where('id', $id)->first();
        $this->allow($table, $before);
        DB::table($table)->where('id', $id)->delete();
        $this->note($table, (string) $id, $before, null);
    }

    /** Cells that come and go by the set: fill its tables, then take() and put(). */
    public function cells(): CellMoves
    {
        return $this->cells ??= new CellMoves();
    }

    /** Sets products and variants back to how they stood before a change. */
    public function setItemsBack(int $of): void
    {
        $this->moved += (new ItemMoves())->setBack($of, $this->change);
    }

    /** Takes away what was gathered as going. */
    public function take(): void
    {
        $this->allowCells('going');
        $this->moved += $this->cells()->take($this->change);
    }

    /** Puts what was gathered as coming. */
    public function put(): void
    {
        $this->allowCells('coming');
        $this->moved += $this->cells()->put($this->change);
    }

    public function isEmpty(): bool
    {
        return $this->rows === [] && $this->moved === 0;
    }

    public function save(): void
    {
        foreach (array_chunk($this->rows, self::CHUNK) as $chunk) {
            DB::table('change_rows')->insert(array_map(fn (array $row): array => ['change_id' => $this->change] + $row, $chunk));
        }
    }

    /** @param  array<string, mixed>  $row */
    private function allow(string $table, array $row): void
    {
        $definition =
            $table === 'definitions'
                ? $row['id'] ?? null
                : (in_array($table, self::KEPT, true)
                    ? $row['definition_id'] ?? null
                    : null);
        if ($definition !== null && ! isset($this->open[(int) $definition])) {
            ManagersOnly::allow((int) $definition);
            $this->open[(int) $definition] = true;
        }
    }

    /** Cells that a rule gave follow the rule; those of feeds are somebody's own only where they are changed by hand. */
    private function allowCells(string $which): void
    {
        $this->cells();
        $origin = $this->ofFeeds ? 'origin < 0' : 'origin <= 0';
        foreach (DB::select("SELECT DISTINCT definition_id FROM temp.{$which} WHERE {$origin}") as $cell) {
            $this->allow('spellings', ['definition_id' => $cell->definition_id]);
        }
    }

    /** Equal as the database stores it: 1 and true, 5 and 5.0. */
    public static function same(mixed $a, mixed $b): bool
    {
        $plain = fn (mixed $value): mixed => is_bool($value)
            ? (int) $value
            : (is_float($value) && floor($value) === $value && abs($value) < 1e15
                ? (int) $value
                : $value);

        return $plain($a) === $plain($b);
    }

    /** @return array<string, mixed> */
    private static function touch(string $table): array
    {
        return (in_array($table, self::VERSIONED, true) ? ['version' => DB::raw('version + 1')] : []) +
            (in_array($table, self::DATED, true) ? ['updated_at' => now()->toDateTimeString()] : []);
    }

    /**
     * @param  array<string, mixed>|null  $before
     * @param  array<string, mixed>|null  $after
     */
    private function note(string $table, string $key, ?array $before, ?array $after): void
    {
        $encode = fn (?array $row): ?string => $row === null
            ? null
            : json_encode($row, JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR);
        $this->rows[] = [
            'table_name' => $table,
            'row_key' => $key,
            'before' => $encode($before),
            'after' => $encode($after),
        ];
    }
}
