<?php

declare(strict_types=1);

namespace App\Vocabulary;

use App\Catalog\ProductCounts;
use App\Models\Definition;
use App\Models\Spelling;
use App\Models\Umbrella;
use App\Models\Value;
use App\Support\CsvList;
use App\Support\Ids;
use App\Support\Refused;
use App\Values\CreateValue;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Lokum\Vocabulary\Kind;
use Lokum\Vocabulary\Showing;
use Lokum\Vocabulary\TermOrder;
use Symfony\Component\HttpFoundation\StreamedResponse;

final class ValuesController
{
    private const PER_PAGE = 120;

    public function index(Request $request, TakeInValues $take): View
    {
        $kept = $request->string('list')->toString();

        return view('values.index', [
            'numbers' => Definition::query()->live()->where('kind', Kind::Number)->orderBy('label')->get(),
            'attributes' => Definition::query()
                ->live()
                ->whereIn('kind', [Kind::Choice, Kind::Flag])
                ->withCount('values')
                ->orderBy('label')
                ->get(),
            'counts' => SpellingCounts::load(),
            'kept' => $kept,
            'coming' => $kept === '' ? null : $take->consequencesOfAll(KeptList::open($kept)),
        ]);
    }

    public function show(
        Request $request,
        Definition $definition,
        ProposeMerges $propose,
        ProductCounts $counts,
    ): View|StreamedResponse {
        abort_unless($definition->kind->isAttribute() || $definition->kind === Kind::Number, 404);
        if ($definition->kind === Kind::Number) {
            return view('values.numbers', ['definition' => $definition, 'map' => MapLens::ofNumbers($definition, $counts)]);
        }
        $bench = new Workbench($definition, $request);
        $rows = $bench->rows();
        if (CsvList::isWanted($request)) {
            return self::asCsv($definition, $rows);
        }
        $page = min(max(1, $request->integer('page', 1)), max(1, (int) ceil(count($rows) / self::PER_PAGE)));

        return view('values.show', [
            'definition' => $definition,
            'bench' => $bench,
            'found' => $rows,
            'orders' => TermOrder::cases(),
            'umbrellas' => Umbrella::query()->where('definition_id', $definition->id)->orderBy('label')->get(),
            'lookAlikes' => $definition->kind === Kind::Choice ? count($propose->of($definition)) : 0,
            'newcomers' => Spelling::query()->where('definition_id', $definition->id)->where('settled', false)->count(),
            'colored' => count(
                array_filter(
                    $bench->all,
                    fn (ValueRow $row): bool => count($row->value->look()->colors) === 1 && $row->umbrella === null,
                ),
            ),
            ...match ($bench->lens) {
                'flow' => [
                    'flow' => new FlowLens(
                        $rows,
                        $counts->byUmbrella($definition),
                        max(FlowLens::STEP, $request->integer('shown')),
                        $request->string('sort')->toString(),
                        $request->integer('value') ?: null,
                    ),
                ],
                'map' => ['map' => MapLens::ofValues($definition, $rows)],
                default => [
                    'rows' => array_slice($rows, ($page - 1) * self::PER_PAGE, self::PER_PAGE),
                    'page' => $page,
                    'pages' => (int) ceil(count($rows) / self::PER_PAGE),
                    'origins' => ValueOrigins::of($definition),
                ],
            },
        ]);
    }

    /** @param  list<ValueRow>  $rows */
    private static function asCsv(Definition $definition, array $rows): StreamedResponse
    {
        $umbrellas = Umbrella::query()->where('definition_id', $definition->id)->pluck('label', 'id');

        return CsvList::of(
            $definition->slug,
            ['label', 'slug', 'umbrella', 'products', 'spellings'],
            array_map(fn (ValueRow $row): array => [
                $row->label,
                $row->value->slug,
                $umbrellas[$row->umbrella] ?? null,
                $row->products,
                implode(' | ', array_column($row->spellings, 'text')),
            ], $rows),
        );
    }

    public function store(Request $request, Definition $definition, CreateValue $create): RedirectResponse
    {
        $id = $create($definition, $request->string('label')->toString());

        return redirect()
            ->route('values.show', [$definition, 'value' => $id])
            ->with('done', 'Made the value '.$request->string('label').'.');
    }

    public function update(Request $request, Definition $definition, Value $value, SaveValue $save): RedirectResponse
    {
        abort_unless($value->definition_id === $definition->id, 404);
        $change = $save(
            $value,
            $request->string('label')->toString(),
            LookForm::read($request, $value->look()),
            Showing::tryFrom($request->string('shown')->toString()) ?? $value->showing(),
            $request->integer('version'),
            $definition->has_pages ? ValuePage::from($request, $value) : null,
        );

        return redirect(Workbench::address($request, $definition, ['value' => $value->id]))
            ->with('done', $change->summary ?? 'Nothing was different.')
            ->with('undo', $change?->id);
    }

    public function address(Request $request, Definition $definition, Value $value, ChangeAddress $give): RedirectResponse
    {
        abort_unless($value->definition_id === $definition->id, 404);
        $change = $give($definition, $value, $request->string('address')->toString());

        return redirect(Workbench::address($request, $definition, ['value' => $value->id]))
            ->with('done', $change->summary ?? 'Nothing was different.')
            ->with('undo', $change?->id);
    }

    /** Its name alone, typed in its place. */
    public function rename(Request $request, Definition $definition, Value $value, SaveValue $save): RedirectResponse
    {
        abort_unless($value->definition_id === $definition->id, 404);
        $change = $save($value, $request->string('label')->toString(), $value->look(), $value->showing(), $value->version);

        return redirect()
            ->back()
            ->with('done', $change->summary ?? 'Nothing was different.')
            ->with('undo', $change?->id);
    }

    public function order(Request $request, Definition $definition, OrderValues $order): RedirectResponse
    {
        $asked = $request->string('order')->toString();
        $change = $order(
            $definition,
            TermOrder::tryFrom($asked) ?? throw Refused::unknown('order', $asked),
            Ids::in($request, 'ids'),
        );

        return redirect()
            ->back()
            ->with('done', $change->summary ?? 'They stand in that order already.')
            ->with('undo', $change?->id);
    }
}
