<?php

declare(strict_types=1);

namespace Lokum\LookAlike;

/**
 * The languages that a list speaks. An English word that is a name in another language as well (pan, sale, hut) is that name only where
 * the list has other words of that language.
 */
final readonly class Tongues
{
    /** @param  array<string, true>  $spoken  by language */
    private function __construct(private array $spoken, private Names $names, private WordList $english)
    {
    }

    /** @param  array<int, string>  $texts  strict keys of all values */
    public static function of(array $texts, Names $names, WordList $english): self
    {
        $spoken = [];
        foreach ($texts as $text) {
            $languages = $english->has($text) ? [] : $names->languages($text);
            $spoken += count($languages) === 1 ? [$languages[0] => true] : [];
        }

        return new self($spoken, $names, $english);
    }

    /** @param  string  $text  strict key of a value that is a name in another language */
    public function speak(string $text): bool
    {
        return ! $this->english->has($text) ||
            $this->names->isPlaceOrMonth($text) ||
            array_intersect_key($this->spoken, array_flip($this->names->languages($text))) !== [];
    }
}
