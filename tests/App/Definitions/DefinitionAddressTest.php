<?php

declare(strict_types=1);

use App\Cells\Narrowing;
use App\Definitions\ChangeDefinitionAddress;
use App\Definitions\CreateDefinition;
use App\Definitions\DefinitionForm;
use App\Draft\DraftLineups;
use App\Lineups\ChangeFilter;
use App\Lineups\EditLineup;
use App\Models\Category;
use App\Models\Definition;
use App\Models\Lineup;
use App\Models\Role;
use App\Publishing\CurrentDrift;
use App\Publishing\DriftInWords;
use App\Support\Refused;
use Lokum\Lineup\ProductField;
use Tests\Support\Acts;

/* Another word for a definition in addresses: everything that went by the old one goes by the new one, or is led there. */

beforeEach(function (): void {
    $this->read(
        "sku,name,category,price,Grit,Grain\n".
            "A,Disc,Discs,3,P80,fine\nB,Disc,Discs,4,P120,coarse\n".
            "C,Belt,Belts,5,P80,fine\nD,Belt,Belts,6,P120,fine\n",
        '{"columns": {"Grit": {"kind": "choice", "level": "product"}, "Grain": {"kind": "choice", "level": "product"}}}',
        feed: 'Sand',
    );
});

test('the former word leads on in the shop, typed conditions, addresses of the desk, readings and commands', function (): void {
    $lineups = app(EditLineup::class);
    $lineups->add('grit');
    $lineups->add(ProductField::Price->value);
    $lineups->order(['price', 'grit']);
    $belts = 'only:'.Category::query()->where('slug', 'belts')->sole()->id;
    $given = DraftLineups::load()->of((string) Category::query()->where('slug', 'belts')->sole()->id)->filters['grit']->given;
    app(ChangeFilter::class)->save('grit', ['title' => 'Grade'] + $given, $belts, ChangeFilter::token($given));
    $fine = [
        'slug' => 'fine',
        'name' => 'Fine',
        'by' => [['grit', false]],
        'active' => true,
    ];
    $lineups->page(['sorts' => [$fine]], 'shop');
    $this->publish();
    $change = app(ChangeDefinitionAddress::class)(Acts::definition('grit'), 'Abrasive grain size');
    expect(array_column(DriftInWords::lines(app(CurrentDrift::class)()), 'text'))->toBe(['grit=… will lead to abrasive-grain-size=…']);
    $settings = Lineup::query()->where('placement', 'shop')->sole()->settings ?? [];
    expect($settings['order'] ?? null)
        ->toBe(['price', 'abrasive-grain-size'])
        ->and($settings['sorts'][0]['by'][0][0] ?? null)
        ->toBe('abrasive-grain-size');
    $this->publish();
    $this->get('/shop?grit=p80')->assertRedirect('/shop?abrasive-grain-size=p80');
    $this->get('/shop/c/belts')->assertOk()->assertSee('Grade');
    expect(Narrowing::where(['grit:p80'])->query()->count())->toBe(2);
    $this->actingAs($this->person());
    $this->get('/values/grit')->assertOk()->assertSee('P120');
    $this->read("sku,name,Korn\nA,Disc,P120\n", '{"columns": {"Korn": {"attribute": "grit", "kind": "choice"}}}', feed: 'Other');
    expect(Definition::query()->count())->toBe(2);
    // And back: all of it.
    Acts::takeBack($change);
    expect(Lineup::query()->where('placement', 'shop')->sole()->settings['order'] ?? null)->toBe(['price', 'grit']);
});

test('a word that is another\'s, was another\'s or means something is refused', function (): void {
    $change = app(ChangeDefinitionAddress::class);
    $change(Acts::definition('grit'), 'korn');
    $refused = fn (string $word): string => rescue(
        fn (): string => $change(Acts::definition('grain'), $word)->summary ?? '',
        fn (Throwable $why): string => $why->getMessage(),
        false,
    );
    expect($refused('grit'))->toContain('led there once')
        ->and($refused('korn'))->toContain('leads to Grit')
        ->and($refused('sort'))->toContain('something else')
        ->and($refused(' '))->toContain('1 to 100')
        ->and($change(Acts::definition('grain'), 'grain'))->toBeNull();
    $like = [
        'label' => 'Körnung',
        'kind' => 'choice',
        'level' => 'product',
        'slug' => 'grit',
    ];
    expect(fn () => app(CreateDefinition::class)(DefinitionForm::from($like)))->toThrow(Refused::class);
    // Its own word of before is free for it.
    $change(Acts::definition('korn'), 'grit');
    expect(Acts::definition('grit')->former_slugs)->toBe(['korn']);
    $this->actingAs($this->person())->put('/definitions/grit/address', ['address' => 'grain'])->assertSessionHasErrors('address');
    $this->actingAs($this->person(Role::Viewer))->put('/definitions/grit/address', ['address' => 'x'])->assertForbidden();
});
