<?php

declare(strict_types=1);

namespace App\History;

use App\Models\ChangeRow;
use App\Models\Definition;
use App\Models\Item;
use App\Models\OfDefinition;
use App\Models\Origin;
use App\Models\Spelling;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\DB;

/**
 * Writes rows and remembers what they were, so that every change has an exact way back. Actions write through it and
 * nowhere else; only readings, which may touch a million rows, do not.
 */
final class Journal
{
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
     * @param  class-string<Model>  $class
     * @param  array<string, mixed>  $row  as its table keeps it
     * @return int the new row's id
     */
    public function insert(string $class, array $row): int
    {
        $this->allow($class, $row);
        $new = (new $class)->setRawAttributes($row);
        $new->save();
        $this->note($new, null, ['id' => $new->getKey()] + $row);

        return (int) $new->getKey();
    }

    /**
     * @param  class-string<Model>  $class
     * @param  array<string, mixed>  $changes  as its table keeps them; those that change nothing are left out
     */
    public function update(string $class, int $id, array $changes): void
    {
        $known = self::find($class, $id);
        $before = $known->getRawOriginal();
        $changes = self::different($before, $changes);
        if ($changes === []) {
            return;
        }
        $this->allow($class, $before);
        $this->allow($class, $changes);
        $known->setRawAttributes($changes + $before);
        $known->save();
        $this->note($known, array_intersect_key($before, $changes), $changes);
    }

    /**
     * The same for many products or variants at once, some hundred times faster: prices come by the thousand.
     *
     * @param  array<int, array<string, mixed>>  $changes  columns by item
     */
    public function updateItems(array $changes): void
    {
        $alike = [];
        foreach (Item::query()->whereIn('id', array_keys($changes))->get() as $item) {
            $before = $item->getRawOriginal();
            $other = self::different($before, $changes[$item->id]);
            if ($other !== []) {
                $this->note($item, array_intersect_key($before, $other), $other);
                ksort($other);
                $alike[implode(' ', array_keys($other))][$item->id] = $other;
            }
        }
        foreach ($alike as $columns => $rows) {
            $set = array_map(fn (string $column): string => "{$column} = json_extract(j.value, '$.{$column}')", explode(' ', $columns));
            DB::update(
                'UPDATE items SET '.
                    implode(', ', $set).
                    ', version = version + 1, updated_at = ? FROM json_each(?) j WHERE items.id = CAST(j.key AS INTEGER)',
                [now()->toDateTimeString(), json_encode($rows, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION)],
            );
        }
    }

    /**
     * @param  array<string, mixed>  $before
     * @param  array<string, mixed>  $changes
     * @return array<string, mixed> those that change something
     */
    private static function different(array $before, array $changes): array
    {
        return array_filter(
            $changes,
            fn (mixed $value, string $column): bool => ! self::same($before[$column] ?? null, $value),
            ARRAY_FILTER_USE_BOTH,
        );
    }

    /** @param  class-string<Model>  $class */
    public function delete(string $class, int $id): void
    {
        $known = self::find($class, $id);
        $this->allow($class, $known->getRawOriginal());
        $known->delete();
        $this->note($known, $known->getRawOriginal(), null);
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
            ChangeRow::query()->insert(array_map(fn (array $row): array => ['change_id' => $this->change] + $row, $chunk));
        }
    }

    /**
     * @param  class-string<Model>  $class
     * @return Model as it stands in the catalog
     */
    private static function find(string $class, int $id): Model
    {
        return $class::query()->whereKey($id)->firstOrFail();
    }

    /**
     * @param  class-string<Model>  $class
     * @param  array<string, mixed>  $row
     */
    private function allow(string $class, array $row): void
    {
        $definition = match (true) {
            $class === Definition::class => $row['id'] ?? null,
            is_a($class, OfDefinition::class, true) => $row['definition_id'] ?? null,
            default => null,
        };
        if ($definition !== null && ! isset($this->open[(int) $definition])) {
            ManagersOnly::allow((int) $definition);
            $this->open[(int) $definition] = true;
        }
    }

    /** Cells that a rule gave follow the rule; those of feeds are somebody's own only where they are changed by hand. */
    private function allowCells(string $which): void
    {
        $this->cells();
        $origin = 'origin IN ('.($this->ofFeeds ? Origin::HAND : Origin::HAND.', '.Origin::FEED).')';
        foreach (DB::select("SELECT DISTINCT definition_id FROM temp.{$which} WHERE {$origin}") as $cell) {
            $this->allow(Spelling::class, ['definition_id' => $cell->definition_id]);
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

    /**
     * @param  array<string, mixed>|null  $before
     * @param  array<string, mixed>|null  $after
     */
    private function note(Model $row, ?array $before, ?array $after): void
    {
        $encode = fn (?array $row): ?string => $row === null
            ? null
            : json_encode($row, JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR);
        $this->rows[] = [
            'table_name' => $row->getTable(),
            'row_key' => (string) $row->getKey(),
            'before' => $encode($before),
            'after' => $encode($after),
        ];
    }
}
