<?php

declare(strict_types=1);

namespace App\Lineups;

use App\Catalog\CategoryTree;
use App\Draft\DraftLineups;
use App\Draft\Placement;
use App\Models\Category;
use App\Models\Change;
use App\Support\Refused;

/** Line-ups from nothing: for the shop what earns most over all products, and for its main branches what earns more there. */
final readonly class ProposeLineups
{
    /** Filters that a branch gets besides those of the shop. */
    private const OF_BRANCH = 5;

    /** Branches beyond these are small, and can have theirs later. */
    private const BRANCHES = 12;

    public function __construct(private PageWorth $worth, private EditLineup $edit)
    {
    }

    /** @return list<array{placement: string, name: string, filters: non-empty-list<FilterWorth>}> where something is to be added */
    public function plan(): array
    {
        $tree = CategoryTree::load();
        $there = array_keys(DraftLineups::load()->of(Placement::SHOP)->filters);
        $shop = $this->missing($this->worth->proposal(Placement::SHOP, LineupWarnings::MOST), $there);
        $known = [...$there, ...array_map(fn (FilterWorth $one): string => $one->key, $shop)];
        $plan = [['placement' => Placement::SHOP, 'name' => 'Whole shop', 'filters' => $shop]];
        foreach (array_slice(self::branches($tree), 0, self::BRANCHES) as $branch) {
            $has = array_keys(DraftLineups::load()->of((string) $branch->id)->filters);
            $plan[] = [
                'placement' => "below:{$branch->id}",
                'name' => $branch->name,
                'filters' => array_slice(
                    $this->missing($this->worth->proposal((string) $branch->id, LineupWarnings::MOST), [...$known, ...$has]),
                    0,
                    self::OF_BRANCH,
                ),
            ];
        }

        return array_values(array_filter($plan, fn (array $one): bool => $one['filters'] !== []));
    }

    /** @throws Refused where nothing is to be proposed */
    public function __invoke(): Change
    {
        $places = array_map(
            fn (array $one): array => array_map(fn (FilterWorth $filter): string => $filter->key, $one['filters']),
            array_column($this->plan(), null, 'placement'),
        );

        return $places === []
            ? throw new Refused('No field narrows enough of the products to be proposed. Add filters by hand.')
            : $this->edit->compose($places);
    }

    /** @return list<Category> the categories that a shopper chooses from first */
    private static function branches(CategoryTree $tree): array
    {
        $top = array_values(array_filter($tree->flat(), fn (array $row): bool => $row[1] === 0));
        $depth = count($top) === 1 ? 1 : 0;

        return array_map(
            fn (array $row): Category => $row[0],
            array_values(array_filter($tree->flat(), fn (array $row): bool => $row[1] === $depth)),
        );
    }

    /**
     * @param  list<FilterWorth>  $proposal
     * @param  list<int|string>  $there  keys of filters
     * @return list<FilterWorth>
     */
    private function missing(array $proposal, array $there): array
    {
        return array_values(
            array_filter($proposal, fn (FilterWorth $one): bool => ! in_array($one->key, array_map(strval(...), $there), true)),
        );
    }
}
