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
        Evidence::Language,
        Evidence::Synonym,
    ];

    /** What values of most attributes are called after themselves; behind or before it there has to be more. */
    private const FILLERS = 'finish|colou?r|flavou?r|scent|fragrance|approx\.?|approximately|ca\.|circa|about';

    private string $fillers;

    public function __construct(private MeaningReader $reader, private Names $names, string $about)
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
        $code = Notation::code($text);
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
        foreach ($this->names->otherwise($bare) as $evidence => $name) {
            $found[$evidence] = $this->reader->of($name);
        }

        return $found;
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

        return $bare === '' ? $text : $bare;
    }

    /** A text without what it says twice. */
    private function unglossed(string $text, string $written): string
    {
        $parts = Notation::glossed($written);
        if ($parts === null) {
            return $text;
        }
        [$head, $gloss] = $parts;

        return Notation::areInitials($gloss, $head) || Notation::areInitials($head, $gloss) || $this->areOne($head, $gloss)
            ? $head
            : $text;
    }

    private function areOne(string $one, string $other): bool
    {
        $keys = function (string $text): array {
            $texts = [$text, self::sheet($text) ?? $text, ...array_values($this->names->otherwise($text))];
            $meanings = array_map($this->reader->of(...), $texts);

            return array_merge(...array_map(
                fn (Meaning $meaning): array => $meaning->isEmpty() ? [] : [$meaning->key(), $meaning->roughKey()],
                $meanings,
            ));
        };

        return array_intersect($keys($one), $keys($other)) !== [];
    }
}
