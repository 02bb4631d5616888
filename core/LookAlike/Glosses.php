<?php

declare(strict_types=1);

namespace Lokum\LookAlike;

use Lokum\Text\StrictKey;

/**
 * Short names that a list itself explains (C2): beside "Tubeless ready (TLR)" TLR is tubeless ready. A name and a gloss that stand
 * together once only; "Plug (EU)" and "Plug (UK)" explain nothing.
 */
final class Glosses
{
    private const SHORT = '/^\p{Lu}[\p{Lu}\d&\/+-]{1,5}$/u';

    /** RAL 3001, 802.3af: letters and digits that are not a number with its unit, which a thing comes in several of. */
    private const CODE = '/^(?=.*\d)(?=.*\pL)(?!\d[\d.,]* ?\pL{1,3}$)[\pL\d., \/-]{3,12}$/u';

    /** @var array<string, string> what each name meets others by */
    private array $targets = [];

    /**
     * @param  array<int, string>  $written  values as they came
     * @param  array<string, string>  $known  what each meets others by, by its text
     */
    public function __construct(array $written, array $known)
    {
        $beside = $explained = [];
        foreach ($written as $text) {
            $parts = strlen($text) > Notation::LONGEST ? null : Notation::glossed($text);
            if ($parts !== null) {
                [$head, $gloss] = array_map(StrictKey::of(...), $parts);
                $beside[$head][$gloss] = $beside[$gloss][$head] = true;
                $explained[StrictKey::of($text)] = [$head, $gloss, self::explains(...$parts), Rounding::areOne(...$parts)];
            }
        }
        foreach ($explained as $whole => [$head, $gloss, $explains, $isOneMeasure]) {
            // weatherproof (IP67), where a value is IP67
            $isOne = $explains ?? (isset($known[$gloss]) && (isset($known[$head]) || preg_match('/^\pL+\d+$/u', $gloss) === 1));
            $target = $known[$head] ?? $known[$gloss] ?? $known[$whole] ?? null;
            // A measure may be said in several units by several values.
            $isAlone = $isOneMeasure || (count($beside[$head]) === 1 && count($beside[$gloss]) === 1);
            if ($isOne && $target !== null && $isAlone) {
                $this->targets += [$whole => $target, $gloss => $target, $head => $target];
            }
        }
    }

    /** @param  string  $text  strict key */
    public function of(string $text): ?string
    {
        return $this->targets[$text] ?? null;
    }

    /**
     * Whether one of two names is the other in another unit, or a short form of it: its letters stand there in their order, the first one
     * first. Null where the second is short without being that; the list has to know both then.
     */
    private static function explains(string $head, string $gloss): ?bool
    {
        if (Rounding::areOne($head, $gloss)) {
            return true;
        }
        foreach ([[$gloss, $head], [$head, $gloss]] as [$short, $long]) {
            $letters = mb_str_split((string) preg_replace('/[^\pL\pN]/u', '', StrictKey::of($short)));
            if (
                self::isShort($short) &&
                ! self::isShort($long) &&
                preg_match('/^'.implode('.*', $letters).'/u', StrictKey::of($long)) === 1
            ) {
                return true;
            }
        }

        return self::isShort($gloss) || self::isCode($gloss) ? null : false;
    }

    private static function isCode(string $text): bool
    {
        return preg_match(self::CODE, $text) === 1;
    }

    private static function isShort(string $text): bool
    {
        return preg_match(self::SHORT, $text) === 1 && Notation::size(StrictKey::of($text)) === null;
    }
}
