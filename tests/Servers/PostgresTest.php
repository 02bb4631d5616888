<?php

declare(strict_types=1);

use App\Editions\EditionFile;
use App\Editions\Picks;
use App\Editions\Served;
use App\Lineups\EditLineup;
use App\Models\Definition;
use Lokum\Facet\Combine;
use Symfony\Component\Process\Process;
use Tests\Support\CatalogTestCase;
use Tests\Support\Site;

/*
 * An edition in PostgreSQL 15 (Debian), which the test starts itself. Its functions count by SQL what Lokum counts by bitmaps and
 * columns: two ways to the same figures, over random catalogs and random picks.
 */

/** The address of a database of its own, for as long as the tests run. */
function postgres(): string
{
    static $dsn = null;
    if ($dsn !== null) {
        return $dsn;
    }
    $bin = (glob('/usr/lib/postgresql/*/bin') ?: [])[0] ?? throw new RuntimeException('PostgreSQL is not installed.');
    $dir = sys_get_temp_dir().'/lokum-postgres-'.bin2hex(random_bytes(4));
    mkdir($dir, 0700);
    $as = posix_geteuid() === 0 ? ['runuser', '-u', 'postgres', '--'] : [];
    if ($as !== []) {
        chown($dir, 'postgres');
    }
    $made = [...$as, "{$bin}/initdb", '-D', "{$dir}/data", '-U', 'lokum', '-A', 'trust', '-E', 'UTF8', '--no-sync'];
    (new Process($made, '/'))->mustRun();
    $port = Site::freePort();
    $server = new Process(
        [...$as, "{$bin}/postgres", '-D', "{$dir}/data", '-p', (string) $port, '-k', '', '-h', '127.0.0.1', '-c', 'fsync=off'],
        '/',
        timeout: null,
    );
    Tests\Support\Servers::start($server, $port, $dir);
    $dsn = "postgresql://lokum@127.0.0.1:{$port}/postgres";
    for ($i = 0; $i < 100 && (new Process(['psql', '-X', '-c', 'SELECT 1', $dsn]))->run() !== 0; $i++) {
        usleep(100_000);
    }

    return $dsn;
}

/** @return list<list<string>> */
function rowsThere(string $sql): array
{
    $answer = (new Process(['psql', '-X', '-A', '-t', '-F', "\t", '-d', postgres(), '-c', $sql]))->mustRun()->getOutput();

    $lines = array_filter(explode("\n", $answer), fn (string $line): bool => $line !== '');

    return array_map(fn (string $line): array => explode("\t", $line), array_values($lines));
}

function load(CatalogTestCase $test): void
{
    $command = [PHP_BINARY, base_path('bin/console.php'), 'edition:export', '--to=postgres', '--dsn='.postgres()];
    (new Process($command, env: ['LOKUM_DATA' => $test->data()], timeout: 120))->mustRun();
}

/**
 * @param  array<string, list<string>>  $picks
 * @param  array<string, string>  $combine
 * @param  array<string, array{0: float|null, 1: float|null}>  $ranges
 * @return array<string, array<string, int>> products by attribute and term
 */
function countedThere(?string $category, array $picks, array $combine, array $ranges): array
{
    $json = fn (array $given): string => "'".str_replace("'", "''", (string) json_encode((object) $given, JSON_UNESCAPED_UNICODE))."'";
    $arguments = [$category === null ? 'NULL' : "'{$category}'", $json($picks), $json($combine), $json($ranges)];
    $sql = 'SELECT * FROM lokum.counts('.implode(', ', $arguments).')';
    $counts = [];
    foreach (rowsThere($sql) as [$attribute, $term, $products]) {
        $counts[$attribute][$term] = (int) $products;
    }

    return $counts;
}

/**
 * @param  array<string, array<string, int>>  $counts
 * @return array<string, array<string, int>> without none, in order
 */
function inOrder(array $counts): array
{
    $counts = array_filter(array_map(array_filter(...), $counts));
    ksort($counts);

    return array_map(function (array $terms): array {
        ksort($terms);

        return $terms;
    }, $counts);
}

/**
 * @param  array<string, list<string>>  $picks
 * @param  array<string, string>  $combine
 * @param  array<string, array{0: float|null, 1: float|null}>  $ranges
 * @return array<string, array<string, int>>
 */
function countedHere(EditionFile $file, ?string $category, array $picks, array $combine, array $ranges): array
{
    $page = new App\Editions\CountPage(
        $file,
        $category === null ? null : $file->category($category),
        new Picks($picks, array_map(Combine::from(...), $combine), $ranges),
        array_map(fn ($attribute): string => $attribute->slug, $file->attributesAndStock()),
    );
    $counts = [];
    foreach ($page->counter->counts() as $attribute => $byTerm) {
        $known = $file->attribute($attribute);
        $terms = $known === null ? [] : $file->terms($known);
        foreach ($byTerm as $term => $products) {
            $counts[$attribute][$terms[$term]->slug] = $products;
        }
    }

    return $counts;
}

test('counts by SQL are those of the edition', function (int $seed): void {
    mt_srand($seed);
    $one = fn (string ...$of): string => $of[mt_rand(0, count($of) - 1)];
    $csv = "sku,parent_sku,name,category,brand,price,stock,Color,Size,Uses,Weight\n";
    for ($i = 0; $i < 60; $i++) {
        $variants = mt_rand(0, 3);
        $colors = ['', 'Red', 'Blue', 'Gr""ün'];
        $data = fn (bool $own): string => $own
            ? mt_rand(1, 20).','.$one('', '0', '3').','.$one(...$colors).','.$one('S', 'M', 'L')
            : ',,,';
        $csv .= "P{$i},,Thing {$i},".$one('Paint > Oil', 'Paint', 'Paper').','.$one('Ninefold', 'Loxholm', '').",{$data($variants === 0)},".
            $one('', 'Wash', 'Wash|Detail', 'Detail').','.$one('', '5', '7.5')."\n";
        for ($v = 0; $v < $variants; $v++) {
            $csv .= "P{$i}-{$v},P{$i},,,,{$data(true)},,\n";
        }
    }
    $this->read(
        str_replace('Gr""ün', '"Gr""ün"', $csv),
        '{"columns": {"Color": {"kind": "choice", "level": "variant"}, "Size": {"kind": "choice", "level": "variant"}, "Uses": {"kind": '.
        '"choice", "multiple": true, "separator": "|", "level": "product"}, "Weight": {"kind": "number", "level": "product"}}}',
    );
    Definition::query()->update(['state' => 'accepted']);
    app(EditLineup::class)->several(['color', 'size', 'uses', 'brand', 'price', 'stock', 'weight']);
    $this->publish();
    load($this);
    $file = Served::now()->file();
    expect((int) rowsThere('SELECT count(*) FROM lokum.variant')[0][0])->toBe($file->layout->variants());
    for ($i = 0; $i < 12; $i++) {
        $picks = $combine = $ranges = [];
        foreach ($file->attributesAndStock() as $attribute) {
            $slugs = array_values(array_map(fn ($term): string => $term->slug, $file->terms($attribute)));
            if ($slugs !== [] && mt_rand(0, 2) === 0) {
                $picks[$attribute->slug] = array_values(array_unique([$one(...$slugs), $one(...$slugs)]));
                $combine[$attribute->slug] = $one('any', 'any', 'all');
            }
        }
        foreach (['price' => [3, 12], 'weight' => [5, null]] as $field => $range) {
            if (mt_rand(0, 3) === 0) {
                $ranges[$field] = $range;
            }
        }
        $category = [null, null, 'paint', 'oil', 'paper'][mt_rand(0, 4)];
        expect(inOrder(countedThere($category, $picks, $combine, $ranges)))
            ->toBe(inOrder(countedHere($file, $category, $picks, $combine, $ranges)));
    }
})->with(range(1, 4));

test('the next edition takes the place of the one before in one step, and an old one goes', function (): void {
    foreach ([1, 2, 3] as $number) {
        $this->read("sku,category,price,Color\nA,Paint,{$number},Red\n");
        $this->publish();
        load($this);
        expect(rowsThere('SELECT number FROM lokum.edition'))
            ->toBe([[(string) $number]])
            ->and((float) rowsThere('SELECT price FROM lokum.variant')[0][0])
            ->toBe((float) $number);
    }
    expect(rowsThere("SELECT nspname FROM pg_namespace WHERE nspname ~ '^edition_' ORDER BY 1"))->toBe([['edition_2'], ['edition_3']]);
});

test('what is refused leaves the one before as it was', function (): void {
    $this->read("sku,category,price,Color\nA,Paint,1,Red\n");
    $this->publish();
    load($this);
    $before = rowsThere('SELECT * FROM lokum.product');
    $command = [PHP_BINARY, base_path('bin/console.php'), 'edition:export', '--to=postgres', '--dsn=postgresql://nobody@127.0.0.1:1/none'];
    $failed = new Process($command, env: ['LOKUM_DATA' => $this->data()], timeout: 60);
    expect($failed->run())->toBe(1)->and($failed->getErrorOutput())->toContain('PostgreSQL refused it');
    expect(rowsThere('SELECT * FROM lokum.product'))->toBe($before);
});
