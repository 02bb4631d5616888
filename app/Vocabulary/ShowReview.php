<?php

declare(strict_types=1);

namespace App\Vocabulary;

use App\Catalog\ProductCounts;
use App\Models\Definition;
use App\Models\Spelling;
use App\Models\Value;
use App\Support\Ids;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Lokum\LookAlike\Stays;

/** Gathers what the review of look-alikes shows. */
final readonly class ShowReview
{
    /** Groups that are named beside the one that is decided on. */
    private const NEXT = 8;

    public function __construct(
        private ProposeMerges $propose,
        private ValueTable $table,
        private MergeValues $merge,
        private ProductCounts $counts,
    ) {
    }

    public function __invoke(Request $request, Definition $definition): ReviewPage
    {
        $proposals = $this->propose->of($definition);
        $later = array_values(array_filter(explode(',', $request->string('later')->toString())));
        $waiting = array_values(
            array_filter($proposals, fn (Proposal $proposal): bool => ! in_array($proposal->name(), $later, true)),
        );
        $proposal = $waiting[0] ?? null;
        $values = $proposal->values ?? [];
        $ticked = $request->has('pick')
            ? array_values(array_intersect($values, Ids::in($request, 'pick')))
            : $values;
        $keep = in_array($request->integer('keep'), $ticked, true) ? $request->integer('keep') : $ticked[0] ?? 0;

        $labels = $definition->values()->pluck('label', 'id')->all();

        return new ReviewPage(
            definition: $definition,
            proposals: $proposals,
            waiting: count($waiting),
            next: array_slice($waiting, 1, self::NEXT),
            proposal: $proposal,
            known: $proposal === null ? [] : $this->table->known($definition, $values),
            values: Value::query()->whereKey($values)->get()->keyBy('id'),
            ticked: $ticked,
            keep: $keep,
            later: $later,
            samples: $this->samples($values),
            certain: array_values(array_filter($proposals, fn (Proposal $one): bool => $one->isCertain())),
            likely: array_values(array_filter($proposals, fn (Proposal $one): bool => $one->isLikely())),
            labels: $labels,
            called: Stays::called(
                $labels[$keep] ?? '',
                array_map(fn (int $id): string => $labels[$id] ?? '', $ticked),
                (string) config('lokum.locale'),
            ),
            batch: in_array($request->input('batch'), ['1', 'likely'], true) ? (string) $request->input('batch') : '',
            merge: count($ticked) < 2
                ? null
                : MergeConsequences::of($definition, $this->merge->plan($definition, $keep, $ticked), $this->counts),
        );
    }

    /**
     * @param  list<int>  $ids
     * @return array<int, list<string>> names of a few products by value
     */
    private function samples(array $ids): array
    {
        $samples = [];
        foreach ($ids as $id) {
            $samples[$id] = array_values(Spelling::table('s')
                ->join('assignments as a', 'a.spelling_id', '=', 's.id')
                ->join('items as i', 'i.id', '=', 'a.item_id')
                ->join('items as p', fn ($join) => $join->on('p.id', '=', DB::raw('COALESCE(i.parent_id, i.id)')))
                ->where('s.value_id', $id)
                ->distinct()
                ->limit(3)
                ->pluck('p.title')
                ->all());
        }

        return $samples;
    }
}
