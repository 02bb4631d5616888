<?php

declare(strict_types=1);

use App\Editions\Picks;
use App\Lineups\EditLineup;
use App\Models\Edition;
use App\Models\Token;
use Lokum\Feed\CsvWriter;
use Lokum\Text\Slug;
use Symfony\Component\Process\Process;

/*
 * Source: crossfilter2 (npm) counting over the data sets cars and penguins of vega-datasets (npm); through the whole application:
 * feed, line-up, edition, counts, API.
 */

test('counts equal those of crossfilter2, one by one', function (string $set, array $fields, array $ranges): void {
    $rows = json_decode((string) file_get_contents(dirname(__DIR__, 3)."/node_modules/vega-datasets/data/{$set}.json"), true);
    $rows = array_map(
        fn (array $row): array => array_map(
            fn (mixed $value): mixed => $value === null || $value === ''
                ? null
                : (is_int($value) || is_float($value)
                    ? $value
                    : (string) $value),
            array_intersect_key($row, array_flip([...$fields, ...$ranges])),
        ),
        $rows,
    );
    foreach ($rows as &$row) {
        foreach ($fields as $field) {
            $row[$field] = isset($row[$field]) ? (string) $row[$field] : null;
        }
    }
    unset($row);
    $columns = array_values([...$fields, ...$ranges]);
    $csv = CsvWriter::line(['sku', ...$columns]);
    foreach ($rows as $i => $row) {
        $csv .= CsvWriter::line([
            "R{$i}",
            ...array_map(fn (string $field): string => (string) ($row[$field] ?? ''), $columns),
        ]);
    }
    $kinds = [];
    foreach ($fields as $field) {
        $kinds[$field] = ['kind' => 'choice'];
    }
    foreach ($ranges as $field) {
        $kinds[$field] = ['kind' => 'number'];
    }
    $this->read($csv, (string) json_encode(['columns' => $kinds]));
    app(EditLineup::class)->several(array_map(Slug::of(...), $columns) ?: ['none']);
    $this->publish();
    $token = Token::issue('Crossfilter');

    mt_srand(42);
    $values = array_combine(
        $fields,
        array_map(
            fn (string $field): array => array_values(array_unique(array_filter(array_column($rows, $field), is_string(...)))),
            $fields,
        ),
    );
    $questions = [['picks' => new stdClass(), 'range' => new stdClass()]];
    for ($q = 0; $q < 40; $q++) {
        $picks = $range = [];
        foreach ($fields as $field) {
            if (mt_rand(0, 1) === 1) {
                $picks[$field] = array_values(
                    array_unique(
                        array_map(
                            fn (): string => $values[$field][mt_rand(0, count($values[$field]) - 1)],
                            range(0, mt_rand(0, 2)),
                        ),
                    ),
                );
            }
        }
        foreach ($ranges as $field) {
            if (mt_rand(0, 2) === 0) {
                $known = array_values(array_filter(array_column($rows, $field), fn (mixed $value): bool => $value !== null));
                $ends = [$known[mt_rand(0, count($known) - 1)], $known[mt_rand(0, count($known) - 1)]];
                sort($ends);
                $range[$field] = $ends;
            }
        }
        $questions[] = ['picks' => (object) $picks, 'range' => (object) $range];
    }
    $node = new Process(
        ['node', __DIR__.'/crossfilter.mjs'],
        dirname(__DIR__, 3),
        null,
        (string) json_encode([
            'rows' => $rows,
            'fields' => $fields,
            'ranges' => $ranges,
            'questions' => $questions,
        ]),
    );
    $node->mustRun();
    $compared = $asked = 0;
    foreach (json_decode($node->getOutput(), true) as $q => $expected) {
        $terms = $spans = [];
        foreach ((array) $questions[$q]['picks'] as $field => $picked) {
            $terms[Slug::of($field)] = array_values(array_map(Slug::of(...), $picked));
        }
        foreach ((array) $questions[$q]['range'] as $field => [$from, $to]) {
            $spans[Slug::of($field)] = [(float) $from, (float) $to];
        }
        [$products, $counts] = $this->counts(new Picks($terms, [], $spans));
        expect($products)->toBe($expected['count']);
        // The same once more through the line-up and the API, as a shop would ask.
        $listing = $this->get(
            '/api/listing?'.
                implode('&', [
                    ...array_map(
                        fn (string $slug, array $picked): string => $slug.'='.implode(',', $picked),
                        array_keys($terms),
                        $terms,
                    ),
                    ...array_map(
                        fn (string $slug, array $ends): string => "{$slug}={$ends[0]}..{$ends[1]}",
                        array_keys($spans),
                        $spans,
                    ),
                ]),
            ['Authorization' => "Bearer {$token}"],
        )
            ->assertOk()
            ->json();
        $offered = array_map(
            fn (array $filter): array => array_column($filter['terms'], 'count', 'slug'),
            array_column($listing['filters'], null, 'key'),
        );
        expect($listing['products'])->toBe($expected['count']);
        foreach ($expected['counts'] as $field => $byValue) {
            foreach ($byValue as $value => $count) {
                expect($counts[Slug::of($field)][Slug::of((string) $value)])->toBe($count, "{$field} {$value} in question {$q}");
                $compared++;
                if ($count > 0 && isset($offered[Slug::of($field)])) {
                    expect($offered[Slug::of($field)][Slug::of((string) $value)] ?? null)->toBe(
                        $count,
                        "API: {$field} {$value} in question {$q}",
                    );
                    $asked++;
                }
            }
        }
    }
    expect($compared)
        ->toBeGreaterThan(200)
        ->and($asked)
        ->toBeGreaterThan(150)
        ->and(Edition::current()?->products)
        ->toBe(count($rows));
})->with([
    'cars' => ['cars', ['Origin', 'Cylinders', 'Year'], ['Horsepower', 'Weight_in_lbs', 'Miles_per_Gallon']],
    'penguins' => ['penguins', ['Species', 'Island', 'Sex'], ['Body Mass (g)', 'Beak Length (mm)']],
]);
