<?php

declare(strict_types=1);

namespace Lokum\Lineup;

/**
 * The line-up that a page gets (C11): what is said for the whole shop, changed by what is said on the way down to the page. The
 * nearest says most: it can add, drop, reorder, or change single properties; all the rest is inherited.
 */
final readonly class ComposedLineup
{
    /**
     * @param  array<string, ComposedFilter>  $filters  by key, in order
     * @param  array<string, DroppedFilter>  $dropped  by key
     * @param  list<Layer>  $layers  from the farthest to the nearest
     * @param  array<string, mixed>  $settings  of the page itself, the nearest said
     */
    private function __construct(public array $filters, public array $dropped, public array $layers, public array $settings)
    {
    }

    /**
     * One line-up of several layers, the widest placement first: what a later one says of a filter comes before what an
     * earlier one says (C11).
     */
    public static function of(Layer ...$layers): self
    {
        $filters = [];
        $dropped = [];
        $settings = [];
        foreach ($layers as $layer) {
            foreach ($layer->dropped as $key) {
                if (isset($filters[$key])) {
                    $dropped[$key] = new DroppedFilter($filters[$key], $layer->id);
                    unset($filters[$key]);
                }
            }
            foreach ($layer->changed as $key => $changes) {
                if (isset($filters[$key])) {
                    $was = $filters[$key];
                    $filters[$key] = new ComposedFilter(
                        $key,
                        array_replace($was->given, $changes),
                        $was->from,
                        array_replace($was->changed, array_fill_keys(array_keys($changes), $layer->id)),
                    );
                }
            }
            foreach ($layer->added as $key => $given) {
                if (! isset($filters[$key])) {
                    $filters[$key] = new ComposedFilter($key, $given, $layer->id);
                    unset($dropped[$key]);
                }
            }
            $filters = self::ordered($filters, $layer->order);
            $settings = array_replace($settings, array_filter($layer->settings, fn (mixed $value): bool => $value !== null));
        }

        $filters = self::grouped($filters);

        return new self($filters, $dropped, array_values($layers), $settings);
    }

    /**
     * Filters of one heading follow the first of them, in their order.
     *
     * @param  array<string, ComposedFilter>  $filters
     * @return array<string, ComposedFilter>
     */
    private static function grouped(array $filters): array
    {
        if (array_filter($filters, fn (ComposedFilter $filter): bool => isset($filter->given['group'])) === []) {
            return $filters;
        }
        $groups = $grouped = [];
        foreach ($filters as $key => $filter) {
            $groups[(string) $filter->settings()->group][$key] = $filter;
        }
        foreach ($filters as $key => $filter) {
            $group = $filter->settings()->group;
            $grouped += $group === null ? [$key => $filter] : $groups[$group];
        }

        return $grouped;
    }

    /** The nearest line-up that says a property of a filter otherwise than where it is added; null where none does. */
    public function changing(string $key): ?Layer
    {
        foreach (array_reverse($this->layers) as $layer) {
            if (in_array($layer->id, $this->filters[$key]->changed ?? [], true)) {
                return $layer;
            }
        }

        return null;
    }

    /**
     * @param  array<string, ComposedFilter>  $filters
     * @param  list<string>|null  $order
     * @return array<string, ComposedFilter>
     */
    private static function ordered(array $filters, ?array $order): array
    {
        $ordered = [];
        foreach ($order ?? [] as $key) {
            if (isset($filters[$key])) {
                $ordered[$key] = $filters[$key];
            }
        }

        return $ordered + $filters;
    }
}
