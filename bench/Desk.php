<?php

declare(strict_types=1);

namespace Bench;

use App\Definitions\CreateDefinition;
use App\Definitions\DefinitionForm;
use App\Feeds\ReadFeed;
use App\Lineups\EditLineup;
use App\Models\Category;
use App\Models\Definition;
use App\Publishing\Publish;
use Generator;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Http\Request;

/**
 * The pages of somebody at work in a large catalog: 252 categories, sixty filters, one of them with 5,000 terms. Each page right after
 * a change, again, and its size; beside the page of a line-up with three filters.
 */
final class Desk implements Benchmark
{
    private const FILTERS = 60;

    private const TERMS = 5000;

    private bool $dropped = false;

    public function __construct(
        private readonly CreateDefinition $create,
        private readonly ReadFeed $read,
        private readonly EditLineup $edit,
        private readonly Publish $publish,
        private readonly Kernel $kernel,
    ) {
    }

    public function run(int $products, callable $say): array
    {
        Manager::signIn();
        // Said before, since a column with so many texts would be proposed as one of texts.
        ($this->create)(DefinitionForm::from(['label' => 'Trait 1', 'kind' => 'choice', 'level' => 'product']));
        $say('reading '.number_format($products).' products');
        Catalog::readIn($this->read, $this->rows($products));
        Definition::query()->update(['state' => 'accepted']);
        $slugs = array_map(fn (int $i): string => "trait-{$i}", range(1, self::FILTERS));
        $this->edit->several(['trait-1', 'trait-2', 'trait-3']);
        $say('a line-up of three filters');
        $small = $this->page('/line-ups', false);
        $this->edit->several([$slugs[3], ...array_slice($slugs, 4)]);
        $say('publishing');
        ($this->publish)(fn () => null);
        $branch = Category::query()->where('depth', 0)->orWhereNull('parent_id')->firstOrFail();
        $figures = ['products' => $products, 'categories' => Category::query()->count(), 'filters' => self::FILTERS];
        foreach (
            [
                'today' => '/',
                'line_ups' => '/line-ups',
                'line_ups_branch' => "/line-ups?page={$branch->id}",
                'filter' => '/line-ups?filter=trait-1',
                'filter_small' => '/line-ups?filter=trait-2',
                'expected' => '/expected',
                'list' => '/values/trait-1',
                'flow' => '/values/trait-1/flow',
                'map' => '/values/trait-1/map',
                'shop' => '/shop',
                'shop_picked' => '/shop?trait-2=trait-2-1',
            ] as $name => $address
        ) {
            $say($address);
            $first = $this->page($address, true);
            $again = $this->page($address, false);
            $figures["{$name}_changed_ms"] = $first[0];
            $figures["{$name}_ms"] = $again[0];
            $figures["{$name}_kb"] = $again[1];
        }
        $figures['three_filters_ms'] = $small[0];
        $figures['times_three_filters'] = round($figures['line_ups_ms'] / $small[0], 1);

        return $figures;
    }

    /** @return Generator<int, list<string>> */
    private function rows(int $products): Generator
    {
        mt_srand(3);
        $traits = array_map(fn (int $i): string => "Trait {$i}", range(1, self::FILTERS));
        yield ['sku', 'name', 'category', 'price', 'stock', ...$traits];
        for ($i = 0; $i < $products; $i++) {
            $branch = $i % 12;
            $twig = intdiv($i, 12) % 20;
            $row = ["P{$i}", "Product {$i}", "Branch {$branch} > Twig {$branch}-{$twig}", (string) mt_rand(1, 999), (string) mt_rand(0, 9)];
            for ($trait = 1; $trait <= self::FILTERS; $trait++) {
                $terms = $trait === 1 ? self::TERMS : 12;
                $row[] = mt_rand(0, 3) === 0 ? '' : "Trait {$trait} ".($trait === 1 ? $i % $terms : mt_rand(1, $terms));
            }
            yield $row;
        }
    }

    /** @return array{0: float, 1: int} milliseconds (the middle of three, or the first after a change) and kilobytes */
    private function page(string $address, bool $changed): array
    {
        $times = [];
        $bytes = 0;
        for ($i = 0; $i < ($changed ? 1 : 3); $i++) {
            if ($changed) {
                $this->change();
            }
            // As in a process of its own.
            app()->forgetScopedInstances();
            $start = hrtime(true);
            $response = $this->kernel->handle(Request::create($address));
            $times[] = (hrtime(true) - $start) / 1e6;
            $bytes = strlen((string) $response->getContent());
            if ($response->getStatusCode() !== 200) {
                throw new \RuntimeException("{$address} answers {$response->getStatusCode()}.");
            }
        }
        sort($times);

        return [round($times[intdiv(count($times), 2)], 1), (int) round($bytes / 1000)];
    }

    /** An ordinary act: a filter goes, or comes back. */
    private function change(): void
    {
        if ($this->dropped) {
            $this->edit->add('trait-60');
        } else {
            $this->edit->drop('trait-60');
        }
        $this->dropped = ! $this->dropped;
    }
}
