<?php

declare(strict_types=1);

namespace App\Definitions;

use App\Catalog\CategoryTree;
use App\Catalog\Coverage;
use App\Catalog\Expected;
use App\Models\Category;
use App\Models\Definition;
use App\Support\Ids;
use App\Support\Refused;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;

/** What each category's products should carry, and how far they do. */
final class ExpectedController
{
    /** A definition that this share of a category's products carries is proposed to be expected there. */
    private const PROPOSED = 0.6;

    public function show(Request $request, Coverage $coverage): View
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

        return view('definitions.expected', [
            'rows' => $rows,
            'open' => $open,
            'definitions' => $definitions,
            'expected' => $expected,
            'figures' => $open === false ? [] : $coverage->ofExpected($expected, $chosen),
            'inherited' => $open === false ? [] : $expected->in($chosen),
            'shares' => $open === false ? [] : $this->shares($coverage, $tree, $chosen),
            'proposed' => self::PROPOSED,
        ]);
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

    /** @return array<int, float> share of the category's products, with those below, that carry a definition */
    private function shares(Coverage $coverage, CategoryTree $tree, ?int $category): array
    {
        $below = $category === null ? null : array_flip($tree->withDescendants($category));
        $in = fn (array $byCategory): int => array_sum($below === null ? $byCategory : array_intersect_key($byCategory, $below));
        $total = $in($coverage->totals());

        return array_map(fn (array $carried): float => $total === 0 ? 0.0 : $in($carried) / $total, $coverage->byCategory());
    }
}
