<?php

declare(strict_types=1);

namespace App\Products;

use App\Catalog\CategoryTree;
use App\Catalog\Expected;
use App\Catalog\Senders;
use App\Cells\CellTable;
use App\Cells\Narrowing;
use App\Models\Assignment;
use App\Models\Definition;
use App\Models\Item;
use App\Models\State;
use App\Values\SuggestValues;
use Illuminate\Http\Request;

/** Gathers what the page of one product shows. */
final readonly class ShowProduct
{
    /** What of an address says which list somebody came from. */
    private const LIST = ['where', 'q', 'by', 'is', 'from', 'to', 'price', 'stock', 'changed', 'sort', 'down'];

    public function __invoke(Item $item, Request $request): ProductPage
    {
        $item->load('category', 'variants');
        $definitions = Definition::query()->accepted()->orderBy('label')->get();
        $ids = [$item->id, ...array_values($item->variants->modelKeys())];
        $narrowing = Narrowing::from($request);

        return new ProductPage(
            item: $item,
            definitions: $definitions->toBase(),
            expected: Expected::load()->in($item->category_id),
            notInUse: Definition::query()
                ->where('state', '!=', State::Accepted)
                ->whereNull('merged_into')
                ->whereIn('id', Assignment::query()->whereIn('item_id', $ids)->select('definition_id'))
                ->orderBy('label')
                ->get()
                ->toBase(),
            labels: SuggestValues::labels($definitions),
            cells: CellTable::of($ids),
            narrowing: $narrowing,
            list: $request->only(self::LIST),
            before: $this->beside($item, $narrowing, $request, before: true),
            after: $this->beside($item, $narrowing, $request, before: false),
            senders: Senders::of($item),
            alsoIn: PutInCategory::of($item),
            categories: CategoryTree::load()->flat(),
        );
    }

    /** The one before or after it in the list that it was opened from. */
    private function beside(Item $item, Narrowing $narrowing, Request $request, bool $before): ?Item
    {
        return GridSort::from($request)->beside($narrowing->query(), $item, $before)->first();
    }
}
