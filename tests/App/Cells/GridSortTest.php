<?php

declare(strict_types=1);

/* The list of products in the order of any column, page by page and product by product. */

beforeEach(function (): void {
    $this->read(
        "sku,parent_sku,name,category,price,stock,Color,Weight\nP1,,Arden,Lamps,3,1,blue,30\nP2,,Bell,Cables,1,9,,5\n".
            "P3,,Cone,Lamps > Big,,,Amber,\nP4,,Dell,,,,,\nP4a,P4,,,2,5,Zinc,9\nP4b,P4,,,8,0,Coral,90\n",
        '{"columns": {"Color": {"kind": "choice", "level": "variant"}, "Weight": {"kind": "number", "level": "variant"}}}',
    );
    $this->actingAs($this->person());
});

test('any column orders the list; what carries nothing comes last', function (string $sort, string $up, string $down): void {
    $columns = 'columns[]=category&columns[]=color&columns[]=weight';
    $this->get("/products?sort={$sort}&{$columns}")->assertOk()->assertSeeInOrder(explode(' ', $up));
    $this->get("/products?sort={$sort}&down=1&{$columns}")->assertOk()->assertSeeInOrder(explode(' ', $down));
})->with([
    'name' => ['title', 'Arden Bell Cone Dell', 'Dell Cone Bell Arden'],
    'price' => ['price', 'Bell Dell Arden Cone', 'Arden Dell Bell Cone'],
    'category' => ['category', 'Bell Arden Cone Dell', 'Cone Arden Bell Dell'],
    'a value, without regard to case' => ['color', 'Cone Arden Dell Bell', 'Dell Arden Cone Bell'],
    'a number' => ['weight', 'Bell Dell Arden Cone', 'Dell Arden Bell Cone'],
    'what is no column' => ['nothing', 'Arden Bell Cone Dell', 'Dell Cone Bell Arden'],
]);

test('from product to product the same order holds, forwards and back', function (string $sort, string $down): void {
    $list = "?sort={$sort}&down={$down}";
    preg_match_all('#/products/(\d+)\?#', (string) $this->get("/products{$list}")->content(), $found);
    $ids = array_values(array_unique($found[1]));
    expect($ids)->toHaveCount(4);
    foreach ($ids as $i => $id) {
        $page = (string) $this->get("/products/{$id}{$list}")->content();
        preg_match('#/products/(\d+)\?[^"]*" data-key="j"#', $page, $after);
        preg_match('#/products/(\d+)\?[^"]*" data-key="k"#', $page, $before);
        expect([$before[1] ?? null, $after[1] ?? null])->toBe([$ids[$i - 1] ?? null, $ids[$i + 1] ?? null]);
    }
})->with(['title', 'sku', 'price', 'category', 'color', 'weight'])->with(['', '1']);

test('page after page, nothing is left out or comes twice', function (string $sort): void {
    $csv = "sku,name,Color,Weight\n";
    for ($i = 0; $i < 95; $i++) {
        $csv .= sprintf("Q%02d,Name %d,%s,%s\n", $i, $i % 7, ['Red', 'Blue', ''][$i % 3], $i % 4 === 0 ? '' : $i % 5);
    }
    $this->read($csv);
    $seen = [];
    $next = "/products?sort={$sort}&size=20";
    for ($page = 0; $page < 10 && $next !== null; $page++) {
        $content = (string) $this->get($next)->assertOk()->content();
        preg_match_all('#class="small soft mono">([^<]+)</span>#', $content, $found);
        array_push($seen, ...$found[1]);
        $next = preg_match('#href="([^"]+)" rel="next"#', $content, $link) === 1 ? html_entity_decode($link[1]) : null;
    }
    expect($seen)->toHaveCount(99)->and(array_unique($seen))->toHaveCount(99);
})->with(['title', 'price', 'category', 'color', 'weight']);
