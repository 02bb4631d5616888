<?php

declare(strict_types=1);

namespace App\Lineups;

use App\Draft\PageFacts;
use App\Draft\PageSample;
use App\Models\Definition;
use App\Models\Item;
use Lokum\Lineup\ProductField;
use Lokum\Lineup\Worth;
use Lokum\Vocabulary\Level;

/** How much filters of a page say of each other (C12): by a sample of its products where that can tell, else by all of them. */
final class Overlaps
{
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

    /**
     * How much one filter says of another on a page, variant by variant where one of them is about variants; kept until products,
     * values or definitions change.
     */
    public function between(string $page, string $one, string $other): float
    {
        $this->overlaps[$page] ??= $this->facts->overlaps($page);
        [$first, $second] = $one < $other ? [$one, $other] : [$other, $one];

        return $this->overlaps[$page]["{$first}|{$second}"] ??= $this->workOutOverlap($page, $first, $second);
    }

    /** What was worked out of a page is kept for those who ask next. */
    public function keep(string $page): void
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
