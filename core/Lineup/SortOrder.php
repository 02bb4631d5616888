<?php

declare(strict_types=1);

namespace Lokum\Lineup;

use Lokum\Text\Slug;

/** An order that shoppers can put a listing in: by one field, then by others where that is equal. */
final readonly class SortOrder
{
    /** In a key, behind a field of which the greatest comes first. */
    private const DOWN = ' down';

    /** Fields that every product has. */
    public const FIELDS = [
        'name' => 'Name',
        'price' => 'Price',
        'new' => 'When it was added',
        'stock' => 'Stock',
    ];

    /**
     * @param  string  $slug  the word for it in addresses
     * @param  non-empty-list<array{0: string, 1: bool}>  $by  field, and whether the greatest comes first
     */
    public function __construct(public string $slug, public string $name, public array $by, public bool $active = true)
    {
    }

    /** @return non-empty-list<self> what shoppers get where nobody says otherwise; the first is the default */
    public static function usual(): array
    {
        return [
            new self('name', 'Name', [['name', false]]),
            new self('price', 'Price, low to high', [['price', false]]),
            new self('price-down', 'Price, high to low', [['price', true]]),
            new self('new', 'Newest', [['new', true]]),
        ];
    }

    /**
     * @param  mixed  $given  as a line-up keeps it: lists of name, by and active
     * @return non-empty-list<self>
     */
    public static function list(mixed $given): array
    {
        $orders = [];
        foreach (is_array($given) ? $given : [] as $one) {
            $by = [];
            foreach (is_array($one) && is_array($one['by'] ?? null) ? $one['by'] : [] as $step) {
                if (is_array($step) && is_string($step[0] ?? null) && $step[0] !== '') {
                    $by[] = [$step[0], (bool) ($step[1] ?? false)];
                }
            }
            if ($by !== [] && is_array($one) && is_string($one['name'] ?? null)) {
                $slug = is_string($one['slug'] ?? null) && $one['slug'] !== '' ? $one['slug'] : Slug::of($one['name']);
                $orders[] = new self($slug, $one['name'], $by, ($one['active'] ?? true) !== false);
            }
        }

        return $orders === [] || array_filter($orders, fn (self $order): bool => $order->active) === [] ? self::usual() : $orders;
    }

    /**
     * @param  mixed  $given  as a line-up keeps it
     * @return non-empty-list<self> that shoppers can choose; the first is the usual one
     */
    public static function offered(mixed $given): array
    {
        $active = array_values(array_filter(self::list($given), fn (self $order): bool => $order->active));

        return $active === [] ? self::usual() : $active;
    }

    /**
     * What an order goes by, from its key.
     *
     * @return list<array{0: string, 1: bool}> as {@see self::$by}
     */
    public static function ofKey(string $key): array
    {
        foreach (self::usual() as $usual) {
            if ($usual->slug === $key) {
                return $usual->by;
            }
        }

        return array_map(
            fn (string $step): array => str_ends_with($step, self::DOWN) ? [substr($step, 0, -strlen(self::DOWN)), true] : [$step, false],
            explode(',', $key),
        );
    }

    /** Equal for orders that put products the same way. */
    public function key(): string
    {
        foreach (self::usual() as $usual) {
            if ($usual->by === $this->by) {
                return $usual->slug;
            }
        }

        return implode(',', array_map(fn (array $step): string => $step[0].($step[1] ? self::DOWN : ''), $this->by));
    }

    /** @return array{slug: string, name: string, by: list<array{0: string, 1: bool}>, active: bool} */
    public function toArray(): array
    {
        return [
            'slug' => $this->slug,
            'name' => $this->name,
            'by' => $this->by,
            'active' => $this->active,
        ];
    }
}
