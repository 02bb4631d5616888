<?php

declare(strict_types=1);

namespace Bench;

use App\Draft\DraftLineups;
use App\Lineups\DraftListing;
use App\Lineups\EditLineup;
use App\Lineups\PageWorth;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Http\Request;
use Symfony\Component\Process\Process;

/**
 * Listings of the storefront with all filters, beside the same counts by one SQL GROUP BY a filter; what filters earn and the page of
 * the draft; and shoppers at work while an edition is published.
 */
final readonly class Pages implements Benchmark
{
    private const REQUESTS = 60;

    private const SECONDS = 8;

    public function __construct(
        private Shop $shop,
        private EditLineup $edit,
        private Kernel $kernel,
        private PageWorth $worth,
        private DraftListing $draft,
    ) {
    }

    public function run(int $products, callable $say): array
    {
        config(['session.driver' => 'array']);
        $edition = $this->shop->open($products, false, $say);
        $say('asking for pages');
        [$first, $times] = $this->requests();
        $sql = 1000 * $this->shop->oneCount($say);
        $peak = round(memory_get_peak_usage() / 1e6);
        $say('what filters earn, on the draft');
        [$earnFirst, $earnAgain, $live] = $this->draft();
        $say('shoppers while an edition is published');

        return [
            'products' => $edition->products,
            'terms' => $edition->terms,
            'first_ms' => round($first, 1),
            'p50_ms' => $this->share($times, 0.5),
            'p95_ms' => $this->share($times, 0.95),
            'sql_ms' => round($sql, 1),
            'ratio_to_p50' => round($sql / $this->share($times, 0.5), 1),
            'peak_mb' => $peak,
            'worth_first_ms' => $earnFirst,
            'worth_again_ms' => $earnAgain,
            'live_column_ms' => $live,
        ] + $this->shoppers();
    }

    /** @return array{0: float, 1: list<float>} milliseconds of the first request, and of the others in order of length */
    private function requests(): array
    {
        mt_srand(5);
        $times = [];
        for ($i = 0; $i <= self::REQUESTS; $i++) {
            $picks = [];
            foreach ((array) array_rand(Catalog::ATTRIBUTES, 2) as $name) {
                if (mt_rand(0, 2) > 0) {
                    $picks[] = $name.'='.$name.'-'.Catalog::term(Catalog::ATTRIBUTES[$name]);
                }
            }
            if (mt_rand(0, 2) <= 0) {
                $picks[] = 'price=5..60';
            }
            $path = mt_rand(0, 1) === 0 ? '/shop' : '/shop/c/branch-'.mt_rand(0, 11);
            $start = hrtime(true);
            $status = $this->kernel->handle(Request::create($path.'?'.implode('&', $i === 0 ? [] : $picks)))->getStatusCode();
            $times[] = (hrtime(true) - $start) / 1e6;
            if (! ($status === 200 || $status === 302)) {
                throw new \RuntimeException("{$path} answers {$status}.");
            }
        }
        $first = array_shift($times);
        sort($times);

        return [$first, $times];
    }

    /** @return array{0: float, 1: float, 2: float} milliseconds */
    private function draft(): array
    {
        $times = [];
        foreach ([false, true] as $again) {
            if ($again !== false) {
                $this->edit->drop('grade');
            }
            $start = hrtime(true);
            $lineup = DraftLineups::load()->of('shop');
            $this->worth->of('shop', $lineup);
            $times[] = round((hrtime(true) - $start) / 1e6, 1);
        }
        $start = hrtime(true);
        $all = DraftLineups::load();
        $this->draft->of('shop', $all->of('shop'), $all);

        return [$times[0], $times[1], round((hrtime(true) - $start) / 1e6, 1)];
    }

    /** @return array<string, mixed> */
    private function shoppers(): array
    {
        Manager::make();
        $data = (string) config('lokum.data');
        $server = new Running(['serve'], $data);
        $publishing = new Process(
            [PHP_BINARY, '-d', 'memory_limit=4G', base_path('bin/console.php'), 'publish'],
            base_path(),
            ['LOKUM_DATA' => $data],
            null,
            null,
        );
        $publishing->start();
        [$answered, $wrong, $editions] = $this->ask(
            "{$server->address}/shop?color=color-1",
            fn (): bool => $publishing->isRunning(),
        );
        $server->stop();

        return ['shoppers_answered' => $answered, 'shoppers_errors' => $wrong, 'editions_seen' => implode(', ', $editions)];
    }

    /**
     * Eight shoppers at once, until an edition is served and a while longer.
     *
     * @param  callable(): bool  $goesOn
     * @return array{0: int, 1: int, 2: list<int>}
     */
    private function ask(string $address, callable $goesOn): array
    {
        $answered = $wrong = 0;
        $editions = [];
        $until = microtime(true) + self::SECONDS;
        $isAsked = function () use ($goesOn, &$until): bool {
            $under = $goesOn();
            // A while longer than it takes, so that the new edition is seen.
            $until = $under ? max($until, microtime(true) + 2) : $until;

            return $under || microtime(true) < $until;
        };
        Crowd::ask(8, [$address], $isAsked, function (int $status, string $page) use (&$answered, &$wrong, &$editions): void {
            $answered++;
            // Every part of a page says the same edition.
            $seen = preg_match_all('/data-edition="(\d+)"/', $page, $found) > 1 ? array_unique($found[1]) : [];
            if ($status === 200 && count($seen) === 1) {
                $editions[(int) $seen[0]] = true;
            } else {
                $wrong++;
            }
        });

        return [$answered, $wrong, array_keys($editions)];
    }

    /** @param  list<float>  $times  in order */
    private function share(array $times, float $share): float
    {
        return round($times[(int) floor($share * (count($times) - 1))], 1);
    }
}
