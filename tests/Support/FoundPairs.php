<?php

declare(strict_types=1);

namespace Tests\Support;

use Lokum\LookAlike\Candidate;
use Lokum\LookAlike\Evidence;
use Lokum\LookAlike\Group;
use Lokum\LookAlike\LookAlikes;

/** What is found in a labelled set, pair by pair. */
final readonly class FoundPairs
{
    /** How much was found in each set when it was looked at last: `php tests/Support/labelled.php --keep` writes it. */
    public const KEPT = __DIR__.'/../Core/LookAlike/found.csv';

    /**
     * @param  list<string>  $right
     * @param  list<string>  $wrong
     * @param  list<string>  $missed
     * @param  list<string>  $certain
     */
    private function __construct(
        public LabelledSet $set,
        public array $right,
        public array $wrong,
        public array $missed,
        public array $certain,
    ) {
    }

    public static function in(LabelledSet $set, LookAlikes $engine): self
    {
        $candidates = array_map(fn (array $value): Candidate => new Candidate(...$value), $set->values);
        $groups = $engine->among($candidates);
        $pairs = fn (array $some): array => LabelledSet::pairs(array_values(array_map(
            fn (Group $group): array => array_map(fn (int $i): string => $candidates[$i]->text, $group->members),
            $some,
        )));
        $found = $pairs($groups);
        $wanted = LabelledSet::pairs($set->groups);

        return new self(
            $set,
            array_values(array_intersect($found, $wanted)),
            array_values(array_diff($found, $wanted)),
            array_values(array_diff($wanted, $found)),
            $pairs(array_filter(
                $groups,
                fn (Group $group): bool => array_filter($group->kinds, fn (Evidence $kind): bool => ! $kind->isCertain()) === [],
            )),
        );
    }

    public function precision(): float
    {
        $found = count($this->right) + count($this->wrong);

        return $found === 0 ? 1.0 : count($this->right) / $found;
    }

    public function recall(): float
    {
        return count($this->right) / (count($this->right) + count($this->missed));
    }

    /** @return list<string> that were never to be joined */
    public function apart(): array
    {
        return array_values(array_intersect($this->wrong, LabelledSet::pairs($this->set->apart)));
    }

    /** @return list<string> */
    public function certainButWrong(): array
    {
        return array_values(array_intersect($this->certain, $this->wrong));
    }

    /** As found.csv has it. */
    public function line(): string
    {
        return implode(',', [
            $this->set->name,
            count($this->right) + count($this->missed),
            count($this->right),
            count($this->wrong),
            count($this->certain),
        ]);
    }

    /** @return array<string, string> lines by the set's name */
    public static function kept(): array
    {
        $lines = array_slice(file(self::KEPT, FILE_IGNORE_NEW_LINES) ?: [], 1);

        return array_combine(array_map(fn (string $line): string => explode(',', $line)[0], $lines), $lines);
    }

    /** @param  list<self>  $all */
    public static function keep(array $all): void
    {
        $lines = ['set,pairs,found,wrong,certain', ...array_map(fn (self $one): string => $one->line(), $all)];
        file_put_contents(self::KEPT, implode("\n", $lines)."\n");
    }
}
