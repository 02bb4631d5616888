<?php

declare(strict_types=1);

namespace Demo;

use App\Feeds\FeedFile;
use App\Models\Run;
use App\Models\RunState;
use App\Models\Setting;
use App\Settings\SaveShop;
use App\Settings\Shop;
use App\Sources\RunDue;
use Closure;
use Illuminate\Support\Carbon;
use Lokum\Feed\ColumnName;
use Lokum\Feed\CsvFile;

/**
 * Nights pass in the demo: each supplier sends all it has, a little changed, and some nights go wrong. What comes of it is what Lokum
 * does by itself.
 */
final readonly class Nights
{
    /** What goes wrong, by how many nights it is ago. */
    private const TROUBLE = [
        4 => 'fail',
        3 => 'half',
        2 => 'dear',
        1 => 'renamed',
    ];

    /** Per thousand rows, each night. */
    private const PRICES = 30;

    private const NEW_PRODUCTS = 3;

    private const GONE_PRODUCTS = 2;

    public function __construct(private RunDue $run, private SaveShop $settle)
    {
    }

    /** @param  Closure(string): void  $say */
    public function pass(int $nights, Closure $say): void
    {
        ($this->settle)(['publishes' => Shop::AFTER_READINGS], (int) (Setting::query()->value('version') ?? 0));
        Suppliers::sendAll();
        mt_srand(5);
        for ($ago = $nights; $ago >= 1; $ago--) {
            $night = Carbon::now()->startOfDay()->subDays($ago - 1)->setTime(5, 31);
            $this->deliver($night->format('Y-m-d'), $ago === $nights ? '' : self::TROUBLE[$ago] ?? '');
            Carbon::setTestNow($night);
            try {
                $runs = ($this->run)();
            } finally {
                Carbon::setTestNow();
            }
            $said = array_map(
                fn (Run $run): string => ($run->feed->name ?? 'edition').' '.$run->state->label(),
                array_filter($runs, fn (Run $run): bool => $run->state !== RunState::Nothing),
            );
            $say('night of '.$night->format('Y-m-d').': '.implode(', ', $said));
        }
    }

    private function deliver(string $day, string $trouble): void
    {
        foreach (['tarnbeck', 'ostrelle', 'pellworth', 'brannoch'] as $supplier) {
            $kept = Suppliers::directory()."/{$supplier}.all";
            $rows = $this->later($this->rows(is_file($kept) ? $kept : __DIR__."/feeds/{$supplier}.csv"), $supplier, $day);
            file_put_contents($kept, $this->csv($rows));
            $sent = $this->csv(match ("{$trouble} {$supplier}") {
                'half pellworth' => array_slice($rows, 0, intdiv(count($rows), 2)),
                'dear ostrelle' => $this->dearer($rows),
                'renamed brannoch' => [str_replace('Hair', 'Tuft', $rows[0]), ...array_slice($rows, 1)],
                default => $rows,
            });
            match ($supplier) {
                'pellworth' => $this->arrive("pellworth-night-{$day}.csv.gz", (string) gzencode($sent)),
                'brannoch' => $this->arrive("brannoch-night-{$day}.csv", $sent),
                default => file_put_contents(Suppliers::directory()."/{$supplier}.csv", $sent),
            };
        }
        $fault = Suppliers::directory().'/tarnbeck.csv.fault';
        file_put_contents($fault, $trouble === 'fail' ? 'fail' : '');
    }

    private function arrive(string $name, string $bytes): void
    {
        $path = config('lokum.data')."/inbox/{$name}";
        file_put_contents($path, $bytes);
        touch($path, time() - 60);
    }

    /**
     * A night later: some prices are others, some products are new, some are gone.
     *
     * @param  non-empty-list<list<string>>  $rows
     * @return non-empty-list<list<string>>
     */
    private function later(array $rows, string $supplier, string $day): array
    {
        [$sku, $parent, $price] = array_map(
            fn (string $name): int => (int) ColumnName::amongHeadings($name, $rows[0]),
            ['sku', 'parent_sku', 'price'],
        );
        $headings = array_shift($rows);
        $of = fn (array $row): string => $row[$parent] === '' ? $row[$sku] : $row[$parent];
        $products = array_values(array_unique(array_map($of, $rows)));
        $some = fn (int $n): array => array_map(fn (): string => $products[mt_rand(0, count($products) - 1)], range(1, $n));
        [$gone, $copied] = [$some(self::GONE_PRODUCTS), $some(self::NEW_PRODUCTS)];
        $mark = '-'.$supplier[0].substr(str_replace('-', '', $day), 2);
        $later = $new = [];
        foreach ($rows as $row) {
            if (in_array($of($row), $copied, true)) {
                $copy = $row;
                $copy[$sku] .= $mark;
                $copy[$parent] .= $row[$parent] === '' ? '' : $mark;
                $new[] = $copy;
            }
            if (mt_rand(0, 999) < self::PRICES && preg_match('/^\d+[.,]\d\d$/D', $row[$price]) === 1) {
                $row[$price] = number_format((float) strtr($row[$price], ',', '.') * mt_rand(92, 109) / 100, 2, '.', '');
            }
            if (! in_array($of($row), $gone, true)) {
                $later[] = $row;
            }
        }

        return [$headings, ...array_map(array_values(...), [...$later, ...$new])];
    }

    /**
     * Somebody has left out the decimal points.
     *
     * @param  non-empty-list<list<string>>  $rows
     * @return non-empty-list<list<string>>
     */
    private function dearer(array $rows): array
    {
        $price = (int) ColumnName::amongHeadings('price', $rows[0]);
        foreach ($rows as $i => $row) {
            $row[$price] = $i === 0 ? $row[$price] : strtr($row[$price], ['.' => '', ',' => '']);
            $rows[$i] = array_values($row);
        }

        return $rows;
    }

    /** @return non-empty-list<list<string>> headings first */
    private function rows(string $path): array
    {
        $file = CsvFile::open(FeedFile::open($path));
        $rows = [$file->headings()];
        foreach ($file->rows() as $row) {
            if (count($row->cells) === count($rows[0])) {
                $rows[] = $row->cells;
            }
        }

        return $rows;
    }

    /** @param  list<list<string>>  $rows */
    private function csv(array $rows): string
    {
        $file = fopen('php://memory', 'r+b');
        assert($file !== false);
        foreach ($rows as $row) {
            fputcsv($file, $row, ',', '"', '');
        }

        return (string) stream_get_contents($file, offset: 0);
    }
}
