<?php

declare(strict_types=1);

use App\Draft\DraftLineups;
use App\Editions\EditionLines;
use App\Editions\Served;
use App\Lineups\ChangeFilter;
use App\Lineups\EditLineup;
use App\Models\Definition;
use App\Models\Token;
use App\Vocabulary\GatherValues;
use App\Vocabulary\MergeValues;
use Symfony\Component\Process\Process;

/* A whole edition as JSON Lines. Source: ajv (npm) holds each line against docs/edition-lines.schema.json. */

beforeEach(function (): void {
    $this->read(
        "sku,parent_sku,name,category,brand,price,stock,Color,Uses,Weight,Width\nP,,Tube,Paint > Oil,Ninefold,,,,,10,\n".
        "P-1,P,,,,4,2,Sage,,,3\nP-2,P,,,,5,0,Olive,,,4.5\nQ,,Brush,Brushes,Loxholm,9,1,Sagee,Washes | Detail,,\nR,,Ink,Ink,,,,Rust,,7,\n",
        '{"columns": {"Color": {"attribute": "color", "kind": "choice", "level": "variant"}, "Uses": {"kind": "choice", "multiple": '.
        'true, "separator": "|"}, "Weight": {"kind": "number", "unit": "g", "level": "product"}, "Width": {"kind": "number"}}}',
    );
    Definition::query()->update(['state' => 'accepted']);
    $color = Definition::query()->where('slug', 'color')->firstOrFail();
    $ids = $color->values()->pluck('id', 'label');
    $merge = app(MergeValues::class);
    $merge($color, $merge->plan($color, (int) $ids['Sage'], [(int) $ids['Sagee']]));
    app(GatherValues::class)($color, 'Green', [(int) $ids['Sage'], (int) $ids['Olive']]);
    app(EditLineup::class)->several(['color', 'brand', 'price', 'stock', 'weight', 'uses']);
    $given = DraftLineups::load()->of('shop')->filters['color']->given;
    app(ChangeFilter::class)->save('color', ['control' => 'nested'] + $given, 'shop', ChangeFilter::token($given));
    $this->publish();
});

/** @return list<array<string, mixed>> */
function linesOf(string $text): array
{
    return array_map(fn (string $line): array => json_decode($line, true), explode("\n", rtrim($text)));
}

/** @return list<array<string, mixed>> what the command writes */
function exported(string $data, string $format): array
{
    $path = sys_get_temp_dir().'/lokum-export-'.bin2hex(random_bytes(4));
    $command = [PHP_BINARY, base_path('bin/console.php'), 'edition:export', $path, "--format={$format}"];
    (new Process($command, env: ['LOKUM_DATA' => $data]))->mustRun();
    $lines = linesOf((string) file_get_contents($path));
    unlink($path);

    return $lines;
}

/** @return list<string> */
function misfits(string $text): array
{
    return json_decode((new Process(['node', __DIR__.'/lines.mjs'], input: $text))->mustRun()->getOutput(), true);
}

test('every line is as its schema says', function (): void {
    $text = $this->get('/api/edition.jsonl', ['Authorization' => 'Bearer '.Token::issue('A shop')])->assertOk()->streamedContent();
    expect(misfits($text))->toBe([]);
    $types = array_count_values(array_column(linesOf($text), 'type'));
    expect(exported($this->data(), 'lines'))->toBe(linesOf($text));
    expect($types)->toMatchArray(['edition' => 1, 'category' => 4, 'product' => 3])->and($types['redirect'] ?? 0)->toBeGreaterThan(0);
    // The check itself can fail.
    expect(misfits(str_replace('"type":"product"', '"type":"product","more":1', $text)))->toHaveCount(3);
});

test('terms, umbrellas and numbers of each variant are told', function (): void {
    $lines = iterator_to_array((new EditionLines(Served::now()->file()))->documents(), false);
    $bySku = array_column(array_filter($lines, fn (array $line): bool => $line['type'] === 'product'), null, 'sku');
    expect($bySku['P']['category'])
        ->toBe('oil')
        ->and($bySku['P']['numbers'])
        ->toBe(['weight' => 10.0])
        ->and($bySku['P']['variants'][0]['terms'])
        ->toBe(['color' => ['green', 'sage']])
        ->and($bySku['P']['variants'][1]['numbers'])
        ->toBe(['width' => 4.5])
        ->and($bySku['Q']['variants'][0]['terms']['color'])
        ->toBe(['green', 'sage']);
});

test('counted from the lines, terms have the counts of the edition', function (): void {
    $file = Served::now()->file();
    $counted = [];
    foreach ((new EditionLines($file))->products() as $product) {
        $terms = [];
        foreach ([$product, ...$product['variants']] as $one) {
            foreach ((array) $one['terms'] as $attribute => $slugs) {
                foreach ($slugs as $slug) {
                    $terms["{$attribute} {$slug}"] = true;
                }
            }
        }
        foreach (array_keys($terms) as $term) {
            $counted[$term] = ($counted[$term] ?? 0) + 1;
        }
    }
    $known = [];
    foreach ($file->attributes() as $attribute) {
        foreach ($file->terms($attribute, nested: true) as $term) {
            $known["{$attribute->slug} {$term->slug}"] = $term->products;
        }
    }
    ksort($counted);
    ksort($known);
    expect($counted)->toBe($known);
});

test('a search engine gets an action before each product, and fields for all of it', function (): void {
    $lines = new EditionLines(Served::now()->file());
    $fields = $lines->mapping()['mappings'];
    $missing = [];
    // As strict as "dynamic": "strict" is: every field of every product is among those said.
    $look = function (mixed $value, array $field, string $at) use (&$look, &$missing): void {
        if (($field['type'] ?? '') === 'flattened' || ! is_array($value) && ! $value instanceof stdClass) {
            return;
        }
        foreach ((array) $value as $name => $one) {
            if (is_int($name)) {
                $look($one, $field, $at);
            } elseif (! isset(((array) ($field['properties'] ?? []))[$name])) {
                $missing[] = "{$at}.{$name}";
            } else {
                $look($one, (array) ((array) $field['properties'])[$name], "{$at}.{$name}");
            }
        }
    };
    foreach ($lines->products() as $product) {
        $look($product, $fields, '');
    }
    expect($missing)->toBe([])->and($fields['properties']['variants']['type'])->toBe('nested');
    expect(exported($this->data(), 'mapping')[0])->toBe(json_decode((string) json_encode($lines->mapping()), true));
    $bulk = exported($this->data(), 'bulk');
    expect(count($bulk))->toBe(6);
    foreach (array_chunk($bulk, 2) as [$action, $product]) {
        expect($action)->toBe(['index' => ['_id' => $product['sku']]]);
    }
});
