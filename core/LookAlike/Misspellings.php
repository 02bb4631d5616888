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

    /** @param  iterable<Signature>  $signatures */
    public function __construct(Guards $guards, iterable $signatures)
    {
        foreach ($signatures as $signature) {
            foreach ($signature->words as $place => $word) {
                foreach (self::forms($signature, $place) as $form) {
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
    public function keys(Signature $signature): array
    {
        $keys = [];
        foreach ($signature->words as $place => $word) {
            foreach (self::forms($signature, $place) as $form) {
                foreach ($this->near[$form] ?? [] as $other) {
                    $words = $signature->words;
                    $words[$place] = $this->words[$other];
                    $keys[$signature->keyOf(array_values($words))] = true;
                }
            }
        }

        return array_map(strval(...), array_keys($keys));
    }

    /** @return list<string> a word in its one form, and as it is written where that is another */
    private static function forms(Signature $signature, int $place): array
    {
        $word = $signature->words[$place];
        $written = count($signature->plain) === count($signature->words) ? $signature->plain[$place] : $word;

        return $written === $word ? [$word] : [$word, $written];
    }
}
