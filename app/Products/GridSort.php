<?php

declare(strict_types=1);

namespace App\Products;

use App\Models\Definition;
use App\Models\Item;
use App\Models\State;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\Request;
use Lokum\Vocabulary\Kind;

/**
 * What the list of products is ordered by: a column of the products themselves, or what they carry of a definition. Those that carry
 * nothing of it come last, either way; equal ones by their number.
 */
final readonly class GridSort
{
    private const OWN = ['title', 'sku', 'id'];

    /** Behind every text. */
    private const LAST = "\u{10FFFD}";

    /** A number as a text that is ordered as the numbers are: places in a list are kept as texts. */
    private const AS_TEXT = "CASE WHEN n.x IS NULL THEN %s WHEN n.x < 0 THEN '0' || PRINTF('%%030.9f', 1e12 + n.x) ".
        "ELSE '1' || PRINTF('%%030.9f', n.x) END";

    private function __construct(public string $key, public bool $down, private ?string $sql)
    {
    }

    public static function from(Request $request): self
    {
        $key = $request->string('sort')->toString();
        $down = $request->boolean('down');
        $sql = match (true) {
            in_array($key, self::OWN, true) => null,
            $key === 'price', $key === 'stock' => self::number(
                "COALESCE((SELECT MIN(v.{$key}) FROM items v WHERE v.parent_id = items.id), items.{$key})",
                $down,
            ),
            $key === 'category' => self::text('(SELECT c.path FROM categories c WHERE c.id = items.category_id)', $down),
            default => self::carried($key, $down),
        };

        return $sql === null && ! in_array($key, self::OWN, true) ? new self('title', $down, null) : new self($key, $down, $sql);
    }

    /** The column that the list is ordered by, as a place in it is named. */
    public function column(): string
    {
        return $this->sql === null ? $this->key : 'sorting';
    }

    /**
     * @param  Builder<Item>  $query
     * @return Builder<Item>
     */
    public function order(Builder $query, bool $backwards = false): Builder
    {
        if ($this->sql !== null) {
            $query = Item::query()->fromSub($query->select('items.*')->selectRaw("{$this->sql} AS sorting"), 'items');
        }
        $direction = $this->down !== $backwards ? 'desc' : 'asc';

        return $query
            ->orderBy($this->column(), $direction)
            ->when($this->key !== 'id', fn (Builder $query) => $query->orderBy('id', $backwards ? 'desc' : 'asc'));
    }

    /**
     * Those behind a product in the order, or before it, the nearest first.
     *
     * @param  Builder<Item>  $query
     * @return Builder<Item>
     */
    public function beside(Builder $query, Item $item, bool $before): Builder
    {
        $column = $this->column();
        $place = $this->sql === null
            ? $item->getAttribute($this->key)
            : Item::query()->whereKey($item->id)->selectRaw("{$this->sql} AS sorting")->value('sorting');
        [$first, $second] = $before ? ['<', '<'] : ['>', '>'];
        $first = $this->down ? ['<' => '>', '>' => '<'][$first] : $first;

        return $this->order($query, backwards: $before)->where(
            fn (Builder $either) => $either
                ->where($column, $first, $place)
                ->orWhere(fn (Builder $same) => $same->where($column, $place)->where('id', $second, $item->id)),
        );
    }

    /** The lowest of what a product and its variants carry, or the greatest where these come first. */
    private static function carried(string $slug, bool $down): ?string
    {
        $definition = Definition::called($slug);
        if ($definition === null || $definition->state === State::Aside) {
            return null;
        }
        $pick = $down ? 'MAX' : 'MIN';
        $what = match (true) {
            $definition->kind === Kind::Number, $definition->kind === Kind::Date => 's.number',
            $definition->kind->isAttribute() => '(SELECT v.label FROM attribute_values v WHERE v.id = s.value_id) COLLATE NOCASE',
            default => 's.text COLLATE NOCASE',
        };
        $sql = "(SELECT {$pick}({$what}) FROM assignments a JOIN spellings s ON s.id = a.spelling_id
            WHERE a.definition_id = {$definition->id} AND a.item_id IN (SELECT items.id UNION ALL
            SELECT v.id FROM items v WHERE v.parent_id = items.id))";

        return $what === 's.number' ? self::number($sql, $down) : self::text($sql, $down);
    }

    private static function text(string $sql, bool $down): string
    {
        return "LOWER(COALESCE({$sql}, '".($down ? '' : self::LAST)."'))";
    }

    private static function number(string $sql, bool $down): string
    {
        return '(SELECT '.sprintf(self::AS_TEXT, $down ? "''" : "'2'")." FROM (SELECT {$sql} AS x) n)";
    }
}
