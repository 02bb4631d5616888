<?php

declare(strict_types=1);

namespace App\Today;

use App\Catalog\Coverage;
use App\Draft\DraftPages;
use App\Editions\Served;
use App\Feeds\FeedFile;
use App\Models\Change;
use App\Models\Definition;
use App\Models\Filter;
use App\Models\Item;
use App\Models\Reading;
use App\Models\ReadingState;
use App\Models\State;
use App\Models\Value;
use App\Publishing\CurrentDrift;
use App\Sources\NightReport;
use App\Vocabulary\FindNewcomers;
use Illuminate\Support\Facades\DB;

/** Gathers the figures of Today that are quick to have. */
final readonly class ShowToday
{
    private const HELD = 20;

    private const BROKEN = 5;

    private const BROKEN_FOR = 3;

    private const LATEST = 6;

    public function __construct(
        private Coverage $coverage,
        private CurrentDrift $drift,
        private DraftPages $pages,
        private FindNewcomers $newcomers,
    ) {
    }

    public function __invoke(Served $served): TodayPage
    {
        $filters = Filter::query()->count();
        $products = $this->coverage->total();
        $readings = Reading::query()->with('feed')->latest('id');

        return new TodayPage(
            path: FirstPath::of($served, FeedFile::inbox()),
            products: $products,
            variants: Item::query()->where('variant_count', 0)->whereNull('out_since')->count(),
            edition: $served->edition,
            drift: $this->drift->known($served->edition),
            inbox: FeedFile::inbox(),
            proposed: Definition::query()->where('state', State::Proposed)->orderBy('label')->get(),
            held: Value::query()
                ->where('held', true)
                ->whereNull('merged_into')
                ->with('definition')
                ->orderByDesc('id')
                ->limit(self::HELD)
                ->get(),
            newcomers: $this->newcomers->waiting(),
            night: NightReport::since(now()->subDay()),
            running: (clone $readings)
                ->whereNull('held')
                ->whereIn('state', [ReadingState::Checking, ReadingState::Reading, ReadingState::Checked])
                ->get(),
            broken: (clone $readings)
                ->where('state', ReadingState::Failed)
                ->whereNull('held')
                ->where('updated_at', '>=', now()->subDays(self::BROKEN_FOR))
                ->limit(self::BROKEN)
                ->get(),
            unread: $this->unread(),
            filters: $filters,
            silent: $filters === 0 || $products === 0 ? [] : array_filter($this->pages->all()[0] ?? []),
            latest: Change::query()->with('user')->latest('id')->limit(self::LATEST)->get(),
        );
    }

    /** @return list<\stdClass> fields whose texts cannot be read, worst first */
    private function unread(): array
    {
        return array_values(Definition::query()
            ->live()
            ->join('spellings as s', 's.definition_id', '=', 'definitions.id')
            ->whereNotNull('s.problem')
            ->groupBy('definitions.id')
            ->orderByDesc('texts')
            ->toBase()
            ->get([
                'definitions.slug',
                'definitions.label',
                DB::raw('COUNT(*) AS texts'),
                DB::raw('MIN(s.problem) AS sample'),
            ])
            ->all());
    }
}
