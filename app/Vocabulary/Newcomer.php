<?php

declare(strict_types=1);

namespace App\Vocabulary;

use App\History\Journal;
use App\Models\Spelling;
use App\Models\Value;

/** A spelling that came with newer data and that nobody has decided on, with what Lokum would do with it. */
final readonly class Newcomer
{
    /**
     * @param  bool  $resolved  it fell to a value that was there, since their letters are the same
     * @param  Value|null  $same  the value that it seems to be
     * @param  string|null  $under  the umbrella that seems to fit
     * @param  list<string>  $also  further new spellings of the same new value, which the decision is about, too
     */
    public function __construct(
        public int $spelling,
        public string $text,
        public int $products,
        public string $feed,
        public ?string $when,
        public Value $value,
        public bool $resolved,
        public ?Value $same = null,
        public string $evidence = '',
        public bool $certain = false,
        public ?string $under = null,
        public array $also = [],
    ) {
    }

    /** What its one key would do: what is certain comes first. */
    public function proposes(): string
    {
        return match (true) {
            $this->resolved => 'keep',
            $this->same !== null => 'merge',
            $this->under !== null => 'gather',
            default => 'keep',
        };
    }

    /**
     * A decision about values is one about all their spellings.
     *
     * @param  list<int>  $values
     */
    public static function settle(Journal $journal, array $values): void
    {
        foreach (Spelling::table()->whereIn('value_id', $values)->where('settled', false)->pluck('id') as $id) {
            $journal->update(Spelling::class, (int) $id, ['settled' => 1]);
        }
    }

    /** Whether nobody has decided on a value yet: all its spellings are new. */
    public static function waits(int $value): bool
    {
        $spellings = Spelling::table()->where('value_id', $value);

        return (clone $spellings)->where('settled', false)->exists() && ! $spellings->where('settled', true)->exists();
    }
}
