<?php

declare(strict_types=1);

namespace Lokum\LookAlike;

/**
 * Words of other languages that no list has as they are: names in another form, and German and Dutch ones that are put together from
 * names.
 */
final class OtherWords
{
    /** Languages that write several words as one. */
    private const COMPOUNDING = ['de', 'nl'];

    private const COMPOUND = '/^\pL{8,40}$/u';

    /** Letters that a part of such a word has at least. */
    private const PART = 4;

    private const MOST_KEPT = 20_000;

    /** Endings of words that say that there is none of a thing, and their language. */
    private const LACKING = [
        'frei' => 'de',
        'los' => 'de',
        'vrij' => 'nl',
        'loos' => 'nl',
    ];

    /** @var array<string, ?string> words put together that were read, by their letters */
    private array $compounds = [];

    public function __construct(
        private readonly NameLists $lists,
        private readonly Inflections $inflections,
        private readonly WordList $english,
    ) {
    }

    /** @return list<array{0: string, 1: string, 2: string}> what a word means that is a name in another form: kerzen, bougies, candele */
    public function inflected(string $token): array
    {
        foreach ($this->lists->named(Evidence::Language, $token) !== [] ? [] : $this->inflections->of($token) as $form => $languages) {
            $found = array_filter(
                $this->lists->named(Evidence::Language, $form),
                fn (array $name): bool => $name[1] === '' && in_array($name[2], $languages, true),
            );
            if ($found !== []) {
                return array_values($found);
            }
        }

        return [];
    }

    /** A German or Dutch word of two or three that are known, in English: sommerreifen, edelstahldeckel. Null for others: headband. */
    public function compound(string $token): ?string
    {
        if (! array_key_exists($token, $this->compounds)) {
            if (count($this->compounds) >= self::MOST_KEPT) {
                $this->compounds = [];
            }
            $isNone =
                preg_match(self::COMPOUND, $token) !== 1 ||
                $this->lists->named(Evidence::Language, $token) !== [] ||
                $this->english->hasInAnyForm($token);
            $this->compounds[$token] = $isNone ? null : $this->lacking($token) ?? $this->parted($token);
        }

        return $this->compounds[$token];
    }

    /** What is without something, in one word: beutellos, sulfatfrei. */
    private function lacking(string $token): ?string
    {
        foreach (self::LACKING as $ending => $language) {
            $named = str_ends_with($token, $ending) ? $this->first(substr($token, 0, -strlen($ending)), $language) : null;
            if ($named !== null) {
                return "without {$named}";
            }
        }

        return null;
    }

    private function parted(string $token): ?string
    {
        for ($at = self::PART; $at <= strlen($token) - self::PART; $at++) {
            $second = substr($token, $at);
            $names = $this->lists->named(Evidence::Language, $second) ?: $this->inflected($second);
            foreach ($names as [$other, , $language]) {
                $one = in_array($language, self::COMPOUNDING, true) ? $this->first(substr($token, 0, $at), $language) : null;
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
            foreach ($this->lists->named(Evidence::Language, $name) as [$english, , $of]) {
                if ($of === $language) {
                    return $english;
                }
            }
        }
        // Winter, golf
        $isSame = $this->lists->knows($part) || (strlen($part) >= self::PART && $this->english->has($part));
        if ($isSame && $this->lists->named(Evidence::Language, $part) === []) {
            return $part;
        }

        return strlen($part) >= 2 * self::PART ? $this->parted($part) ?? $this->parted(substr($part, 0, -1)) : null;
    }
}
