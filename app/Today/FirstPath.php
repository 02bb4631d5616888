<?php

declare(strict_types=1);

namespace App\Today;

use App\Editions\Served;
use App\Models\Definition;
use App\Models\Expectation;
use App\Models\Filter;
use App\Models\Item;
use App\Models\Reading;
use App\Models\ReadingState;
use App\Models\State;
use App\Models\Value;
use App\Support\Page;
use Illuminate\Database\Eloquent\Collection;

/** How far a catalog has come on its way to its first edition. It ends there, and can be left and taken up again at any step. */
final readonly class FirstPath extends Page
{
    /**
     * @param  list<PathStep>  $done
     * @param  PathStep  $next  the first that is not
     * @param  Collection<int, Reading>  $readings  files that are here and not read yet, in their order
     * @param  int  $read  files that were read
     * @param  Collection<int, Definition>  $proposed
     * @param  list<string>  $inbox
     */
    public function __construct(
        public array $done,
        public PathStep $next,
        public Collection $readings,
        public int $read,
        public Collection $proposed,
        public int $accepted,
        public int $filters,
        public array $inbox,
    ) {
    }

    /** Whether a step can be taken now: it is the next, or nothing but steps that can be left out stands before it. */
    public function isOpen(PathStep $step): bool
    {
        foreach (PathStep::cases() as $one) {
            if ($one === $step) {
                return true;
            }
            if (! in_array($one, $this->done, true) && ! $one->isOptional()) {
                return false;
            }
        }

        return false;
    }

    /** @param  list<string>  $inbox */
    public static function of(Served $served, array $inbox): ?self
    {
        if ($served->edition !== null) {
            return null;
        }
        $readings = Reading::query()->whereNot('state', ReadingState::Done)->with('feed')->orderBy('id')->get();
        $read = Reading::query()->where('state', ReadingState::Done)->count();
        $proposed = Definition::query()->where('state', State::Proposed)->orderBy('label')->get();
        $accepted = Definition::query()->accepted()->count();
        $filters = Filter::query()->count();
        $products = Item::query()->exists();
        $done = array_filter([
            $products || $readings->isNotEmpty() ? PathStep::Files : null,
            $products && $readings->isEmpty() ? PathStep::Read : null,
            $products && $accepted > 0 && $proposed->isEmpty() ? PathStep::Accept : null,
            $products && Value::query()->whereNotNull('merged_into')->exists() ? PathStep::Merge : null,
            $products && Expectation::query()->exists() ? PathStep::Expect : null,
            $products && $filters > 0 ? PathStep::LineUps : null,
        ]);
        $left = array_values(array_filter(PathStep::cases(), fn (PathStep $step): bool => ! in_array($step, $done, true)));

        return new self(array_values($done), $left[0], $readings, $read, $proposed, $accepted, $filters, $inbox);
    }
}
