<?php

declare(strict_types=1);

namespace Tests\Support;

use App\Access\User;
use App\Definitions\Definition;
use App\History\Change;
use App\Lineups\ChangeFilter;
use App\Lineups\Compositions;
use App\Lineups\ProposeFilter;
use App\Vocabulary\Umbrella;
use App\Vocabulary\Value;
use Illuminate\Support\Arr;
use Illuminate\Testing\TestResponse;
use Lokum\Lineup\Control;
use Lokum\Vocabulary\Kind;
use Lokum\Vocabulary\TermOrder;

/** Somebody at work in all rooms, through the forms that pages send: one act after the other, as chance has it. */
final class RandomActs
{
    private const COLORS = ['Red', 'red ', 'Rot', 'Blue', 'blue', 'Navy', 'Green', 'Sage', 'Olive', 'Olive green', 'White', 'Off-white', 'Blk', 'Black'];

    private const FINISHES = ['Gloss', 'Matt', 'Satin', 'gloss', 'High gloss'];

    /** @var list<string> what was done, for whoever reads a failure */
    public array $told = [];

    private int $deliveries = 0;

    public function __construct(private readonly CatalogTestCase $test, private readonly User $person)
    {
    }

    /** A catalog of lamps: products with variants, product and variant level, several kinds, a branch with products of its own. */
    public function begin(): void
    {
        $this->test->read($this->delivery(40), '{"columns": {
            "Color": {"kind": "choice", "level": "variant"}, "Finish": {"kind": "choice", "level": "product"},
            "Use": {"kind": "choice", "level": "product", "multiple": true, "separator": "|"}, "Dimmable": {"kind": "flag", "level": "product"},
            "Watts": {"kind": "number", "level": "variant", "unit": "W"}, "List price": {"kind": "number", "level": "variant"},
            "Notes": {"kind": "text", "level": "product"}, "Made": {"kind": "date", "level": "product"}}}');
    }

    /** One act; what is refused is refused with a reason. */
    public function act(bool $deliver = true): void
    {
        $acts = [
            $this->addFilter(...), $this->addFilter(...), $this->changeFilter(...), $this->changeFilter(...), $this->changeFilter(...), $this->dropFilter(...),
            $this->orderFilters(...), $this->sayOfPage(...), $this->copyLineup(...), $this->removeLineup(...), $this->ownOnly(...), $this->inheritFilter(...),
            $this->gather(...), $this->gather(...), $this->saveUmbrella(...), $this->merge(...), $this->hide(...), $this->saveValue(...), $this->order(...),
            $this->changeDefinition(...), $this->mergeDefinitions(...), $this->endDefinition(...), $deliver ? $this->deliver(...) : $this->give(...), $this->takeBack(...), $this->takeBack(...),
            $this->give(...),
        ];
        $acts[array_rand($acts)]();
    }

    /** @param  array<string, mixed>  $input */
    private function send(string $method, string $path, array $input): TestResponse
    {
        $response = $this->test->actingAs($this->person)->call($method, $path, $input);
        $said = session('errors')?->first() ?? session('done') ?? '';
        $this->told[] = "{$method} {$path} ".json_encode($input, JSON_UNESCAPED_UNICODE)." → {$response->getStatusCode()} {$said}";

        return $response;
    }

    /** @return array{page: string, at: string} */
    private function page(): array
    {
        $categories = array_map(fn (array $row): string => (string) $row[0]->id, Compositions::load()->tree->flat());

        return ['page' => Arr::random(['shop', 'shop', 'search', 'brands', ...$categories, ...$categories]), 'at' => Arr::random(['', 'only'])];
    }

    /** @param  array{page: string, at: string}  $where */
    private function filterOn(array $where): ?string
    {
        $keys = array_keys(Compositions::load()->of($where['page'])->filters);

        return $keys === [] ? null : (string) Arr::random($keys);
    }

    private function addFilter(): void
    {
        $sources = [...Definition::query()->live()->pluck('slug')->all(), ...array_keys(ProposeFilter::fields())];
        $this->send('POST', '/line-ups', ['sources' => Arr::random($sources, min(count($sources), mt_rand(1, 3)))] + $this->page());
    }

    private function changeFilter(): void
    {
        $where = $this->page();
        $key = $this->filterOn($where);
        if ($key === null) {
            return;
        }
        $all = Compositions::load();
        $settings = $all->of($where['page'])->filters[$key]->settings();
        $definition = Definition::query()->where('slug', $key)->first();
        $terms = $definition === null ? [] : [
            ...$definition->values()->pluck('id')->all(), ...Umbrella::query()->where('definition_id', $definition->id)->pluck('id')->map(fn (int $id): int => Umbrella::TERM + $id)->all(),
        ];
        $some = fn (): array => $terms === [] ? [] : array_values(Arr::random($terms, mt_rand(0, min(4, count($terms)))));
        $control = Arr::random(Control::fitting($settings->kind));
        $this->send('PUT', "/line-ups/{$key}", [
            'title' => mt_rand(0, 3) === 0 ? 'Titled '.mt_rand(1, 9) : $settings->title, 'control' => $control->value, 'shown' => '1',
            'counts' => Arr::random(['', '1']), 'title_shown' => '1', 'open' => Arr::random(['', '1']), 'help' => Arr::random(['', 'Help']),
            'combine' => Arr::random(['any', 'all', 'one']), 'empty_terms' => Arr::random(['hide', 'unavailable']), 'more' => (string) mt_rand(0, 6),
            'order' => Arr::random(['', ...array_column(TermOrder::cases(), 'value')]), 'terms' => Arr::random(['follow', 'except', 'only']),
            'chosen' => $some(), 'pinned' => $some(), 'step' => Arr::random(['', '1', '5', '2.5']), 'from' => Arr::random(['', '0', '3']), 'to' => Arr::random(['', '90']),
            'look_label' => array_fill_keys(array_slice($some(), 0, 1), 'Called '.mt_rand(1, 5)),
            'bands' => Arr::random([
                [['from' => '', 'to' => '10'], ['from' => '10', 'to' => '40', 'label' => 'Middle'], ['from' => '40', 'to' => '']],
                [['from' => '5', 'to' => '']], [['from' => '', 'to' => '1'], ['from' => '20000', 'to' => '']],
            ]),
            'match' => Arr::random(['contains', 'whole']), 'token' => ChangeFilter::token($all->of($where['page'])->filters[$key]->given),
        ] + $where);
    }

    private function dropFilter(): void
    {
        $where = $this->page();
        $key = $this->filterOn($where);
        $key === null ?: $this->send('DELETE', "/line-ups/{$key}", $where);
    }

    private function orderFilters(): void
    {
        $where = $this->page();
        $keys = array_map(strval(...), array_keys(Compositions::load()->of($where['page'])->filters));
        shuffle($keys);
        $keys === [] ?: $this->send('POST', '/line-ups/order', ['ids' => $keys] + $where);
    }

    private function sayOfPage(): void
    {
        $this->send('POST', '/line-ups/settings', [
            'sold_out' => Arr::random(['', 'shown', 'last', 'hidden']), 'own_sorts' => Arr::random(['', '1']),
            'sorts' => [
                ['slug' => '', 'name' => 'Dear first', 'by' => ['price down', 'name'], 'active' => '1'], ['slug' => 'name', 'name' => 'Name', 'by' => ['name', ''], 'active' => Arr::random(['', '1'])],
                ['slug' => '', 'name' => 'Watts', 'by' => ['watts', ''], 'active' => '1'],
            ],
        ] + $this->page());
    }

    private function copyLineup(): void
    {
        $this->send('POST', '/line-ups/copy', ['to' => $this->page()['page'], 'move' => Arr::random(['', '1'])] + $this->page());
    }

    private function removeLineup(): void
    {
        $this->send('DELETE', '/line-ups', $this->page());
    }

    private function ownOnly(): void
    {
        $this->send('POST', '/line-ups/categories/'.Arr::random(array_map(fn (array $row): int => $row[0]->id, Compositions::load()->tree->flat())), ['own_only' => Arr::random(['0', '1'])]);
    }

    private function inheritFilter(): void
    {
        $where = $this->page();
        $key = $this->filterOn($where);
        $key === null ?: $this->send('POST', "/line-ups/{$key}/as-inherited", ['property' => Arr::random(['', 'title', 'control'])] + $where);
    }

    /** @return array{0: Definition, 1: list<Value>} */
    private function values(int $most): array
    {
        $definition = Definition::query()->where('kind', Kind::Choice)->get()->filter(fn (Definition $one): bool => $one->values()->exists())->random();
        $values = $definition->values()->get()->shuffle()->take(mt_rand(1, $most))->values()->all();

        return [$definition, $values];
    }

    private function gather(): void
    {
        [$definition, $values] = $this->values(4);
        $under = Arr::random(['Warm', 'Cool', 'Green', 'Odd', $values[0]->label]);
        $ids = array_column($values, 'id');
        $this->test->actingAs($this->person)->get("/values/{$definition->slug}?".http_build_query(['pick' => $ids, 'under' => $under]))->assertOk();
        $this->send('POST', "/values/{$definition->slug}/gather", ['pick' => $ids] + (mt_rand(0, 4) === 0 ? ['out' => '1'] : ['under' => $under]));
    }

    private function saveUmbrella(): void
    {
        $umbrella = Umbrella::query()->with('definition')->get()->shuffle()->first();
        $umbrella === null ?: $this->send('PUT', "/values/{$umbrella->definition->slug}/umbrellas/{$umbrella->id}", [
            'label' => Arr::random(['Warm', 'Greenish', 'Green', $umbrella->label]), 'version' => $umbrella->version, 'colors' => ['#4f7a34'], 'look_help' => Arr::random(['', 'All of them']),
        ]);
    }

    private function merge(): void
    {
        [$definition, $values] = $this->values(3);
        $this->send('POST', "/values/{$definition->slug}/merge", ['pick' => array_column($values, 'id'), 'keep' => $values[0]->id]);
    }

    private function hide(): void
    {
        [$definition, $values] = $this->values(2);
        $this->send('POST', "/values/{$definition->slug}/several", ['pick' => array_column($values, 'id'), 'do' => Arr::random(['hide', 'show', 'retire', 'restore', 'dress'])]);
    }

    private function saveValue(): void
    {
        [$definition, [$value]] = $this->values(1);
        $this->send('PUT', "/values/{$definition->slug}/{$value->id}", [
            'label' => Arr::random([$value->label, 'Named '.mt_rand(1, 9), 'Green']), 'version' => $value->version, 'look_label' => Arr::random(['', '', 'Said '.mt_rand(1, 4)]),
            'look_help' => Arr::random(['', 'Help of it']), 'held' => Arr::random(['', '', '1']), 'colors' => Arr::random([[], ['#a8325a']]),
        ]);
    }

    private function order(): void
    {
        [$definition] = $this->values(1);
        $this->send('POST', "/values/{$definition->slug}/order", ['order' => Arr::random(array_column(TermOrder::cases(), 'value'))]);
    }

    private function changeDefinition(): void
    {
        $definition = Definition::query()->live()->get()->random();
        $kind = mt_rand(0, 2) === 0 ? Arr::random(Kind::cases()) : $definition->kind;
        $this->send('PUT', "/definitions/{$definition->id}", [
            'label' => mt_rand(0, 3) === 0 ? $definition->label.' x' : $definition->label, 'kind' => $kind->value,
            'level' => Arr::random(['product', 'variant', $definition->level->value]), 'unit' => $kind === Kind::Number ? (string) $definition->unit : '',
            'multiple' => Arr::random(['', '1']), 'separator' => '|', 'policy' => Arr::random(['follow', 'hold']), 'help' => Arr::random(['', 'What it is']),
            'has_pages' => Arr::random(['', '1']), 'state' => 'accepted', 'version' => $definition->version, 'edited_by' => Arr::random(['editor', 'editor', 'manager']),
        ]);
    }

    private function mergeDefinitions(): void
    {
        if (mt_rand(0, 3) === 0) {
            [$one, $other] = [Definition::query()->live()->get()->random(), Definition::query()->live()->get()->random()];
            $this->send('POST', "/definitions/{$one->id}/merge", ['into' => $other->slug]);
        }
    }

    private function endDefinition(): void
    {
        if (mt_rand(0, 3) === 0) {
            $this->send('POST', '/definitions/'.Definition::query()->get()->random()->id.'/end', ['how' => Arr::random(['retire', 'delete'])]);
        }
    }

    private function deliver(): void
    {
        $this->test->read($this->delivery(mt_rand(3, 12)));
        $this->told[] = 'a delivery was read';
    }

    private function takeBack(): void
    {
        $change = Change::query()->where('has_way_back', true)->where('id', '>', 1)->orderByDesc('id')->limit(6)->get()->shuffle()->first();
        $change === null ?: $this->send('POST', "/history/{$change->id}/take-back", []);
    }

    private function give(): void
    {
        $definition = Definition::query()->accepted()->get()->random();
        $input = ['all' => '1', 'give' => $definition->slug, 'mode' => Arr::random(['set', 'clear', 'add', 'replace']), 'value' => [Arr::random(['Red', '5', 'yes', '2026-01-02'])], 'find' => 'e', 'replace' => 'a'];
        $this->send('POST', '/products/give', $input);
    }

    private function delivery(int $rows): string
    {
        $this->deliveries++;
        $csv = "sku,parent_sku,name,category,brand,price,stock,Color,Finish,Use,Dimmable,Watts,List price,Notes,Made\n";
        $categories = ['Lamps', 'Lamps > Desk', 'Lamps > Desk > Clamp', 'Lamps > Floor', 'Shades', 'Bulbs', ''];
        for ($i = 0; $i < $rows; $i++) {
            $sku = 'L'.mt_rand(1, 60);
            $own = mt_rand(0, 2) === 0;
            $data = fn (bool $variant): string => implode(',', [
                $variant ? mt_rand(1, 80) : '', $variant ? Arr::random(['', '0', '0', '3', '12']) : '', $variant ? Arr::random([...self::COLORS, '']) : '',
                $variant && ! $own ? '' : Arr::random([...self::FINISHES, '']), $variant && ! $own ? '' : Arr::random(['home', 'work|home', 'outside', '']),
                $variant && ! $own ? '' : Arr::random(['yes', 'no', '']), $variant ? Arr::random(['4', '5.5', '7 W', '40', 'strong', '']) : '',
                $variant ? Arr::random(['', '', '50', '99.5']) : '', $variant && ! $own ? '' : Arr::random(['', 'with a clamp', 'for the wall']),
                $variant && ! $own ? '' : Arr::random(['', '2026-05-01', '2026-07-31', 'May']),
            ]);
            $name = "{$sku},,Lamp {$sku},".Arr::random($categories).','.Arr::random(['Ninefold', 'Ostrelle', 'Loxholm', '']);
            if ($own) {
                $csv .= "{$name},{$data(true)}\n";

                continue;
            }
            $csv .= "{$name},{$data(false)}\n";
            foreach (range(1, mt_rand(1, 3)) as $n) {
                $csv .= "{$sku}-{$n},{$sku},,,,{$data(true)}\n";
            }
        }

        return $csv;
    }
}
