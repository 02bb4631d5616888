<?php

declare(strict_types=1);

namespace App\Today;

use App\Models\Change;
use App\Models\Definition;
use App\Models\Edition;
use App\Models\Reading;
use App\Models\Value;
use App\Sources\NightReport;
use App\Support\Page;
use Illuminate\Database\Eloquent\Collection;
use Lokum\Lineup\Absence;

/** What is there, what waits for somebody, and what happened last. */
final readonly class TodayPage extends Page
{
    /**
     * @param  FirstPath|null  $path  to the first edition, until it is there
     * @param  int  $products  of the catalog
     * @param  Edition|null  $edition  that shoppers see
     * @param  int|null  $drift  differences of the draft from it, where they are known already
     * @param  list<string>  $inbox  names of files that wait to be read
     * @param  Collection<int, Definition>  $proposed
     * @param  Collection<int, Value>  $held  values that wait behind shoppers, the newest first
     * @param  list<array{definition: Definition, new: int, resolved: int}>  $newcomers  by attribute
     * @param  NightReport  $night  what happened by itself since yesterday
     * @param  Collection<int, Reading>  $running
     * @param  Collection<int, Reading>  $broken
     * @param  list<\stdClass>  $unread  slug, label, texts and sample of fields whose texts cannot be read
     * @param  int  $filters  of all line-ups
     * @param  array<string, Absence>  $silent  filters of the shop that show nowhere, by title
     * @param  Collection<int, Change>  $latest
     */
    public function __construct(
        public ?FirstPath $path,
        public int $products,
        public int $variants,
        public ?Edition $edition,
        public ?int $drift,
        public array $inbox,
        public Collection $proposed,
        public Collection $held,
        public array $newcomers,
        public NightReport $night,
        public Collection $running,
        public Collection $broken,
        public array $unread,
        public int $filters,
        public array $silent,
        public Collection $latest,
    ) {
    }
}
