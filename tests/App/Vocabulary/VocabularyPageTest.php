<?php

declare(strict_types=1);

use App\Lineups\EditLineup;
use App\Models\Change;
use App\Models\Definition;
use App\Models\Role;
use App\Models\Spelling;
use App\Models\Value;
use App\Support\Pictures;
use App\Values\FindValue;
use App\Vocabulary\ChangeAddress;
use App\Vocabulary\GatherValues;
use App\Vocabulary\KeepApart;
use App\Vocabulary\ListValues;
use App\Vocabulary\SaveValue;
use App\Vocabulary\TakeInValues;
use App\Vocabulary\ValuePage;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Lokum\Vocabulary\Look;
use Lokum\Vocabulary\Showing;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Tests\Support\Acts;

/* A vocabulary goes along and comes in through the pages, looked at before. */

beforeEach(function (): void {
    $this->read("sku,Color\nA,Red\nB,Blue\nC,rouge\n", '{"columns": {"Color": {"kind": "choice"}}}');
    $this->actingAs($this->person());
});

/** @return array<string, UploadedFile> */
function sentList(string $csv): array
{
    return ['list' => UploadedFile::fake()->createWithContent('list.csv', $csv)];
}

test('it goes along as CSV and SKOS, one attribute or all', function (): void {
    $this->get('/values/color/vocabulary')->assertOk()->assertSee('3 values');
    $this->get('/values/color/vocabulary/csv')->assertOk()->assertSee('rouge,,rouge', false)->assertDownload('color.csv');
    $this->get('/values/color/vocabulary/turtle')->assertOk()->assertSee('skos:prefLabel', false)->assertDownload('color.ttl');
    $this->get('/values/color/vocabulary/jsonld')->assertOk()->assertDownload('color.jsonld');
    $this->get('/values/color/vocabulary/xml')->assertNotFound();
    $answer = $this->get('/values/vocabulary-csv.zip')->assertOk()->assertDownload('vocabulary-csv.zip');
    $file = $answer->baseResponse;
    assert($file instanceof BinaryFileResponse);
    $archive = new ZipArchive();
    $archive->open($file->getFile()->getPathname());
    expect($archive->getFromName('color.csv'))->toContain('Red');
});

test('a list is looked at, then taken in as one step', function (): void {
    $to = $this->post('/values/color/vocabulary', sentList("value,umbrella,spelling\nRed,Warm,rouge\nGreen,,\n"))
        ->assertSessionHasNoErrors()
        ->headers->get('Location');
    $this->get((string) $to)->assertOk()->assertSeeInOrder(['Take this list in?', 'New values', '1', 'Spellings that move', '1']);
    expect(Acts::definition('color')->values()->where('label', 'Green')->exists())->toBeFalse();
    parse_str((string) parse_url((string) $to, PHP_URL_QUERY), $query);
    $this->post('/values/color/vocabulary/take-in', ['list' => $query['list']])->assertSessionHas('done');
    expect(Acts::definition('color')->values()->where('label', 'Green')->exists())->toBeTrue();
    // It was decided on, and is not there any more.
    $this->from('/values/color/vocabulary')
        ->post('/values/color/vocabulary/take-in', ['list' => $query['list']])
        ->assertSessionHasErrors('refused');
});

test('what is none is refused at its field, and no name leads to other files', function (): void {
    $this->post('/values/color/vocabulary', sentList("label\nRed\n"))->assertSessionHasErrors('list');
    $this->post('/values/color/vocabulary', [])->assertSessionHasErrors('list');
    foreach (['../catalog.sqlite', str_repeat('a', 24), '*'] as $name) {
        $this->post('/values/color/vocabulary/take-in', ['list' => $name])->assertSessionHasErrors('refused');
        $this->get('/values/color/vocabulary?list='.urlencode($name))->assertRedirect('/values/color/vocabulary');
    }
    $this->actingAs($this->person(Role::Viewer))
        ->post('/values/color/vocabulary', sentList("value\nRed\n"))
        ->assertForbidden();
});

test('what is hidden, kept apart or goes by a word of its own leaves in the list and comes in with it', function (): void {
    $map = fn (string $name): string => '{"columns": {"'.$name.'": {"kind": "choice", "level": "product"}}}';
    $this->read("sku,name,Ware\nA,a,Stoneware\nB,b,Stone ware\nC,c,\"Clay, raw\"\n", $map('Ware'));
    $ware = Acts::definition('ware');
    $named = fn (string $label): Value => FindValue::named($ware, $label);
    app(KeepApart::class)($ware, [$named('Stoneware')->id, $named('Clay, raw')->id]);
    app(ChangeAddress::class)($ware, $named('Stoneware'), 'stone');
    $named('Clay, raw')->update(['held' => true]);
    $list = app(ListValues::class)->write($ware, 'csv');
    $lines = explode("\n", trim(str_replace("\r", '', $list)));
    expect($lines[0])
        ->toBe('value,umbrella,spelling,colors,help,language,hidden,address,apart,picture,page,page_picture')
        ->and(array_values(array_filter($lines, fn (string $line): bool => str_starts_with($line, 'Stoneware,'))))
        ->toBe(['Stoneware,,Stoneware,,,,,stone,"Clay, raw",,,']);

    $this->read("sku,name,Pottery\nD,d,Other\n", $map('Pottery'));
    $pottery = Acts::definition('pottery');
    app(TakeInValues::class)($pottery, Acts::file($list));
    $without = fn (string $csv): array => array_values(array_filter(
        explode("\n", str_replace("\r", '', $csv)),
        fn (string $line): bool => ! str_starts_with($line, 'Other'),
    ));
    expect($without(app(ListValues::class)->write($pottery, 'csv')))->toBe($without($list));
});

test('a value can be told on its products and be no term of a filter', function (): void {
    $red = FindValue::named(Acts::definition('color'), 'Red');
    $sku = (string) DB::scalar(
        'SELECT COALESCE(p.sku, i.sku) FROM assignments a JOIN spellings s ON s.id = a.spelling_id JOIN items i ON i.id = a.item_id
            LEFT JOIN items p ON p.id = i.parent_id WHERE s.value_id = ?',
        [$red->id],
    );
    app(EditLineup::class)->add('color');
    $see = function (string $do) use ($red, $sku): array {
        $this->actingAs($this->person())
            ->post('/values/color/several', ['do' => $do, 'pick' => [$red->id]])
            ->assertSessionHasNoErrors();
        $this->publish();

        return [
            str_contains((string) $this->get("/shop/p/{$sku}")->assertOk()->getContent(), 'Red'),
            str_contains((string) $this->get('/shop')->assertOk()->getContent(), 'value="red"'),
        ];
    };
    expect($see('show'))->toBe([true, true])
        ->and($see('products'))->toBe([true, false])
        ->and($see('hide'))->toBe([false, false])
        ->and($see('show'))->toBe([true, true]);
});

test('pictures of looks and pages go along in an archive, and come in with it', function (): void {
    $color = Acts::definition('color');
    $red = FindValue::named($color, 'Red');
    $kept = array_map(function (int $shade): string {
        $image = imagecreatetruecolor(8, 8);
        imagefill($image, 0, 0, $shade);
        ob_start();
        imagepng($image);

        return Pictures::keep((string) ob_get_clean());
    }, [0xA8325A, 0x4F7A34]);
    app(SaveValue::class)(
        $red,
        'Red',
        new Look([], null, 'As fire', $kept[0]),
        Showing::Products,
        $red->version,
        new ValuePage("Warm.\nVery.", $kept[1]),
    );
    $this->get('/values/color/vocabulary')->assertOk()->assertSee('2 pictures');
    $file = $this->get('/values/color/vocabulary.zip')->assertOk()->assertDownload('color.zip')->baseResponse;
    assert($file instanceof BinaryFileResponse);
    $bytes = (string) file_get_contents($file->getFile()->getPathname());
    // Another shop, where neither is kept.
    array_map(fn (string $name): bool => unlink(Pictures::path($name)), $kept);
    $this->read("sku,name,Hue\nD,d,Other\n", '{"columns": {"Hue": {"kind": "choice", "level": "product"}}}');
    $this->actingAs($this->person());
    $to = (string) $this->post('/values/hue/vocabulary', ['list' => UploadedFile::fake()->createWithContent('color.zip', $bytes)])
        ->assertSessionHasNoErrors()
        ->headers->get('Location');
    parse_str((string) parse_url($to, PHP_URL_QUERY), $query);
    $this->get($to)->assertOk()->assertSee('New values');
    // Looking at it keeps nothing.
    expect(glob(dirname(Pictures::path('x')).'/*.webp'))->toBe([]);
    $this->post('/values/hue/vocabulary/take-in', ['list' => $query['list']])->assertSessionHas('done');
    $came = FindValue::named(Acts::definition('hue'), 'Red');
    expect([$came->look()->help, $came->description, $came->showing()])
        ->toBe(['As fire', "Warm.\nVery.", Showing::Products])
        ->and(is_file(Pictures::path((string) $came->look()->picture)))
        ->toBeTrue()
        ->and(imagecolorat(imagecreatefromwebp(Pictures::path((string) $came->picture)) ?: imagecreatetruecolor(1, 1), 4, 4) >> 8 & 0xFF)
        ->toBeGreaterThan(100);
    // A picture that did not come is told by its name, and nothing is taken in.
    $list = sentList("value,picture\nGrey,grey.png\n");
    $this->post('/values/hue/vocabulary', $list)->assertSessionHasErrors(['list' => 'The picture "grey.png" did not come with the list.']);
});

test('what leaves as SKOS comes in as it was, and what is no list of concepts says where', function (string $format): void {
    $this->read(
        "sku,name,Glaze\nA,a,Celadon\nB,b,celadon \nC,c,Tenmoku\nD,d,\"Oribe \"\"green\"\"\"\n",
        '{"columns": {"Glaze": {"kind": "choice", "level": "product"}}}',
    );
    $glaze = Acts::definition('glaze');
    app(GatherValues::class)($glaze, 'Green glazes', [FindValue::named($glaze, 'Celadon')->id], different: true);
    $text = app(ListValues::class)->write($glaze, $format);
    $this->read("sku,name,Cover\nE,e,Shino\n", '{"columns": {"Cover": {"kind": "choice", "level": "product"}}}');
    $cover = Acts::definition('cover');
    app(TakeInValues::class)($cover, Acts::file($text));
    $labels = fn (Definition $of): array => $of->values()->with('spellings', 'umbrella')->orderBy('label')->get()->map(
        fn (Value $value): array => [
            $value->label,
            $value->slug,
            $value->umbrella?->label,
            $value->spellings->pluck('text')->sort()->values()->all(),
        ],
    )->all();
    expect(array_values(array_filter($labels($cover), fn (array $one): bool => $one[0] !== 'Shino')))->toBe($labels($glaze));
})->with(['turtle', 'jsonld']);

test('lists of concepts that cannot be read are refused with their place', function (string $text, string $why): void {
    $this->post('/values/color/vocabulary', sentList($text))->assertSessionHasErrors('list');
    expect(session('errors')?->first('list'))->toContain($why);
})->with([
    ["@prefix skos: <http://www.w3.org/2004/02/skos/core#> .\n", 'no concept'],
    ["@prefix skos: <http://www.w3.org/2004/02/skos/core#> .\n<urn:a> skos:prefLabel \"A\"", 'Line 2: a full stop was expected'],
    ["@prefix skos: <http://www.w3.org/2004/02/skos/core#> .\n\n[] skos:prefLabel \"A\" .", 'Line 3'],
    ['<urn:a> skos:prefLabel "A" .', 'the prefix "skos:" is not said'],
    ['{"@graph": [}', 'It is no JSON'],
    ['{"@graph": "'.str_repeat('a', 10_000_000).'"}', 'up to 10 MB'],
    ['<urn:a> <urn:b> "'.str_repeat('\\\\', 200_000).str_repeat('a', 200_000).'" .', 'no concept'],
    ['{"@graph": [{"@id": "urn:a"}]}', 'no concept'],
]);

test('the whole vocabulary leaves in one archive and comes in as one step', function (string $format): void {
    $this->read(
        "sku,name,Glaze,Ware\nA,a,Celadon,Stoneware\nB,b,Tenmoku,Porcelain\n",
        '{"columns": {"Glaze": {"kind": "choice", "level": "product"}, "Ware": {"kind": "choice", "level": "product"}}}',
    );
    $answer = $this->get("/values/vocabulary-{$format}.zip")->assertOk()->baseResponse;
    assert($answer instanceof BinaryFileResponse);
    $bytes = (string) file_get_contents($answer->getFile()->getPathname());
    // Another shop, that has these attributes and nothing in them.
    DB::statement('DELETE FROM assignments');
    Spelling::query()->whereNotIn('definition_id', [Acts::definition('color')->id])->delete();
    Value::query()->whereNotIn('definition_id', [Acts::definition('color')->id])->delete();
    $send = fn (string $bytes): TestResponse => $this->post('/values/vocabulary', [
        'list' => UploadedFile::fake()->createWithContent('all.zip', $bytes),
    ]);
    $to = (string) $send($bytes)->assertSessionHasNoErrors()->headers->get('Location');
    $this->get($to)->assertOk()->assertSeeInOrder(['Take these lists in?', 'Glaze', '2', 'Ware', '2']);
    parse_str((string) parse_url($to, PHP_URL_QUERY), $query);
    $this->post('/values/vocabulary/take-in', ['list' => $query['list']])->assertSessionHas('done');
    expect(Acts::definition('ware')->values()->orderBy('label')->pluck('label')->all())->toBe(['Porcelain', 'Stoneware']);
    Acts::takeBack(Change::query()->latest('id')->firstOrFail());
    expect(Acts::definition('ware')->values()->count())->toBe(0);
    $send('no archive')->assertSessionHasErrors('list');
    $this->actingAs($this->person(Role::Viewer));
    $send($bytes)->assertForbidden();
})->with(['csv', 'turtle', 'jsonld']);
