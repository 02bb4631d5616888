<?php

declare(strict_types=1);

namespace App\History;

use App\Models\Change;
use App\Models\ChangeRow;
use App\Models\Room;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use stdClass;

/** What acts have touched since a point in History: definitions by their words and cells, and prices and stock. */
final readonly class Touched
{
    /** Rows up to which it is worth telling apart what they touch, before a publication and before a page. */
    public const MOST = 20_000;

    public const FEW = 2_000;

    private const CHUNK = 500;

    /** Rows that no edition shows, or that every edition writes anew. */
    private const ALWAYS = [
        'expectations',
        'feeds',
        'fill_rules',
        'filter_changes',
        'filters',
        'headings',
        'kept_apart',
        'lineups',
        'views',
    ];

    /** Rows of a definition's words. */
    private const WORDS = ['attribute_values', 'former_addresses', 'spellings', 'umbrellas'];

    /** Columns of products and variants that are told apart, and those that nobody sees. */
    private const PRICES = ['price', 'stock'];

    /** Columns of products and variants that shoppers see, beside those two. */
    private const SHOWN = [
        'parent_id',
        'sku',
        'name',
        'category_id',
        'currency',
        'description',
        'image',
        'created_at',
        'out_since',
        'also_in',
        'also_by_hand',
    ];

    private const UNSEEN = ['version', 'updated_at', 'row_hash', 'feed_id'];

    /**
     * @param  int  $revision  of History then
     * @param  array<int, true>  $definitions  by id
     * @param  list<int>  $cells  items that carry something else now
     * @param  array<int, array{price: float|null, stock: int|null}>  $prices  of items by id, as they were then
     * @param  array<string, true>  $fields  which of the two is another now
     */
    private function __construct(
        public int $revision,
        public array $definitions,
        public array $cells,
        public array $prices,
        public array $fields,
    ) {
    }

    /** Null where more was touched than can be told apart. */
    public static function since(int $revision, int $most = self::MOST): ?self
    {
        $changes = Change::query()->where('id', '>', $revision);
        $rows = ChangeRow::query()->where('change_id', '>', $revision)->orderBy('id');
        $cells = DB::table('cell_changes')->where('change_id', '>', $revision);
        $items = DB::table('item_changes')->where('change_id', '>', $revision);
        if (
            (clone $changes)->count() > $most ||
            (clone $rows)->count() + (clone $cells)->count() + (clone $items)->count() > $most ||
            self::isMore($changes->get(['id', 'room'])) ||
            self::isMoreThanPrices($revision)
        ) {
            return null;
        }
        $definitions = [];
        $was = self::noted($items);
        $words = array_fill_keys(self::WORDS, []);
        foreach ($rows->get() as $row) {
            $key = (int) $row->row_key;
            if (isset($words[$row->table_name])) {
                $words[$row->table_name][] = $key;
                $said = array_filter([$row->before['definition_id'] ?? null, $row->after['definition_id'] ?? null]);
                $definitions += array_fill_keys(array_map(intval(...), $said), true);
            } elseif ($row->table_name === 'items' && self::isOfPrices($row)) {
                $was[] = [$row->change_id, $key, array_intersect_key($row->before ?? [], array_flip(self::PRICES))];
            } elseif (! in_array($row->table_name, self::ALWAYS, true)) {
                return null;
            }
        }

        [$prices, $fields] = self::changed(self::first($was));

        return new self(
            $revision,
            $definitions + self::definitionsOf($words) + array_fill_keys((clone $cells)->distinct()->pluck('definition_id')->all(), true),
            array_values($cells->distinct()->pluck('item_id')->all()),
            $prices,
            $fields,
        );
    }

    /**
     * Whether anything was done that rows, cells and products do not tell: an act that notes none.
     *
     * @param  Collection<int, Change>  $changes
     */
    private static function isMore(Collection $changes): bool
    {
        $telling = $changes->whereNotIn('room', [Room::Access, Room::Publishing, Room::LineUps])->pluck('id');
        $noted = ChangeRow::query()
            ->whereIn('change_id', $telling)
            ->distinct()
            ->pluck('change_id')
            ->merge(DB::table('cell_changes')->whereIn('change_id', $telling)->distinct()->pluck('change_id'))
            ->merge(DB::table('item_changes')->whereIn('change_id', $telling)->distinct()->pluck('change_id'))
            ->unique();

        return $changes->contains('room', Room::Settings) || count($noted) < count($telling);
    }

    /** Whether products or variants have come or gone, or are otherwise in more than price and stock: in a delivery, say. */
    private static function isMoreThanPrices(int $revision): bool
    {
        $same = implode(' AND ', array_map(fn (string $column): string => "b.{$column} IS i.{$column}", self::SHOWN));

        return DB::table('item_changes as b')
            ->leftJoin('items as i', 'i.id', '=', 'b.item_id')
            ->where('b.change_id', '>', $revision)
            ->where(fn (Builder $any) => $any->where('b.existed', 0)->orWhereNull('i.id')->orWhereRaw("NOT ({$same})"))
            ->exists();
    }

    /** @return list<array{0: int, 1: int, 2: array<string, mixed>}> change, item and what it had before, of products noted as they were */
    private static function noted(Builder $items): array
    {
        return array_values(
            $items
                ->get(['change_id', 'item_id', ...self::PRICES])
                ->map(fn (stdClass $was): array => [
                    (int) $was->change_id,
                    (int) $was->item_id,
                    ['price' => $was->price, 'stock' => $was->stock],
                ])
                ->all(),
        );
    }

    /**
     * @param  list<array{0: int, 1: int, 2: array<string, mixed>}>  $was
     * @return array<int, array<string, mixed>> by item; what it had first is how it was then
     */
    private static function first(array $was): array
    {
        usort($was, fn (array $one, array $other): int => $one[0] <=> $other[0]);
        $first = [];
        foreach ($was as [, $item, $then]) {
            $first[$item] = ($first[$item] ?? []) + $then;
        }

        return $first;
    }

    private static function isOfPrices(ChangeRow $row): bool
    {
        return $row->before !== null &&
            $row->after !== null &&
            array_diff(array_keys($row->before), self::PRICES, self::UNSEEN) === [];
    }

    /**
     * @param  array<string, list<int>>  $words  rows by table
     * @return array<int, true> definitions that they belong to now
     */
    private static function definitionsOf(array $words): array
    {
        $definitions = [];
        foreach ($words as $table => $keys) {
            foreach (array_chunk($keys, self::CHUNK) as $chunk) {
                foreach (DB::table($table)->whereIn('id', $chunk)->distinct()->pluck('definition_id') as $definition) {
                    $definitions[(int) $definition] = true;
                }
            }
        }

        return $definitions;
    }

    /**
     * @param  array<int, array<string, mixed>>  $was  what is known to have been, by item
     * @return array{0: array<int, array{price: float|null, stock: int|null}>, 1: array<string, true>} prices and stock then of those that
     *                                                                                                have others now, and which of the two
     */
    private static function changed(array $was): array
    {
        $prices = $fields = [];
        $of = fn (mixed $price, mixed $stock): array => [
            'price' => $price === null ? null : (float) $price,
            'stock' => $stock === null ? null : (int) $stock,
        ];
        foreach (array_chunk(array_keys($was), self::CHUNK) as $items) {
            foreach (DB::table('items')->whereIn('id', $items)->get(['id', ...self::PRICES]) as $now) {
                $then = $was[(int) $now->id] + (array) $now;
                [$then, $has] = [$of($then['price'], $then['stock']), $of($now->price, $now->stock)];
                $others = array_filter(self::PRICES, fn (string $field): bool => $then[$field] !== $has[$field]);
                if ($others !== []) {
                    $prices[(int) $now->id] = $then;
                    $fields += array_fill_keys($others, true);
                }
            }
        }

        return [$prices, $fields];
    }

    /**
     * Whether nothing of this was touched.
     *
     * @param  list<int|string>  $about  definitions by id, "price" and "stock"
     */
    public function keeps(array $about): bool
    {
        return array_intersect_key($this->definitions + $this->fields, array_flip($about)) === [];
    }

    /** @return list<int> items whose rows are otherwise now */
    public function items(): array
    {
        return array_values(array_unique([...$this->cells, ...array_keys($this->prices)]));
    }
}
