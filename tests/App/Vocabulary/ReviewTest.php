<?php

declare(strict_types=1);

use App\History\TakeBack;
use App\Models\Value;
use App\Vocabulary\KeepApart;
use App\Vocabulary\Proposal;
use App\Vocabulary\ProposeMerges;
use Tests\Support\Acts;

/* Look-alikes of an attribute: proposed, merged under a name, kept apart, and the certain ones all at once. */

beforeEach(
    fn () => $this->read(
        "sku,Color\nA,Cobalt blue\nB,Cobalt blue\nC,\"Blue, cobalt\"\nD,Light grey\nE,Lt. Gray\nF,Turquoise\nG,Turqoise\nH,Red\n".
        "I,Rod\nJ,300 gsm\nK,300 g/m2\n",
        '{"columns": {"Color": {"kind": "choice"}}}',
    ),
);

/** @return list<list<string>> */
function proposed(): array
{
    return array_map(
        fn (Proposal $proposal): array => array_map(
            fn (int $id): string => Value::query()->findOrFail($id)->label,
            $proposal->values,
        ),
        app(ProposeMerges::class)->of(Acts::definition('color')),
    );
}

test('groups are proposed, merged under a name, and taken back', function (): void {
    expect(proposed())->toBe([
        ['Cobalt blue', 'Blue, cobalt'],
        ['Light grey', 'Lt. Gray'],
        ['Turquoise', 'Turqoise'],
        ['300 gsm', '300 g/m2'],
    ]);
    $this->actingAs($this->person())
        ->get('/values/color/look-alikes')
        ->assertOk()
        ->assertSee('4 groups to decide on')
        ->assertSee('same words in another order or form');
    $ids = app(ProposeMerges::class)->of(Acts::definition('color'))[0]->values;
    $this->post('/values/color/look-alikes', [
        'do' => 'merge',
        'keep' => $ids[0],
        'pick' => $ids,
        'label' => 'Cobalt Blue (PB28)',
    ])->assertRedirect('/values/color/look-alikes');
    expect(Value::query()->findOrFail($ids[0])->label)
        ->toBe('Cobalt Blue (PB28)')
        ->and(proposed())
        ->toHaveCount(3);
    Acts::takeBack(app(TakeBack::class)->newest());
    expect(proposed())->toHaveCount(4);
    $this->post('/values/color/look-alikes', [
        'do' => 'merge',
        'keep' => $ids[0],
        'pick' => $ids,
        'label' => 'Red',
    ])->assertSessionHasErrors();
    expect(proposed())->toHaveCount(4);
});

test('what is kept apart is not proposed again, until that is taken back', function (): void {
    $ids = Value::query()
        ->whereIn('label', ['Turquoise', 'Turqoise'])
        ->pluck('id')
        ->all();
    $change = app(KeepApart::class)(Acts::definition('color'), array_values($ids));
    expect(proposed())->not->toContain(['Turquoise', 'Turqoise']);
    Acts::takeBack($change);
    expect(proposed())->toContain(['Turquoise', 'Turqoise']);
    $name = app(ProposeMerges::class)->of(Acts::definition('color'))[0]->name();
    $this->actingAs($this->person())
        ->get("/values/color/look-alikes?later={$name}")
        ->assertSee('3 groups to decide on')
        ->assertDontSee('Cobalt blue stays');
});

test('the certain ones are merged as one step', function (): void {
    $certain = array_values(
        array_filter(app(ProposeMerges::class)->of(Acts::definition('color')), fn (Proposal $proposal): bool => $proposal->isCertain()),
    );
    expect(count($certain))->toBe(2);
    $this->actingAs($this->person())->get('/values/color/look-alikes?batch=1')->assertSee('300 g/m2')->assertDontSee('Turqoise');
    $this->post('/values/color/look-alikes/certain', [
        'groups' => array_map(fn (Proposal $proposal): string => $proposal->name(), $certain),
    ])->assertSessionHas('done', '2 values merged into 2 (Color)');
    expect(proposed())->toHaveCount(2);
    Acts::takeBack(app(TakeBack::class)->newest());
    expect(proposed())->toHaveCount(4);
});
