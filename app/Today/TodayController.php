<?php

declare(strict_types=1);

namespace App\Today;

use App\Catalog\Coverage;
use App\Catalog\Expected;
use App\Draft\DraftPages;
use App\Editions\Served;
use App\Feeds\FeedFile;
use App\Feeds\StartReading;
use App\Models\Change;
use App\Models\Definition;
use App\Models\Filter;
use App\Models\Item;
use App\Models\Reading;
use App\Models\ReadingState;
use App\Models\State;
use App\Models\Value;
use App\Publishing\CurrentDrift;
use App\Vocabulary\FindNewcomers;
use App\Vocabulary\ProposeMerges;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Lokum\Vocabulary\Kind;

final class TodayController
{
    private const LOOKED_OVER = 1500;

    public function __invoke(
        Request $request,
        Coverage $coverage,
        CurrentDrift $drift,
        DraftPages $pages,
        FindNewcomers $newcomers,
    ): View {
        StartReading::noteBrokenOff();
        $filters = Filter::query()->count();
        $products = $coverage->total();

        return view('today.index', [
            'products' => $products,
            'variants' => Item::query()->where('variant_count', 0)->count(),
            'edition' => Served::of($request)->edition,
            'drift' => $drift->known(Served::of($request)->edition),
            'inbox' => FeedFile::inbox(),
            'proposed' => Definition::query()->where('state', State::Proposed)->orderBy('label')->get(),
            'held' => Value::query()
                ->where('held', true)
                ->whereNull('merged_into')
                ->with('definition')
                ->orderByDesc('id')
                ->limit(20)
                ->get(),
            'newcomers' => $newcomers->waiting(),
            'running' => Reading::query()
                ->whereIn('state', [ReadingState::Checking, ReadingState::Reading, ReadingState::Checked])
                ->with('feed')
                ->latest('id')
                ->get(),
            'broken' => Reading::query()
                ->where('state', ReadingState::Failed)
                ->where('updated_at', '>=', now()->subDays(3))
                ->with('feed')
                ->latest('id')
                ->limit(5)
                ->get(),
            'unread' => $this->unread(),
            'filters' => $filters,
            'silent' => $filters === 0 || $products === 0 ? [] : array_filter($pages->all()[0] ?? []),
            'latest' => Change::query()->with('user')->latest('id')->limit(6)->get(),
        ]);
    }

    public function found(Coverage $coverage, ProposeMerges $propose): View
    {
        return view('today.found', ['gaps' => $this->gaps($coverage), 'alike' => $this->alike($propose)]);
    }

    /**
     * @return list<array{slug: string, label: string, groups: int}> attributes with look-alikes; very long lists are looked over
     *         in their own room only
     */
    private function alike(ProposeMerges $propose): array
    {
        $found = [];
        foreach (
            Definition::query()
                ->accepted()
                ->where('kind', Kind::Choice)
                ->withCount('values')
                ->orderBy('label')
                ->get()
                ->where('values_count', '<=', self::LOOKED_OVER) as $definition
        ) {
            $groups = count($propose->of($definition));
            if ($groups !== 0) {
                $found[] = ['slug' => $definition->slug, 'label' => $definition->label, 'groups' => $groups];
            }
        }

        return $found;
    }

    /** @return list<array{slug: string, label: string, missing: int}> expected definitions that most products miss */
    private function gaps(Coverage $coverage): array
    {
        $definitions = Definition::query()->accepted()->get()->keyBy('id');
        $gaps = [];
        foreach ($coverage->ofExpected(Expected::load()) as $id => ['expected' => $expected, 'carried' => $carried]) {
            if ($carried < $expected && $definitions->has($id)) {
                $gaps[] = [
                    'slug' => $definitions[$id]->slug,
                    'label' => $definitions[$id]->label,
                    'missing' => $expected - $carried,
                ];
            }
        }
        usort($gaps, fn (array $a, array $b): int => $b['missing'] <=> $a['missing']);

        return $gaps;
    }

    /** @return list<\stdClass> fields whose texts cannot be read, worst first */
    private function unread(): array
    {
        return Definition::query()
            ->live()
            ->join('spellings as s', 's.definition_id', '=', 'definitions.id')
            ->whereNotNull('s.problem')
            ->groupBy('definitions.id')
            ->orderByDesc('texts')
            ->toBase()
            ->get([
                'definitions.slug',
                'definitions.label',
                \Illuminate\Support\Facades\DB::raw('COUNT(*) AS texts'),
                \Illuminate\Support\Facades\DB::raw('MIN(s.problem) AS sample'),
            ])
            ->all();
    }
}
