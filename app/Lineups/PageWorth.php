<?php

declare(strict_types=1);

namespace App\Lineups;

use App\Definitions\Definition;
use App\Definitions\State;
use Lokum\Lineup\Band;
use Lokum\Lineup\ComposedFilter;
use Lokum\Lineup\ComposedLineup;
use Lokum\Lineup\Control;
use Lokum\Lineup\FilterSettings;
use Lokum\Lineup\ProposedBands;
use Lokum\Lineup\Worth;
use Lokum\Vocabulary\Kind;

/** What the filters of a page earn there (C12), in which order they would earn most, and which would from nothing. */
final class PageWorth
{
    private const SCALE_BANDS = 5;

    /** Below this share a proposed filter would leave most products out. */
    private const COVERED = 0.3;

    private const NARROWS = 0.1;

    private const SAME = 0.85;

    private const SAMPLE = 20000;

    private const STRIDE = 1024;

    /** Of fewer products with both, chance alone makes one say what the other does. */
    private const ENOUGH = 30;

    /** @var array<string, array<int, int>> */
    private array $answers = [];

    public function __construct(private readonly PageFacts $facts)
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
                $shared = $this->overlap($page, (string) $key, $above->key);
                [$same, $overlap] = $shared > $overlap ? [$above->title, $shared] : [$same, $overlap];
            }
            $worth[$key] = $this->one($page, (string) $key, $settings->title, $settings, $same, $overlap);
        }

        return $worth;
    }

    /** @return list<string> keys of the line-up's filters, the most worth first */
    public function order(string $page, ComposedLineup $lineup): array
    {
        return $this->ranked(
            $page,
            array_map(
                fn (ComposedFilter $filter): FilterWorth => $this->one($page, $filter->key, $filter->settings()->title, $filter->settings()),
                $lineup->filters,
            ),
        );
    }

    /** @return list<FilterWorth> a line-up from nothing: what earns most, without two that say the same */
    public function proposal(string $page, int $most): array
    {
        $candidates = [];
        foreach (Definition::query()->where('state', State::Accepted)->whereIn('kind', [Kind::Choice, Kind::Flag, Kind::Number])->orderBy('id')->get() as $definition) {
            $settings = FilterSettings::of(['key' => $definition->slug, 'kind' => $definition->kind->value, 'title' => $definition->label]);
            $worth = $this->one($page, $definition->slug, $definition->label, $settings);
            if ($worth->coverage >= self::COVERED && $worth->narrowing >= self::NARROWS) {
                $candidates[$definition->slug] = $worth;
            }
        }
        foreach ([Filter::PRICE, Filter::STOCK] as $field) {
            $worth = $this->one(
                $page,
                $field,
                Filter::FIELDS[$field][0],
                FilterSettings::of(['key' => $field, 'kind' => Filter::FIELDS[$field][1]->value]),
            );
            if ($worth->coverage >= self::COVERED && ($worth->narrowing >= self::NARROWS || $field === Filter::STOCK && $worth->narrowing > 0)) {
                $candidates[$field] = $worth;
            }
        }
        $proposed = [];
        foreach ($this->ranked($page, $candidates) as $key) {
            if (count($proposed) < $most && array_filter($proposed, fn (FilterWorth $other): bool => $this->overlap($page, $key, $other->key) >= self::SAME) === []) {
                $proposed[] = $candidates[$key];
            }
        }

        return $proposed;
    }

    private function one(string $page, string $key, string $title, FilterSettings $settings, ?string $same = null, float $overlap = 0.0): FilterWorth
    {
        $facts = $this->facts->of($page, $key);
        $counts = $this->counts($facts, $settings);
        $narrowing = Worth::narrowing($counts, $facts->products);

        return new FilterWorth(
            $key, $title, $facts->products, $facts->coverage(), $narrowing, (int) round($facts->products * (1 - $narrowing)), $same, $overlap,
        );
    }

    /** @return array<int|string, int> products by what can be picked; a scale counts as five bands of equal shares */
    private function counts(FilterFacts $facts, FilterSettings $settings): array
    {
        if ($facts->numbers === []) {
            return array_filter($facts->counts, fn (int $term): bool => $settings->offers($term), ARRAY_FILTER_USE_KEY);
        }
        $bands = $settings->control === Control::Bands
            && $settings->bands !== []
            ? $settings->bands
            : Band::between(ProposedBands::equalShares($facts->numbers, self::SCALE_BANDS));
        $counts = [];
        foreach ($bands as $i => $band) {
            $counts[$i] = $facts->holding($band);
        }

        return array_filter($counts);
    }

    /**
     * @param  array<string, FilterWorth>  $worth
     * @return list<string>
     */
    private function ranked(string $page, array $worth): array
    {
        return Worth::ranked(
            array_map(fn (FilterWorth $one): float => $one->coverage * $one->narrowing, $worth),
            fn (string $one, string $other): float => $this->overlap($page, $one, $other),
        );
    }

    private function overlap(string $page, string $one, string $other): float
    {
        [$a, $b] = [$this->answersOf($page, $one), $this->answersOf($page, $other)];
        if (count($a) > count($b)) {
            [$a, $b] = [$b, $a];
        }
        $joint = [];
        foreach ($a as $product => $answer) {
            if (isset($b[$product])) {
                $joint[$answer][$b[$product]] = ($joint[$answer][$b[$product]] ?? 0) + 1;
            }
        }

        return array_sum(array_map(array_sum(...), $joint)) < self::ENOUGH ? 0.0 : Worth::overlap($joint);
    }

    /**
     * Of very many products the same ones for every filter, some twenty thousand: how much filters have in common shows in these as well.
     *
     * @param  array<int, int>  $answers
     * @return array<int, int>
     */
    private function sampled(array $answers): array
    {
        $each = intdiv(count($answers), self::SAMPLE) + 1;

        return $each === 1
            ? $answers
            : array_filter(
                $answers,
                fn (int $product): bool => $product % self::STRIDE < self::STRIDE / (1 << (int) ceil(log($each, 2))),
                ARRAY_FILTER_USE_KEY,
            );
    }

    /** @return array<int, int> */
    private function answersOf(string $page, string $key): array
    {
        return $this->answers["{$page}:{$key}"] ??= $this->sampled($this->facts->of($page, $key)->answers());
    }
}
