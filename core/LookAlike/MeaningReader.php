<?php

declare(strict_types=1);

namespace Lokum\LookAlike;

use Brick\Math\BigRational;
use Lokum\Quantity\Dimensions;
use Lokum\Quantity\MeasureText;
use Lokum\Quantity\Quantity;
use Lokum\Quantity\QuantityRange;
use Lokum\Quantity\Unit;
use Lokum\Quantity\UnreadableQuantity;
use Lokum\Text\StrictKey;
use Lokum\Text\Unicode;
use Lokum\Text\WordForms;
use Lokum\Vocabulary\SizeLadder;

/** Reads what a text says: its words in one form, its numbers and codes as they are, its measures as quantities, its shares as pairs. */
final class MeaningReader
{
    /** 12-pack, 3-seater */
    private const COUNTED = '/(?<![\pL\pN-])(\d+)-(\pL{3,})(?![\pL\pN-])/u';

    /** 1 3/4, of which nothing else is a part */
    private const MIXED = '/(?<![\pL\d.,\/-])(?<!x )(\d+) (\d)\/([2-9]|16|32)(?![\d\/])/';

    /** 3-5min, 0,5-1kg */
    private const RANGE_WITH_UNIT = '/(?<![\pL\d.,\/-])(\d+(?:[.,]\d+)?-\d+(?:[.,]\d+)?)(\pL{1,3})(?![\pL\pN])/u';

    /** Codes and numbers, words that end in a code, words, signs: AX-100, 42,5, RAL-7016, matt, & */
    private const TOKENS = '/[\pL\pN]*\d[\pL\pN]*(?:[-.,\/][\pL\pN]+)*|\pL+(?:-\d[\pL\pN-]*)|[\pL\'*]+|[+&@*]/u';

    /** Ending of a verb, so that galvanized is galvanize */
    private const IZED = '/iz(?:ed|es|ers?|ing|ingly|able|ations?|ational|ement)$/';

    /** -18 °C, ½ l */
    private const NUMBER_FIRST = '/^\s*[+\-−]?[\d.,½⅓⅔¼¾⅛⅜⅝⅞]/u';

    private const FILLERS = ['and', 'the', 'a', 'an', 'of', 'at'];

    private const NUMBERS = [
        'one' => '1',
        'two' => '2',
        'three' => '3',
        'four' => '4',
        'five' => '5',
        'six' => '6',
        'seven' => '7',
        'eight' => '8',
        'nine' => '9',
        'ten' => '10',
        'eleven' => '11',
        'twelve' => '12',
    ];

    /** Two years, two-year */
    private const NUMBER_WORD = '/^\s*(one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve)[ -](?=\pL+\s*$)/iu';

    /** Ten-year warranty, for two days */
    private const TIME_IN_WORDS = '/\b(one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve)[ -]'.
        '(?=(?:year|month|week|day|hour|minute)s?\b)/iu';

    private const DIRECTIONS = [
        'on',
        'in',
        'over',
        'under',
        'to',
        'from',
        'into',
        'with',
        'without',
        'for',
        'per',
        'by',
        'x',
        'not',
        'no',
        'non',
        'plus',
        'minus',
    ];

    private const NEGATIONS = ['without', 'not', 'no', 'non', 'free', 'less', 'un', 'excluding', 'except', 'zero'];

    /** Units of one letter are taken for units only right behind their number, but for these. */
    private const APART = ['w', 'v', 'g', 'l', 'm', 'h'];

    /** Letters that stand for sides and counts as well. */
    private const SIDE = '/^[shdbk]$/';

    /** What lasts for hours, so that an h is no height: battery life 30 h */
    private const LASTING = '/\b(?:life|lifespan|time|runtime|playtime|playback|talk|standby|duration|charge|charging|timer|'.
        'burning|drying|curing)\b/';

    private const NUMBER = '(?<![\pL\pN.,\/-])(\d+(?:[.,]\d+)*(?: \d+\/\d+|\/\d+)?)(\s?)';

    /** 12 mm, 3 fl. oz, 20 °C, 5 m/s, 2 sq. ft, 7", 4 m2; but not EN ISO 20345 S3 */
    private const MEASURE = '/'.self::NUMBER.
        '((?:\pL+(?:[²³]|(?<=[mnt])[23])?(?:\s?\/\s?\pL+[²³23]?)?|fl\.? oz|sq\.? \pL+|["°]\pL?)(?![\pL\pN]))/u';

    private const MOST_KEPT = 20_000;

    /** @var array<string, array{0: string, 1: string}|null> measures that were read, by their text */
    private array $measured = [];

    public function __construct(private readonly Lexicon $lexicon)
    {
    }

    /**
     * What a text says. Any text is read; one that says nothing known is its letters.
     *
     * @param  string  $text  valid UTF-8, of any length
     */
    public function of(string $text): Meaning
    {
        $letters = StrictKey::of($text);
        // A raised o is typed for a degree; behind it stands the letter of the scale.
        $text = (string) preg_replace('/(?<=[\d\s])[º˚]\s?(?=[CF]\b)/u', '°', Unicode::digits($text));
        $text = (string) preg_replace('/(?<=\d)\s?([kKMGT])b(?:ps|\/s)\b/', ' $1bit/s', $text);
        $plain = Notation::plain(StrictKey::of(self::inDigits(self::TIME_IN_WORDS, $text)));
        $measure = $this->wholeMeasure($text);
        if ($measure !== null) {
            return new Meaning($letters, exact: $measure[0], rough: $measure[1], units: $measure[2]);
        }
        $name = $this->lexicon->expanded((string) preg_replace('/[\s-]+/u', ' ', $plain));
        $size = Notation::size($name) ?? (SizeLadder::isLetters($name) ? $name : null);
        if ($size !== null) {
            return new Meaning($letters, exact: [$size], rough: [$size]);
        }
        [$plain, $exact, $rough, $units] = $this->measures($plain);
        $made = Composition::in($plain);

        return $made === null
            ? $this->signature($letters, $plain, $exact, $rough, $units)
            : $this->composed($letters, $made, $exact, $rough, $units);
    }

    /**
     * @param  list<string>  $exact
     * @param  list<string>  $rough
     * @param  list<string>  $units
     */
    private function signature(string $letters, string $text, array $exact, array $rough, array $units): Meaning
    {
        // 12-pack is 12 pack, and a code such as AX-100 stays whole; elsewhere dashes part words.
        $text = (string) preg_replace_callback(
            self::COUNTED,
            fn (array $part): string => $this->lexicon->isWord($part[2]) ||
            $this->lexicon->isWord((string) preg_replace('/(?:er|ed|ing)$/', '', $part[2]))
                ? "{$part[1]} {$part[2]}"
                : $part[0],
            $text,
        );
        $text = (string) preg_replace_callback(
            self::MIXED,
            fn (array $part): string => sprintf('%.10G', (int) $part[1] + (int) $part[2] / (int) $part[3]),
            $text,
        );
        $text = (string) preg_replace_callback(
            self::RANGE_WITH_UNIT,
            fn (array $part): string => Unit::find($part[2]) === null ? $part[0] : "{$part[1]} {$part[2]}",
            $text,
        );
        preg_match_all(self::TOKENS, $text, $found);
        $words = [];
        $plain = [];
        $run = '';
        $negated = 0;
        $ordered = false;
        $alone = count($found[0]) === 1;
        $counted = false;
        foreach ($found[0] as $place => $token) {
            $token = str_replace("'", '', self::NUMBERS[$token] ?? $token);
            if (preg_match('/\d/', $token) === 1) {
                $exact[] = $rough[] = self::number($token);
                $counted = true;

                continue;
            }
            // The unit of a range that stands among words: 3-5 min is 3-5 minutes.
            $unit = $counted && strlen($token) > 1 ? Unit::find($token) : null;
            $token = $unit === null || isset($unit->powers['piece']) ? $token : $unit->symbol;
            $counted = false;
            // Not of "energy class A".
            $isFiller = in_array($token, self::FILLERS, true) && ($token !== 'a' || $place < count($found[0]) - 1);
            if ($isFiller || $token === '&' || $token === '') {
                continue;
            }
            $ordered = $ordered || in_array($token, self::DIRECTIONS, true);
            $run .= WordForms::american($token);
            $plain[] = $alone ? $this->lexicon->singular($token, true) : $this->lexicon->stem($this->lexicon->singular($token));
            foreach (explode(' ', $this->lexicon->expanded($this->parted($token))) as $word) {
                $words[] = $word = $this->normal($word, $alone);
                $negated +=
                    in_array($word, self::NEGATIONS, true) ||
                    (preg_match('/^un(?=.{4})/', $word) === 1 && $this->lexicon->isWord(substr($word, 2)))
                        ? 1
                        : 0;
            }
        }
        $kinds = array_map(self::kind(...), $exact);
        $exact = self::byKind($exact, $kinds);
        $rough = self::byKind($rough, $kinds);
        $joined = implode('', $words);
        // Of two numbers of a kind it matters which belongs to what: 2 forks, 3 knives.
        $ordered = $ordered || count(array_unique($kinds)) < count($kinds);

        return new Meaning(
            $letters,
            $words,
            $plain,
            $exact,
            $rough,
            $units,
            $ordered,
            $negated,
            $joined === '' ? [] : array_values(array_unique([$joined, $this->lexicon->singular($joined), $run])),
        );
    }

    /**
     * What a number counts: a measure's dimension, or the letters of a code. Those of one kind keep their order, so that 1:2 is not
     * 2:1.
     */
    private static function kind(string $exact): string
    {
        return (string) strstr($exact, '·') ?: (string) preg_replace('/\d+/', '#', $exact);
    }

    /**
     * @param  list<string>  $values
     * @param  list<string>  $kinds  of each
     * @return list<string> by kind, in their order within it
     */
    private static function byKind(array $values, array $kinds): array
    {
        $places = array_keys($values);
        usort($places, fn (int $a, int $b): int => $kinds[$a] <=> $kinds[$b] ?: $a <=> $b);

        return array_map(fn (int $place): string => $values[$place], $places);
    }

    /** One word in one form: its abbreviation written out, singular, one spelling. */
    private function normal(string $word, bool $alone): string
    {
        $before = $word;
        $word =
            $this->lexicon->singular($word, $alone) === $word
                ? $this->american($word)
                : $this->american($this->lexicon->singular($word));
        $word = $this->lexicon->expanded($alone ? $word : $this->lexicon->stem($word));
        $this->lexicon->bring($before, $word);

        return $this->lexicon->spelled($word);
    }

    /** A word that is denied: nontoxic is "non toxic", as not toxic is. */
    private function parted(string $word): string
    {
        return match (true) {
            $word === 'not' => 'non',
            preg_match('/^non(?<rest>.{4,})$/', $word, $part) === 1 && $this->lexicon->isWord($part['rest']) => "non {$part['rest']}",
            default => $word,
        };
    }

    /** 42,5 and 42.50 are 42.5; three digits behind a comma may be thousands and stay, and so do codes. */
    private static function number(string $token): string
    {
        return preg_match('/^\d+[.,]\d{1,2}$/', $token) === 1 ? rtrim(rtrim(str_replace(',', '.', $token), '0'), '.') : $token;
    }

    /**
     * @param  list<string>  $exact
     * @param  list<string>  $rough
     * @param  list<string>  $units
     */
    private function composed(string $letters, Composition $made, array $exact, array $rough, array $units): Meaning
    {
        $words = [];
        $plain = [];
        foreach ($made->parts as ['share' => $share, 'part' => $text]) {
            $part = $this->signature('', $text, [], [], []);
            [$in, $said] = [$part->words, $part->plain];
            sort($in, SORT_STRING);
            sort($said, SORT_STRING);
            array_push($words, ...$in, ...['/']);
            array_push($plain, ...$said, ...['/']);
            $exact[] = $rough[] = $share;
        }

        return new Meaning($letters, $words, $plain, $exact, $rough, $units, true);
    }

    /** Rules about endings hold for words, not for misspelled ones. */
    private function american(string $word): string
    {
        $american = WordForms::american($word);

        $base = (string) preg_replace(self::IZED, 'ize', $american);

        return $american === $word ||
            $this->lexicon->isWord($word) ||
            $this->lexicon->isWord($american) ||
            $this->lexicon->isWord($base)
            ? $american
            : $word;
    }

    private static function inDigits(string $numbers, string $text): string
    {
        return (string) preg_replace_callback($numbers, fn (array $part): string => self::NUMBERS[strtolower($part[1])].' ', $text);
    }

    /** @return array{0: list<string>, 1: list<string>, 2: list<string>}|null exact, rough and units where the whole text is a measure */
    private function wholeMeasure(string $text): ?array
    {
        $text = self::inDigits(self::NUMBER_WORD, $text);
        if (preg_match(self::NUMBER_FIRST, $text) !== 1) {
            return null;
        }
        // 24-month; 30 by 40 cm
        $text = (string) preg_replace(
            ['/^\s*(\d+(?:[.,]\d+)?)-(?=\pL{3,}\s*$)/u', '/(?<=\d) by (?=\d)/i'],
            ['$1 ', ' x '],
            $text,
        );
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
        $canonical = array_map($this->canonical(...), $quantities);
        $exact = implode('x', array_column($canonical, 0));
        $rough = implode('x', array_column($canonical, 1));

        $kind = $measure instanceof Quantity ? '' : $measure::class;

        return [["{$kind}{$exact}"], ["{$kind}{$rough}"], [$quantities[0]->unit->symbol]];
    }

    /**
     * @return array{0: string, 1: list<string>, 2: list<string>, 3: list<string>} the text without its measures, these exact and
     *         rough, their units
     */
    private function measures(string $text): array
    {
        $exact = [];
        $rough = [];
        $units = [];
        $lasts = preg_match(self::LASTING, $text) === 1;
        $rest = preg_replace_callback(
            self::MEASURE,
            function (array $found) use (&$exact, &$rough, &$units, $lasts): string {
                [$all, $number, $space, $name] = $found;
                $unit =
                    preg_match('/^[a-z]$/', $name) === 1 && $space !== '' && ! in_array($name, self::APART, true)
                        ? null
                        : Unit::find($name) ?? (strlen($name) === 1 ? Unit::find(strtoupper($name)) : null);
                if (
                    $unit === null ||
                    isset($unit->powers['piece']) ||
                    ($name === 'in' && $space !== '') ||
                    (preg_match(self::SIDE, $name) === 1 && ($name !== 'h' || ! $lasts))
                ) {
                    return $all;
                }
                $measure = $this->measure("{$number} {$unit->symbol}");
                if ($measure === null) {
                    return $all;
                }
                $exact[] = $measure[0];
                $rough[] = $measure[1];
                $units[] = $unit->symbol;

                return ' ';
            },
            $text,
        );

        return [(string) $rest, $exact, $rough, $units];
    }

    /** @return array{0: string, 1: string}|null exact and rough; the same measure stands in many values, so it is worked out once */
    private function measure(string $text): ?array
    {
        if (! array_key_exists($text, $this->measured)) {
            if (count($this->measured) >= self::MOST_KEPT) {
                $this->measured = [];
            }
            try {
                $quantity = MeasureText::read($text);
            } catch (UnreadableQuantity) {
                $quantity = null;
            }
            $this->measured[$text] = $quantity instanceof Quantity ? $this->canonical($quantity) : null;
        }

        return $this->measured[$text];
    }

    /** @return array{0: string, 1: string} the number in base units with their dimension: exact, and to the three digits that count most */
    private function canonical(Quantity $quantity): array
    {
        if ($quantity->unit === null) {
            return [$quantity->significant(null), $quantity->significant(3)];
        }
        $powers = $quantity->unit->powers;
        $base = new Quantity($quantity->unit->convert($quantity->number, new Unit('', $powers, BigRational::one(), '')), null);
        $dimension = '·'.json_encode($powers);

        return [$base->significant(null).$dimension, $base->significant(3).$dimension];
    }
}
