<?php

declare(strict_types=1);

namespace App\Definitions;

use App\Catalog\Coverage;
use App\Models\Definition;
use App\Models\Filter;
use App\Models\State;
use App\Support\Refused;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\View\View;
use Lokum\Vocabulary\Kind;

final class DefinitionsController
{
    public function index(
        Request $request,
        Coverage $coverage,
        ReadAgain $readAgain,
        MergeDefinitions $merge,
        EndDefinition $end,
        CoverageStrip $strip,
    ): View {
        $words = $request->string('q')->toString();
        $definitions = Definition::query()
            ->withCount('values')
            ->orderBy('label')
            ->when($words !== '', fn ($query) => $query->where('label', 'like', '%'.addcslashes($words, '%_\\').'%'))
            ->get();
        $open = $request->string('open')->toString();
        $editing = $open === '' || $open === 'new' ? null : Definition::query()->where('slug', $open)->first() ?? abort(404);

        return view(
            'definitions.index',
            [
                'groups' => [
                    'Proposed' => $definitions->where('state', State::Proposed),
                    'In use' => $definitions->where('state', State::Accepted),
                    'Left aside' => $definitions->where('state', State::Aside),
                ],
                'products' => $coverage->products(),
                'total' => $coverage->total(),
                'samples' => $this->samples($definitions->pluck('id')->all()),
                'filters' => Filter::query()->whereNotNull('definition_id')->pluck('title', 'definition_id'),
                'open' => $open,
                'editing' => $editing,
                'change' => $this->change($request, $editing, $readAgain),
                'strips' => $strip->all(),
                'odd' => DB::table('spellings')
                    ->whereNotNull('problem')
                    ->groupBy('definition_id')
                    ->selectRaw('definition_id, COUNT(*) AS n')
                    ->pluck('n', 'definition_id'),
                'alike' => LikeNames::among($definitions->toBase()),
                'sections' => $definitions->pluck('section')->filter()->unique()->sort()->values(),
                'differing' => $editing === null ? 0 : $readAgain->differing($editing),
                'joined' => $editing === null ? 0 : $readAgain->joined($editing)->count(),
            ] + $this->leaving($request, $editing, $merge, $end),
        );
    }

    public function store(Request $request, CreateDefinition $create): RedirectResponse
    {
        $definition = $create(DefinitionForm::from($request->all()));

        return redirect()
            ->route('definitions', ['open' => $definition->slug])
            ->with('done', "Defined {$definition->label}.");
    }

    public function update(Request $request, Definition $definition, SaveDefinition $save): RedirectResponse
    {
        $state = State::tryFrom($request->string('state')->toString()) ?? $definition->state;
        $form =
            $state === State::Aside
                ? DefinitionForm::from(['unit' => $definition->unit] + $definition->attributesToArray())
                : DefinitionForm::from($request->all());
        $change = $save($definition, $form, $state, $request->integer('version'));

        return redirect()
            ->route('definitions', $state === State::Aside ? [] : ['open' => $definition->slug])
            ->with('done', $change->summary ?? 'Nothing was different.')
            ->with('undo', $change?->id);
    }

    public function several(Request $request, SaveDefinition $save): RedirectResponse
    {
        $ids = array_map(intval(...), (array) $request->input('ids', []));
        if ($ids === []) {
            throw new Refused('Tick at least one definition first.');
        }
        $change = $save->several($ids, $request->input('state') === State::Aside->value ? State::Aside : State::Accepted);

        return redirect()
            ->route('definitions')
            ->with('done', $change->summary ?? 'Nothing was different.')
            ->with('undo', $change?->id);
    }

    public function merge(Request $request, Definition $definition, MergeDefinitions $merge): RedirectResponse
    {
        $keep =
            Definition::query()
                ->where('slug', $request->string('into')->toString())
                ->first() ?? throw new Refused('Choose the definition that stays.', 'into');
        $change = $merge($keep, $definition);

        return redirect()
            ->route('definitions', ['open' => $keep->slug])
            ->with('done', $change->summary)
            ->with('undo', $change->id);
    }

    /** Retires it, or deletes it with its data. */
    public function end(Request $request, Definition $definition, EndDefinition $end): RedirectResponse
    {
        $change = $request->input('how') === 'delete' ? $end->delete($definition) : $end->retire($definition);

        return redirect()
            ->route('definitions')
            ->with('done', $change->summary ?? 'Nothing was different.')
            ->with('undo', $change?->id);
    }

    /**
     * @return array{into: Definition|null, merging: MergeFigures|null, mergeProblem: string|null, ending: array<string,
     *         mixed>|null} what merging or ending the open definition would do, where that is asked
     */
    private function leaving(Request $request, ?Definition $editing, MergeDefinitions $merge, EndDefinition $end): array
    {
        $into =
            $editing === null
                ? null
                : Definition::query()
                    ->where('slug', $request->string('into')->toString())
                    ->first();
        $figures = null;
        $problem = null;
        try {
            if ($editing !== null && $into !== null) {
                $figures = $merge->check($into, $editing);
            }
        } catch (Refused $why) {
            $problem = $why->getMessage();
        }

        return [
            'into' => $into,
            'merging' => $figures,
            'mergeProblem' => $problem,
            'ending' => $editing !== null && $request->boolean('end') ? $end->consequences($editing) : null,
        ];
    }

    /**
     * @param  list<int>  $ids
     * @return array<int, list<string>> spellings by definition, a few of each
     */
    private function samples(array $ids): array
    {
        $samples = [];
        foreach ($ids as $id) {
            $samples[$id] = DB::table('spellings')->where('definition_id', $id)->orderBy('id')->limit(4)->pluck('text')->all();
        }

        return $samples;
    }

    /** @return array{unread: int, values: int, samples: list<string>, kind: Kind}|null what the kind chosen in the form would find */
    private function change(Request $request, ?Definition $editing, ReadAgain $readAgain): ?array
    {
        $kind = Kind::tryFrom($request->string('kind')->toString());
        if ($editing === null || $kind === null) {
            return null;
        }

        return ['kind' => $kind] + $readAgain->consequences($editing, $kind, $request->string('unit')->toString() ?: null);
    }
}
