<?php

declare(strict_types=1);

use App\Vocabulary\ProposeMerges;
use Tests\Support\Acts;

/* Look-alikes just below certain are taken together after a look, and the best name stays. */

beforeEach(function (): void {
    $this->read(
        "sku,Color,Code\nA,grn,IP65\nB,grn,IP65\nC,Green,IP 65\nD,Turquoise,E27\nE,Turqoise,E27 (ES)\nF,Red,\nG,red ,\n",
        '{"columns": {"Color": {"kind": "choice"}, "Code": {"kind": "choice"}}}',
    );
    $this->actingAs($this->person());
});

/** @return list<string> */
function valuesOf(string $slug): array
{
    return array_values(Acts::definition($slug)->values()->whereNull('merged_into')->orderBy('label')->pluck('label')->all());
}

test('likely groups are listed unticked, weaker ones are not, and those that are ticked become one step', function (): void {
    $page = $this->get('/values/code/look-alikes?batch=likely')->assertOk()->assertSee('Take those that hold');
    $page->assertSee('IP 65')->assertSee('E27 (ES)')->assertDontSee('" checked', false);
    $names = array_map(fn ($one): string => $one->name(), app(ProposeMerges::class)->of(Acts::definition('code')));
    $this->post('/values/code/look-alikes/certain', ['groups' => $names])->assertSessionHas('done');
    expect(valuesOf('code'))->toBe(['E27', 'IP65']);
});

test('what is only nearly the same letters is not taken with others', function (): void {
    $this->get('/values/color/look-alikes?batch=likely')->assertOk()->assertDontSee('Turqoise');
    $names = array_map(fn ($one): string => $one->name(), app(ProposeMerges::class)->of(Acts::definition('color')));
    $this->post('/values/color/look-alikes/certain', ['groups' => $names]);
    expect(valuesOf('color'))->toContain('Turquoise')->toContain('Turqoise');
});

test('the one with most products stays, under the best-formed name', function (): void {
    $group = collect(app(ProposeMerges::class)->of(Acts::definition('color')))
        ->first(fn ($one): bool => Acts::definition('color')->values()->whereKey($one->values[0])->value('label') === 'grn')
        ?? throw new LogicException('No group.');
    $this->get('/values/color/look-alikes')->assertSee('id="label" name="label" maxlength="500"', false)->assertSee('value="Green"', false);
    $this->post('/values/color/look-alikes', [
        'do' => 'merge',
        'keep' => $group->values[0],
        'pick' => $group->values,
        'label' => 'Green',
    ])->assertSessionHasNoErrors();
    expect(valuesOf('color'))->toContain('Green')->not->toContain('grn');
});
