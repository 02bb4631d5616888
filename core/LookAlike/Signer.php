<?php

declare(strict_types=1);

namespace Lokum\LookAlike;

use Lokum\Quantity\Dimensions;
use Lokum\Quantity\MeasureText;
use Lokum\Quantity\Quantity;
use Lokum\Quantity\QuantityRange;
use Lokum\Quantity\Unit;
use Lokum\Quantity\UnreadableQuantity;
use Lokum\Text\StrictKey;
use Lokum\Text\WordForms;
use Lokum\Vocabulary\SizeLadder;

/** Reads what a text says: its words in one form, its numbers and codes as they are, its measures as quantities, its shares as pairs. */
final class Signer
{
    private const FILLERS = ['and', 'the', 'a', 'an', 'of'];

    private const DIRECTIONS = ['on', 'in', 'over', 'under', 'to', 'from', 'into', 'with', 'without', 'for', 'per', 'by', 'not', 'no', 'non', 'plus', 'minus'];

    private const NEGATIONS = ['without', 'not', 'no', 'non', 'free', 'less', 'un', 'excluding', 'except', 'sans', 'zero'];

    private const SIZES = ['extra small' => 'xs', 'x small' => 'xs', 'small' => 's', 'medium' => 'm', 'large' => 'l', 'extra large' => 'xl', 'x large' => 'xl', 'xx large' => 'xxl', 'extra extra large' => 'xxl', '2xl' => 'xxl', '3xl' => 'xxxl', '2xs' => 'xxs', 'xx small' => 'xxs'];

    /** Units of one letter are taken for units only right behind their number. */
    private const NUMBER = '(?<![\pL\pN.,\/-])(\d+(?:[.,]\d+)*(?: \d+\/\d+|\/\d+)?)(\s?)';

    public function __construct(private readonly Lexicon $lexicon)
    {
    }

    public function of(string $text): Signature
    {
        $letters = StrictKey::of($text);
        $plain = (string) preg_replace(['/[×✕✖]/u', '/\b(?:din|iso)[ -]?(?=[abc]\d)/u', '/\bw\/o\b/u', '/\bw\/(?=\s|\pL)/u', '/\b(?:no|nr|num|number|size|sz)\.?\s?(?=\d)|#\s?(?=\d)/u'], ['x', '', 'without', 'with ', ''], $letters);
        $measure = $this->wholeMeasure($text);
        if ($measure !== null) {
            return new Signature($letters, [], [], $measure[0], $measure[1], $measure[2], false, 0);
        }
        $size = self::SIZES[(string) preg_replace('/[\s-]+/u', ' ', $plain)] ?? null;
        if ($size !== null || (SizeLadder::rung($plain)[0] ?? null) === 0) {
            return new Signature($letters, [], [], [$size ?? $plain], [$size ?? $plain], [], false, 0);
        }
        [$plain, $exact, $rough, $units] = $this->measures($plain);
        [$plain, $shares] = $this->shares($plain);

        return $this->signature($letters, $plain, [...$exact, ...$shares], [...$rough, ...$shares], $units);
    }

    /**
     * @param  list<string>  $exact
     * @param  list<string>  $rough
     * @param  list<string>  $units
     */
    private function signature(string $letters, string $text, array $exact, array $rough, array $units): Signature
    {
        // 12-pack is 12 pack, and a code such as AX-100 stays whole; elsewhere dashes part words.
        $text = (string) preg_replace_callback('/(?<![\pL\pN-])(\d+)-(\pL{3,})(?![\pL\pN-])/u', fn (array $part): string => $this->lexicon->isWord($part[2]) || $this->lexicon->isWord((string) preg_replace('/(?:er|ed|ing)$/', '', $part[2])) ? "{$part[1]} {$part[2]}" : $part[0], $text);
        preg_match_all('/[\pL\pN]*\d[\pL\pN]*(?:[-.,\/][\pL\pN]+)*|\pL+(?:-\d[\pL\pN-]*)|[\pL\'*]+|[+&@*]/u', $text, $found);
        $words = [];
        $plain = [];
        $negated = 0;
        $ordered = false;
        $alone = count($found[0]) === 1;
        foreach ($found[0] as $token) {
            if (preg_match('/\d/', $token) === 1) {
                $exact[] = $rough[] = $token;

                continue;
            }
            $token = str_replace("'", '', $token);
            if (in_array($token, self::FILLERS, true) || $token === '&' || $token === '') {
                continue;
            }
            $ordered = $ordered || in_array($token, self::DIRECTIONS, true);
            $plain[] = $this->lexicon->singular($token, $alone);
            foreach (explode(' ', $this->lexicon->expanded($token)) as $word) {
                $before = $word;
                $word = $this->lexicon->singular($word, $alone) === $word ? $this->american($word) : $this->american($this->lexicon->singular($word));
                $word = $this->lexicon->expanded($word);
                $this->lexicon->bring($before, $word);
                $words[] = $word;
                $negated += in_array($word, self::NEGATIONS, true) || preg_match('/^(?:non|un)(?=.{4})/', $word) === 1 && $this->lexicon->isWord((string) preg_replace('/^(?:non|un)/', '', $word)) ? 1 : 0;
            }
        }
        sort($exact, SORT_STRING);
        sort($rough, SORT_STRING);

        return new Signature($letters, $words, $plain, $exact, $rough, $units, $ordered, $negated);
    }

    /** Rules about endings hold for words, not for misspelled ones. */
    private function american(string $word): string
    {
        $american = WordForms::american($word);

        $base = (string) preg_replace('/iz(?:ed|es|ers?|ing|ingly|able|ations?|ational|ement)$/', 'ize', $american);

        return $american === $word || $this->lexicon->isWord($word) || $this->lexicon->isWord($american) || $this->lexicon->isWord($base) ? $american : $word;
    }

    /** @return array{0: list<string>, 1: list<string>, 2: list<string>}|null exact, rough and units where the whole text is a measure */
    private function wholeMeasure(string $text): ?array
    {
        if (preg_match('/^\s*[+\-−]?[\d.,½⅓⅔¼¾⅛⅜⅝⅞]/u', $text) !== 1) {
            return null;
        }
        try {
            $measure = MeasureText::read($text);
        } catch (UnreadableQuantity) {
            return null;
        }
        $quantities = match (true) {
            $measure instanceof Quantity => [$measure],
            $measure instanceof QuantityRange => [$measure->from, $measure->to],
            $measure instanceof Dimensions => $measure->sides,
        };
        if ($quantities[0]->unit === null || isset($quantities[0]->unit->powers['piece'])) {
            return null;
        }
        $exact = implode('x', array_map(fn (Quantity $one): string => $this->canonical($one, 12), $quantities));
        $rough = implode('x', array_map(fn (Quantity $one): string => $this->canonical($one, 3), $quantities));

        $kind = $measure instanceof Quantity ? '' : $measure::class;

        return [["{$kind}{$exact}"], ["{$kind}{$rough}"], [$quantities[0]->unit->symbol]];
    }

    /** @return array{0: string, 1: list<string>, 2: list<string>, 3: list<string>} the text without its measures, these exact and rough, their units */
    private function measures(string $text): array
    {
        $exact = [];
        $rough = [];
        $units = [];
        $rest = preg_replace_callback('/'.self::NUMBER.'((?:\pL+[²³23]?(?:\s?\/\s?\pL+[²³23]?)?|fl\.? oz|sq\.? \pL+|["°]\pL?)(?![\pL\pN]))/u', function (array $found) use (&$exact, &$rough, &$units): string {
            [$all, $number, $space, $name] = $found;
            $unit = strlen($name) === 1 && ctype_alpha($name) && $space !== '' ? null : Unit::find($name);
            if ($unit === null || isset($unit->powers['piece']) || $name === 'in' && $space !== '' || preg_match('/^[shdbk]$/', $name) === 1) {
                return $all;
            }
            try {
                $quantity = MeasureText::read("{$number} {$unit->symbol}");
            } catch (UnreadableQuantity) {
                return $all;
            }
            if (! $quantity instanceof Quantity) {
                return $all;
            }
            $exact[] = $this->canonical($quantity, 12);
            $rough[] = $this->canonical($quantity, 3);
            $units[] = $unit->symbol;

            return ' ';
        }, $text);

        return [(string) $rest, $exact, $rough, $units];
    }

    private function canonical(Quantity $quantity, int $digits): string
    {
        if ($quantity->unit === null) {
            return sprintf("%.{$digits}G", $quantity->float());
        }
        $base = $quantity->unit->convert($quantity->number, new Unit('', $quantity->unit->powers, \Brick\Math\BigRational::one(), ''));

        return sprintf("%.{$digits}G", (new Quantity($base, null))->float()).'·'.json_encode($quantity->unit->powers);
    }

    /**
     * Compositions: which part has which share, whichever comes first in the text.
     *
     * @return array{0: string, 1: list<string>} the text without them, and the pairs
     */
    private function shares(string $text): array
    {
        if (preg_match_all('/\d+(?:[.,]\d+)?%/', $text) < 1) {
            return [$text, []];
        }
        $first = preg_match('/^\s*\d+(?:[.,]\d+)?%/', $text) === 1;
        $pattern = $first ? '/(?<share>\d+(?:[.,]\d+)?%)\s*(?<part>[^\d%]+)/u' : '/(?<part>[^\d%]+?)\s*(?<share>\d+(?:[.,]\d+)?%)/u';
        if (preg_match_all($pattern, $text, $found, PREG_SET_ORDER) !== preg_match_all('/\d+(?:[.,]\d+)?%/', $text)) {
            return [$text, []];
        }
        $pairs = [];
        foreach ($found as $pair) {
            $part = $this->signature('', $pair['part'], [], [], []);
            $pairs[] = $part->words === [] ? str_replace(',', '.', $pair['share']) : str_replace(',', '.', $pair['share']).' '.$part->key();
        }

        return ['', $pairs];
    }
}
