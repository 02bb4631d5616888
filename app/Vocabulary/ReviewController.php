<?php

declare(strict_types=1);

namespace App\Vocabulary;

use App\Models\Definition;
use App\Support\Ids;
use App\Support\Refused;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Lokum\Vocabulary\KnownValue;
use Lokum\Vocabulary\MergePlan;

/** Look-alikes one group after the other: merged, kept apart or left for later; those of certain evidence all at once. */
final class ReviewController
{
    public function show(Request $request, Definition $definition, ShowReview $show): View
    {
        abort_unless($definition->kind->isAttribute(), 404);

        return view('values.review', $show($request, $definition));
    }

    public function store(
        Request $request,
        Definition $definition,
        MergeValues $merge,
        KeepApart $apart,
        GatherValues $gather,
    ): RedirectResponse {
        $ids = Ids::in($request, 'pick');
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

    /** Merges the ticked groups of certain evidence, or of what is just below, as one step. */
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
            if (($proposal->isCertain() || $proposal->isLikely()) && in_array($proposal->name(), $wanted, true)) {
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
}
