<?php

declare(strict_types=1);

namespace Lokum\LookAlike;

use Lokum\Text\StrictKey;

/**
 * What the shop has decided before, in this attribute or another: texts it has merged, and texts it keeps apart. They come before
 * all other evidence.
 */
final class Lessons
{
    /** Times that a thing has to be said before it holds for others. */
    private const SAID = 2;

    /** @var array<string, string> the letters of what stayed, by the letters of what went */
    private array $stayed = [];

    /** @var array<string, string> one word for another, where two merged texts differ in nothing else */
    private array $words = [];

    /** @var array<string, true> */
    private array $apart = [];

    /** @var array<string, array<string, int>> how often texts were merged in which one word stood for another */
    private array $swaps = [];

    /** @var array<string, int> how often texts were kept apart that differ by two words alone, by these */
    private array $against = [];

    /**
     * @param  list<array{0: string, 1: string}>  $merged  the text that went, and the one that stayed
     * @param  list<array{0: string, 1: string}>  $apart
     */
    public function __construct(array $merged = [], array $apart = [])
    {
        foreach ($apart as [$one, $other]) {
            // Of texts with the same letters none stands for another attribute's.
            if (StrictKey::of($one) !== StrictKey::of($other)) {
                $this->apart[self::pair(StrictKey::of($one), StrictKey::of($other))] = true;
                $words = self::difference(StrictKey::of($one), StrictKey::of($other));
                if ($words !== null) {
                    $this->against[self::pair(...$words)] = ($this->against[self::pair(...$words)] ?? 0) + 1;
                }
            }
        }
        foreach ($merged as [$went, $stayed]) {
            [$from, $to] = [StrictKey::of($went), StrictKey::of($stayed)];
            if ($from !== $to && ! $this->areApart($from, $to)) {
                $this->stayed[$from] = $to;
                $words = self::difference($from, $to);
                if ($words !== null) {
                    $this->learn(...$words);
                }
            }
        }
    }

    /**
     * The letters that a text goes by in this shop.
     *
     * @param  string  $letters  strict key
     */
    public function of(string $letters): string
    {
        for ($steps = 0; isset($this->stayed[$letters]) && $steps < 20; $steps++) {
            $letters = $this->stayed[$letters];
        }

        return $letters;
    }

    /** @return array<string, string> what words stand for, as abbreviations do */
    public function words(): array
    {
        return $this->words;
    }

    /**
     * A text with the words that the shop has replaced in two merges or more: where "soft pack" and "soft box" became one and "hard
     * pack" and "hard box", too, any pack is a box.
     *
     * @param  string  $letters  strict key
     */
    public function replaced(string $letters): string
    {
        if ($this->swaps === []) {
            return $letters;
        }
        $words = array_map(function (string $word): string {
            $stand = array_keys(array_filter($this->swaps[$word] ?? [], fn (int $times): bool => $times >= self::SAID));

            return count($stand) === 1 ? $stand[0] : $word;
        }, explode(' ', $letters));

        return implode(' ', $words);
    }

    /** Whether two strict keys are kept apart: by name, or because they differ by words that the shop has parted twice. */
    public function areApart(string $one, string $other): bool
    {
        if (isset($this->apart[self::pair($one, $other)])) {
            return true;
        }
        $words = $this->against === [] ? null : self::difference($one, $other);

        return $words !== null && ($this->against[self::pair(...$words)] ?? 0) >= self::SAID;
    }

    public function keepsApart(): bool
    {
        return $this->apart !== [];
    }

    /** "cad red" merged into "cadmium red" teaches at once what cad is; of other words it takes two merges. */
    private function learn(string $short, string $long): void
    {
        $short = rtrim($short, '.');
        // A number that was corrected says nothing of the same number elsewhere.
        if (preg_match('/\d/', $short.$long) === 1) {
            return;
        }
        $this->swaps[$short][$long] = ($this->swaps[$short][$long] ?? 0) + 1;
        if (preg_match('/^\pL{2,}$/u', $short) === 1 && strlen($long) > strlen($short) && str_starts_with($long, $short)) {
            $this->words[$short] = $long;
        }
    }

    /** @return array{0: string, 1: string}|null the one word of each that the other has not; null where they differ in more or less */
    private static function difference(string $one, string $other): ?array
    {
        [$from, $to] = [explode(' ', $one), explode(' ', $other)];
        $own = array_values(array_diff($from, $to));
        $others = array_values(array_diff($to, $from));

        return count($from) === count($to) && count($from) > 1 && count($own) === 1 && count($others) === 1
            ? [$own[0], $others[0]]
            : null;
    }

    private static function pair(string $one, string $other): string
    {
        return $one < $other ? "{$one}\0{$other}" : "{$other}\0{$one}";
    }
}
