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
    private function __construct(private array $spoken, private Names $names)
    {
    }

    /** @param  array<int, string>  $texts  strict keys of all values */
    public static function of(array $texts, Names $names): self
    {
        $languages = array_filter(array_map($names->language(...), $texts), is_string(...));

        return new self(array_fill_keys($languages, true), $names);
    }

    /** @param  string  $text  strict key of a value that is a name in another language */
    public function speak(string $text): bool
    {
        return ! $this->names->isEnglishToo($text) ||
            array_intersect_key($this->spoken, array_flip($this->names->languages($text))) !== [];
    }
}
