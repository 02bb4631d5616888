<?php

declare(strict_types=1);

namespace Lokum\LookAlike;

use Locale;
use Lokum\Text\StrictKey;
use Lokum\Vocabulary\MonthNames;
use ResourceBundle;

/**
 * Which names say one thing: by a standard, in another language, or as a trade uses its words. They are lines of data/names; countries
 * and months in other languages come from the Unicode CLDR, which the intl extension carries.
 */
final class Names
{
    /** Files of data/names by what they are evidence of. */
    private const FILES = [
        'standards' => Evidence::Standard,
        'frequencies' => Evidence::Standard,
        'countries' => Evidence::Synonym,
        'languages' => Evidence::Language,
        'words' => Evidence::Synonym,
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

    /** Those of them that write several words as one. */
    private const COMPOUNDING = ['de', 'nl'];

    private const COMPOUND = '/^\pL{8,40}$/u';

    /** Letters that a part of such a word has at least. */
    private const PART = 4;

    private const MOST_TOKENS = 5;

    private static ?self $shipped = null;

    /**
     * Names, where each holds, its standard or language: by evidence and phrase. PES is polyester in a composition by one standard, and
     * alone by another.
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

    private function __construct()
    {
        foreach (self::FILES as $file => $evidence) {
            $source = '';
            foreach (file(__DIR__."/data/names/{$file}.txt", FILE_IGNORE_NEW_LINES | FILE_SKIP_EMPTY_LINES) ?: [] as $line) {
                if (str_starts_with($line, '## ')) {
                    $source = substr($line, 3);
                } elseif (! str_starts_with($line, '#')) {
                    $this->addLine($evidence, $line, $source);
                }
            }
        }
        $this->addPlacesAndMonths();
    }

    /** What ships, read once. */
    public static function shipped(): self
    {
        return self::$shipped ??= new self();
    }

    /**
     * What a text says in the names that all are read as, step by step: by standards first, then in English, then in the words that
     * a trade uses most.
     *
     * @param  string  $letters  strict key
     * @return array<string, string> texts that differ from the ones before, by evidence
     */
    public function otherwise(string $letters): array
    {
        $found = [];
        $isNamed = fn (string $token): bool => isset($this->firsts[$token]) || $this->compound($token) !== null;
        if (array_filter(array_column(self::tokens($letters), 0), $isNamed) === []) {
            return [];
        }
        foreach ([Evidence::Standard, Evidence::Language, Evidence::Synonym] as $evidence) {
            $text = $this->replaced($letters, $evidence);
            if ($text !== $letters) {
                $found[$evidence->value] = $letters = $text;
            }
        }

        return $found;
    }

    /** Whether a word is a name or a part of one, in any language. */
    public function knows(string $word): bool
    {
        return isset($this->words[$word]);
    }

    /** What says that a text is read as another name: a standard's number; "" where nothing is on record. */
    public function source(string $letters): string
    {
        foreach (self::tokens($letters) as [$token]) {
            foreach ([$letters, $token] as $phrase) {
                $source = $this->phrases[Evidence::Standard->value][implode(' ', array_column(self::tokens($phrase), 0))][0][2] ?? '';
                if ($source !== '') {
                    return $source;
                }
            }
        }

        return '';
    }

    /**
     * The language that a text is a name in, as a BCP 47 tag; null where it is in several, or in none that is known.
     *
     * @param  string  $letters  strict key
     */
    public function language(string $letters): ?string
    {
        $key = implode(' ', array_column(self::tokens($letters), 0));
        $languages = array_unique(array_column($this->phrases[Evidence::Language->value][$key] ?? [], 2));

        return count($languages) === 1 ? $languages[0] : null;
    }

    private function replaced(string $text, Evidence $evidence): string
    {
        $longest = $this->longest[$evidence->value] ?? [];
        $tokens = self::tokens($text);
        $done = '';
        $behind = 0;
        for ($i = 0, $n = count($tokens); $i < $n; $i++) {
            $compound = $evidence === Evidence::Language ? $this->compound($tokens[$i][0]) : null;
            if ($compound !== null) {
                $done .= substr($text, $behind, $tokens[$i][1] - $behind).$compound;
                $behind = $tokens[$i][1] + strlen($tokens[$i][0]);

                continue;
            }
            $most = min($longest[$tokens[$i][0]] ?? 0, $n - $i, self::MOST_TOKENS);
            for ($length = $most; $length > 0; $length--) {
                $run = array_slice($tokens, $i, $length);
                $from = $run[0][1];
                $to = $run[$length - 1][1] + strlen($run[$length - 1][0]);
                foreach ($this->phrases[$evidence->value][implode(' ', array_column($run, 0))] ?? [] as [$name, $where]) {
                    if ($this->holds($where, $text, $from, $to)) {
                        $done .= substr($text, $behind, $from - $behind).$name;
                        $behind = $to;
                        $i += $length - 1;

                        break 2;
                    }
                }
            }
        }

        return $done.substr($text, $behind);
    }

    /** A German or Dutch word of two that are known, in English: sommerreifen, edelstahldeckel. Null for all others. */
    private function compound(string $token): ?string
    {
        $names = $this->phrases[Evidence::Language->value] ?? [];
        if (isset($names[$token]) || preg_match(self::COMPOUND, $token) !== 1) {
            return null;
        }
        for ($at = self::PART; $at <= strlen($token) - self::PART; $at++) {
            $second = $names[substr($token, $at)] ?? [];
            foreach ($second as [$other, $where, $language]) {
                $one = $where === '' && in_array($language, self::COMPOUNDING, true)
                    ? $this->first(substr($token, 0, $at), $language)
                    : null;
                if ($one !== null) {
                    return "{$one} {$other}";
                }
            }
        }

        return null;
    }

    /** The first part of such a word in English, with the letters that join it: baumwoll|docht, lamms|wolle; winter is winter. */
    private function first(string $part, string $language): ?string
    {
        foreach ([$part, "{$part}e", substr($part, 0, -1)] as $name) {
            foreach ($this->phrases[Evidence::Language->value][$name] ?? [] as [$english, $where, $of]) {
                if ($where === '' && $of === $language) {
                    return $english;
                }
            }
        }

        return isset($this->words[$part]) && ! isset($this->phrases[Evidence::Language->value][$part]) ? $part : null;
    }

    /** Whether a name stands where it means that: "!" as the whole text, "%" behind a share, "" anywhere with nothing but room inside. */
    private function holds(string $where, string $text, int $from, int $to): bool
    {
        return match ($where) {
            '!' => trim(substr($text, 0, $from)) === '' && trim(substr($text, $to), ' ."') === '',
            '%' => preg_match('/\d\s*%\s*$/', substr($text, 0, $from)) === 1 ||
                preg_match('/^\s*\d+\s*%/', substr($text, $to)) === 1,
            default => preg_match('/[^\pL\pN\s.\/"-]/u', substr($text, $from, $to - $from)) !== 1,
        };
    }

    private function addLine(Evidence $evidence, string $line, string $source): void
    {
        $names = array_map(trim(...), explode('=', $line));
        $first = rtrim($names[0], '!%');
        foreach ($names as $given) {
            // "de: rot/rote"; elsewhere a stroke belongs to the name.
            $isForeign = preg_match('/^[a-z]{2}: /', $given) === 1;
            foreach ($isForeign ? explode('/', substr($given, 4)) : [$given] as $name) {
                $this->add($evidence, trim($name), $first, $isForeign ? substr($given, 0, 2) : $source);
            }
        }
    }

    private function add(Evidence $evidence, string $name, string $first, string $source): void
    {
        $where = preg_match('/[!%]$/', $name) === 1 ? substr($name, -1) : '';
        $tokens = array_column(self::tokens(StrictKey::of(rtrim($name, '!%'))), 0);
        if ($tokens === []) {
            return;
        }
        foreach ($tokens as $token) {
            $this->words[$token] = true;
        }
        $key = implode(' ', $tokens);
        if ($key !== implode(' ', array_column(self::tokens($first), 0))) {
            $this->phrases[$evidence->value][$key][] = [$first, $where, $source];
            $this->firsts[$tokens[0]] = true;
            $this->longest[$evidence->value][$tokens[0]] = max(count($tokens), $this->longest[$evidence->value][$tokens[0]] ?? 0);
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
                    $this->add(Evidence::Language, "{$name}!", $english, $language);
                }
            }
            foreach (self::TONGUES as $tongue) {
                $name = fn (string $in): string => StrictKey::of((string) Locale::getDisplayLanguage($tongue, $in));
                $this->add(Evidence::Language, "{$name($language)}!", $name('en'), $language);
            }
            foreach (MonthNames::in($language) as $i => $name) {
                $this->add(Evidence::Language, "{$name}!", MonthNames::in('en')[$i], $language);
            }
        }
    }

    /** @return list<array{0: string, 1: int}> words and codes with the byte at which each begins */
    private static function tokens(string $text): array
    {
        preg_match_all('/[\pL\pN]+(?:[.,]\d+)*(?:[\pL\pN]+)*/u', $text, $found, PREG_OFFSET_CAPTURE);

        return $found[0];
    }
}
