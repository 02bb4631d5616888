<?php

declare(strict_types=1);

use App\Models\Change;
use App\Models\Definition;
use App\Models\Item;
use App\Products\BulkForm;
use Illuminate\Support\Facades\DB;
use Tests\Support\Acts;

/* Several fields of yes and no on the same products, counted together and done as one step. */

beforeEach(function (): void {
    $flag = '{"kind": "flag", "level": "product"}';
    $this->read(
        "sku,name,Dry,Raw,Wild\nA,Oat,yes,no,\nB,Rye,no,,yes\nC,Kelp,,yes,no\n",
        "{\"columns\": {\"Dry\": {$flag}, \"Raw\": {$flag}, \"Wild\": {$flag}}}",
    );
    $this->actingAs($this->person());
});

function said_of(string $slug): string
{
    $definition = Definition::query()->where('slug', $slug)->sole();

    return implode(' ', Item::query()->orderBy('sku')->get()->map(fn (Item $item): string => (string) (DB::scalar(
        'SELECT v.slug FROM assignments a JOIN spellings s ON s.id = a.spelling_id JOIN attribute_values v ON v.id = s.value_id
            WHERE a.item_id = ? AND a.definition_id = ?',
        [$item->id, $definition->id],
    ) ?? '-'))->all());
}

test('several fields are said at once, with what each changes, and go as one step', function (): void {
    $wanted = ['dry' => 'yes', 'raw' => 'empty', 'wild' => ''];
    $page = $this->get('/products?'.http_build_query(['all' => 1, 'give' => BulkForm::FLAGS, 'flag' => $wanted]))->assertOk();
    // Dry: B and C; Raw: A and C.
    $page->assertSee('Set 4 cells', false)->assertSee('name="counted" value="6"', false);
    $give = [
        'all' => 1,
        'give' => BulkForm::FLAGS,
        'flag' => $wanted,
        'counted' => 6,
    ];
    $this->post('/products/give', $give)->assertSessionHasNoErrors();
    $change = Change::query()->latest('id')->firstOrFail();
    expect($change->summary)
        ->toBe('Set Dry Yes on 2; Cleared Raw on 2')
        ->and([said_of('dry'), said_of('raw'), said_of('wild')])
        ->toBe(['yes yes yes', '- - -', '- yes no']);
    Acts::takeBack($change);
    expect([said_of('dry'), said_of('raw'), said_of('wild')])->toBe(['yes no -', 'no - yes', '- yes no']);
    // Another count than was shown, nothing said, and what is no word for it.
    $this->post('/products/give', ['counted' => 5] + $give)->assertSessionHasErrors();
    $this->post('/products/give', ['flag' => ['dry' => 'perhaps']] + $give)->assertSessionHasErrors('give');
    expect(said_of('dry'))->toBe('yes no -');
});
