<?php

declare(strict_types=1);

namespace App\Vocabulary;

use App\Models\Definition;
use App\Models\Value;
use App\Support\Page;
use Illuminate\Database\Eloquent\Collection;
use Lokum\Vocabulary\KnownValue;

/** Look-alikes of an attribute, one group open. */
final readonly class ReviewPage extends Page
{
    /**
     * @param  list<Proposal>  $proposals  all of them, the surest first
     * @param  int  $waiting  groups not put off
     * @param  list<Proposal>  $next  a few that come behind the one that is decided on
     * @param  array<int, KnownValue>  $known  the values of the open group, by id
     * @param  Collection<int, Value>  $values  the same, as they stand
     * @param  list<int>  $ticked  values that would be merged
     * @param  int  $keep  the one that would stay
     * @param  list<string>  $later  names of groups put off
     * @param  array<int, list<string>>  $samples  names of a few products by value
     * @param  list<Proposal>  $certain  those that can be merged all at once
     * @param  array<int, string>  $labels  of all values
     * @param  list<Proposal>  $likely  those just below, which can be merged together after a look
     * @param  string  $called  what the one that stays would be called best
     * @param  string  $batch  "1" where all that are certain are shown, "likely" for those just below
     */
    public function __construct(
        public Definition $definition,
        public array $proposals,
        public int $waiting,
        public array $next,
        public ?Proposal $proposal,
        public array $known,
        public Collection $values,
        public array $ticked,
        public int $keep,
        public array $later,
        public array $samples,
        public array $certain,
        public array $likely,
        public array $labels,
        public string $called,
        public string $batch,
        public ?MergeConsequences $merge,
    ) {
    }
}
