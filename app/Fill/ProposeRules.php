<?php

declare(strict_types=1);

namespace App\Fill;

use App\Catalog\CategoryTree;
use App\History\Remembered;
use App\Models\Category;
use App\Models\Definition;
use App\Models\FillRule;
use App\Models\FillSource;
use App\Models\Item;
use Lokum\Fill\WordFinder;
use Lokum\Fill\WordLine;
use Lokum\Text\StrictKey;
use Lokum\Vocabulary\Kind;

/**
 * Rules that would win coverage: a branch of the tree whose names are an attribute's values, and values that stand as words in
 * the names of products that miss them. Worked out once for each state of the catalog.
 */
final readonly class ProposeRules
{
    /** Names looked at for each attribute; of more products the first ones speak for the rest. */
    private const NAMES = 20000;

    private const LEAST = 3;

    private const SHORTEST = 3;

    public function __construct(private Remembered $remembered)
    {
    }

    /** @return list<RuleProposal> those that win most first */
    public function __invoke(): array
    {
        return $this->remembered->of('rule-proposals', function (): array {
            $taken = FillRule::query()
                ->get(['definition_id', 'source'])
                ->map(fn (FillRule $rule): string => $rule->definition_id.':'.$rule->source->value)
                ->all();
            $proposals = [];
            foreach (
                Definition::query()->accepted()->where('kind', Kind::Choice)->where('slug', '!=', Definition::BRAND)->get() as $definition
            ) {
                $values = $definition->values()->pluck('label', 'id')->all();
                if (! in_array("{$definition->id}:words", $taken, true)) {
                    $proposals[] = $this->fromWords($definition, $values);
                }
                if (! in_array("{$definition->id}:category", $taken, true)) {
                    array_push($proposals, ...$this->fromTree($definition, $values));
                }
            }
            $proposals = array_values(array_filter($proposals));
            usort($proposals, fn (RuleProposal $a, RuleProposal $b): int => $b->wins <=> $a->wins);

            return $proposals;
        });
    }

    /**
     * @param  array<int, string>  $values
     * @return list<RuleProposal>
     */
    private function fromTree(Definition $definition, array $values): array
    {
        $keys = array_fill_keys(array_map(StrictKey::of(...), $values), true);
        $tree = CategoryTree::load();
        $proposals = [];
        foreach ($tree->flat() as [$branch]) {
            $children = collect($tree->below($branch->id))->map(fn (int $id): ?Category => $tree->find($id))->filter();
            $same = $children->filter(fn (Category $child): bool => isset($keys[StrictKey::of($child->name)]));
            if (count($same) < 2 || count($same) * 2 < count($children)) {
                continue;
            }
            $below = array_merge(
                ...$children->map(fn (Category $child): array => $tree->withDescendants($child->id))->values()->all(),
            );
            $wins = Item::table('i')
                ->whereNull('i.parent_id')
                ->whereIn('i.category_id', $below)
                ->whereRaw(self::missing($definition))
                ->count();
            if ($wins > 0) {
                $proposals[] = new RuleProposal(
                    $definition,
                    FillSource::Category,
                    ['branch' => $branch->slug],
                    $wins,
                    0,
                    array_map(
                        fn (Category $child): array => ['before' => "{$branch->name} > ", 'words' => $child->name, 'behind' => ''],
                        array_values($same->take(4)->all()),
                    ),
                );
            }
        }

        return $proposals;
    }

    /** @param  array<int, string>  $values */
    private function fromWords(Definition $definition, array $values): ?RuleProposal
    {
        $labels = array_values(
            array_filter(
                $values,
                fn (string $label): bool => mb_strlen($label) >= self::SHORTEST && preg_match('/\p{L}/u', $label) === 1,
            ),
        );
        if ($labels === []) {
            return null;
        }
        $finder = new WordFinder(array_map(fn (string $label): WordLine => new WordLine($label, [$label]), $labels));
        $hits = 0;
        $doubtful = 0;
        $samples = [];
        $names = Item::table('i')
            ->whereNull('i.parent_id')
            ->whereNotNull('i.name')
            ->whereRaw(self::missing($definition))
            ->limit(self::NAMES)
            ->pluck('i.name');
        foreach ($names as $name) {
            $found = $finder->in($name);
            $different = count(array_unique(array_column($found, 'value')));
            $hits += $different === 1 || ($different > 1 && $definition->multiple) ? 1 : 0;
            $doubtful += $different > 1 && ! $definition->multiple ? 1 : 0;
            if ($different === 1 && count($samples) < 4) {
                [$before, $words, $behind] = $found[0]->in($name, 18);
                $samples[] = ['before' => $before, 'words' => $words, 'behind' => $behind];
            }
        }

        return $hits < self::LEAST
            ? null
            : new RuleProposal(
                $definition,
                FillSource::Words,
                ['in' => ['name'], 'lines' => []],
                $hits,
                $doubtful,
                $samples,
                count($names) === self::NAMES,
            );
    }

    /** The product misses it, on itself and on its variants. Of items as i. */
    private static function missing(Definition $definition): string
    {
        return "NOT EXISTS (SELECT 1 FROM assignments a WHERE a.item_id = i.id AND a.definition_id = {$definition->id})
            AND NOT EXISTS (SELECT 1 FROM items v
            JOIN assignments a ON a.item_id = v.id AND a.definition_id = {$definition->id} WHERE v.parent_id = i.id)";
    }
}
