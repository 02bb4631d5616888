<?php

declare(strict_types=1);

namespace App\Vocabulary;

use App\Catalog\ProductCounts;
use App\Models\Definition;
use App\Models\Value;
use App\Support\Refused;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\View\View;
use Lokum\Vocabulary\KnownValue;
use Lokum\Vocabulary\MergePlan;

/** Look-alikes one group after the other: merged, kept apart or left for later; those of certain evidence all at once. */
final class ReviewController
{
    /** Groups that are named beside the one that is decided on. */
    private const NEXT = 8;

    public function show(
        Request $request,
        Definition $definition,
        ProposeMerges $propose,
        ValueTable $table,
        MergeValues $merge,
        ProductCounts $counts,
    ): View {
        abort_unless($definition->kind->isAttribute(), 404);
        $proposals = $propose->of($definition);
        $later = array_filter(explode(',', $request->string('later')->toString()));
        $waiting = array_values(
            array_filter($proposals, fn (Proposal $proposal): bool => ! in_array($proposal->name(), $later, true)),
        );
        $proposal = $waiting[0] ?? null;
        $known = $proposal === null ? [] : $table->known($definition, $proposal->values);
        $ticked = $request->has('pick')
            ? array_values(array_intersect($proposal->values ?? [], array_map(intval(...), (array) $request->input('pick'))))
            : $proposal->values ?? [];
        $keep = in_array($request->integer('keep'), $ticked, true) ? $request->integer('keep') : $ticked[0] ?? 0;

        return view('values.review', [
            'definition' => $definition,
            'proposals' => $proposals,
            'waiting' => count($waiting),
            'next' => array_slice($waiting, 1, self::NEXT),
            'proposal' => $proposal,
            'known' => $known,
            'values' => Value::query()
                ->whereKey($proposal->values ?? [])
                ->get()
                ->keyBy('id'),
            'ticked' => $ticked,
            'keep' => $keep,
            'later' => $later,
            'samples' => $this->samples($proposal->values ?? []),
            'certain' => array_values(array_filter($proposals, fn (Proposal $one): bool => $one->isCertain())),
            'labels' => $definition->values()->pluck('label', 'id')->all(),
            'batch' => $request->boolean('batch'),
            'merge' => count($ticked) < 2
                    ? null
                    : MergeConsequences::of($definition, $merge->plan($definition, $keep, $ticked), $counts),
        ]);
    }

    public function store(
        Request $request,
        Definition $definition,
        MergeValues $merge,
        KeepApart $apart,
        GatherValues $gather,
    ): RedirectResponse {
        $ids = array_values(array_map(intval(...), (array) $request->input('pick', [])));
        $change = match ($request->string('do')->toString()) {
            'apart' => $apart($definition, $ids),
            'gather' => $gather($definition, $request->string('label')->toString(), $ids, different: true),
            'merge' => $merge(
                $definition,
                $merge->plan($definition, $request->integer('keep'), $ids),
                $request->string('label')->trim()->toString(),
            ),
            default => throw new Refused('Merge them, or keep them apart.'),
        };

        return redirect()
            ->route('values.review', [$definition, ...array_filter(['later' => $request->string('later')->toString()])])
            ->with('done', $change->summary ?? 'Nothing was different.')
            ->with('undo', $change?->id);
    }

    /** Merges every group of certain evidence, as one step. */
    public function batch(
        Request $request,
        Definition $definition,
        ProposeMerges $propose,
        ValueTable $table,
        MergeValues $merge,
    ): RedirectResponse {
        $wanted = (array) $request->input('groups', []);
        $plans = [];
        foreach ($propose->of($definition) as $proposal) {
            if ($proposal->isCertain() && in_array($proposal->name(), $wanted, true)) {
                $known = $table->known($definition, $proposal->values);
                $plans[] = MergePlan::of(
                    $known[$proposal->values[0]],
                    array_values(array_filter($known, fn (KnownValue $value): bool => $value->id !== $proposal->values[0])),
                );
            }
        }
        $change = $plans === [] ? throw new Refused('Tick at least one group.') : $merge->several($definition, $plans);

        return redirect()->route('values.review', $definition)->with('done', $change->summary)->with('undo', $change->id);
    }

    /**
     * @param  list<int>  $ids
     * @return array<int, list<string>> names of a few products by value
     */
    private function samples(array $ids): array
    {
        $samples = [];
        foreach ($ids as $id) {
            $samples[$id] = DB::table('spellings as s')
                ->join('assignments as a', 'a.spelling_id', '=', 's.id')
                ->join('items as i', 'i.id', '=', 'a.item_id')
                ->join('items as p', fn ($join) => $join->on('p.id', '=', DB::raw('COALESCE(i.parent_id, i.id)')))
                ->where('s.value_id', $id)
                ->distinct()
                ->limit(3)
                ->pluck('p.title')
                ->all();
        }

        return $samples;
    }
}
