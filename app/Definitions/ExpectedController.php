<?php

declare(strict_types=1);

namespace App\Definitions;

use App\Catalog\CategoryTree;
use App\Catalog\Coverage;
use App\Catalog\Expected;
use App\Models\Category;
use App\Models\Definition;
use App\Support\CsvList;
use App\Support\Ids;
use App\Support\Refused;
use Generator;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Collection;
use Illuminate\View\View;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** What each category's products should carry, and how far they do. */
final class ExpectedController
{
    public function show(Request $request, Coverage $coverage, ProposeExpected $propose): View|StreamedResponse
    {
        $tree = CategoryTree::load();
        $expected = new Expected($tree);
        $open = $request->has('category')
            ? ($request->string('category')->toString() === ''
                ? null
                : $tree->bySlug($request->string('category')->toString()) ??
                    throw Refused::unknown('category', $request->string('category')->toString()))
            : false;
        $definitions = Definition::query()->accepted()->orderBy('label')->get()->keyBy('id');
        $rows = [];
        foreach ($tree->flat() as [$category, $depth]) {
            $rows[] = [
                'category' => $category,
                'depth' => $depth,
                'figures' => array_intersect_key($coverage->ofExpected($expected, $category->id), $definitions->all()),
            ];
        }
        $chosen = $open instanceof Category ? $open->id : null;
        if (CsvList::isWanted($request)) {
            return CsvList::of('expected', ['category', 'definition', 'expected', 'carried', 'missing'], self::asCsv($rows, $definitions));
        }

        return view('definitions.expected', [
            'rows' => $rows,
            'open' => $open,
            'definitions' => $definitions,
            'expected' => $expected,
            'figures' => $open === false ? [] : $coverage->ofExpected($expected, $chosen),
            'inherited' => $open === false ? [] : $expected->in($chosen),
            'shares' => $open === false ? [] : $propose->shares($chosen, $tree),
            'candidates' => $open === false ? collect() : $definitions->only($propose->in($chosen)),
        ]);
    }

    /**
     * @param  list<array{category: Category, depth: int, figures: array<int, array{expected: int, carried: int}>}>  $rows
     * @param  Collection<int, Definition>  $definitions
     * @return Generator<int, list<string|int>>
     */
    private static function asCsv(array $rows, Collection $definitions): Generator
    {
        foreach ($rows as ['category' => $category, 'figures' => $figures]) {
            foreach ($figures as $id => ['expected' => $expected, 'carried' => $carried]) {
                yield [$category->path, $definitions->get($id)->label ?? '', $expected, $carried, $expected - $carried];
            }
        }
    }

    public function store(Request $request, SayExpected $say): RedirectResponse
    {
        $slug = $request->string('category')->toString();
        $category =
            $slug === '' ? null : Category::query()->where('slug', $slug)->first() ?? throw Refused::unknown('category', $slug);
        $definitions = Ids::in($request, 'definitions');
        if ($definitions === []) {
            throw new Refused('Choose at least one definition.', 'definitions');
        }
        $change = $say(
            $category,
            $definitions,
            match ($request->string('expected')->toString()) {
                'yes' => true,
                'no' => false,
                default => null,
            },
        );

        return redirect()
            ->route('expected', ['category' => $slug])
            ->with('done', $change->summary ?? 'Nothing was different.')
            ->with('undo', $change?->id);
    }
}
