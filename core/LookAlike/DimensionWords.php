<?php

declare(strict_types=1);

namespace Lokum\LookAlike;

use Lokum\Quantity\Unit;

/**
 * Words that only name what a unit measures (C2): the bed temperature of 60 °C is a bed of 60 °C, an IR range of 30 m is 30 m IR. They
 * can be left out where the list says one such word of a thing; beside a shelf width stands a shelf depth.
 */
final class DimensionWords
{
    /** What says of a measure that it is the greatest, which is what it is measured for; not of what goes up and down. */
    private const UP_TO = '/(?<!\pL)(?:(?:up |down )?to|max|maximum)(?!\pL)/u';

    /** Words before or behind one measure: nozzle temp. 190-220 °C, 0.18 mm thick. */
    private const LABELLED = '/^(?<before>\pL[\pL. -]*?)?[ :]*(?<number>[-+−±]?\d[\d.,]*(?:-[-+]?\d[\d.,]*)?) ?'.
        '(?<unit>°[cf]?|\pL{1,4}[23²³]?)(?<after> \pL[\pL. -]*)?$/u';

    /** @var array<string, array<string, string>> words by the symbol of a unit that was met */
    private array $byUnit = [];

    /** @var array<int, array{0: string, 1: string}> of what with its unit, and with the measure, by value */
    private array $saidOf = [];

    /** @var array<string, array<string, true>> such words by what they are said of and their unit */
    private array $words = [];

    /** @var array<string, string> key of the first value that says it, by of what and the measure */
    private array $first = [];

    /**
     * @param  array<int, string>  $texts  strict keys, their signs in plain form
     * @param  array<int, string>  $keys  what each meets others by
     * @param  array<string, array<string, string>>  $dimensions  what units measure: by one unit of the kind, its words and what each says
     */
    public function __construct(array $texts, array $keys, private readonly array $dimensions)
    {
        foreach ($texts as $i => $text) {
            $said = strlen($text) > Notation::LONGEST ? null : $this->said($text);
            if ($said !== null) {
                [$of, $measure, $word, $unit] = $said;
                $this->saidOf[$i] = ["{$of} {$unit}", "{$of} {$measure}"];
                $this->words["{$of} {$unit}"] = ($this->words["{$of} {$unit}"] ?? []) + ($word === '' ? [] : [$word => true]);
                $this->first["{$of} {$measure}"] ??= $keys[$i];
            }
        }
    }

    /** @return list<string> the key of what says the same without naming what is measured */
    public function of(int $i): array
    {
        if (! isset($this->saidOf[$i])) {
            return [];
        }
        [$of, $measure] = $this->saidOf[$i];

        return count($this->words[$of]) < 2 ? [$this->first[$measure]] : [];
    }

    /** @return array{0: string, 1: string, 2: string, 3: string}|null of what, the measure, the word for what is measured, the unit */
    private function said(string $text): ?array
    {
        if (preg_match(self::LABELLED, $text, $part) !== 1) {
            return null;
        }
        $unit = Unit::find($part['unit']) ?? (strlen($part['unit']) < 3 ? Unit::find(strtoupper($part['unit'])) : null);
        if ($unit === null || isset($unit->powers['piece'])) {
            return null;
        }
        $measured = '';
        $of = [];
        $words = $this->byUnit[$unit->symbol] ??= $this->wordsFor($unit);
        $around = (string) preg_replace(self::UP_TO, ' ', $part['before'].' '.($part['after'] ?? ''));
        foreach (preg_split('/[ .-]+/', $around, -1, PREG_SPLIT_NO_EMPTY) ?: [] as $word) {
            if (isset($words[$word]) && $measured === '') {
                $measured = $words[$word];
            } else {
                $of[] = $word;
            }
        }
        sort($of, SORT_STRING);
        $number = strtr($part['number'], ',−', '.-');

        return $of === [] ? null : [implode(' ', $of), "{$number} {$unit->symbol}", $measured, $unit->symbol];
    }

    /** @return array<string, string> */
    private function wordsFor(Unit $unit): array
    {
        foreach ($this->dimensions as $symbol => $words) {
            if (Unit::of($symbol)->powers === $unit->powers) {
                return $words;
            }
        }

        return [];
    }
}
