<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Catalog\AlsoOn;
use App\Catalog\CategoryTree;
use App\Catalog\Coverage;
use App\Draft\DraftLineups;
use App\Draft\DraftPages;
use App\Draft\DraftTerms;
use App\Draft\Placement;
use App\Lineups\LineupLedger;
use App\Models\Definition;
use App\Models\Item;
use App\Models\Spelling;
use App\Models\Umbrella;
use App\Models\Value;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Lokum\Edition\FilterLine;
use Lokum\Edition\Summary;
use Lokum\Edition\TermLine;
use Lokum\Lineup\ComposedFilter;
use Lokum\Vocabulary\Kind;
use Lokum\Vocabulary\Level;

/** What the catalog would publish now, in so far as editions are compared by it. */
final readonly class DraftSummary
{
    public function __construct(private DraftTerms $terms, private DraftPages $draft, private Coverage $coverage)
    {
    }

    /**
     * @param  EditionCounts|null  $counted  what an edition that is being written has counted already
     * @param  TakenOver|null  $before  the one that it takes over products and cells from
     */
    public function __invoke(?EditionCounts $counted = null, ?TakenOver $before = null): Summary
    {
        $terms = $ended = [];
        foreach (
            Definition::query()
                ->accepted()
                ->whereIn('kind', [Kind::Choice, Kind::Flag])
                ->get() as $definition
        ) {
            $held = $this->held($definition);
            foreach ($this->terms->of($definition, $counted?->terms($definition->id)) as $term) {
                $terms[$term['id']] = new TermLine(
                    $term['id'],
                    $definition->slug,
                    $term['label'],
                    $term['slug'],
                    $term['look'].$term['page'],
                    $term['products'],
                    $held[$term['id']] ?? [],
                );
            }
            $ended[$definition->slug] = EndedAddresses::of($definition);
        }
        $was = $before?->summary();
        [$products, $variants] = $was === null ? self::totals() : [$was->products, $was->variants];

        return new Summary(
            $products,
            $variants,
            $terms,
            $this->filters(),
            $this->pages($counted),
            $before === null ? ContentDigest::now() : ContentDigest::after($before),
            array_filter($ended),
            EndedAddresses::renamed(),
            $was === null || $before->touched->cells !== [] ? $this->carried($products, $variants) : $was->carried,
            $was->listed ?? $this->listed(),
        );
    }

    /** @return array{0: int, 1: int} products and variants in the shop */
    private static function totals(): array
    {
        $totals = Item::table()
            ->whereNull('out_since')
            ->selectRaw('COUNT(*) FILTER (WHERE parent_id IS NULL) AS products, COUNT(*) FILTER (WHERE variant_count = 0) AS variants')
            ->first();

        return [(int) $totals?->products, (int) $totals?->variants];
    }

    /** @return array<string, float> share of the products, or of the variants where it is theirs, that carry a definition in use */
    private function carried(int $products, int $variants): array
    {
        $of = fn (Builder $cells): array => $cells->groupBy('s.definition_id')->pluck('n', 'definition_id')->all();
        $cells = fn (): Builder => Spelling::table('s')->join('assignments as a', 'a.spelling_id', '=', 's.id');
        // Cells of one value are counted spelling by spelling, which reads an index from end to end; others have to be told apart.
        $items = $of(
            Spelling::table('s')
                ->joinSub(
                    DB::table('assignments')->groupBy('spelling_id')->selectRaw('spelling_id, COUNT(*) AS n'),
                    'a',
                    'a.spelling_id',
                    '=',
                    's.id',
                )
                ->selectRaw('s.definition_id, SUM(a.n) AS n'),
        );
        $several = Definition::query()->accepted()->where('multiple', true)->pluck('id');
        $items = $of($cells()->whereIn('s.definition_id', $several)->selectRaw('s.definition_id, COUNT(DISTINCT a.item_id) AS n')) + $items;
        $out = $of(
            $cells()
                ->whereIn('a.item_id', Item::query()->whereNotNull('out_since')->select('id'))
                ->selectRaw('s.definition_id, COUNT(DISTINCT a.item_id) AS n'),
        );

        return Definition::query()
            ->accepted()
            ->get()
            ->mapWithKeys(fn (Definition $one): array => [
                $one->label => min(
                    1.0,
                    (($items[$one->id] ?? 0) - ($out[$one->id] ?? 0)) / max(1, $one->level === Level::Product ? $products : $variants),
                ),
            ])
            ->all();
    }

    /** @return array<string, int> products of each category's page, by slug */
    private function listed(): array
    {
        $totals = $this->coverage->totals();
        $also = AlsoOn::any()
            ? DB::table('also_on')->groupBy('category_id')->selectRaw('category_id, COUNT(*) AS n')->pluck('n', 'category_id')->all()
            : [];
        $tree = CategoryTree::load();
        $listed = [];
        foreach ($tree->flat() as [$category]) {
            $on = $category->own_only ? [$category->id] : $tree->withDescendants($category->id);
            $listed[$category->slug] = array_sum(array_intersect_key($totals, array_flip($on))) + ($also[$category->id] ?? 0);
        }

        return $listed;
    }

    /** @return array<int, list<string>> labels of the values under each umbrella, by its term */
    private function held(Definition $definition): array
    {
        $held = [];
        foreach (
            Value::table()
                ->where('definition_id', $definition->id)
                ->whereNull('merged_into')
                ->whereNotNull('umbrella_id')
                ->where('held', false)
                ->orderBy('label')
                ->orderBy('id')
                ->get(['umbrella_id', 'label']) as $value
        ) {
            $held[Umbrella::TERM + (int) $value->umbrella_id][] = (string) $value->label;
        }

        return $held;
    }

    /** @return array<string, FilterLine> what line-ups say of filters; the shop's own in their order */
    private function filters(): array
    {
        $said = [];
        $all = DraftLineups::load();
        foreach ($all->layers() as $placement => $layer) {
            $of = fn (string $title): string => $placement === Placement::SHOP ? $title : "{$title} ({$layer->name})";
            $titles = array_map(
                fn (ComposedFilter $filter): string => $filter->settings()->title,
                $all->of(LineupLedger::pageOf($placement))->filters,
            );
            $added =
                $placement === Placement::SHOP
                    ? array_map(fn (ComposedFilter $filter): array => $filter->given, $all->of(Placement::SHOP)->filters)
                    : $layer->added;
            foreach ($added as $key => $given) {
                $said["{$placement} {$key}"] = new FilterLine($of((string) $given['title']), true, (string) json_encode($given));
            }
            foreach ($layer->changed as $key => $changes) {
                $said["{$placement} changes {$key}"] = new FilterLine(
                    $of($titles[$key] ?? (string) $key),
                    false,
                    (string) json_encode($changes),
                );
            }
            foreach ($layer->dropped as $key) {
                $said["{$placement} drops {$key}"] = new FilterLine(
                    $of('without '.($all->of(LineupLedger::pageOf($placement))->dropped[$key]->filter->given['title'] ?? $key)),
                    false,
                    '',
                );
            }
            $order = $placement === Placement::SHOP ? null : $layer->order;
            if ($order !== null || $layer->settings !== []) {
                $said["{$placement} order"] = new FilterLine(
                    $of('Order and sorting'),
                    false,
                    (string) json_encode([$order, $layer->settings]),
                );
            }
        }

        return $said;
    }

    /** @return array<string, list<string>> */
    private function pages(?EditionCounts $counted): array
    {
        $pages = [];
        $slugs = [];
        foreach (CategoryTree::load()->flat() as [$category]) {
            $slugs[$category->id] = $category->slug;
        }
        foreach ($this->draft->all($counted?->pages() ?? []) as $category => $absences) {
            if (isset($slugs[$category])) {
                $pages[$slugs[$category]] = array_map(strval(...), array_keys(array_filter($absences, is_null(...))));
            }
        }

        return $pages;
    }
}
