<?php

declare(strict_types=1);

use App\Feeds\FeedFile;
use App\Feeds\ReadFeed;
use App\Models\Item;
use App\Models\Spelling;
use Lokum\Feed\ColumnMap;

/* The same goods in every format that suppliers send are the same catalog. */

/** @return array{0: array<int, mixed>, 1: array<int, mixed>} what a catalog holds after a file was read */
function catalog_of(string $bytes, Closure $read): array
{
    $path = tempnam(sys_get_temp_dir(), 'lokum-format-');
    file_put_contents($path, $bytes);
    $read(FeedFile::open($path));
    unlink($path);

    return [
        Item::query()->with('category')->orderBy('sku')->get()
            ->map(fn (Item $item): array => [$item->sku, $item->name, $item->price, $item->category?->path])->all(),
        Spelling::query()->orderBy('text')->get()->map(fn (Spelling $one): array => [$one->text, $one->number])->all(),
    ];
}

test('the same goods are the same catalog, whatever they come in', function (string $bytes): void {
    $read = fn ($file): mixed => app(ReadFeed::class)($file, 'Wenlow', new ColumnMap(), false, fn () => null);
    $csv = "sku,name,category,price,Made on,With tax,Part\nWK-1,\"Kettle, “round”\",Kitchen > Kettles,0.1,2026-09-05,1.2,P000742\n".
        "WK-2,\"Kettle 🫖, flat\",Kitchen > Kettles,12345678901,1999-12-31,19.99,7-B\nWK-3,Lid,Kitchen,3,,,\n";
    [$items, $texts] = catalog_of($csv, $read);
    expect($items)->toHaveCount(3)->and($items[0][3])->toBe('Kitchen > Kettles');
    expect(catalog_of($bytes, $read))->toEqual([$items, $texts]);
})->with(function (): array {
    $names = ['sku', 'name', 'category', 'price', 'Made on', 'With tax', 'Part'];
    $rows = array_map(
        fn (string $line): array => array_combine($names, explode(';', $line)),
        [
            'WK-1;Kettle, “round”;Kitchen > Kettles;0.1;2026-09-05;1.2;P000742',
            'WK-2;Kettle 🫖, flat;Kitchen > Kettles;12345678901;1999-12-31;19.99;7-B',
            'WK-3;Lid;Kitchen;3;;;',
        ],
    );
    $lines = implode("\n", array_map(fn (array $row): string => (string) json_encode($row), $rows));
    $xml = '<goods>'.implode('', array_map(
        fn (array $row): string => '<item>'.implode('', array_map(
            fn (string $name, string $text): string => '<'.strtr($name, [' ' => '_']).'>'.htmlspecialchars($text, ENT_XML1).
                '</'.strtr($name, [' ' => '_']).'>',
            array_keys($row),
            $row,
        )).'</item>',
        $rows,
    )).'</goods>';

    return [
        'JSON lines' => [$lines],
        'a JSON list' => [(string) json_encode(['goods' => $rows])],
        'XML' => [$xml],
        'gzip' => [(string) gzencode($lines)],
    ];
});

test('a spreadsheet is looked at in the pages and read', function (): void {
    $this->actingAs($this->person());
    copy(dirname(__DIR__, 2).'/Outside/Sheets/goods.xlsx', $this->data().'/inbox/goods.xlsx');
    $this->get('/feeds')->assertSee('goods.xlsx');
    $page = $this->post('/feeds', ['inbox' => 'goods.xlsx'])->headers->get('Location');
    $this->get((string) $page)->assertSee('headings in row 4')->assertSee('Whistles');
});

test('a damaged file is refused with where it is damaged, and nothing is written', function (): void {
    $this->actingAs($this->person());
    file_put_contents($this->data().'/inbox/cut.xml', "<goods>\n<item sku=\"A\"/>\n<item sku=");
    $page = $this->post('/feeds', ['inbox' => 'cut.xml'])->headers->get('Location');
    $this->get((string) $page)->assertSee('This file cannot be read')->assertSee('line 3');
    expect(Item::query()->count())->toBe(0);
});
