<?php

declare(strict_types=1);

namespace Bench;

use App\Feeds\ReadFeed;
use App\Models\Definition;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Http\Request;

/** Pages of the products grid with thirty columns, at the full size beside the same pages at a hundredth of it. */
final readonly class Grid implements Benchmark
{
    private const PAGES = [
        'open' => '',
        'category' => 'where[]=category:branch-3&',
        'value' => 'where[]=color:color-5&',
        'price' => 'where[]=price:..20&',
    ];

    public function __construct(private ReadFeed $read, private Kernel $kernel)
    {
    }

    public function run(int $products, callable $say): array
    {
        Manager::signIn();
        $figures = ['products' => $products, 'columns' => 30];
        foreach (['small' => max(1000, intdiv($products, 100)), 'full' => $products] as $size => $count) {
            $say('reading '.number_format($count).' products');
            Catalog::readIn($this->read, (new Catalog($count))->wideRows());
            Definition::query()->update(['state' => 'accepted']);
            $columns = Definition::query()
                ->where('slug', '!=', Definition::BRAND)
                ->limit(30)
                ->pluck('slug')
                ->map(fn (string $slug): string => 'columns[]='.$slug)
                ->join('&');
            foreach (self::PAGES as $name => $where) {
                $figures["{$name}_{$size}_ms"] = $this->median('/products?'.$where.$columns);
            }
        }
        $figures['times_small'] = round($figures['open_full_ms'] / $figures['open_small_ms'], 1);

        return $figures;
    }

    private function median(string $address): float
    {
        $times = [];
        for ($i = 0; $i < 7; $i++) {
            $start = hrtime(true);
            $response = $this->kernel->handle(Request::create($address));
            $times[] = (hrtime(true) - $start) / 1e6;
            if ($response->getStatusCode() !== 200) {
                throw new \RuntimeException("{$address} answers {$response->getStatusCode()}.");
            }
        }
        sort($times);

        return round($times[3], 1);
    }
}
