<?php

declare(strict_types=1);

namespace Tests\Support;

use App\Draft\DraftLineups;
use App\Feeds\LeaveToOthers;
use App\Lineups\ChangeFilter;
use App\Lineups\ProposeFilter;
use App\Models\Category;
use App\Models\Change;
use App\Models\Definition;
use App\Models\Feed;
use App\Models\Filter;
use App\Models\Item;
use App\Models\Umbrella;
use App\Models\User;
use App\Models\Value;
use App\Publishing\PriceRow;
use App\Publishing\SayPrices;
use Illuminate\Testing\TestResponse;
use Lokum\Lineup\Control;
use Lokum\Vocabulary\Kind;
use Lokum\Vocabulary\TermOrder;

/** Somebody at work in all rooms, through the forms that pages send: one act after the other, as chance has it. */
final class RandomActs
{
    private const COLORS = [
        'Red',
        'red ',
        'Rot',
        'Blue',
        'blue',
        'Navy',
        'Green',
        'Sage',
        'Olive',
        'Olive green',
        'White',
        'Off-white',
        'Blk',
        'Black',
    ];

    private const FINISHES = ['Gloss', 'Matt', 'Satin', 'gloss', 'High gloss'];

    /** @var list<string> what was done, for whoever reads a failure */
    public array $told = [];

    private int $deliveries = 0;

    public function __construct(private readonly CatalogTestCase $test, private readonly User $person)
    {
    }

    /** @return list<int> those of LOKUM_SEEDS ("701..750"), or these */
    public static function seeds(int $from, int $to): array
    {
        [$first, $last] = array_map(intval(...), explode('..', getenv('LOKUM_SEEDS') ?: "{$from}..{$to}"));

        return range($first, $last);
    }

    /** A catalog of lamps: products with variants, product and variant level, several kinds, a branch with products of its own. */
    public function begin(): void
    {
        $this->test->read(
            $this->delivery(40),
            '{"columns": {
            "Color": {"kind": "choice", "level": "variant"}, "Finish": {"kind": "choice", "level": "product"},
            "Use": {"kind": "choice", "level": "product", "multiple": true, "separator": "|"}, "Dimmable": {"kind": "flag", '.
            '"level": "product"},
            "Watts": {"kind": "number", "level": "variant", "unit": "W"}, "List price": {"kind": "number", "level": "variant"},
            "Notes": {"kind": "text", "level": "product"}, "Made": {"kind": "date", "level": "product"}}}',
        );
    }

    /** One act; what is refused is refused with a reason. */
    public function act(bool $deliver = true): void
    {
        $acts = [
            $this->addFilter(...),
            $this->addFilter(...),
            $this->changeFilter(...),
            $this->changeFilter(...),
            $this->changeFilter(...),
            $this->dressTerm(...),
            $this->shareFilter(...),
            $this->shareFilter(...),
            $this->dropFilter(...),
            $this->orderFilters(...),
            $this->sayOfPage(...),
            $this->copyLineup(...),
            $this->removeLineup(...),
            $this->ownOnly(...),
            $this->inheritFilter(...),
            $this->gather(...),
            $this->gather(...),
            $this->saveUmbrella(...),
            $this->merge(...),
            $this->hide(...),
            $this->takeOut(...),
            $this->sayPrices(...),
            $this->putIn(...),
            $this->deleteForGood(...),
            $this->leaveToOthers(...),
            $this->changeAddress(...),
            $this->changeDefinitionAddress(...),
            $this->saveValue(...),
            $this->order(...),
            $this->changeDefinition(...),
            $this->mergeDefinitions(...),
            $this->endDefinition(...),
            $deliver ? $this->deliver(...) : $this->give(...),
            $this->takeBack(...),
            $this->takeBack(...),
            $this->give(...),
        ];
        $acts[array_rand($acts)]();
    }

    private function changeAddress(): void
    {
        $value = Value::query()->whereNull('merged_into')->with('definition')->inRandomOrder()->first();
        if ($value !== null) {
            $address = self::one(['shade', 'tone', 'green', "{$value->slug}-x", $value->slug]);
            $this->send('PUT', "/values/{$value->definition->slug}/{$value->id}/address", ['address' => $address]);
        }
    }

    private function changeDefinitionAddress(): void
    {
        $definition = Definition::query()->inRandomOrder()->firstOrFail();
        $address = self::one(['hue', 'power', 'note', 'color', 'watts', $definition->slug]);
        $this->send('PUT', "/definitions/{$definition->slug}/address", ['address' => $address]);
    }

    /** One of another line-up is had here, too; or one that is shared parts. */
    private function shareFilter(): void
    {
        $where = $this->page();
        $filter = Filter::query()->inRandomOrder()->first();
        if ($filter === null) {
            return;
        }
        [$path, $input] = mt_rand(0, 2) === 0
            ? ["/line-ups/{$filter->key()}/part", []]
            : ['/line-ups', ['source' => "shared:{$filter->id}"]];
        $this->send('POST', $path, $input + $where);
    }

    private function dressTerm(): void
    {
        $where = $this->page();
        $key = $this->filterOn($where);
        $value = $key === null ? null : Definition::called($key)?->values()->inRandomOrder()->first();
        if ($value !== null) {
            $this->send(
                'PUT',
                "/line-ups/{$key}/looks/{$value->id}",
                [
                    'look_label' => self::one(['', 'Called '.mt_rand(1, 5)]),
                    'color_count' => mt_rand(0, 3),
                    'colors' => ['#112233', '#445566', '#778899'],
                    'token' => ChangeFilter::token(DraftLineups::load()->of($where['page'])->filters[$key]->given),
                ] + $where,
            );
        }
    }

    private function deleteForGood(): void
    {
        $ids = Item::query()->whereNull('parent_id')->whereNotNull('out_since')->pluck('id')->all();
        if ($ids !== []) {
            $some = self::some($ids, mt_rand(1, 2));
            $this->send('POST', '/products/delete', ['pick' => $some, 'going' => count($some)]);
        }
    }

    private function leaveToOthers(): void
    {
        $feed = Feed::query()->inRandomOrder()->firstOrFail();
        $keys = array_keys(LeaveToOthers::choices($feed));
        $this->send(
            'PUT',
            "/feeds/sources/{$feed->id}",
            ['kind' => 'hand', 'leaves' => ['', ...self::some($keys, min(count($keys), mt_rand(0, 3)))], 'version' => $feed->version],
        );
    }

    /** Products come into a further category, or go out of it. */
    private function putIn(): void
    {
        $ids = Item::query()->whereNull('parent_id')->pluck('id')->all();
        $this->send('POST', '/products/category', [
            'pick' => self::some($ids, mt_rand(1, 4)),
            'category' => Category::query()->inRandomOrder()->value('slug'),
            'in' => self::one(['in', 'in', 'out']),
        ]);
    }

    /** A shop says prices and stock, which shoppers see at once. */
    private function sayPrices(): void
    {
        $skus = Item::query()->where('variant_count', 0)->pluck('sku')->all();
        $rows = array_map(
            fn (string $sku): PriceRow => PriceRow::from([
                'sku' => $sku,
                'price' => self::one([null, 3, 4.5, 12, 60.25, 250]),
                'stock' => self::one([null, 0, 1, 9]),
            ]),
            self::some($skus, mt_rand(1, 5)),
        );
        app(SayPrices::class)('The shop', $rows);
    }

    /** Products go out of the shop, or come back. */
    private function takeOut(): void
    {
        $out = mt_rand(0, 2) > 0;
        $ids = Item::query()->whereNull('parent_id')->whereNull('out_since', not: ! $out)->pluck('id')->all();
        if ($ids !== []) {
            $this->send('POST', '/products/out', ['pick' => self::some($ids, mt_rand(1, 3)), 'out' => $out ? 'out' : 'back']);
        }
    }

    /**
     * @param  array<string, mixed>  $input
     * @return TestResponse<\Symfony\Component\HttpFoundation\Response>
     */
    private function send(string $method, string $path, array $input): TestResponse
    {
        $response = $this->test->actingAs($this->person)->call($method, $path, $input);
        $said = session('errors')?->first() ?? (session('done') ?? '');
        $this->told[] =
            "{$method} {$path} ".json_encode($input, JSON_UNESCAPED_UNICODE)." → {$response->getStatusCode()} {$said}";

        return $response;
    }

    /** @return array{page: string, at: string} */
    private function page(): array
    {
        $categories = array_map(fn (array $row): string => (string) $row[0]->id, DraftLineups::load()->tree->flat());

        return [
            'page' => self::one(['shop', 'shop', 'search', 'brands', ...$categories, ...$categories]),
            'at' => self::one(['', 'only']),
        ];
    }

    /** @param  array{page: string, at: string}  $where */
    private function filterOn(array $where): ?string
    {
        $keys = array_keys(DraftLineups::load()->of($where['page'])->filters);

        return $keys === [] ? null : (string) self::one($keys);
    }

    private function addFilter(): void
    {
        $sources = [...Definition::query()->live()->pluck('slug')->all(), ...array_column(ProposeFilter::fields(), 'value')];
        $this->send(
            'POST',
            '/line-ups',
            ['sources' => self::some($sources, min(count($sources), mt_rand(1, 3)))] + $this->page(),
        );
    }

    private function changeFilter(): void
    {
        $where = $this->page();
        $key = $this->filterOn($where);
        if ($key === null) {
            return;
        }
        $all = DraftLineups::load();
        $settings = $all->of($where['page'])->filters[$key]->settings();
        $definition = Definition::query()->where('slug', $key)->first();
        $terms =
            $definition === null
                ? []
                : [
                    ...$definition->values()->pluck('id')->all(),
                    ...Umbrella::query()
                        ->where('definition_id', $definition->id)
                        ->pluck('id')
                        ->map(fn (int $id): int => Umbrella::TERM + $id)
                        ->all(),
                ];
        $some = fn (): array => $terms === [] ? [] : self::some($terms, mt_rand(0, min(4, count($terms))));
        $control = self::one(Control::fitting($settings->kind));
        $this->send(
            'PUT',
            "/line-ups/{$key}",
            [
                'title' => mt_rand(0, 3) === 0 ? 'Titled '.mt_rand(1, 9) : $settings->title,
                'control' => $control->value,
                'shown' => '1',
                'counts' => self::one(['', '1']),
                'title_shown' => '1',
                'open' => self::one(['', '1']),
                'help' => self::one(['', 'Help']),
                'group' => self::one(['', '', 'Light', 'Build']),
                'combine' => self::one(['any', 'all', 'one']),
                'empty_terms' => self::one(['hide', 'unavailable']),
                'more' => (string) mt_rand(0, 6),
                'order' => self::one(['', ...array_column(TermOrder::cases(), 'value')]),
                'terms' => self::one(['follow', 'except', 'only']),
                'chosen' => $some(),
                'pinned' => $some(),
                'step' => self::one(['', '1', '5', '2.5']),
                'from' => self::one(['', '0', '3']),
                'to' => self::one(['', '90']),
                'bands' => self::one([
                    [
                        ['from' => '', 'to' => '10'],
                        ['from' => '10', 'to' => '40', 'label' => 'Middle'],
                        ['from' => '40', 'to' => ''],
                    ],
                    [['from' => '5', 'to' => '']],
                    [['from' => '', 'to' => '1'], ['from' => '20000', 'to' => '']],
                ]),
                'match' => self::one(['contains', 'whole']),
                'token' => ChangeFilter::token($all->of($where['page'])->filters[$key]->given),
            ] + $where,
        );
    }

    private function dropFilter(): void
    {
        $where = $this->page();
        $key = $this->filterOn($where);
        if ($key !== null) {
            $this->send('DELETE', "/line-ups/{$key}", $where);
        }
    }

    private function orderFilters(): void
    {
        $where = $this->page();
        $keys = array_map(strval(...), array_keys(DraftLineups::load()->of($where['page'])->filters));
        shuffle($keys);
        if ($keys !== []) {
            $this->send('POST', '/line-ups/order', ['ids' => $keys] + $where);
        }
    }

    private function sayOfPage(): void
    {
        $this->send(
            'POST',
            '/line-ups/settings',
            [
                'sold_out' => self::one(['', 'shown', 'last', 'hidden']),
                'own_sorts' => self::one(['', '1']),
                'sorts' => [
                    [
                        'slug' => '',
                        'name' => 'Dear first',
                        'by' => ['price down', 'name'],
                        'active' => '1',
                    ],
                    [
                        'slug' => 'name',
                        'name' => 'Name',
                        'by' => ['name', ''],
                        'active' => self::one(['', '1']),
                    ],
                    [
                        'slug' => '',
                        'name' => 'Watts',
                        'by' => ['watts', ''],
                        'active' => '1',
                    ],
                ],
            ] + $this->page(),
        );
    }

    private function copyLineup(): void
    {
        $this->send('POST', '/line-ups/copy', ['to' => $this->page()['page'], 'move' => self::one(['', '1'])] + $this->page());
    }

    private function removeLineup(): void
    {
        $this->send('DELETE', '/line-ups', $this->page());
    }

    private function ownOnly(): void
    {
        $this->send(
            'POST',
            '/line-ups/categories/'.
                self::one(array_map(fn (array $row): int => $row[0]->id, DraftLineups::load()->tree->flat())),
            ['own_only' => self::one(['0', '1'])],
        );
    }

    private function inheritFilter(): void
    {
        $where = $this->page();
        $key = $this->filterOn($where);
        if ($key !== null) {
            $this->send('POST', "/line-ups/{$key}/as-inherited", ['property' => self::one(['', 'title', 'control'])] + $where);
        }
    }

    /** @return array{0: Definition, 1: list<Value>} */
    private function values(int $most): array
    {
        $definition = Definition::query()
            ->where('kind', Kind::Choice)
            ->get()
            ->filter(fn (Definition $one): bool => $one->values()->exists())
            ->random();
        $values = $definition->values()->get()->shuffle()->take(mt_rand(1, $most))->values()->all();

        return [$definition, array_values($values)];
    }

    private function gather(): void
    {
        [$definition, $values] = $this->values(4);
        $under = self::one(['Warm', 'Cool', 'Green', 'Odd', $values[0]->label]);
        $ids = array_column($values, 'id');
        $this->test
            ->actingAs($this->person)
            ->get("/values/{$definition->slug}?".http_build_query(['pick' => $ids, 'under' => $under]))
            ->assertOk();
        $this->send(
            'POST',
            "/values/{$definition->slug}/gather",
            ['pick' => $ids] + (mt_rand(0, 4) === 0 ? ['out' => '1'] : ['under' => $under]),
        );
    }

    private function saveUmbrella(): void
    {
        $umbrella = Umbrella::query()->with('definition')->get()->shuffle()->first();
        if ($umbrella !== null) {
            $members = $umbrella->values()->pluck('id')->all();
            $others = $umbrella->definition->values()->whereKeyNot($members)->pluck('id')->shuffle()->all();
            $this->send('PUT', "/values/{$umbrella->definition->slug}/umbrellas/{$umbrella->id}", [
                'listed' => $members,
                'stays' => array_slice($members, mt_rand(0, 1)),
                'add' => array_slice($others, 0, mt_rand(0, 2)),
                'label' => self::one(['Warm', 'Greenish', 'Green', $umbrella->label]),
                'version' => $umbrella->version,
                'colors' => ['#4f7a34'],
                'look_help' => self::one(['', 'All of them']),
            ]);
        }
    }

    private function merge(): void
    {
        [$definition, $values] = $this->values(3);
        $this->send('POST', "/values/{$definition->slug}/merge", [
            'pick' => array_column($values, 'id'),
            'keep' => $values[0]->id,
        ]);
    }

    private function hide(): void
    {
        [$definition, $values] = $this->values(2);
        $this->send('POST', "/values/{$definition->slug}/several", [
            'pick' => array_column($values, 'id'),
            'do' => self::one(['hide', 'products', 'show', 'retire', 'restore', 'dress']),
        ]);
    }

    private function saveValue(): void
    {
        [$definition, [$value]] = $this->values(1);
        $this->send('PUT', "/values/{$definition->slug}/{$value->id}", [
            'label' => self::one([$value->label, 'Named '.mt_rand(1, 9), 'Green']),
            'version' => $value->version,
            'look_label' => self::one(['', '', 'Said '.mt_rand(1, 4)]),
            'look_help' => self::one(['', 'Help of it']),
            'shown' => self::one(['everywhere', 'products', 'nowhere']),
            'colors' => self::one([[], ['#a8325a']]),
        ]);
    }

    private function order(): void
    {
        [$definition] = $this->values(1);
        $this->send('POST', "/values/{$definition->slug}/order", [
            'order' => self::one(array_column(TermOrder::cases(), 'value')),
        ]);
    }

    private function changeDefinition(): void
    {
        $definition = Definition::query()->live()->get()->random();
        $kind = mt_rand(0, 2) === 0 ? self::one(Kind::cases()) : $definition->kind;
        $this->send('PUT', "/definitions/{$definition->id}", [
            'label' => mt_rand(0, 3) === 0 ? $definition->label.' x' : $definition->label,
            'kind' => $kind->value,
            'level' => self::one(['product', 'variant', $definition->level->value]),
            'unit' => $kind === Kind::Number ? (string) $definition->unit : '',
            'multiple' => self::one(['', '1']),
            'separator' => '|',
            'policy' => self::one(['follow', 'hold']),
            'help' => self::one(['', 'What it is']),
            'has_pages' => self::one(['', '1']),
            'state' => 'accepted',
            'version' => $definition->version,
            'edited_by' => self::one(['editor', 'editor', 'manager']),
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
            $this->send('POST', '/definitions/'.Definition::query()->get()->random()->id.'/end', [
                'how' => self::one(['retire', 'delete']),
            ]);
        }
    }

    private function deliver(): void
    {
        $this->test->read($this->delivery(mt_rand(3, 12)), feed: self::one(['Test', 'Test', 'Other']));
        $this->told[] = 'a delivery was read';
    }

    private function takeBack(): void
    {
        $change = Change::query()
            ->where('has_way_back', true)
            ->where('id', '>', 1)
            ->orderByDesc('id')
            ->limit(6)
            ->get()
            ->shuffle()
            ->first();
        if ($change !== null) {
            $this->send('POST', "/history/{$change->id}/take-back", []);
        }
    }

    private function give(): void
    {
        $definition = Definition::query()->accepted()->get()->random();
        $input = [
            'all' => '1',
            'give' => $definition->slug,
            'mode' => self::one(['set', 'clear', 'add', 'replace']),
            'value' => [self::one(['Red', '5', 'yes', '2026-01-02'])],
            'find' => 'e',
            'replace' => 'a',
        ];
        $this->send('POST', '/products/give', $input);
    }

    private function delivery(int $rows): string
    {
        $this->deliveries++;
        $csv = "sku,parent_sku,name,category,brand,price,stock,Color,Finish,Use,Dimmable,Watts,List price,Notes,Made\n";
        $categories = ['Lamps', 'Lamps > Desk', 'Lamps > Desk > Clamp', 'Lamps > Floor', 'Shades', 'Bulbs', ''];
        $places = fn (): string => self::one($categories).self::one(['', '', '', ' | '.self::one($categories)]);
        for ($i = 0; $i < $rows; $i++) {
            $sku = 'L'.mt_rand(1, 60);
            $own = mt_rand(0, 2) === 0;
            $data = fn (bool $variant): string => implode(',', [
                $variant ? mt_rand(1, 80) : '',
                $variant ? self::one(['', '0', '0', '3', '12']) : '',
                $variant ? self::one([...self::COLORS, '']) : '',
                $variant && ! $own ? '' : self::one([...self::FINISHES, '']),
                $variant && ! $own ? '' : self::one(['home', 'work|home', 'outside', '']),
                $variant && ! $own ? '' : self::one(['yes', 'no', '']),
                $variant ? self::one(['4', '5.5', '7 W', '40', 'strong', '']) : '',
                $variant ? self::one(['', '', '50', '99.5']) : '',
                $variant && ! $own ? '' : self::one(['', 'with a clamp', 'for the wall']),
                $variant && ! $own ? '' : self::one(['', '2026-05-01', '2026-07-31', 'May']),
            ]);
            $name = "{$sku},,Lamp {$sku},".$places().','.self::one(['Ninefold', 'Ostrelle', 'Loxholm', '']);
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

    /**
     * By the seed of mt_srand, so that a run can be made again.
     *
     * @template T
     *
     * @param  array<T>  $all
     * @return T
     */
    public static function one(array $all): mixed
    {
        return array_values($all)[mt_rand(0, count($all) - 1)];
    }

    /**
     * @template T
     *
     * @param  array<T>  $all
     * @return list<T>
     */
    private static function some(array $all, int $number): array
    {
        shuffle($all);

        return array_slice($all, 0, $number);
    }
}
