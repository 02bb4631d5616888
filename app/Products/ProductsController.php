<?php

declare(strict_types=1);

namespace App\Products;

use App\Cells\CellChange;
use App\Cells\ChangeCells;
use App\Cells\Chosen;
use App\Cells\Narrowing;
use App\Models\Category;
use App\Models\Change;
use App\Models\Definition;
use App\Models\Item;
use App\Support\Back;
use App\Support\CsvList;
use App\Support\Ids;
use App\Support\Refused;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use Illuminate\View\View;
use Symfony\Component\HttpFoundation\StreamedResponse;

final class ProductsController
{
    public function index(Request $request, ShowProducts $show, ProductsAsCsv $asCsv): View|StreamedResponse
    {
        $page = $show($request);

        return CsvList::isWanted($request) ? $asCsv($request, $page->columns) : view('products.index', $page);
    }

    /** By what of a definition the list can be narrowed further. */
    public function choices(Request $request): View
    {
        $definition = Definition::called($request->string('by')->toString());

        return view('products.choices', [
            'choices' => $definition === null
                ? null
                : NarrowChoices::of(
                    $definition,
                    Narrowing::where(array_values(array_filter((array) $request->input('where', []), is_string(...)))),
                    $request->string('word')->toString(),
                ),
        ]);
    }

    public function show(Request $request, Item $item, ShowProduct $show): View
    {
        abort_if($item->parent_id !== null, 404);

        $page = $show($item, $request);

        return view('products.show', ['page' => $page] + $page->toArray());
    }

    /** What was typed into the fields of a product and its variants: all of it, or nothing where something cannot be taken. */
    public function update(Request $request, Item $item, TypeCells $type): RedirectResponse
    {
        $typed = array_filter(
            (array) $request->input('cells', []),
            fn (mixed $cell): bool => is_array($cell) && ($cell['text'] ?? null) !== ($cell['now'] ?? null),
        );
        $cells = TypeCells::cells($typed);
        $mayMake = $request->boolean('make');
        $figures = $type->consequences($cells, true);
        $new = $figures->new;
        if ($figures->refused !== []) {
            throw ValidationException::withMessages([
                'refused' => array_map(
                    fn (array $one): string => "{$one['sku']}, {$one['definition']}: ".ucfirst($one['reason']).'.',
                    $figures->refused,
                ),
            ]);
        }
        if ($new !== [] && ! $mayMake) {
            throw new Refused(
                'There is no value "'.implode('", "', $new).'" yet. Save again to make '.(count($new) === 1 ? 'it.' : 'them.'),
                'make',
            );
        }
        [$done] = $type($cells, $mayMake);

        return redirect()
            ->to(Back::to($request, route('products.show', $item->parent_id ?? $item->id)))
            ->with('done', $done->summary ?? 'Nothing was different.')
            ->with('undo', $done?->id);
    }

    /** Many cells of one definition: of the ticked products, or of all that the narrowing finds. */
    public function give(Request $request, ChangeCells $change): RedirectResponse
    {
        $form = BulkForm::from(
            $request,
            Ids::in($request, 'pick'),
            Narrowing::from($request),
            0,
            null,
        );
        if ($form === null) {
            throw new Refused('Select at least one product, or all that match, first.');
        }
        if ($form->flags !== null) {
            return self::done($request, $change->several(
                $form->chosen,
                array_map(fn (FlagChange $one): CellChange => $one->change(), $form->wanted())
                    ?: throw new Refused('Say yes or no for at least one field.', 'give'),
                $request->filled('counted') ? $request->integer('counted') : null,
            ));
        }
        $done = $change(
            $form->chosen,
            CellChange::from($form->definition ?? throw new Refused('Choose what to change.', 'give'), $request->all()),
            counted: $request->filled('counted') ? $request->integer('counted') : null,
        );

        return self::done($request, $done);
    }

    private static function done(Request $request, ?Change $change): RedirectResponse
    {
        return redirect(Back::to($request, route('products')))
            ->with('done', $change->summary ?? 'All of them had it already.')
            ->with('undo', $change?->id);
    }

    /** Products go out of the shop, or come back: the ticked ones, or all that the narrowing finds. */
    public function out(Request $request, TakeOut $take): RedirectResponse
    {
        return self::done(
            $request,
            $take(self::chosen($request), $request->string('out')->toString() !== 'back', self::counted($request)),
        );
    }

    /** Into a further category, or out of it. */
    public function putIn(Request $request, PutInCategory $put): RedirectResponse
    {
        $change = $put(
            self::chosen($request),
            Category::query()->where('slug', $request->string('category')->toString())->first()
                ?? throw new Refused('Choose a category.', 'category'),
            $request->string('in')->toString() !== 'out',
            self::counted($request),
        );

        return self::done($request, $change);
    }

    public function delete(Request $request, DeleteForGood $delete): RedirectResponse
    {
        $change = $delete(self::chosen($request), $request->integer('going'));

        return redirect()->route('products', ['where' => ['gone:out']])->with('done', $change->summary);
    }

    /** The ticked products, or all that the narrowing finds. */
    private static function chosen(Request $request): Chosen
    {
        $picked = Ids::in($request, 'pick');

        return match (true) {
            $request->boolean('all') => Chosen::all(Narrowing::from($request)),
            $picked === [] => throw new Refused('Select at least one product, or all that match, first.'),
            default => Chosen::items($picked),
        };
    }

    /** How many products were shown where all that match are meant; null where they were ticked, or too many to be counted. */
    private static function counted(Request $request): ?int
    {
        return $request->boolean('all') && $request->filled('products') ? $request->integer('products') : null;
    }
}
