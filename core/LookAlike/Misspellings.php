<?php

declare(strict_types=1);

namespace Lokum\LookAlike;

/** Which values say the same but for one word that is nearly another's, found by the keys they would then have. */
final class Misspellings
{
    /** Words below this length are the same or not. */
    private const SHORTEST = 4;

    /** @var array<string, string> words in their one form, by how they are written */
    private array $words = [];

    /** @var array<string, list<string>> */
    private readonly array $near;

    /** @param  iterable<Meaning>  $meanings */
    public function __construct(Guards $guards, iterable $meanings)
    {
        foreach ($meanings as $meaning) {
            foreach ($meaning->words as $place => $word) {
                foreach (self::forms($meaning, $place) as $form) {
                    if (strlen($form) >= self::SHORTEST) {
                        $this->words[$form] = isset($this->words[$form]) && $form !== $word ? $this->words[$form] : $word;
                    }
                }
            }
        }
        $this->near = (new NearWords($guards))->among(array_map(strval(...), array_keys($this->words)));
    }

    public function hasAny(): bool
    {
        return $this->near !== [];
    }

    /** @return list<string> keys of texts with one of its words replaced by a near one */
    public function keys(Meaning $meaning): array
    {
        $keys = [];
        foreach ($meaning->words as $place => $word) {
            foreach (self::forms($meaning, $place) as $form) {
                foreach ($this->near[$form] ?? [] as $other) {
                    $words = $meaning->words;
                    $words[$place] = $this->words[$other];
                    $keys[$meaning->keyOf(array_values($words))] = true;
                }
            }
        }

        return array_map(strval(...), array_keys($keys));
    }

    /** @return list<string> a word in its one form, and as it is written where that is another */
    private static function forms(Meaning $meaning, int $place): array
    {
        $word = $meaning->words[$place];
        $written = count($meaning->plain) === count($meaning->words) ? $meaning->plain[$place] : $word;

        return $written === $word ? [$word] : [$word, $written];
    }
}
