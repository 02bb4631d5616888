<?php

declare(strict_types=1);

use App\Editions\EditionFile;
use Lokum\Text\StrictKey;

/* What the search box finds in an edition, held against the texts of all products one by one. */

test('a word finds what it stands in, whether few or many products share the text', function (int $seed): void {
    mt_srand($seed);
    $colors = ['Sage', 'Olive green', 'Ruß', 'Navy', 'Mint', 'Teal 50%', 'Crème'];
    $rows = ['sku,name,category,parent_sku,Color,Notes,Watts'];
    for ($i = 0; $i < 60; $i++) {
        $name = ['Lamp', 'Desk lamp', 'Bulb', 'Ölkanne', 'Shade'][mt_rand(0, 4)].' '.mt_rand(1, 30);
        // Half of them share the first color, a note is one product's own, and some are alone with their variants.
        $color = mt_rand(0, 1) === 0 ? $colors[0] : $colors[mt_rand(0, 6)];
        $note = mt_rand(0, 2) === 0 ? 'Note '.mt_rand(1, 500) : 'dimmable';
        $watts = mt_rand(3, 60).' W';
        $rows[] = "P-{$i},{$name},Lamps > ".['Desk', 'Floor'][mt_rand(0, 1)].",,{$color},{$note},{$watts}";
        for ($v = mt_rand(0, 3); $v > 0; $v--) {
            $rows[] = "P-{$i}-{$v},,,P-{$i},{$colors[mt_rand(0, 6)]},,";
        }
    }
    $map = '{"columns": {"Color": {"attribute": "color", "kind": "choice", "level": "variant"}, '.
        '"Notes": {"attribute": "notes", "kind": "text"}, "Watts": {"attribute": "watts", "kind": "number", "unit": "W"}}}';
    $this->read(implode("\n", $rows)."\n", $map);
    $edition = EditionFile::of($this->publish());
    $categories = array_column($edition->categories(), 'name', 'id');
    $texts = [];
    foreach ($edition->products->everyProduct() as $number => $product) {
        $carried = [$product->properties, ...array_column($product->variants, 'properties')];
        $texts[$number] = array_map(StrictKey::of(...), [
            $product->name,
            $product->sku,
            ...$product->skus(),
            $categories[(int) $product->category],
            ...array_merge([], ...array_merge([], ...array_map(array_values(...), $carried))),
        ]);
    }
    $found = 0;
    foreach (['sage', 'russ', 'green', 'ol', '50%', 'note', 'dimm', 'desk', 'p-1', 'P-12-1', 'w', 'creme', '1', 'nowhere'] as $word) {
        $wanted = array_keys(
            array_filter($texts, fn (array $all): bool => array_filter($all, fn (string $text): bool => str_contains(
                $text,
                StrictKey::of($word),
            )) !== []),
        );
        expect([...$edition->products->found([$word])->numbers()])->toBe($wanted, $word);
        $found += count($wanted);
    }
    expect($found)->toBeGreaterThan(100);
    // All words of a search have to be there, wherever each is.
    $both = array_intersect([...$edition->products->found(['sage'])->numbers()], [...$edition->products->found(['desk'])->numbers()]);
    expect([...$edition->products->found(['sage', 'desk'])->numbers()])->toBe(array_values($both));
})->with(range(1, 6));
