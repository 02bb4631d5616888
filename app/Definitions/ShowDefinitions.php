<?php

declare(strict_types=1);

namespace App\Definitions;

use App\Catalog\Coverage;
use App\Models\Definition;
use App\Models\Filter;
use App\Models\Spelling;
use App\Models\State;
use App\Support\Refused;
use Illuminate\Http\Request;
use Lokum\Vocabulary\Kind;

/** Gathers what the room of definitions shows. */
final readonly class ShowDefinitions
{
    /** Texts of a field that a choice of values could take the place of, and how often each comes at least. */
    private const MOST_CHOICES = 300;

    private const OFTEN = 3;

    public function __construct(
        private Coverage $coverage,
        private ReadAgain $readAgain,
        private MergeDefinitions $merge,
        private EndDefinition $end,
        private CoverageStrip $strip,
    ) {
    }

    public function __invoke(Request $request): DefinitionsPage
    {
        $words = $request->string('q')->toString();
        $definitions = Definition::query()
            ->withCount('values')
            ->orderBy('label')
            ->when($words !== '', fn ($query) => $query->where('label', 'like', '%'.addcslashes($words, '%_\\').'%'))
            ->get();
        $open = $request->string('open')->toString();
        $editing = $open === '' || $open === 'new' ? null : Definition::called($open) ?? abort(404);

        return new DefinitionsPage(
            ...$this->merging($request, $editing),
            groups: [
                'Proposed' => $definitions->where('state', State::Proposed),
                'In use' => $definitions->where('state', State::Accepted),
                'Left aside' => $definitions->where('state', State::Aside),
            ],
            products: $this->coverage->products(),
            total: $this->coverage->total(),
            samples: $this->samples($definitions->modelKeys()),
            filters: Filter::query()->whereNotNull('definition_id')->pluck('title', 'definition_id'),
            open: $open,
            editing: $editing,
            change: $this->change($request, $editing),
            strips: $this->strip->all(),
            odd: Spelling::table()
                ->whereNotNull('problem')
                ->groupBy('definition_id')
                ->selectRaw('definition_id, COUNT(*) AS n')
                ->pluck('n', 'definition_id'),
            alike: LikeNames::among($definitions->toBase()),
            sections: $definitions->pluck('section')->filter()->unique()->sort()->values(),
            differing: $editing === null ? 0 : $this->readAgain->differing($editing),
            joined: $editing === null ? 0 : $this->readAgain->joined($editing)->count(),
            again: $editing?->kind === Kind::Text ? $this->again($editing) : null,
            ending: $editing !== null && $request->boolean('end') ? $this->end->consequences($editing) : null,
        );
    }

    /**
     * Whether few texts come again and again, so that a choice of them would do.
     *
     * @return array{texts: int, items: int}|null
     */
    private function again(Definition $definition): ?array
    {
        $counts = Spelling::table('s')
            ->join('assignments as a', 'a.spelling_id', '=', 's.id')
            ->where('s.definition_id', $definition->id)
            ->selectRaw('COUNT(DISTINCT s.id) AS texts, COUNT(*) AS items')
            ->first();
        [$texts, $items] = [(int) $counts?->texts, (int) $counts?->items];

        return $texts > 0 && $texts <= self::MOST_CHOICES && $items >= self::OFTEN * $texts
            ? ['texts' => $texts, 'items' => $items]
            : null;
    }

    /** @return array{into: Definition|null, merging: MergeFigures|null, mergeProblem: string|null} */
    private function merging(Request $request, ?Definition $editing): array
    {
        $into = $editing === null ? null : Definition::called($request->string('into')->toString());
        $figures = null;
        $problem = null;
        try {
            if ($editing !== null && $into !== null) {
                $figures = $this->merge->consequences($into, $editing);
            }
        } catch (Refused $why) {
            $problem = $why->getMessage();
        }

        return ['into' => $into, 'merging' => $figures, 'mergeProblem' => $problem];
    }

    /**
     * @param  array<int>  $ids
     * @return array<int, list<string>> spellings by definition, a few of each
     */
    private function samples(array $ids): array
    {
        $samples = [];
        foreach ($ids as $id) {
            $texts = Spelling::table()->where('definition_id', $id)->orderBy('id')->limit(4)->pluck('text');
            $samples[$id] = array_values($texts->all());
        }

        return $samples;
    }

    /** @return array{unread: int, values: int, samples: list<string>, kind: Kind}|null what the kind chosen in the form would find */
    private function change(Request $request, ?Definition $editing): ?array
    {
        $kind = Kind::tryFrom($request->string('kind')->toString());
        if ($editing === null || $kind === null) {
            return null;
        }

        return ['kind' => $kind] + $this->readAgain->consequences($editing, $kind, $request->string('unit')->toString() ?: null);
    }
}
