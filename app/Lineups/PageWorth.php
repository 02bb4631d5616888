<?php

declare(strict_types=1);

namespace App\Lineups;

use App\Draft\FilterFacts;
use App\Draft\PageFacts;
use App\Models\Definition;
use App\Models\State;
use Lokum\Lineup\Band;
use Lokum\Lineup\ComposedFilter;
use Lokum\Lineup\ComposedLineup;
use Lokum\Lineup\Control;
use Lokum\Lineup\FilterSettings;
use Lokum\Lineup\ProductField;
use Lokum\Lineup\ProposedBands;
use Lokum\Lineup\Worth;
use Lokum\Vocabulary\Kind;

/** What the filters of a page earn there (C12), in which order they would earn most, and which would from nothing. */
final readonly class PageWorth
{
    private const SCALE_BANDS = 5;

    /** Below this share a proposed filter would leave most products out. */
    private const COVERED = 0.3;

    private const NARROWS = 0.1;

    private const SAME = 0.85;

    public function __construct(private PageFacts $facts, private Overlaps $overlaps)
    {
    }

    /** @return array<string, FilterWorth> by key, in the line-up's order */
    public function of(string $page, ComposedLineup $lineup): array
    {
        $worth = [];
        foreach ($lineup->filters as $key => $filter) {
            $settings = $filter->settings();
            [$same, $overlap] = [null, 0.0];
            foreach ($worth as $above) {
                $shared = $this->overlaps->between($page, (string) $key, $above->key);
                [$same, $overlap] = $shared > $overlap ? [$above->title, $shared] : [$same, $overlap];
            }
            $worth[$key] = $this->one($page, (string) $key, $settings->title, $settings, $same, $overlap);
        }
        $this->overlaps->keep($page);

        return $worth;
    }

    /** @return list<string> keys of the line-up's filters, the most worth first */
    public function order(string $page, ComposedLineup $lineup): array
    {
        return $this->ranked(
            $page,
            array_map(
                fn (ComposedFilter $filter): FilterWorth => $this->one(
                    $page,
                    $filter->key,
                    $filter->settings()->title,
                    $filter->settings(),
                ),
                $lineup->filters,
            ),
        );
    }

    /** @return list<FilterWorth> a line-up from nothing: what earns most, without two that say the same */
    public function proposal(string $page, int $most): array
    {
        $candidates = [];
        foreach (
            Definition::query()
                ->where('state', State::Accepted)
                ->whereIn('kind', [Kind::Choice, Kind::Flag, Kind::Number])
                ->orderBy('id')
                ->get() as $definition
        ) {
            $settings = FilterSettings::of([
                'key' => $definition->slug,
                'kind' => $definition->kind->value,
                'title' => $definition->label,
            ]);
            $worth = $this->one($page, $definition->slug, $definition->label, $settings);
            if (
                $worth->coverage >= self::COVERED &&
                $worth->narrowing >= self::NARROWS &&
                $worth->earns >= self::COVERED * self::NARROWS
            ) {
                $candidates[$definition->slug] = $worth;
            }
        }
        foreach (ProductField::ownNumbers() as $field) {
            $worth = $this->one(
                $page,
                $field->value,
                $field->title(),
                FilterSettings::of(['key' => $field->value, 'kind' => $field->kind()->value]),
            );
            if (
                $worth->coverage >= self::COVERED &&
                ($worth->narrowing >= self::NARROWS || ($field === ProductField::Stock && $worth->narrowing > 0))
            ) {
                $candidates[$field->value] = $worth;
            }
        }
        $proposed = [];
        foreach ($this->ranked($page, $candidates) as $key) {
            if (
                count($proposed) < $most &&
                array_filter(
                    $proposed,
                    fn (FilterWorth $other): bool => $this->overlaps->between($page, $key, $other->key) >= self::SAME,
                ) === []
            ) {
                $proposed[] = $candidates[$key];
            }
        }

        return $proposed;
    }

    private function one(
        string $page,
        string $key,
        string $title,
        FilterSettings $settings,
        ?string $same = null,
        float $overlap = 0.0,
    ): FilterWorth {
        $facts = $this->facts->of($page, $key);
        $counts = $this->counts($facts, $settings);
        $narrowing = Worth::narrowing($counts, $facts->products);

        return new FilterWorth(
            $key,
            $title,
            $facts->products,
            $facts->coverage(),
            $narrowing,
            (int) round($facts->products * (1 - $narrowing)),
            $facts->coverage() * $narrowing * Worth::shared($counts, $facts->products),
            $same,
            $overlap,
        );
    }

    /** @return array<int|string, int> products by what can be picked; a scale counts as five bands of equal shares */
    private function counts(FilterFacts $facts, FilterSettings $settings): array
    {
        if ($facts->numbers === []) {
            return array_filter($facts->counts, fn (int $term): bool => $settings->offers($term), ARRAY_FILTER_USE_KEY);
        }
        $bands =
            $settings->control === Control::Bands && $settings->bands !== []
                ? $settings->bands
                : Band::between(ProposedBands::equalShares($facts->numbers, self::SCALE_BANDS));

        return array_filter(array_map($facts->holding(...), $bands));
    }

    /**
     * @param  array<string, FilterWorth>  $worth
     * @return list<string>
     */
    private function ranked(string $page, array $worth): array
    {
        $ranked = Worth::ranked(
            array_map(fn (FilterWorth $one): float => $one->earns, $worth),
            fn (string $one, string $other): float => $this->overlaps->between($page, $one, $other),
        );
        $this->overlaps->keep($page);

        return $ranked;
    }
}
