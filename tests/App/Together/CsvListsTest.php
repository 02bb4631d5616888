<?php

declare(strict_types=1);

use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;
use Tests\Support\Acts;

/* Every long list as a file for spreadsheets, as it is narrowed and ordered on the page. */

beforeEach(function (): void {
    $this->read(
        "sku,parent_sku,name,category,price,Color,Note\nP1,,\"=HYPERLINK(\"\"x\"\")\",Lamps,3,Blue,long text one\n".
            "P2,,Bell,Cables,1,Red,other text\nP3,,Cone,Lamps > Big,,,third\nP3a,P3,,,2,blue,\nP3b,P3,,,8,,\n",
        '{"columns": {"Color": {"kind": "choice", "level": "variant"}, "Note": {"kind": "text", "level": "product"}}}',
    );
    $this->actingAs($this->person());
});

/**
 * @param  TestResponse<Response>  $answer
 * @return list<list<string>> rows of a list, its headings first
 */
function csvRows(TestResponse $answer): array
{
    $answer->assertOk()->assertHeader('Content-Type', 'text/csv; charset=UTF-8');
    $rows = [];
    foreach (explode("\r\n", trim(substr($answer->streamedContent(), 3))) as $line) {
        $rows[] = array_map(strval(...), str_getcsv($line, ',', '"', ''));
    }

    return $rows;
}

test('the grid: all that is narrowed, in its order, with its columns, and no formula', function (): void {
    $rows = csvRows($this->get('/products?as=csv&where[]=category:lamps&sort=price&down=1&columns[]=color&variants=1'));
    expect($rows)->toBe([
        ['sku', 'parent_sku', 'name', 'category', 'Color', 'price', 'currency', 'stock'],
        ['P1', '', '\'=HYPERLINK("x")', 'Lamps', 'Blue', '3', '', ''],
        ['P3', '', 'Cone', 'Lamps > Big', 'Blue', '', '', ''],
        ['P3a', 'P3', '', '', 'Blue', '2', '', ''],
        ['P3b', 'P3', '', '', '', '8', '', ''],
    ]);
});

test('more products than a page holds are in the file', function (): void {
    $csv = "sku,name\n";
    for ($i = 0; $i < 1200; $i++) {
        $csv .= "Q{$i},Name {$i}\n";
    }
    $this->read($csv);
    $rows = csvRows($this->get('/products?as=csv&sort=sku&q=Name'));
    expect($rows)->toHaveCount(1201)->and(array_unique(array_column($rows, 0)))->toHaveCount(1201);
});

test('the other lists', function (string $path, array $headings, array $first): void {
    $rows = csvRows($this->get($path));
    expect($rows[0])->toBe($headings)->and($rows[1] ?? [])->toBe($first);
})->with([
    'values' => [
        '/values/color?as=csv&q=blu',
        ['label', 'slug', 'umbrella', 'products', 'spellings'],
        ['Blue', 'blue', '', '2', 'Blue | blue'],
    ],
    'newcomers' => [
        '/newcomers/color?as=csv',
        ['spelling', 'products', 'feed', 'value', 'looks like', 'because', 'under'],
        [],
    ],
    'definitions' => [
        '/definitions?as=csv&q=col',
        ['label', 'slug', 'state', 'kind', 'unit', 'level', 'several', 'values', 'products', 'of', 'filter'],
        ['Color', 'color', 'accepted', 'choice', '', 'variant', 'no', '2', '3', '3', ''],
    ],
    'differences' => ['/publishing?as=csv', ['about', 'is', 'difference'], ['color', 'new', 'Blue · 2 products']],
]);

test('expected, category by category; history with its ways back', function (): void {
    $this->post('/expected', ['category' => 'lamps', 'definitions' => [Acts::definition('color')->id], 'expected' => 'yes']);
    expect(csvRows($this->get('/expected?as=csv')))->toBe([
        ['category', 'definition', 'expected', 'carried', 'missing'],
        ['Lamps', 'Color', '2', '2', '0'],
        ['Lamps > Big', 'Color', '1', '1', '0'],
    ]);
    $rows = csvRows($this->get('/history?as=csv&room=Definitions'));
    expect($rows[0])
        ->toBe(['entry', 'when', 'who', 'room', 'what', 'taken back by', 'takes back'])
        ->and($rows[1][4])
        ->toBe('Color expected in Lamps');
});

test('the pages name the file as they are narrowed', function (string $path): void {
    $this->get($path)->assertOk()->assertSee('as=csv', false);
})->with(['/products?where[]=category:lamps', '/values/color', '/definitions', '/expected', '/history', '/publishing']);
