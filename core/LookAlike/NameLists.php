<?php

declare(strict_types=1);

namespace Lokum\LookAlike;

use Locale;
use Lokum\Text\StrictKey;
use Lokum\Text\WordForms;
use Lokum\Vocabulary\MonthNames;
use ResourceBundle;

/**
 * The lists of names as data/names has them, by evidence and words; countries and months in other languages come from the Unicode
 * CLDR, which the intl extension carries. How a line is written stands in the head of each file.
 */
final class NameLists
{
    /** Files of data/names by what they are evidence of. */
    private const FILES = [
        'standards' => Evidence::Standard,
        'frequencies' => Evidence::Standard,
        'countries' => Evidence::Synonym,
        'languages' => Evidence::Language,
        'words' => Evidence::Synonym,
        'colors-by-number' => Evidence::Synonym,
    ];

    private const LANGUAGES = ['de', 'fr', 'es', 'it', 'nl'];

    /** Languages whose names are known in the others. */
    private const TONGUES = [
        'en',
        'de',
        'fr',
        'es',
        'it',
        'nl',
        'pt',
        'pl',
        'cs',
        'sv',
        'da',
        'nb',
        'no',
        'fi',
        'hu',
        'ro',
        'el',
        'tr',
        'ru',
        'uk',
        'ar',
        'zh',
        'ja',
        'ko',
    ];

    /** How often a name may lead to another one of its file: rucksack, backpack. */
    private const MOST_STEPS = 4;

    private static ?self $shipped = null;

    /**
     * PES is polyester in a composition by one standard, and alone by another.
     *
     * @var array<string, array<string, list<array{0: string, 1: string, 2: string}>>>
     */
    private array $phrases = [];

    /** @var array<string, array<string, int>> tokens of the longest phrase that begins with a token, by evidence */
    private array $longest = [];

    /** @var array<string, true> what any phrase begins with */
    private array $firsts = [];

    /** @var array<string, true> */
    private array $words = [];

    /** @var array<string, true> countries, languages and months in other languages */
    private array $places = [];

    private function __construct()
    {
        foreach (self::FILES as $file => $evidence) {
            foreach (glob(__DIR__."/data/names/{$file}{.txt,/*.txt}", GLOB_BRACE) ?: [] as $part) {
                $this->addFile($evidence, $part);
            }
        }
        $this->addPlacesAndMonths();
        $this->finish();
    }

    /** What ships, read once. */
    public static function shipped(): self
    {
        return self::$shipped ??= new self();
    }

    /**
     * What some words say, the usual meaning first; nothing where they are no name.
     *
     * @param  string  $words  parted by one space, as tokens() has them
     * @return list<array{0: string, 1: string, 2: string}> the name that all are read as; where it holds ("!" as the whole text, "%"
     *                                                      behind a share, "" anywhere); its standard or language
     */
    public function named(Evidence $evidence, string $words): array
    {
        if ($evidence === Evidence::Language) {
            return $this->phrases[$evidence->value][$words] ?? [];
        }
        $american = self::american($words);

        return $this->phrases[$evidence->value][$american] ??
            (str_ends_with($words, 's') ? $this->phrases[$evidence->value][self::singular($words)] ?? [] : []);
    }

    /** How many words the longest name has that begins with a word; 0 where none does. */
    public function longest(Evidence $evidence, string $first): int
    {
        return $this->longest[$evidence->value][$first] ?? $this->longest[$evidence->value][self::singular($first)] ?? 0;
    }

    /** Whether any name begins with a word, of whatever evidence. */
    public function begins(string $word): bool
    {
        return isset($this->firsts[$word]) || isset($this->firsts[self::singular($word)]);
    }

    /** Whether a text is a country, a language or a month in another language. */
    public function isPlaceOrMonth(string $words): bool
    {
        return isset($this->places[$words]);
    }

    /** Whether a word is a name or a part of one, in any language. */
    public function knows(string $word): bool
    {
        return isset($this->words[$word]);
    }

    /** @return list<array{0: string, 1: int}> words and codes with the byte at which each begins */
    public static function tokens(string $text): array
    {
        preg_match_all('/[\pL\pN]+(?:[.,]\d+)*(?:[\pL\pN]+)*/u', $text, $found, PREG_OFFSET_CAPTURE);

        return $found[0];
    }

    private function addFile(Evidence $evidence, string $file): void
    {
        $source = '';
        foreach (file($file, FILE_IGNORE_NEW_LINES | FILE_SKIP_EMPTY_LINES) ?: [] as $line) {
            if (str_starts_with($line, '## ')) {
                $source = substr($line, 3);
            } elseif (! str_starts_with($line, '#')) {
                $this->addLine($evidence, $line, $source);
            }
        }
    }

    private function addLine(Evidence $evidence, string $line, string $source): void
    {
        $names = array_map(trim(...), explode('=', $line));
        $first = $evidence === Evidence::Language ? rtrim($names[0], '!%') : $this->followed($evidence, $names[0]);
        $itself = implode(' ', self::wordsOf($first));
        foreach ($names as $given) {
            // "de: rot/rote"; elsewhere a stroke belongs to the name.
            $isForeign = preg_match('/^[a-z]{2}: /', $given) === 1;
            foreach ($isForeign ? explode('/', substr($given, 4)) : [$given] as $name) {
                $this->add($evidence, trim($name), $first, $itself, $isForeign ? substr($given, 0, 2) : $source);
            }
        }
    }

    /** The name that a name is read as, where another line has it: of "settee = sofa" and "sofa = couch" all are settees. */
    private function followed(Evidence $evidence, string $name): string
    {
        $where = self::whereOf($name);
        $name = rtrim($name, '!%');
        for ($step = 0; $step < self::MOST_STEPS; $step++) {
            $words = self::american(implode(' ', self::wordsOf($name)));
            foreach ($this->phrases[$evidence->value][$words] ?? [] as [$first, $there]) {
                if ($there === '' || $there === $where) {
                    $name = $first;

                    continue 2;
                }
            }
            break;
        }

        return $name;
    }

    /** Names whose own name was given another one by a later line, and those that stand there as several. */
    private function finish(): void
    {
        foreach ([Evidence::Standard, Evidence::Synonym] as $evidence) {
            foreach ($this->phrases[$evidence->value] as $key => $names) {
                foreach ($names as $i => [$first, $where, $source]) {
                    $this->phrases[$evidence->value][$key][$i] = [$this->followed($evidence, $first.$where), $where, $source];
                }
            }
            // A list has running shoes; somebody asks for a running shoe. Glasses are no glass.
            foreach ($this->phrases[$evidence->value] as $key => $names) {
                if (str_contains($key, ' ')) {
                    $this->phrases[$evidence->value][self::singular($key)] ??= $names;
                }
            }
        }
    }

    /**
     * @param  string  $first  what it is read as
     * @param  string  $itself  the words of that: a name that is the same needs no line
     */
    private function add(Evidence $evidence, string $name, string $first, string $itself, string $source): void
    {
        $where = self::whereOf($name);
        $tokens = self::wordsOf(rtrim($name, '!%'));
        if ($tokens === []) {
            return;
        }
        foreach ($tokens as $token) {
            $this->words[$token] = true;
        }
        $key = $evidence === Evidence::Language ? implode(' ', $tokens) : self::american(implode(' ', $tokens));
        if ($key !== $itself) {
            $this->phrases[$evidence->value][$key][] = [$first, $where, $source];
            $firsts = $evidence === Evidence::Language ? [$tokens[0]] : array_unique([$tokens[0], self::singular($tokens[0])]);
            foreach ($firsts as $first) {
                $this->firsts[$first] = true;
                $this->longest[$evidence->value][$first] = max(count($tokens), $this->longest[$evidence->value][$first] ?? 0);
            }
        }
    }

    private function addPlacesAndMonths(): void
    {
        $codes = [];
        $regions = ResourceBundle::create('en', 'ICUDATA-region')?->get('Countries');
        foreach ($regions instanceof ResourceBundle ? $regions : [] as $code => $name) {
            if (is_string($code) && is_string($name) && preg_match('/^[A-Z]{2}$/', $code) === 1) {
                $codes[$code] = StrictKey::of($name);
            }
        }
        foreach (self::LANGUAGES as $language) {
            foreach ($codes as $code => $english) {
                $name = StrictKey::of((string) Locale::getDisplayRegion("-{$code}", $language));
                if (! in_array($name, $codes, true)) {
                    $this->addPlace($name, $english, $language);
                }
            }
            foreach (self::TONGUES as $tongue) {
                $name = fn (string $in): string => StrictKey::of((string) Locale::getDisplayLanguage($tongue, $in));
                $this->addPlace($name($language), $name('en'), $language);
            }
            foreach (MonthNames::in($language) as $i => $name) {
                $this->addPlace($name, MonthNames::in('en')[$i], $language);
            }
        }
    }

    /** The sign behind a name that says where it holds. */
    private static function whereOf(string $name): string
    {
        $last = substr($name, -1);

        return $last === '!' || $last === '%' ? $last : '';
    }

    /** @return list<string> words of a name, which are letters only in nearly all */
    private static function wordsOf(string $name): array
    {
        return preg_match('/^[a-z]+(?: [a-z]+)*$/D', $name) === 1
            ? explode(' ', $name)
            : array_column(self::tokens(StrictKey::of($name)), 0);
    }

    private function addPlace(string $name, string $english, string $language): void
    {
        $this->add(Evidence::Language, "{$name}!", $english, implode(' ', self::wordsOf($english)), $language);
        $this->places[$name] = true;
    }

    /** Words in one spelling, so that a line need not name both: colour, color. */
    private static function american(string $words): string
    {
        return implode(' ', array_map(WordForms::american(...), explode(' ', $words)));
    }

    /** The same with its last word as one: latex balloons. */
    private static function singular(string $words): string
    {
        if (! str_ends_with($words, 's')) {
            return self::american($words);
        }
        $words = explode(' ', self::american($words));
        $last = array_pop($words);

        return implode(' ', [...$words, preg_match('/^\pL{3,}$/u', $last) === 1 ? WordForms::singular($last) : $last]);
    }
}
