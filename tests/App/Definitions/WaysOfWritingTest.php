<?php

declare(strict_types=1);

use App\Models\Spelling;
use App\Values\FindValue;
use App\Vocabulary\OrderValues;
use App\Vocabulary\RepairSpellings;
use Lokum\Vocabulary\Day;
use Lokum\Vocabulary\DayOrder;
use Lokum\Vocabulary\Kind;
use Lokum\Vocabulary\TermOrder;
use Tests\Support\Acts;

/* Dates and lists in the ways that suppliers write them, from the file to the field. */

/** @return array<string, string|null> days by the text that came */
function days(string $slug): array
{
    return Spelling::query()
        ->where('definition_id', Acts::definition($slug)->id)
        ->orderBy('id')
        ->get()
        ->mapWithKeys(fn (Spelling $one): array => [$one->text => $one->number === null ? null : Day::text($one->number)])
        ->all();
}

test('a column of dates that could be two is asked for once, and taken back', function (): void {
    $this->read("sku,name,category,Best before\nA,Tea,Tea,05/01/2027\nB,Tin,Tea,1 May 2027\nC,Cup,Tea,3.2.2027\n");
    $definition = Acts::definition('best-before');
    expect($definition->kind)
        ->toBe(Kind::Date)
        ->and(days('best-before'))
        ->toBe(['05/01/2027' => null, '1 May 2027' => '2027-05-01', '3.2.2027' => '2027-02-03'])
        ->and(RepairSpellings::unread($definition)[0]->problem)
        ->toContain('could be 5 January or 1 May');

    $this->actingAs($this->person());
    $this->get('/values/best-before/unread')->assertSee('Day first: 05/01/2023 is 5 January', false);
    $this->put('/definitions/best-before/day-order', ['order' => 'neither'])->assertSessionHasErrors('order');
    $this->put('/definitions/best-before/day-order', ['order' => 'month'])->assertRedirect();
    expect(days('best-before')['05/01/2027'])->toBe('2027-05-01');

    // A later delivery is read the same way, and so is what people type.
    $this->read("sku,name,category,Best before\nD,Pot,Tea,06/07/2027\n");
    expect(days('best-before')['06/07/2027'])->toBe('2027-06-07');
    $this->post('/history/'.DB::table('changes')->where('summary', 'like', '%month first%')->value('id').'/take-back');
    expect($definition->refresh()->day_order)->toBeNull();
});

test('a column that tells its order is read by it', function (): void {
    $this->read("sku,name,category,Packed\nA,Tea,Tea,05/01/2027\nB,Tin,Tea,28/02/2027\n");
    expect(Acts::definition('packed')->day_order)
        ->toBe(DayOrder::DayFirst)
        ->and(days('packed'))
        ->toBe(['05/01/2027' => '2027-01-05', '28/02/2027' => '2027-02-28']);
});

test('values in one cell are parted by whichever of several separators stands in it', function (): void {
    $this->read("sku,name,category,Taste\nA,Tea,Tea,malty|sweet\nB,Tin,Tea,sweet;floral\nC,Cup,Tea,malty\nD,Pot,Tea,floral|malty;sweet\n");
    $definition = Acts::definition('taste');
    expect([$definition->multiple, $definition->separator])
        ->toBe([true, '| or ;'])
        ->and($definition->values()->pluck('label')->sort()->values()->all())
        ->toBe(['floral', 'malty', 'sweet']);
});

test('shoppers read numbers with the decimals that the definition says, and values in the order set by hand', function (): void {
    $this->read(
        "sku,name,category,Weight,Taste\nA,Tea,Tea,1.5 kg,malty|sweet|floral\n",
        '{"columns": {"Weight": {"kind": "number", "unit": "kg", "level": "product"}, "Taste": {"kind": "choice", "multiple": true}}}',
    );
    $taste = Acts::definition('taste');
    app(OrderValues::class)($taste, TermOrder::Hand, FindValue::ids($taste, ['floral', 'sweet', 'malty']));
    $weight = Acts::definition('weight');
    $form = fn (string $decimals): array => [
        'label' => 'Weight',
        'kind' => 'number',
        'unit' => 'kg',
        'level' => 'product',
        'decimals' => $decimals,
        'version' => $weight->refresh()->version,
    ];
    $this->actingAs($this->person());
    $this->put("/definitions/{$weight->id}", $form('many'))->assertSessionHasErrors('decimals');
    $this->put("/definitions/{$weight->id}", $form('2'))->assertRedirect();
    $this->publish();
    $texts = implode(' ', (array) preg_split('/\s+/', strip_tags((string) $this->get('/shop/p/A')->getContent())));
    expect(str_contains($texts, '1.50 kg'))
        ->toBeTrue()
        ->and(preg_match('/floral\W+sweet\W+malty/', $texts))
        ->toBe(1);
});
