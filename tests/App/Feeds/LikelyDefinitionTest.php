<?php

declare(strict_types=1);

use App\Feeds\LikelyDefinition;
use App\Feeds\ResolveColumns;
use App\Models\Definition;
use App\Models\Feed;
use App\Models\Reading;
use Lokum\Feed\ColumnMap;
use Lokum\Feed\CsvFile;
use Tests\Support\Acts;

/* A supplier renames a column: what its cells hold tells where it leads, and a person says so. */

/** @return array<string, array{0: string, 1: string}> definition and reason by heading */
function likely(string $csv): array
{
    $file = Acts::file($csv);
    $resolve = new ResolveColumns();
    $targets = $resolve(CsvFile::open($file), Feed::query()->firstOrFail(), new ColumnMap());
    $found = LikelyDefinition::among($targets, $resolve->seen());

    return array_combine(
        array_map(fn (int $index): string => $targets[$index]->heading, array_keys($found)),
        array_map(fn (LikelyDefinition $one): array => [$one->definition->slug, $one->why], $found),
    );
}

beforeEach(fn () => $this->read("sku,Color,Finish\nA,Red,Gloss\nB,Blue,Matt\nC,Green,Satin\nD,Olive,Gloss\n"));

test('a renamed column leads to the definition whose values it holds', function (string $csv, array $found): void {
    expect(likely($csv))->toBe($found);
})->with([
    'most values are known' => [
        "sku,Farbton\nA,red\nB,BLUE \nC,Sage\n",
        ['Farbton' => ['color', '2 of 3 values are those of Color']],
    ],
    'few are known, but its heading says so' => [
        "sku,Colour name\nA,red\nB,Blue\nC,Sage\nD,Navy\nE,Teal\nF,Rust\nG,Plum\n",
        ['Colour name' => ['color', '2 of 7 values are those of Color']],
    ],
    'another name for it' => [
        "sku,Farbe,Weight (g)\nA,Ocker,5\nB,Mauve,6\n",
        ['Farbe' => ['color', '“Farbe” is another name for Color']],
    ],
    'another name for one of another kind' => ["sku,Farbe\nA,5 mm\nB,6 mm\nC,7 mm\n", []],
    'few are known' => ["sku,Mood\nA,red\nB,Blue\nC,Sage\nD,Navy\nE,Teal\nF,Rust\nG,Plum\n", []],
    'one value is no evidence' => ["sku,Mood\nA,red\nB,calm\n", []],
    'another column leads there already' => ["sku,Color,Accent\nA,Red,Blue\nB,Blue,Red\n", []],
    'two renamed ones do not lead to the same' => [
        "sku,Tone,Shade\nA,Red,Blue\nB,Blue,Red\n",
        ['Tone' => ['color', '2 of 2 values are those of Color']],
    ],
    'numbers are no values' => ["sku,Weight\nA,5\nB,6\n", []],
]);

test('nothing is decided without a person: the command makes a definition of its own', function (): void {
    $this->read("sku,Farbton\nA,Red\nB,Blue\n");
    expect(App\Models\Definition::query()->where('slug', 'farbton')->exists())->toBeTrue();
});

test('yes and no alone are no evidence', function (): void {
    $this->read(
        "sku,Vegan,Kind\nA,Yes,yes\nB,No,no\nC,yes,maybe\nD,no,other\n",
        '{"columns": {"Vegan": {"kind": "choice"}, "Kind": {"kind": "choice"}}}',
    );
    expect(likely("sku,Handmade\nA,yes\nB,no\nC,perhaps\nD,sometimes\n"))->toBe([]);
});

test('what the form says is what is checked and read, also where another definition was proposed', function (): void {
    $this->actingAs($this->person());
    file_put_contents($this->data().'/inbox/Tarn.csv', "sku,Farbton\nE,Red\nF,Blue\n");
    $this->post('/feeds', ['inbox' => 'Tarn.csv']);
    $reading = Reading::query()->firstOrFail();
    $form = ['headings' => ['sku', 'Farbton'], 'targets' => ['sku', 'new'], 'empty' => ''];
    $this->get("/feeds/readings/{$reading->id}")->assertSee('2 of 2 values are those of Color');
    $this->post("/feeds/readings/{$reading->id}/read", $form)->assertSessionHasErrors('refused');
    $this->post("/feeds/readings/{$reading->id}/check", $form);
    $this->get("/feeds/readings/{$reading->id}")
        ->assertSee('new: Farbton')
        ->assertDontSee('values are those of Color');
    $this->from('/feeds')
        ->post("/feeds/readings/{$reading->id}/read", ['targets' => ['sku', 'color']] + $form)
        ->assertSessionHasErrors('refused');
    expect(Definition::query()->where('slug', 'farbton')->exists())->toBeFalse();
    $this->post("/feeds/readings/{$reading->id}/check", $form);
    $this->post("/feeds/readings/{$reading->id}/read", $form)->assertSessionHasNoErrors();
    expect(Definition::query()->where('slug', 'farbton')->exists())
        ->toBeTrue()
        ->and(Definition::query()->where('slug', 'color')->firstOrFail()->values()->count())
        ->toBe(4);
});

test('a new definition has the name, kind and level that were said while mapping, and the check holds them', function (): void {
    $this->actingAs($this->person());
    file_put_contents($this->data().'/inbox/Tarn.csv', "sku,Grade,Notes\nE,1,soft\nF,2,hard\n");
    $this->post('/feeds', ['inbox' => 'Tarn.csv']);
    $reading = Reading::query()->firstOrFail();
    $form = [
        'headings' => ['sku', 'Grade', 'Notes'],
        'targets' => ['sku', 'new', 'new'],
        'empty' => '',
        'labels' => ['', 'Hardness grade', 'Notes'],
        'kinds' => ['', 'choice', 'text'],
        'levels' => ['', 'product', ''],
    ];
    $this->get("/feeds/readings/{$reading->id}")->assertSee('as new: name, kind, level');
    $this->post("/feeds/readings/{$reading->id}/check", $form)->assertSessionHasNoErrors();
    $this->post("/feeds/readings/{$reading->id}/read", ['kinds' => ['', 'number', 'text']] + $form)->assertSessionHasErrors('refused');
    $this->post("/feeds/readings/{$reading->id}/read", $form)->assertSessionHasNoErrors();
    $made = Definition::query()->whereIn('label', ['Hardness grade', 'Notes'])->orderBy('label')->get();
    expect($made->map(fn (Definition $one): array => [$one->slug, $one->kind->value, $one->level->value])->all())->toBe([
        ['hardness-grade', 'choice', 'product'],
        ['notes', 'text', 'product'],
    ]);
    // The next delivery of the feed finds it by its heading.
    $this->read("sku,Grade\nG,3\n", feed: 'Tarn');
    expect(Definition::query()->where('slug', 'grade')->exists())->toBeFalse();
});
