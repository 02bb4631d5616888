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
    /** @var array<string, string> the letters of what stayed, by the letters of what went */
    private array $stayed = [];

    /** @var array<string, string> one word for another, where two merged texts differ in nothing else */
    private array $words = [];

    /** @var array<string, true> */
    private array $apart = [];

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
            }
        }
        foreach ($merged as [$went, $stayed]) {
            [$from, $to] = [StrictKey::of($went), StrictKey::of($stayed)];
            if ($from !== $to && ! $this->areApart($from, $to)) {
                $this->stayed[$from] = $to;
                $this->learnWord(explode(' ', $from), explode(' ', $to));
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

    /** Whether two strict keys are kept apart. */
    public function areApart(string $one, string $other): bool
    {
        return isset($this->apart[self::pair($one, $other)]);
    }

    public function keepsApart(): bool
    {
        return $this->apart !== [];
    }

    /**
     * "cad red" merged into "cadmium red" teaches what cad is. Only a shortening teaches: of other words it is not known which
     * stands for which.
     *
     * @param  list<string>  $from
     * @param  list<string>  $to
     */
    private function learnWord(array $from, array $to): void
    {
        $short = array_values(array_diff($from, $to));
        $long = array_values(array_diff($to, $from));
        if (
            count($from) === count($to) &&
            count($from) > 1 &&
            count($short) === 1 &&
            count($long) === 1 &&
            preg_match('/^\pL{2,}\.?$/u', $short[0]) === 1 &&
            strlen($long[0]) > strlen($short[0]) &&
            str_starts_with($long[0], rtrim($short[0], '.'))
        ) {
            $this->words[rtrim($short[0], '.')] = $long[0];
        }
    }

    private static function pair(string $one, string $other): string
    {
        return $one < $other ? "{$one}\0{$other}" : "{$other}\0{$one}";
    }
}
