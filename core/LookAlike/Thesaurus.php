<?php

declare(strict_types=1);

namespace Lokum\LookAlike;

/** Names that a dictionary gives one meaning: acetaminophen, paracetamol. Read once, when first asked. */
final class Thesaurus
{
    private const MOST_WORDS = 4;

    private static ?self $shipped = null;

    /** @var array<string, list<int>> lines by name */
    private array $places = [];

    /** @var list<list<string>> */
    private array $lines = [];

    private function __construct()
    {
    }

    public static function shipped(): self
    {
        return self::$shipped ??= new self();
    }

    /**
     * The text with one of its names replaced by another of the same meaning, in every way there is.
     *
     * @param  list<string>  $words  strict key, by its words
     * @return list<string>
     */
    public function otherwise(array $words): array
    {
        $found = [];
        for ($from = 0, $n = count($words); $from < $n; $from++) {
            for ($length = min(self::MOST_WORDS, $n - $from); $length > 0; $length--) {
                foreach ($this->namesOf(implode(' ', array_slice($words, $from, $length))) as $name) {
                    $found[] = implode(' ', [...array_slice($words, 0, $from), $name, ...array_slice($words, $from + $length)]);
                }
            }
        }

        return $found;
    }

    /** @return list<string> */
    private function namesOf(string $name): array
    {
        if ($this->places === []) {
            $this->read();
        }
        $names = array_merge(...array_map(fn (int $line): array => $this->lines[$line], $this->places[$name] ?? []));

        return array_values(array_diff($names, [$name]));
    }

    private function read(): void
    {
        foreach (file(__DIR__.'/data/synonyms.txt', FILE_IGNORE_NEW_LINES) ?: [] as $line) {
            if (! str_starts_with($line, '#')) {
                $names = array_values(array_unique(explode(' = ', str_replace('-', ' ', $line))));
                foreach ($names as $name) {
                    $this->places[$name][] = count($this->lines);
                }
                $this->lines[] = $names;
            }
        }
    }
}
