<?php

declare(strict_types=1);

namespace App\Draft;

use App\History\Remembered;
use App\Models\Definition;
use Lokum\Lineup\Absence;
use Lokum\Lineup\Control;
use Lokum\Lineup\FilterSettings;
use Lokum\Lineup\Offer;
use Lokum\Lineup\ProductField;

/** Which filters would show on which category's page now, and why the others would not. */
final class DraftPages
{
    /** @var array<int, array<int, array<int, int>>> */
    private array $counted = [];

    public function __construct(private readonly Remembered $remembered, private readonly PageCounts $counts)
    {
    }

    /**
     * @param  array<int, array<int, array<int, int>>>  $counted  products by definition, category and term, where they were counted
     *         already
     * @return array<int, array<string, Absence|null>> by category id (0: the whole shop) and title; null where the filter shows
     */
    public function all(array $counted = []): array
    {
        return $this->remembered->of('pages', function () use ($counted): array {
            $this->counted = $counted;
            try {
                return $this->work();
            } finally {
                $this->counted = [];
            }
        });
    }

    /** @return array<int, int>|null filters that show, by category id (0: the whole shop); null where that would take a while */
    public function shown(): ?array
    {
        $pages = $this->remembered->soon('pages', $this->work(...));

        return $pages !== null
            ? array_map(fn (array $absences): int => count(array_filter($absences, is_null(...))), $pages)
            : null;
    }

    /** @return array<int, array<string, Absence|null>> */
    private function work(): array
    {
        $compositions = DraftLineups::load();
        $pages = [];
        $facts = [];
        $products = [$this->counts->products(false)];
        foreach (array_keys($products[0]) as $category) {
            $lineup = $compositions->of($category === 0 ? 'shop' : (string) $category);
            $inStock = ($lineup->settings['sold_out'] ?? null) === 'hidden';
            $products[(int) $inStock] ??= $this->counts->products($inStock);
            foreach ($lineup->filters as $key => $filter) {
                $settings = $filter->settings();
                $name =
                    $key.
                    '|'.
                    (int) $inStock.
                    '|'.
                    ($settings->isScale() ? 'scale' : '').
                    '|'.
                    ($settings->control === Control::Bands ? json_encode($settings->bands) : '');
                $facts[$name] ??= $this->facts($settings, $inStock);
                $pages[$category][$settings->title] = $this->absence(
                    $settings,
                    $facts[$name][$category] ?? null,
                    $products[(int) $inStock][$category] ?? 0,
                );
            }
        }

        return $pages;
    }

    /** @param  array<int|string, mixed>|null  $facts  products by term, or the smallest and largest number */
    private function absence(FilterSettings $filter, ?array $facts, int $products): ?Absence
    {
        if ($filter->control === Control::Words) {
            $offer = Offer::ofWords($facts === null ? 0 : 1);

            return $offer instanceof Absence ? $offer : null;
        }
        if ($filter->isScale()) {
            return Absence::ofScale($facts['ends'] ?? null);
        }
        /** @var array<int, int> $counts */
        $counts = $facts ?? [];

        return Offer::absence($filter, $counts, $products);
    }

    /** @return array<int, array<int|string, mixed>> by category */
    private function facts(FilterSettings $filter, bool $inStock): array
    {
        $definition = Definition::liveBySlug($filter->key);

        return match (true) {
            $definition === null && $filter->key === ProductField::Category->value => $this->counts->categories($inStock),
            $filter->control === Control::Bands => $this->counts->bands($filter, $inStock),
            $filter->isScale() => $this->counts->ends($filter->key, $inStock),
            $definition === null && $filter->key !== ProductField::Stock->value => [],
            default => $this->counted[$inStock ? 0 : $definition?->id] ?? $this->counts->terms($definition, $inStock)['counts'],
        };
    }
}
