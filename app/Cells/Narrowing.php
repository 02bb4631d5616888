<?php

declare(strict_types=1);

namespace App\Cells;

use App\Models\Item;
use App\Support\Refused;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\Request;

/**
 * Which products a list is narrowed to. Pages, saved views, fill rules and the command line write it the same way, one
 * condition a line: category:paint, words:sap green, color:sap-green, color:red|blue (any of them), missing:volume,
 * gap:volume (missing where it is expected), price:5..20, volume:50.., stock:1..,
 * feed:Tarnbeck, changed:2026-11-01, gone:out, origin:color=hand, sku:NO-001.
 */
final readonly class Narrowing
{
    private const MOST = 40;

    /** Conditions that mean what is out of the shop, too. */
    private const OUT_TOO = ['gone', 'sku'];

    /**
     * @param  list<Condition>  $conditions
     * @param  bool  $inShop  whether what is out of the shop is left out, where no condition means it
     */
    private function __construct(public array $conditions, private bool $inShop = false)
    {
    }

    /**
     * From an address: where[] as written above; q, price, stock and changed by themselves.
     *
     * @throws Refused for what does not exist, by its name
     */
    public static function from(Request $request): self
    {
        $where = [...(array) $request->input('where', []), self::chosen($request)];
        foreach ([
            'q' => 'words',
            'price' => 'price',
            'stock' => 'stock',
            'changed' => 'changed',
        ] as $input => $name) {
            $where[] = $name.':'.$request->string($input)->toString();
        }

        $lines = array_map(fn (mixed $line): string => is_scalar($line) ? (string) $line : '', $where);

        return new self(self::where(array_values($lines))->conditions, true);
    }

    /** What was chosen of one definition: its values (is[]), or a range of its numbers (from, to). */
    private static function chosen(Request $request): string
    {
        $by = $request->string('by')->toString();
        $values = array_filter((array) $request->input('is', []), fn (mixed $value): bool => is_string($value) && $value !== '');
        $range = trim($request->string('from')->toString()).'..'.trim($request->string('to')->toString());

        return $by === '' ? '' : $by.':'.($values === [] ? $range : implode(Condition::OR, $values));
    }

    /**
     * @param  list<string>  $lines  those without anything behind the colon say nothing
     *
     * @throws Refused for what does not exist, by its name
     */
    public static function where(array $lines): self
    {
        $conditions = [];
        foreach (array_slice($lines, 0, self::MOST) as $line) {
            [$name, $value] = explode(':', $line, 2) + [1 => ''];
            if (trim($value) !== '' && trim($value) !== '..') {
                $condition = Condition::of(trim($name), trim($value));
                $conditions[$condition->line()] = $condition;
            }
        }

        return new self(array_values($conditions));
    }

    public function isOpen(): bool
    {
        return $this->conditions === [];
    }

    /** @return list<string> as written above */
    public function lines(): array
    {
        return array_map(fn (Condition $condition): string => $condition->line(), $this->conditions);
    }

    public function without(Condition $other): self
    {
        return new self(
            array_values(array_filter($this->conditions, fn (Condition $condition): bool => $condition !== $other)),
            $this->inShop,
        );
    }

    /** The first condition of a name, such as the category. */
    public function named(string $name): ?Condition
    {
        foreach ($this->conditions as $condition) {
            if ($condition->name === $name) {
                return $condition;
            }
        }

        return null;
    }

    /** In words, for History and for rules. */
    public function inWords(): string
    {
        return implode(
            ', ',
            array_map(fn (Condition $condition): string => "{$condition->says} {$condition->shown}", $this->conditions),
        );
    }

    /** @return Builder<Item> products only */
    public function query(): Builder
    {
        $query = Item::query()->products();
        foreach ($this->conditions as $condition) {
            $condition->narrow($query);
        }
        $names = array_column($this->conditions, 'name');

        return $this->inShop && array_intersect($names, self::OUT_TOO) === [] ? $query->whereNull('items.out_since') : $query;
    }
}
