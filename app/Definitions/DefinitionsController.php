<?php

declare(strict_types=1);

namespace App\Definitions;

use App\Models\Definition;
use App\Models\State;
use App\Support\Back;
use App\Support\CsvList;
use App\Support\Ids;
use App\Support\Refused;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Lokum\Vocabulary\DayOrder;
use Symfony\Component\HttpFoundation\StreamedResponse;

final class DefinitionsController
{
    public function index(Request $request, ShowDefinitions $show): View|StreamedResponse
    {
        $page = $show($request);

        return CsvList::isWanted($request) ? self::asCsv($page) : view('definitions.index', $page);
    }

    private static function asCsv(DefinitionsPage $page): StreamedResponse
    {
        return CsvList::of(
            'definitions',
            ['label', 'slug', 'state', 'kind', 'unit', 'level', 'several', 'values', 'products', 'of', 'filter'],
            collect($page->groups)->flatten(1)->map(fn (Definition $definition): array => [
                $definition->label,
                $definition->slug,
                $definition->state->value,
                $definition->kind->value,
                $definition->unit,
                $definition->level->value,
                $definition->multiple ? 'yes' : 'no',
                (int) $definition->getAttribute('values_count'),
                $page->products[$definition->id] ?? 0,
                $page->total,
                $page->filters[$definition->id] ?? null,
            ]),
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

    public function address(Request $request, Definition $definition, ChangeDefinitionAddress $give): RedirectResponse
    {
        $change = $give($definition, $request->string('address')->toString());

        return redirect()
            ->route('definitions', ['open' => $definition->refresh()->slug])
            ->with('done', $change->summary ?? 'Nothing was different.')
            ->with('undo', $change?->id);
    }

    public function dayOrder(Request $request, Definition $definition, SayDayOrder $say): RedirectResponse
    {
        $order = DayOrder::tryFrom($request->string('order')->toString()) ?? throw new Refused('Say which comes first.', 'order');
        $change = $say($definition, $order);

        return redirect()
            ->route('values.unread', $definition)
            ->with('done', $change->summary ?? 'Nothing was different.')
            ->with('undo', $change?->id);
    }

    public function several(Request $request, SaveDefinition $save): RedirectResponse
    {
        $ids = Ids::in($request, 'ids');
        if ($ids === []) {
            throw new Refused('Tick at least one definition first.');
        }
        $change = $save->several($ids, $request->input('state') === State::Aside->value ? State::Aside : State::Accepted);

        return redirect(Back::to($request, route('definitions')))
            ->with('done', $change->summary ?? 'Nothing was different.')
            ->with('undo', $change?->id);
    }

    public function merge(Request $request, Definition $definition, MergeDefinitions $merge): RedirectResponse
    {
        $keep =
            Definition::called($request->string('into')->toString()) ?? throw new Refused('Choose the definition that stays.', 'into');
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
}
