<?php

declare(strict_types=1);

namespace Lokum\LookAlike;

use Lokum\Quantity\Quantity;
use Lokum\Quantity\SheetSize;
use Lokum\Text\StrictKey;

/**
 * What a value says in other names (C2), each with the grade of evidence that it is the same: as a code without what sets it apart,
 * by a standard, without a gloss that says the same again, without words that name what all values are, in English, in the words that
 * a trade uses most. Each step stands on the ones before.
 */
final readonly class Otherwise
{
    /** In the order in which values are joined by them. */
    public const KINDS = [
        Evidence::Standard,
        Evidence::Code,
        Evidence::Gloss,
        Evidence::Filler,
        Evidence::Habit,
        Evidence::Language,
        Evidence::Synonym,
        Evidence::Phrase,
        ...self::BESIDE,
    ];

    /** Those that need the rest of the list: {@see Context}. */
    public const BESIDE = [
        Evidence::Named,
        Evidence::Thousands,
        Evidence::Label,
        Evidence::Dimension,
        Evidence::Initials,
        Evidence::Rounded,
        Evidence::Thesaurus,
    ];

    /** What values of most attributes are called after themselves; behind or before it there has to be more. */
    private const FILLERS = 'finish|colou?r|colou?red|flavou?r|flavou?red|scent|scented|fragrance|'.
        'approx|approximately|ca|circa|about|made in|product of';

    /** What is left of a text that has denied its filler: non-scented. */
    private const NOT = ['', 'no', 'non', 'not', 'un', 'without', 'with', 'multi'];

    private string $fillers;

    public function __construct(private MeaningReader $reader, private Names $names, private Lessons $lessons, string $about)
    {
        $words = array_filter(
            preg_split('/[^\pL]+/u', StrictKey::of($about)) ?: [],
            fn (string $word): bool => strlen($word) > 2,
        );
        $this->fillers = implode('|', [self::FILLERS, ...array_map(fn (string $word): string => preg_quote($word, '/'), $words)]);
    }

    /**
     * @param  string  $written  the text as it came
     * @return array<string, Meaning> by evidence; those only that say it otherwise
     */
    public function of(Meaning $meaning, string $written): array
    {
        $text = $meaning->letters;
        $found = [];
        if (strlen($text) > Notation::LONGEST) {
            return $found;
        }
        $code = Notation::code(Notation::plain($text));
        if ($code !== null) {
            $found[Evidence::Code->value] = new Meaning($code, exact: ["code {$code}"]);
        }
        $said = $this->unglossed($text, $written);
        if ($said !== $text) {
            $found[Evidence::Gloss->value] = $this->reader->of($said);
        }
        $bare = $this->bare($said);
        if ($bare !== $said) {
            $found[Evidence::Filler->value] = $this->reader->of($bare);
        }
        $sheet = self::sheet($bare);
        if ($sheet !== null) {
            $found[Evidence::Standard->value] = $this->reader->of($sheet);
        }
        $usual = $this->lessons->replaced($bare);
        if ($usual !== $bare) {
            $found[Evidence::Habit->value] = $this->reader->of($usual);
        }
        $named = self::beforeNames($usual, $written);
        foreach ($this->names->otherwise($named) as $evidence => $name) {
            $found[$evidence] = $this->reader->of($named = $name);
        }
        $phrase = Phrases::of($named);
        if ($phrase !== $named) {
            $found[Evidence::Phrase->value] = $this->reader->of($phrase);
        }

        return $found;
    }

    /** With what names do not tell: für is no fur, and 5-fach is no compartment; 2-fach and 3-fach stand in names of their own. */
    private static function beforeNames(string $text, string $written): string
    {
        $text = (string) preg_replace('/(?<=[5-9]|\d\d)-?fach(?:e[rs]?)?\b/', 'x', $text);

        return preg_match('/(?<!\pL)für(?!\pL)/iu', $written) === 1 ? (string) preg_replace('/\bfur\b/', 'fuer', $text) : $text;
    }

    /** The sides of a sheet that ISO 216 or ISO 269 names; null for other texts. */
    private static function sheet(string $text): ?string
    {
        $sides = SheetSize::find($text)?->sides;

        return $sides === null
            ? null
            : implode(' x ', array_map(fn (Quantity $side): string => (string) $side->number, $sides)).' mm';
    }

    private function bare(string $text): string
    {
        if (preg_match("/\b(?:{$this->fillers})/u", $text) !== 1) {
            return $text;
        }
        $bare = trim((string) preg_replace(
            ["/^(?:{$this->fillers})[: ]+(?=[\\pL\\d])/u", "/(?<=[\\pL\\d\"%])[, -]+(?:{$this->fillers})$/u"],
            '',
            $text,
        ));

        return in_array($bare, self::NOT, true) ? $text : $bare;
    }

    /** A text without what it says twice. */
    private function unglossed(string $text, string $written): string
    {
        $parts = Notation::glossed($written);
        if ($parts === null) {
            return $text;
        }
        [$head, $gloss] = array_map(StrictKey::of(...), $parts);

        return Notation::areInitials($gloss, $head) || Notation::areInitials($head, $gloss) || $this->areOne($head, $gloss)
            ? $head
            : $text;
    }

    private function areOne(string $one, string $other): bool
    {
        if (array_intersect($this->keys($one), $this->keys($other)) !== []) {
            return true;
        }

        return $this->reader->of($one)->isMeasure() &&
            $this->reader->of($other)->isMeasure() &&
            Rounding::areOne($one, $other);
    }

    /** @return list<string> what a text says, in whichever name */
    private function keys(string $text): array
    {
        $keys = [];
        foreach ([$text, self::sheet($text), ...array_values($this->names->otherwise($text))] as $name) {
            $meaning = $name === null ? null : $this->reader->of($name);
            if ($meaning?->isEmpty() === false) {
                array_push($keys, $meaning->key(), $meaning->roughKey());
            }
        }

        return $keys;
    }
}
