<?php

declare(strict_types=1);

namespace App\Draft;

use App\Catalog\CategoryTree;
use App\Models\Filter;
use App\Models\FilterChange;
use App\Models\Lineup;
use App\Support\LookedUp;
use Lokum\Lineup\ComposedLineup;
use Lokum\Lineup\Layer;
use Lokum\Lineup\SortOrder;

/** The line-up of every page, as it stands in the draft. Everything is loaded once. */
final class DraftLineups
{
    /** @var array<string, Layer> by placement */
    private array $layers = [];

    /** @var array<string, ComposedLineup> by the placements that make it up */
    private array $composed = [];

    private function __construct(public readonly CategoryTree $tree)
    {
    }

    public static function load(): self
    {
        return app(LookedUp::class)->of('line-ups', self::read(...));
    }

    private static function read(): self
    {
        $all = new self(CategoryTree::load());
        foreach (
            Lineup::query()
                ->with(['filters.definition', 'alterations'])
                ->get() as $lineup
        ) {
            $settings = $lineup->settings ?? [];
            $all->layers[$lineup->placement] = new Layer(
                $lineup->id,
                Placement::of($lineup->placement, $all->tree)->name($all->tree),
                $lineup->filters
                    ->mapWithKeys(fn (Filter $filter): array => [$filter->key() => CurrentTerms::bring($filter->settings())])
                    ->all(),
                $lineup->alterations
                    ->where('dropped', false)
                    ->mapWithKeys(
                        fn (FilterChange $change): array => [$change->key => CurrentTerms::bring($change->settings ?? [])],
                    )
                    ->all(),
                array_values($lineup->alterations->where('dropped', true)->pluck('key')->all()),
                isset($settings['order']) && is_array($settings['order']) ? array_values($settings['order']) : null,
                array_diff_key($settings, ['order' => 0]),
            );
        }

        return $all;
    }

    /** @param  string  $page  a category's id, or "shop", "search", "brands" */
    public function of(string $page): ComposedLineup
    {
        $placements = array_values(
            array_filter(Placement::chain($page, $this->tree), fn (string $placement): bool => isset($this->layers[$placement])),
        );

        return $this->composed[implode(' ', $placements)] ??= ComposedLineup::of(
            ...array_map(fn (string $placement): Layer => $this->layers[$placement], $placements),
        );
    }

    /** @return array<int|string, ComposedLineup> by page: every category's id, "shop", "search", "brands" */
    public function pages(): array
    {
        $pages = [];
        foreach (
            [
                Placement::SHOP,
                Placement::SEARCH,
                Placement::BRANDS,
                ...array_map(fn (array $row): string => (string) $row[0]->id, $this->tree->flat()),
            ] as $page
        ) {
            $pages[$page] = $this->of($page);
        }

        return $pages;
    }

    /** @return array<string, SortOrder> that any page can be put in, by what they do */
    public function sorts(): array
    {
        $sorts = [];
        foreach ($this->pages() as $lineup) {
            foreach ([...SortOrder::usual(), ...SortOrder::list($lineup->settings['sorts'] ?? null)] as $order) {
                $sorts[$order->key()] = $order;
            }
        }

        return $sorts;
    }

    public function layer(string $placement): ?Layer
    {
        return $this->layers[$placement] ?? null;
    }

    /** @return array<string, Layer> by placement */
    public function layers(): array
    {
        return $this->layers;
    }
}
