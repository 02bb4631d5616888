<?php

declare(strict_types=1);

namespace App\Lineups;

use App\Draft\FilterFacts;
use App\Draft\PageFacts;
use App\Draft\PageSample;
use App\Models\Definition;
use App\Models\Item;
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
use Lokum\Vocabulary\Level;

/** What the filters of a page earn there (C12), in which order they would earn most, and which would from nothing. */
final class PageWorth
{
    private const SCALE_BANDS = 5;

    /** Below this share a proposed filter would leave most products out. */
    private const COVERED = 0.3;

    private const NARROWS = 0.1;

    private const SAME = 0.85;

    /** Of more answers a part is compared: so many, or so many for each different answer where that is more. */
    private const SAMPLE = 1000;

    private const SAMPLE_EACH = 10;

    /** Products with an answer that the sample of a page has to have, about. */
    private const SAMPLED = 300;

    /** Of fewer products with both, chance alone makes one say what the other does. */
    private const ENOUGH = 30;

    /** @var array<string, array{0: Level, 1: array<int, int>, 2: int}> level, answer by item, and different answers, by page and filter */
    private array $answers = [];

    /** @var array<string, array<string, float>> by page and pair of filters */
    private array $overlaps = [];

    /** @var array<string, true> pages with overlaps that are not kept yet */
    private array $isNew = [];

    /** @var array<string, array<int, array<int, int>>> parts of the answers by page and filter, and by how many they are one of */
    private array $samples = [];

    /** @var array<string, array{0: Level, 1: array<int, int>}|null> level and answers in the page's sample, by page and filter */
    private array $sampled = [];

    /** @var array<int, int>|null product by variant */
    private ?array $parents = null;

    public function __construct(private readonly PageFacts $facts, private readonly PageSample $sample)
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
        $this->keep($page);

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
                    fn (FilterWorth $other): bool => $this->overlap($page, $key, $other->key) >= self::SAME,
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
        $ranked = Worth::ranked(
            array_map(fn (FilterWorth $one): float => $one->earns, $worth),
            fn (string $one, string $other): float => $this->overlap($page, $one, $other),
        );
        $this->keep($page);

        return $ranked;
    }

    /**
     * How much one filter says of another on a page, variant by variant where one of them is about variants; kept until products,
     * values or definitions change.
     */
    private function overlap(string $page, string $one, string $other): float
    {
        $this->overlaps[$page] ??= $this->facts->overlaps($page);
        [$first, $second] = $one < $other ? [$one, $other] : [$other, $one];

        return $this->overlaps[$page]["{$first}|{$second}"] ??= $this->workOutOverlap($page, $first, $second);
    }

    private function keep(string $page): void
    {
        if (isset($this->isNew[$page])) {
            $this->facts->keepOverlaps($page, $this->overlaps[$page]);
            unset($this->isNew[$page]);
        }
    }

    private function workOutOverlap(string $page, string $one, string $other): float
    {
        $this->isNew[$page] = true;
        $joint = $this->sampled($page, $one, $other);
        if ($joint === null) {
            return $this->couldTell($page, $one, $other) ? $this->overlapOfAll($page, $one, $other) : 0.0;
        }

        return array_sum(array_map(array_sum(...), $joint)) < self::ENOUGH ? 0.0 : Worth::overlapBeyondChance($joint);
    }

    /**
     * @return array<int, array<int, int>>|null how often each answer to one filter comes with each to another, among some products;
     *         null where these could not tell
     */
    private function sampled(string $page, string $one, string $other): ?array
    {
        [$first, $second] = [$this->sampleOf($page, $one), $this->sampleOf($page, $other)];
        if ($first === null || $second === null) {
            return null;
        }
        [[$level, $a], [$otherLevel, $b]] = [$first, $second];
        if ($level === $otherLevel) {
            return self::joint($a, $b, []);
        }

        return $level === Level::Product ? self::joint($b, $a, $this->parents()) : self::joint($a, $b, $this->parents());
    }

    /** Whether products with both answers could be enough for as many different ones; of variants nobody knows how many there are. */
    private function couldTell(string $page, string $one, string $other): bool
    {
        if ($this->isOfVariants($one) || $this->isOfVariants($other)) {
            return true;
        }
        [$a, $b] = [$this->facts->of($page, $one), $this->facts->of($page, $other)];

        return Worth::canTell(min($a->carrying, $b->carrying), max(count($a->counts), count($b->counts)));
    }

    private function isOfVariants(string $key): bool
    {
        return (Definition::liveBySlug($key)->level ?? ProductField::tryFrom($key)?->level()) === Level::Variant;
    }

    /**
     * @return array{0: Level, 1: array<int, int>}|null level and answers in the sample of a page; null where these are too many
     *         different ones for it, or too few in it
     */
    private function sampleOf(string $page, string $key): ?array
    {
        if (! array_key_exists("{$page}:{$key}", $this->sampled)) {
            $definition = Definition::liveBySlug($key);
            $facts = $this->facts->of($page, $key);
            $share = $this->sample->share($page);
            $tells =
                count($facts->counts) <= PageSample::PRODUCTS / self::SAMPLE_EACH &&
                ($share === 1.0 || $facts->carrying * $share >= self::SAMPLED);
            $this->sampled["{$page}:{$key}"] =
                $definition === null || ! $tells ? null : [$definition->level, $this->sample->of($page, $definition)];
        }

        return $this->sampled["{$page}:{$key}"];
    }

    /**
     * @param  array<int, int>  $a  answers by item
     * @param  array<int, int>  $b  the same to the other filter
     * @param  array<int, int>  $parents  product by variant, where the second is about products and the first is not
     * @return array<int, array<int, int>>
     */
    private static function joint(array $a, array $b, array $parents): array
    {
        $joint = [];
        foreach ($a as $item => $answer) {
            $says = $b[$parents[$item] ?? $item] ?? null;
            if ($says !== null) {
                $joint[$answer][$says] = ($joint[$answer][$says] ?? 0) + 1;
            }
        }

        return $joint;
    }

    private function overlapOfAll(string $page, string $one, string $other): float
    {
        [[$level, $a, $answers], [$otherLevel, $b, $otherAnswers]] = [$this->answersOf($page, $one), $this->answersOf($page, $other)];
        $sampled = $one;
        if ($level !== $otherLevel ? $level === Level::Product : count($a) > count($b)) {
            [$level, $a, $otherLevel, $b, $sampled] = [$otherLevel, $b, $level, $a, $other];
        }
        $parents = $level === $otherLevel ? [] : $this->parents();
        $each = intdiv(count($a), max(self::SAMPLE, self::SAMPLE_EACH * max($answers, $otherAnswers))) + 1;
        $joint = self::joint($this->samples["{$page}:{$sampled}"][$each] ??= self::every($each, $a), $b, $parents);

        return array_sum(array_map(array_sum(...), $joint)) < self::ENOUGH ? 0.0 : Worth::overlapBeyondChance($joint);
    }

    /**
     * @param  array<int, int>  $answers  by item
     * @return array<int, int> one of so many
     */
    private static function every(int $each, array $answers): array
    {
        $n = 0;

        return $each === 1 ? $answers : array_filter($answers, function () use (&$n, $each): bool {
            return $n++ % $each === 0;
        });
    }

    /** @return array<int, int> */
    private function parents(): array
    {
        return $this->parents ??= Item::table()->whereNotNull('parent_id')->pluck('parent_id', 'id')->all();
    }

    /** @return array{0: Level, 1: array<int, int>, 2: int} */
    private function answersOf(string $page, string $key): array
    {
        if (! isset($this->answers["{$page}:{$key}"])) {
            $found = $this->facts->answers($page, $key);
            $byItem = $found->byItem();
            $this->answers["{$page}:{$key}"] = [$found->level, $byItem, count(array_count_values($byItem))];
        }

        return $this->answers["{$page}:{$key}"];
    }
}
