<?php

declare(strict_types=1);

namespace Lokum\LookAlike;

use Lokum\Quantity\SheetSize;

/**
 * Finds the values of an attribute that are the same thing (C2). Values meet by keys: of their words, of these written as one,
 * of their rounded measures, and with one word replaced by a near one. So twice the values take little more than twice the time.
 */
final class LookAlikes
{
    /** @var list<Candidate> */
    private array $candidates;

    /** @var list<Meaning> */
    private array $meanings;

    /** @var array<string, true> pairs that are kept apart, smaller place first */
    private array $apart = [];

    /** @var array<string, true>|null rounded measures that are several of the list */
    private ?array $blurred = null;

    private Lexicon $lexicon;

    private Lessons $lessons;

    /** @var list<array<string, string>> what each meets others by: its own key under "", and those of its other names by evidence */
    private array $keys = [];

    public function __construct(private readonly Lexicon $shipped)
    {
        $this->lexicon = $shipped;
        $this->lessons = new Lessons();
    }

    /**
     * @param  list<Candidate>  $candidates
     * @param  list<array{0: string, 1: string}>  $apart  texts that somebody has decided are different
     * @param  string  $about  the attribute's name: its words say nothing inside a value
     * @param  bool  $together  whether it counts what the rest of the list says of a value, as it does of values of one attribute
     * @return list<Group> of two members or more, those with most products first
     */
    public function among(
        array $candidates,
        array $apart = [],
        Lessons $lessons = new Lessons(),
        string $about = '',
        bool $together = true,
    ): array {
        $this->candidates = $candidates;
        $this->blurred = null;
        $this->lessons = $lessons;
        $texts = array_map(fn (Candidate $candidate): string => $candidate->text, $candidates);
        $this->lexicon = $this->shipped->taught($lessons->words() + Shortenings::among($texts));
        $reader = new MeaningReader($this->lexicon);
        $this->meanings = array_map($reader->of(...), $texts);
        $this->keys = $this->keysOf(new Otherwise($reader, Names::shipped(), $lessons, $about), $texts, $together);
        $this->keepApart($apart);
        $classes = $this->same(array_keys($candidates));
        $classes = $this->joinedBy(
            $classes,
            fn (Meaning $meaning): array => [$lessons->of($meaning->letters)],
            fn (): bool => true,
        );
        $classes = $this->joinedBy(
            $classes,
            fn (Meaning $meaning): array => $meaning->joinings(),
            fn (Meaning $one, Meaning $other): bool => $one->exact === $other->exact,
        );
        $classes = $this->joinedBy(
            $classes,
            fn (Meaning $meaning): array => $meaning->units === [] || $this->isBlurred($meaning) ? [] : [$meaning->roughKey()],
            fn (Meaning $one, Meaning $other): bool => $one->negated === $other->negated &&
                array_intersect($one->units, $other->units) === [],
        );
        foreach (Otherwise::KINDS as $kind) {
            $new = array_flip(array_column($this->keys, $kind->value));
            $classes = $new === []
                ? $classes
                : $this->joinedBy(
                    $classes,
                    fn (Meaning $meaning, int $i): array => array_values(
                        array_filter($this->keysUpTo($kind, $i), fn (string $key): bool => isset($new[$key])),
                    ),
                    fn (): bool => true,
                );
        }
        $groups = [];
        foreach ($this->withNear($classes) as $members) {
            if (count($members) > 1) {
                $groups[] = $this->group($members);
            }
        }
        $products = fn (Group $group): int => array_sum(
            array_map(fn (int $i): int => $this->candidates[$i]->products, $group->members),
        );
        usort($groups, fn (Group $a, Group $b): int => $products($b) <=> $products($a));

        return $groups;
    }

    /**
     * @param  list<string>  $texts
     * @return list<array<string, string>> what each meets others by: alone, by its other names, then by what stands beside it
     */
    private function keysOf(Otherwise $otherwise, array $texts, bool $together): array
    {
        $keys = [];
        $said = [];
        $letters = array_map(fn (Meaning $meaning): string => $meaning->letters, $this->meanings);
        $tongues = Tongues::of($letters, Names::shipped());
        foreach ($this->meanings as $i => $meaning) {
            $names = $otherwise->of($meaning, $texts[$i]);
            $translated = ($names[Evidence::Language->value] ?? $meaning)->key();
            if ($together && $translated !== $meaning->key() && ! $tongues->speak($meaning->letters)) {
                $names = [];
            }
            $keys[$i] = ($meaning->isEmpty() ? [] : ['' => $meaning->key()]) +
                array_map(fn (Meaning $other): string => $other->key(), $names);
            unset($names[Evidence::Code->value]);
            $said[$i] = ($names === [] ? $meaning : end($names))->letters;
        }
        if (! $together) {
            return array_values($keys);
        }
        $alone = array_map(fn (array $some): string => $some[''] ?? '', $keys);
        $context = new Context($texts, $said, $alone, Thesaurus::shipped(), Names::shipped());
        $instead = fn (int $i): array => $tongues->speak($letters[$i]) ? $context->instead($i) : [];

        return array_map(fn (array $some, int $i): array => $instead($i) + $some + $context->of($i), $keys, array_keys($keys));
    }

    /** @param  list<array{0: string, 1: string}>  $pairs */
    private function keepApart(array $pairs): void
    {
        $this->apart = [];
        $places = [];
        foreach ($pairs === [] ? [] : $this->candidates as $i => $candidate) {
            $places[$candidate->text][] = $i;
        }
        foreach ($pairs as [$one, $other]) {
            foreach ($places[$one] ?? [] as $a) {
                foreach ($places[$other] ?? [] as $b) {
                    $this->apart[min($a, $b).':'.max($a, $b)] = true;
                }
            }
        }
    }

    /**
     * @param  list<int>  $all
     * @return list<non-empty-list<int>> values that say the same in the same words
     */
    private function same(array $all): array
    {
        $classes = [];
        foreach ($all as $i) {
            $meaning = $this->meanings[$i];
            $classes[
                $meaning->isEmpty() ? 'letters '.$meaning->letters : $meaning->key()
            ][] = $i;
        }
        $parted = [];
        foreach ($classes as $members) {
            array_push($parted, ...$this->parted($members));
        }

        return $parted;
    }

    /**
     * Classes in which nobody is kept apart from the one that stays.
     *
     * @param  non-empty-list<int>  $members
     * @return list<non-empty-list<int>>
     */
    private function parted(array $members): array
    {
        if (! $this->keepsApart()) {
            return [$members];
        }
        $classes = [];
        foreach ($this->ranked($members) as $i) {
            foreach ($classes as $n => $class) {
                if (array_filter($class, fn (int $other): bool => $this->areApart($i, $other)) === []) {
                    $classes[$n] = [...$class, $i];

                    continue 2;
                }
            }
            $classes[] = [$i];
        }

        return array_values($classes);
    }

    /**
     * @param  list<non-empty-list<int>>  $classes
     * @param  callable(Meaning, int): list<string>  $keys  by any of which it meets others
     * @param  callable(Meaning, Meaning): bool  $allowed
     * @return list<non-empty-list<int>>
     */
    private function joinedBy(array $classes, callable $keys, callable $allowed): array
    {
        $meeting = [];
        foreach ($classes as $n => $class) {
            foreach (array_unique(array_merge(...array_map(fn (int $i): array => $keys($this->meanings[$i], $i), $class))) as $key) {
                $meeting[$key][] = $n;
            }
        }
        // Where each class has gone, so that who met it before meets what it is now.
        $into = array_keys($classes);
        foreach ($meeting as $numbers) {
            if (count($numbers) < 2) {
                continue;
            }
            foreach ($numbers as $place => $n) {
                while ($into[$n] !== $n) {
                    $n = $into[$n];
                }
                $numbers[$place] = $n;
            }
            $numbers = array_values(array_unique($numbers));
            usort($numbers, fn (int $a, int $b): int => $this->weight($classes[$b]) <=> $this->weight($classes[$a]) ?: $a <=> $b);
            $center = array_shift($numbers);
            foreach ($numbers as $n) {
                if (
                    $allowed($this->meanings[$classes[$center][0]], $this->meanings[$classes[$n][0]]) &&
                    $this->mayJoin($classes[$center], $classes[$n])
                ) {
                    array_push($classes[$center], ...$classes[$n]);
                    unset($classes[$n]);
                    $into[$n] = $center;
                }
            }
        }

        return array_values($classes);
    }

    /**
     * Values with one word that is nearly another's come to the greater class; nobody comes by way of a third.
     *
     * @param  list<non-empty-list<int>>  $classes
     * @return list<non-empty-list<int>>
     */
    private function withNear(array $classes): array
    {
        $byKey = [];
        foreach ($classes as $n => $class) {
            foreach ($class as $i) {
                $byKey[$this->meanings[$i]->key()] ??= $n;
            }
        }
        $misspellings = new Misspellings(new Guards($this->lexicon, Names::shipped()), $this->meanings);
        $order = array_keys($classes);
        usort($order, fn (int $a, int $b): int => $this->weight($classes[$b]) <=> $this->weight($classes[$a]) ?: $a <=> $b);
        $done = [];
        foreach ($misspellings->hasAny() ? $order : [] as $n) {
            if (isset($done[$n])) {
                continue;
            }
            $done[$n] = true;
            foreach ($this->neighbors($classes[$n], $misspellings, $byKey) as $other) {
                if (! isset($done[$other]) && $this->mayJoin($classes[$n], $classes[$other])) {
                    $done[$other] = true;
                    array_push($classes[$n], ...$classes[$other]);
                    unset($classes[$other]);
                }
            }
        }

        return array_values($classes);
    }

    /**
     * @param  non-empty-list<int>  $class
     * @param  array<string, int>  $byKey
     * @return list<int> classes whose key is one of its members' with one word replaced
     */
    private function neighbors(array $class, Misspellings $misspellings, array $byKey): array
    {
        $found = [];
        foreach (
            array_column(array_map(fn (int $i): array => [$this->meanings[$i]->key(), $this->meanings[$i]], $class), 1, 0) as $meaning
        ) {
            foreach ($misspellings->keys($meaning) as $key) {
                if (isset($byKey[$key])) {
                    $found[$byKey[$key]] = true;
                }
            }
        }

        return array_keys($found);
    }

    /**
     * @param  non-empty-list<int>  $one
     * @param  non-empty-list<int>  $other
     */
    private function mayJoin(array $one, array $other): bool
    {
        foreach ($this->keepsApart() ? $one : [] as $a) {
            foreach ($other as $b) {
                if ($this->areApart($a, $b)) {
                    return false;
                }
            }
        }

        return true;
    }

    private function keepsApart(): bool
    {
        return $this->apart !== [] || $this->lessons->keepsApart();
    }

    private function areApart(int $one, int $other): bool
    {
        return isset($this->apart[min($one, $other).':'.max($one, $other)]) ||
            $this->lessons->areApart($this->meanings[$one]->letters, $this->meanings[$other]->letters);
    }

    /** @param  list<int>  $members */
    private function weight(array $members): int
    {
        return array_sum(array_map(fn (int $i): int => $this->candidates[$i]->products, $members));
    }

    /** @param  non-empty-list<int>  $members */
    private function group(array $members): Group
    {
        $members = $this->ranked($members);
        $keep = $this->meanings[$members[0]];
        $kinds = $others = [];
        $confidence = 1.0;
        foreach (array_slice($members, 1) as $i) {
            $kind = $this->evidence($members[0], $i);
            $kinds[$kind->value] = $kind;
            $confidence = min($confidence, $kind->confidence());
            $source = $kind === Evidence::Standard ? self::source($this->meanings[$i]->letters, $keep->letters) : '';
            $others[$kind->value][$source][] = $this->candidates[$i]->text;
        }
        $evidence = [];
        foreach ($others as $kind => $bySource) {
            foreach ($bySource as $source => $texts) {
                $evidence[] = Evidence::from($kind)->inWords($this->candidates[$members[0]]->text, $texts, $source);
            }
        }

        return new Group($members, $evidence, array_values($kinds), $confidence);
    }

    /** What says that one of two texts is the other by a standard. */
    private static function source(string ...$letters): string
    {
        foreach ($letters as $text) {
            $source = Names::shipped()->source($text);
            if ($source !== '' || SheetSize::find($text) !== null) {
                return $source ?: 'ISO 216, ISO 269';
            }
        }

        return '';
    }

    /** @return array<string, string> what a value meets others by, up to a grade of evidence */
    private function keysUpTo(Evidence $kind, int $i): array
    {
        $keys = $this->keys[$i];
        if (count($keys) === 1 && isset($keys[''])) {
            return $keys;
        }
        $grades = array_map(fn (Evidence $one): string => $one->value, Otherwise::KINDS);
        $above = array_slice($grades, (int) array_search($kind->value, $grades, true) + 1);

        return array_diff_key($keys, array_flip($above));
    }

    /** Whether a rounded measure could be several that stand in the list in one unit: 152 cm and 152.4 cm, both about 5 ft. */
    private function isBlurred(Meaning $meaning): bool
    {
        if ($this->blurred === null) {
            $this->blurred = $exact = [];
            foreach ($this->meanings as $one) {
                $place = $one->roughKey().'|'.implode(' ', $one->units);
                if ($one->units !== [] && ($exact[$place] ??= $one->key()) !== $one->key()) {
                    $this->blurred[$one->roughKey()] = true;
                }
            }
        }

        return isset($this->blurred[$meaning->roughKey()]);
    }

    private function evidence(int $i, int $j): Evidence
    {
        $one = $this->meanings[$i];
        $other = $this->meanings[$j];
        $known = $this->evidenceOf($one, $other);
        if ($known !== null) {
            return $known === Evidence::Words && Colors::areSwapped($one, $other) ? Evidence::Order : $known;
        }
        foreach (Otherwise::KINDS as $kind) {
            if (array_intersect($this->keysUpTo($kind, $i), $this->keysUpTo($kind, $j)) !== []) {
                return $kind;
            }
        }

        return Evidence::Spelling;
    }

    private function evidenceOf(Meaning $one, Meaning $other): ?Evidence
    {
        return match (true) {
            $one->letters === $other->letters => Evidence::Letters,
            $this->lessons->of($one->letters) === $this->lessons->of($other->letters) => Evidence::Taught,
            $one->key() === $other->key() && $one->units !== [] => Evidence::Measure,
            $one->plainKey() === $other->plainKey() => Evidence::Words,
            $one->key() === $other->key() => Evidence::Variant,
            array_intersect($one->joinings(), $other->joinings()) !== [] => Evidence::Words,
            $one->roughKey() === $other->roughKey() => Evidence::Measure,
            default => null,
        };
    }

    /**
     * The one that stays first.
     *
     * @param  non-empty-list<int>  $members
     * @return non-empty-list<int>
     */
    private function ranked(array $members): array
    {
        $rank = fn (int $i): array => Stays::rank($this->candidates[$i]->products, $this->candidates[$i]->text, $i);
        usort($members, fn (int $a, int $b): int => $rank($a) <=> $rank($b));

        return $members;
    }
}
