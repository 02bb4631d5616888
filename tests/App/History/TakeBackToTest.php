<?php

declare(strict_types=1);

use App\Definitions\CreateDefinition;
use App\Definitions\DefinitionForm;
use App\History\TakeBackTo;
use App\Models\Change;
use App\Models\Definition;
use App\Settings\SaveShop;
use App\Support\Refused;
use Tests\Support\Acts;

/* The catalog as it stood before an entry: what came since is taken back, newest first, all of it or nothing. */

beforeEach(function (): void {
    $this->read("sku,Color\nA,Red\nB,Blue\n", '{"columns": {"Color": {"kind": "choice"}}}');
    $this->actingAs($this->person());
});

function definedChange(string $label): Change
{
    app(CreateDefinition::class)(DefinitionForm::from(['label' => $label, 'kind' => 'choice']));

    return Change::query()->latest('id')->firstOrFail();
}

/** @return list<string> */
function labelsNow(): array
{
    return array_values(Definition::query()->whereNotIn('slug', ['color', 'brand'])->orderBy('id')->pluck('label')->all());
}

test('what came since goes, what was before stays', function (): void {
    definedChange('Finish');
    $first = definedChange('Shape');
    definedChange('Hair');
    $this->get("/history?entry={$first->id}")->assertSee('Everything since then');
    $this->get("/history?entry={$first->id}&since=1")->assertSee('Back to before entry')->assertSee('Take all of it back');
    $this->post("/history/{$first->id}/take-back-to", ['counted' => 2])->assertRedirect('/history');
    expect(labelsNow())->toBe(['Finish']);
    // It can be taken back in turn, the same way.
    $undone = Change::query()->whereNotNull('takes_back')->orderBy('id')->firstOrFail();
    expect(app(TakeBackTo::class)($undone, 2))->toBe(2)->and(labelsNow())->toBe(['Finish', 'Shape', 'Hair']);
});

test('what was taken back already cancels out; a way back of something older is undone', function (): void {
    $old = definedChange('Finish');
    $first = definedChange('Shape');
    Acts::takeBack($first);
    Acts::takeBack($old);
    definedChange('Hair');
    expect(labelsNow())->toBe(['Hair'])->and(app(TakeBackTo::class)($first, 2))->toBe(2)->and(labelsNow())->toBe(['Finish']);
});

test('publications and accounts stay, and do not stand in the way', function (): void {
    $first = definedChange('Finish');
    $this->publish();
    app(SaveShop::class)(['name' => 'Lanterns'], 0);
    expect(app(TakeBackTo::class)($first, 2))->toBe(2)->and(labelsNow())->toBe([]);
});

test('where something came meanwhile, or one cannot be taken back, nothing is', function (): void {
    $first = definedChange('Finish');
    definedChange('Shape');
    expect(fn () => app(TakeBackTo::class)($first, 1))->toThrow(Refused::class, 'Something was done meanwhile');
    expect(labelsNow())->toBe(['Finish', 'Shape']);
});
