<?php

declare(strict_types=1);

namespace App\Lineups;

use App\Draft\FilterFacts;
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

    /** @var array<string, int|null> products of the sample that can tell of a filter, by page and filter; null: none can */
    private array $sizes = [];

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
        [$size, $otherSize] = [$this->sizeFor($page, $one), $this->sizeFor($page, $other)];
        if ($size === null || $otherSize === null) {
            return null;
        }
        $most = max($size, $otherSize);
        [$a, $b] = [$this->sample->of($page, $one, $most), $this->sample->of($page, $other, $most)];
        [$isOfVariants, $otherIs] = [$this->isOfVariants($one), $this->isOfVariants($other)];
        if ($isOfVariants === $otherIs) {
            return self::joint($a, $b, []);
        }

        $parents = $this->sample->parents($page, $most);

        return $isOfVariants ? self::joint($a, $b, $parents) : self::joint($b, $a, $parents);
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

    /** Products of the smallest sample of a page that has enough with an answer, and enough for each different one; null: none has. */
    private function sizeFor(string $page, string $key): ?int
    {
        if (! array_key_exists("{$page}:{$key}", $this->sizes)) {
            $isInSample = Definition::liveBySlug($key) !== null || PageSample::has(ProductField::tryFrom($key));
            $this->sizes["{$page}:{$key}"] = $isInSample ? $this->telling($page, $this->facts->of($page, $key)) : null;
        }

        return $this->sizes["{$page}:{$key}"];
    }

    private function telling(string $page, FilterFacts $facts): ?int
    {
        foreach (PageSample::SIZES as $size) {
            $share = $this->sample->share($page, $size);
            if (
                count($facts->counts) <= $size / self::SAMPLE_EACH &&
                ($share === 1.0 || $facts->carrying * $share >= self::SAMPLED)
            ) {
                return $size;
            }
        }

        return null;
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
