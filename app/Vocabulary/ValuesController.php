<?php

declare(strict_types=1);

namespace App\Vocabulary;

use App\Definitions\Definition;
use App\Refused;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\View\View;
use InvalidArgumentException;
use Lokum\Text\StrictKey;
use Lokum\Vocabulary\Kind;
use Lokum\Vocabulary\KnownValue;
use Lokum\Vocabulary\Look;
use Lokum\Vocabulary\MergePlan;
use Lokum\Vocabulary\TermOrder;

final class ValuesController
{
    private const PER_PAGE = 120;

    public function index(): View
    {
        return view('values.index', ['attributes' => Definition::query()->live()->whereIn('kind', [Kind::Choice, Kind::Flag])->withCount('values')->orderBy('label')->get(),
            'spellings' => DB::table('spellings')->whereNotNull('value_id')->groupBy('definition_id')->selectRaw('definition_id, COUNT(*) AS n')->pluck('n', 'definition_id')]);
    }

    public function show(Request $request, Definition $definition, ValueTable $table, MergeValues $merge, ProposeMerges $propose, GatherValues $gather): View
    {
        abort_unless($definition->kind->isAttribute(), 404);
        $all = $table->of($definition);
        $rows = $this->narrowed($all, $request->string('q')->toString(), $request->string('show')->toString());
        $page = max(1, $request->integer('page', 1));
        $picked = array_map(intval(...), (array) $request->input('pick', []));

        return view('values.show', [
            'definition' => $definition, 'all' => $all, 'found' => count($rows), 'rows' => array_slice($rows, ($page - 1) * self::PER_PAGE, self::PER_PAGE),
            'page' => $page, 'pages' => (int) ceil(count($rows) / self::PER_PAGE), 'picked' => $picked, 'orders' => TermOrder::cases(),
            'umbrellas' => Umbrella::query()->where('definition_id', $definition->id)->orderBy('label')->get(), 'umbrella' => Umbrella::query()->where('definition_id', $definition->id)->with('values')->find($request->integer('umbrella')),
            'colored' => count(array_filter($all, fn (ValueRow $row): bool => count($row->value->look()->colors) === 1 && $row->value->umbrella_id === null)), 'gathering' => $this->gathering($request, $definition, $picked, $gather), 'lookAlikes' => $definition->kind === Kind::Choice ? count($propose->of($definition)) : 0, 'open' => $this->opened($request, $all), 'merge' => $this->consequences($request, $definition, $table, $merge, $picked),
        ]);
    }

    public function store(Request $request, Definition $definition, CreateValue $create): RedirectResponse
    {
        $id = $create($definition, $request->string('label')->toString());

        return redirect()->route('values.show', [$definition, 'value' => $id])->with('done', 'Made the value '.$request->string('label').'.');
    }

    public function update(Request $request, Definition $definition, Value $value, SaveValue $save): RedirectResponse
    {
        abort_unless($value->definition_id === $definition->id, 404);
        $change = $save($value, $request->string('label')->toString(), $this->look($request), $request->boolean('held'), $request->integer('version'), $definition->has_pages ? ValuePage::from($request, $value) : null);

        return redirect()->route('values.show', [$definition, 'value' => $value->id])->with('done', $change->summary ?? 'Nothing was different.')->with('undo', $change?->id);
    }

    public function merge(Request $request, Definition $definition, MergeValues $merge): RedirectResponse
    {
        $ids = array_map(intval(...), (array) $request->input('pick', []));
        $change = $merge($definition, $merge->plan($definition, $request->integer('keep'), $ids));

        return redirect()->route('values.show', [$definition, 'value' => $request->integer('keep')])->with('done', $change->summary)->with('undo', $change->id);
    }

    /** Gathers values under an umbrella, or takes them out of it. */
    public function gather(Request $request, Definition $definition, GatherValues $gather): RedirectResponse
    {
        $ids = array_values(array_map(intval(...), (array) $request->input('pick', [])));
        $change = $request->boolean('out') ? $gather->release($definition, $ids) : $gather($definition, $request->string('under')->toString(), $ids);

        return redirect()->route('values.show', $definition)->with('done', $change->summary ?? 'Nothing was different.')->with('undo', $change?->id);
    }

    public function umbrella(Request $request, Definition $definition, Umbrella $umbrella, GatherValues $gather): RedirectResponse
    {
        abort_unless($umbrella->definition_id === $definition->id, 404);
        $umbrella->setRelation('definition', $definition);
        $change = $gather->save($umbrella, $request->string('label')->toString(), $this->look($request), $request->integer('version'));

        return redirect()->route('values.show', [$definition, 'umbrella' => $umbrella->id])->with('done', $change->summary ?? 'Nothing was different.')->with('undo', $change?->id);
    }

    public function order(Request $request, Definition $definition, OrderValues $order): RedirectResponse
    {
        $change = $order($definition, TermOrder::from($request->string('order')->toString()), array_map(intval(...), (array) $request->input('ids', [])));

        return redirect()->back()->with('done', $change->summary ?? 'They stand in that order already.')->with('undo', $change?->id);
    }

    /** @throws Refused for a color that is none */
    private function look(Request $request): Look
    {
        $colors = array_values(array_filter((array) $request->input('colors', []), fn (mixed $color): bool => is_string($color) && $color !== ''));
        $used = array_slice($colors, 0, min(3, max(0, $request->integer('color_count', count($colors)))));
        try {
            return new Look(array_map(strtolower(...), $used), $request->string('look_label')->trim()->toString() ?: null, $request->string('look_help')->trim()->toString() ?: null);
        } catch (InvalidArgumentException $why) {
            throw new Refused($why->getMessage(), 'colors');
        }
    }

    /** @param  list<int>  $picked */
    private function gathering(Request $request, Definition $definition, array $picked, GatherValues $gather): ?GatherFigures
    {
        try {
            return $picked === [] || $request->string('under')->trim()->toString() === '' ? null : $gather->consequences($definition, $request->string('under')->toString(), $picked);
        } catch (Refused) {
            return null;
        }
    }

    /** @param  list<int>  $picked */
    private function consequences(Request $request, Definition $definition, ValueTable $table, MergeValues $merge, array $picked): ?MergeConsequences
    {
        if (count($picked) < 2) {
            return null;
        }
        $known = array_values($table->known($definition, $picked));
        if (count($known) < 2) {
            return null;
        }
        $keep = $request->integer('keep');
        $stays = in_array($keep, $picked, true) ? $keep : MergePlan::proposeKeep(...$known)->id;

        return MergeConsequences::of($definition, $merge->plan($definition, $stays, array_map(fn (KnownValue $value): int => $value->id, $known)), app(ProductCounts::class));
    }

    /**
     * @param  list<ValueRow>  $rows
     * @return list<ValueRow>
     */
    private function narrowed(array $rows, string $words, string $show): array
    {
        $key = StrictKey::of($words);

        return array_values(array_filter($rows, fn (ValueRow $row): bool => match ($show) {
            'unused' => $row->products === 0,
            'bare' => $row->value->look()->colors === [],
            'several' => count($row->spellings) > 1,
            'held' => $row->value->held,
            default => true,
        } && ($words === '' || str_contains(StrictKey::of($row->value->label), $key)
            || array_filter($row->spellings, fn (array $spelling): bool => str_contains(StrictKey::of($spelling['text']), $key)) !== [])));
    }

    /** @param  list<ValueRow>  $rows */
    private function opened(Request $request, array $rows): ?ValueRow
    {
        foreach ($rows as $row) {
            if ($row->value->id === $request->integer('value')) {
                return $row;
            }
        }

        return null;
    }
}
