<?php

declare(strict_types=1);

namespace Lokum\LookAlike;

/** Forms that words of other languages have besides the one in the lists of names: their plurals, and their feminine ones. */
final readonly class Inflections
{
    private const SHORTEST = 5;

    /** Endings, what stands there in the list instead, and languages in which that is so (common practice, no source). */
    private const ENDINGS = [
        ['s', '', ['fr', 'es', 'nl', 'de']],
        ['es', '', ['es', 'fr', 'de']],
        ['es', 'e', ['fr']],
        ['e', '', ['fr', 'nl', 'de']],
        ['en', '', ['de', 'nl']],
        ['n', '', ['de', 'nl']],
        ['er', '', ['de']],
        ['ern', '', ['de']],
        ['x', '', ['fr']],
        ['aux', 'al', ['fr']],
        ['as', 'o', ['es']],
        ['os', 'o', ['es']],
        ['a', 'o', ['es', 'it']],
        ['i', 'o', ['it']],
        ['i', 'e', ['it']],
        ['i', 'a', ['it']],
        ['e', 'a', ['it']],
        ['e', 'o', ['it']],
        ['ces', 'z', ['es']],
        ['innen', 'in', ['de']],
        ['jes', 'je', ['nl']],
        ['tje', '', ['nl']],
    ];

    public function __construct(private WordList $english)
    {
    }

    /** What ships. */
    public static function shipped(): self
    {
        return new self(WordList::shipped());
    }

    /**
     * @param  string  $word  in small letters, without accents
     * @return array<string, list<string>> forms that could stand in a list, with the languages in which each could; none for English
     */
    public function of(string $word): array
    {
        if (strlen($word) < self::SHORTEST || $this->english->hasInAnyForm($word)) {
            return [];
        }
        $forms = [];
        foreach (self::ENDINGS as [$ending, $instead, $languages]) {
            if (str_ends_with($word, $ending) && strlen($word) - strlen($ending) + strlen($instead) >= self::SHORTEST) {
                $form = substr($word, 0, -strlen($ending)).$instead;
                $forms[$form] = array_values(array_unique([...$forms[$form] ?? [], ...$languages]));
            }
        }

        return $forms;
    }
}
