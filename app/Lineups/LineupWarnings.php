<?php

declare(strict_types=1);

namespace App\Lineups;

use App\Draft\PageFacts;
use App\Draft\Placement;
use App\Models\Category;
use App\Models\Definition;
use App\Models\Lineup;
use App\Vocabulary\ProposeMerges;
use Lokum\Facet\Combine;
use Lokum\Lineup\ComposedLineup;
use Lokum\Vocabulary\Kind;

/** What does not earn its place in a line-up, each with its remedy. */
final readonly class LineupWarnings
{
    /** More filters than this are clutter. */
    public const MOST = 8;

    /** Lists longer than this are looked over for look-alikes in their own room only. */
    private const LOOKED_OVER = 1500;

    public function __construct(private ProposeMerges $propose)
    {
    }

    /**
     * @param  array<string, FilterWorth>  $worth
     * @return array<string, list<array{text: string, remedy: string, url: string, quiet?: string}>> by key; "" is about the whole line-up
     */
    public function of(string $page, ComposedLineup $lineup, PageFacts $facts, array $worth): array
    {
        $most = is_numeric($lineup->settings['most'] ?? null) ? (int) $lineup->settings['most'] : self::MOST;
        $shown = array_filter($worth, fn (FilterWorth $one): bool => $one->coverage > 0 && $one->narrowing > 0);
        $warnings = [];
        $nearest = $lineup->layers === [] ? null : $lineup->layers[count($lineup->layers) - 1];
        $saysNothing = $page !== Placement::SHOP && ! in_array($nearest?->id, $this->own($page), true);
        if (count($shown) > $most && ! $saysNothing) {
            $warnings[''][] = [
                'text' => count($shown)." filters show here, more than {$most}. The last ones earn least",
                'remedy' => 'propose a better order',
                'url' => route('line-ups', ['page' => $page, 'propose' => 'order']),
            ];
        }
        foreach ($worth as $key => $one) {
            // What is inherited as it is, is warned about where it is said.
            $inherited =
                $saysNothing ||
                ($lineup->filters[$key]->from !== $nearest?->id &&
                    ! in_array($nearest?->id, $lineup->filters[$key]->changed, true));
            if ($inherited && $page !== Placement::SHOP && $one->coverage > 0) {
                continue;
            }
            $definition = Definition::liveBySlug($key);
            $counts = $facts->of($page, (string) $key)->counts;
            $edit = route('line-ups', ['page' => $page, 'filter' => $key]);
            $found = [];
            // What is inherited hides itself where nobody carries it; that is as it should be.
            if ($one->coverage === 0.0 && $lineup->filters[$key]->from !== $lineup->layers[count($lineup->layers) - 1]->id) {
                $found[] = [
                    'text' => 'not shown here, since no product carries it',
                    'remedy' => $definition === null ? 'drop it here' : 'products without it',
                    'url' => $definition === null
                            ? $edit
                            : route('products', ['where' => [...$this->inside($page), "missing:{$key}"], 'columns' => [$key]]),
                    'quiet' => '1',
                ];
            } elseif ($one->coverage === 0.0) {
                $found[] = [
                    'text' => 'no product here carries it',
                    'remedy' => $definition === null ? 'drop it here' : 'give products the value',
                    'url' => $definition === null ? $edit : route('products', ['where' => ["gap:{$key}"], 'columns' => [$key]]),
                ];
            } elseif (count($counts) + count($facts->of($page, (string) $key)->numbers) === 1) {
                $found[] = ['text' => 'all products here have the same', 'remedy' => 'drop it here', 'url' => $edit];
            } elseif ($one->narrowing < 0.02) {
                $found[] = ['text' => 'a pick leaves nearly everything', 'remedy' => 'see the filter', 'url' => $edit];
            } elseif ($one->coverage < 0.5) {
                $found[] = [
                    'text' => round(100 - 100 * $one->coverage).' % of the products are not covered',
                    'remedy' => $definition === null ? 'drop it here' : 'fill the gap',
                    'url' => $definition === null
                            ? $edit
                            : route('products', ['where' => [...$this->inside($page), "missing:{$key}"], 'columns' => [$key]]),
                ];
            }
            $combine = $lineup->filters[$key]->settings()->combine;
            if ($combine === Combine::All && $definition?->kind === Kind::Choice && ! $facts->holdsSeveral($definition)) {
                $found[] = [
                    'text' => 'two picks never leave anything: all of them are asked for, and nothing has more than one',
                    'remedy' => 'ask for any of them',
                    'url' => $edit,
                ];
            }
            $beyond = $facts->of($page, (string) $key)->beyond($lineup->filters[$key]->settings());
            if ($beyond > 0) {
                $found[] = [
                    'text' => number_format($beyond).($beyond === 1 ? ' product lies' : ' products lie').
                        ' outside of the scale, where no pick can find them',
                    'remedy' => 'set its ends',
                    'url' => $edit,
                ];
            }
            if ($one->same !== null && $one->overlap >= 0.85 && $one->coverage > 0) {
                $found[] = ['text' => 'says nearly the same as '.$one->same, 'remedy' => 'drop one of them', 'url' => $edit];
            }
            if (
                $definition !== null &&
                $definition->kind === Kind::Choice &&
                count($counts) > 1 &&
                $definition->values()->count() <= self::LOOKED_OVER &&
                ($groups = count($this->propose->of($definition))) > 0
            ) {
                $found[] = [
                    'text' => $groups.($groups === 1 ? ' group' : ' groups').' of its values should be looked at first',
                    'remedy' => 'review look-alikes',
                    'url' => route('values.review', $definition),
                ];
            }
            if ($found !== []) {
                $warnings[$key] = $found;
            }
        }

        return $warnings;
    }

    /** @return list<int> the line-ups that are said for a page itself */
    private function own(string $page): array
    {
        $placements = ctype_digit($page) ? ["below:{$page}", "only:{$page}"] : [$page];

        return array_values(Lineup::query()->whereIn('placement', $placements)->pluck('id')->all());
    }

    /** @return list<string> the narrowing to a category's page */
    private function inside(string $page): array
    {
        return ctype_digit($page) ? ['category:'.Category::query()->whereKey($page)->value('slug')] : [];
    }
}
