<?php

declare(strict_types=1);

namespace App\Cells;

use App\Catalog\AlsoOn;
use App\Catalog\CategoryTree;
use App\Catalog\Expected;
use App\Catalog\ItemsOfLevel;
use App\Models\Definition;
use App\Models\Feed;
use App\Models\Item;
use App\Models\Origin;
use App\Models\Umbrella;
use App\Models\Value;
use App\Support\Containing;
use App\Support\Refused;
use App\Values\FindValue;
use Closure;
use Illuminate\Database\Eloquent\Builder;
use Lokum\Lineup\ProductField;
use Lokum\Quantity\TypedNumber;
use Lokum\Vocabulary\Day;
use Lokum\Vocabulary\Kind;

/** One condition of a narrowing: how it is written, how it reads, and what it leaves. */
final readonly class Condition
{
    /** Words of narrowings that an attribute may be called, too. */
    private const WORDS = ['words', 'missing', 'gap', 'feed', 'changed', 'gone', 'origin'];

    private const LONGEST = 1000;

    /** Between values of which any will do. */
    public const OR = '|';

    private const ORIGINS = [
        'feed' => '= '.Origin::FEED,
        'hand' => '= '.Origin::HAND,
        'rule' => Origin::BY_RULE,
    ];

    /** Items of the definition's level whose cells fulfil something, as the ids of their products. */
    private const CARRY =
        'items.id IN (SELECT '.
        ItemsOfLevel::PRODUCT.
        ' FROM spellings s JOIN assignments a ON a.spelling_id = s.id JOIN items i ON i.id = a.item_id WHERE %s AND %s)';

    /**
     * @param  string  $says  before what is shown, as on a chip
     * @param  Closure(Builder<Item>): mixed  $narrow
     */
    private function __construct(
        public string $name,
        public string $value,
        public string $says,
        public string $shown,
        private Closure $narrow,
        public ?Value $cube = null,
    ) {
    }

    /** @throws Refused for what does not exist, by its name */
    public static function of(string $name, string $value): self
    {
        if (mb_strlen($value) > self::LONGEST || mb_strlen($name) > self::LONGEST) {
            throw new Refused('A condition has '.number_format(self::LONGEST).' characters at most.');
        }

        return self::ofValue($name, $value) ??
            match ($name) {
                'category' => self::category($value),
                'words' => self::words($value),
                'missing' => self::missing($value),
                'gap' => self::gap($value),
                ProductField::Price->value, ProductField::Stock->value => self::field(ProductField::from($name), $value),
                'feed' => self::feed($value),
                'changed' => self::changed($value),
                'gone' => self::gone($value),
                'origin' => self::origin($value),
                'sku' => new self(
                    $name,
                    $value,
                    'sku',
                    $value,
                    fn (Builder $query) => $query->where(
                        fn (Builder $either) => $either
                            ->where('items.sku', $value)
                            ->orWhereRaw(
                                'items.id IN (SELECT parent_id FROM items v WHERE v.parent_id IS NOT NULL AND v.sku = ?)',
                                [$value],
                            ),
                    ),
                ),
                default => self::carried($name, $value),
            };
    }

    /** A value of an attribute that is called like one of the words below: Origin, Feed. */
    private static function ofValue(string $name, string $value): ?self
    {
        $definition = in_array($name, self::WORDS, true) ? Definition::called($name) : null;

        return $definition?->kind->isAttribute() === true && FindValue::known($definition, $value) !== null
            ? self::carried($name, $value)
            : null;
    }

    public function line(): string
    {
        return "{$this->name}:{$this->value}";
    }

    /** @param  Builder<Item>  $query */
    public function narrow(Builder $query): void
    {
        ($this->narrow)($query);
    }

    private static function category(string $slug): self
    {
        $tree = CategoryTree::load();
        $category = $tree->bySlug($slug) ?? throw Refused::unknown('category', $slug);

        return new self(
            'category',
            $category->slug,
            'in',
            $category->name.' and below',
            function (Builder $query) use ($tree, $category): void {
                $below = $tree->withDescendants($category->id);
                $also = AlsoOn::condition('items.id', ...$below);
                $query->where(fn (Builder $either) => $also === null
                    ? $either->whereIn('category_id', $below)
                    : $either->whereIn('category_id', $below)->orWhereRaw($also));
            },
        );
    }

    private static function words(string $text): self
    {
        $words = array_slice(preg_split('/\s+/u', $text, -1, PREG_SPLIT_NO_EMPTY) ?: [], 0, 10);

        return new self('words', $text, 'with the words', $text, function (Builder $query) use ($words): void {
            foreach ($words as $word) {
                Containing::text($query, [
                    'items.name LIKE ?',
                    'items.sku LIKE ?',
                    'items.id IN (SELECT parent_id FROM items v WHERE v.parent_id IS NOT NULL AND v.sku LIKE ?)',
                ], $word);
            }
        });
    }

    private static function missing(string $slug): self
    {
        $definition = self::definition($slug);

        return new self(
            'missing',
            $definition->slug,
            'missing',
            $definition->label,
            fn (Builder $query) => $query
                ->whereRaw('NOT EXISTS (SELECT 1 FROM assignments a WHERE a.item_id = items.id AND a.definition_id = ?)', [
                    $definition->id,
                ])
                ->whereRaw(
                    'NOT EXISTS (SELECT 1 FROM items v JOIN assignments a ON a.item_id = v.id AND a.definition_id = ?
                        WHERE v.parent_id = items.id)',
                    [$definition->id],
                ),
        );
    }

    /** Missing where it is expected. */
    private static function gap(string $slug): self
    {
        $missing = self::missing($slug);
        $definition = self::definition($slug);
        $tree = CategoryTree::load();
        $expected = new Expected($tree);
        $categories = array_values(
            array_filter(
                array_map(fn (array $row): int => $row[0]->id, $tree->flat()),
                fn (int $id): bool => in_array($definition->id, $expected->in($id), true),
            ),
        );
        $everywhere = in_array($definition->id, $expected->in(null), true);

        return new self('gap', $definition->slug, 'expected and missing', $definition->label, function (Builder $query) use (
            $missing,
            $categories,
            $everywhere,
        ): void {
            $missing->narrow($query);
            $query->where(function (Builder $either) use ($categories, $everywhere): void {
                $either->whereIn('category_id', $categories);
                if ($everywhere) {
                    $either->orWhereNull('category_id');
                }
            });
        });
    }

    private static function field(ProductField $field, string $range): self
    {
        [$sql, $numbers, $shown] = self::range("i.{$field->value}", $field->value, $range);

        return new self(
            $field->value,
            $range,
            $field->label(),
            $shown,
            fn (Builder $query) => $query->whereRaw(
                'items.id IN (SELECT '.ItemsOfLevel::PRODUCT." FROM items i WHERE i.variant_count = 0 AND {$sql})",
                $numbers,
            ),
        );
    }

    private static function feed(string $name): self
    {
        $feed = Feed::query()->where('name', $name)->first() ?? throw Refused::unknown('feed', $name);

        return new self(
            'feed',
            $feed->name,
            'from',
            $feed->name,
            fn (Builder $query) => $query->where('items.feed_id', $feed->id),
        );
    }

    private static function changed(string $date): self
    {
        if (Day::number($date) === null) {
            throw new Refused("\"{$date}\" is not a date of the form 2026-11-30.", 'changed');
        }

        return new self(
            'changed',
            $date,
            'changed since',
            $date,
            fn (Builder $query) => $query->where(
                fn (Builder $either) => $either
                    ->where('items.updated_at', '>=', $date.' 00:00:00')
                    ->orWhereRaw(
                        'items.id IN (SELECT parent_id FROM items v WHERE v.parent_id IS NOT NULL AND v.updated_at >= ?)',
                        [$date.' 00:00:00'],
                    ),
            ),
        );
    }

    /** Out of the shop: at all, or since a day. */
    private static function gone(string $since): self
    {
        if ($since !== 'out' && Day::number($since) === null) {
            throw new Refused("\"{$since}\" is neither \"out\" nor a date of the form 2026-11-30.", 'gone');
        }

        return new self(
            'gone',
            $since,
            $since === 'out' ? 'out of' : 'gone since',
            $since === 'out' ? 'the shop' : $since,
            fn (Builder $query) => $since === 'out'
                ? $query->whereNotNull('items.out_since')
                : $query->where('items.out_since', '>=', "{$since} 00:00:00"),
        );
    }

    private static function origin(string $text): self
    {
        [$slug, $origin] = explode('=', $text, 2) + [1 => ''];
        $definition = self::definition($slug);
        $is = self::ORIGINS[$origin] ?? throw new Refused("\"{$origin}\" is no origin: feed, hand or rule.");

        return new self(
            'origin',
            $text,
            $definition->label,
            ['feed' => 'from a feed', 'hand' => 'set by hand', 'rule' => 'from a fill rule'][$origin],
            fn (Builder $query) => $query->whereRaw(sprintf(self::CARRY, 's.definition_id = ?', "a.origin {$is}"), [
                $definition->id,
            ]),
        );
    }

    /** A value, or for a number field a range of numbers. */
    private static function carried(string $slug, string $text): self
    {
        $definition = self::definition($slug);
        if ($definition->kind === Kind::Number) {
            [$sql, $numbers, $shown] = self::range('s.number', $definition->label, $text);

            return new self(
                $slug,
                $text,
                $definition->label,
                trim("{$shown} {$definition->unit}"),
                fn (Builder $query) => $query->whereRaw(
                    sprintf(self::CARRY, "s.definition_id = ? AND {$sql}", ItemsOfLevel::on($definition->level)),
                    [$definition->id, ...$numbers],
                ),
            );
        }
        if (! $definition->kind->isAttribute()) {
            return new self(
                $slug,
                $text,
                $definition->label.' contains',
                $text,
                fn (Builder $query) => Containing::text(
                    $query,
                    [sprintf(
                        self::CARRY,
                        "s.definition_id = {$definition->id} AND s.text LIKE ?",
                        ItemsOfLevel::on($definition->level),
                    )],
                    $text,
                ),
            );
        }
        if (str_contains($text, self::OR) && FindValue::known($definition, $text) === null) {
            return self::anyOf($slug, $definition, explode(self::OR, $text));
        }
        $umbrella = $definition->values()->where('slug', $text)->exists() ? null : Umbrella::named($definition, $text);
        if ($umbrella !== null) {
            return new self(
                $slug,
                $umbrella->slug,
                $definition->label,
                $umbrella->label,
                fn (Builder $query) => $query->whereRaw(
                    sprintf(
                        self::CARRY,
                        's.value_id IN (SELECT id FROM attribute_values WHERE umbrella_id = ?)',
                        ItemsOfLevel::on($definition->level),
                    ),
                    [$umbrella->id],
                ),
            );
        }
        $value =
            $definition->values()->where('slug', $text)->first() ??
            (FindValue::known($definition, $text) ?? throw Refused::unknown("value of {$definition->label}", $text));

        return new self(
            $slug,
            $value->slug,
            $definition->label,
            $value->label,
            fn (Builder $query) => $query->whereRaw(sprintf(self::CARRY, 's.value_id = ?', ItemsOfLevel::on($definition->level)), [
                $value->id,
            ]),
            $value,
        );
    }

    /** @param  list<string>  $texts */
    private static function anyOf(string $slug, Definition $definition, array $texts): self
    {
        $each = array_map(
            fn (string $text): self => self::carried($slug, trim($text)),
            array_values(array_filter($texts, fn (string $text): bool => trim($text) !== '')),
        );

        if (count($each) === 1) {
            return $each[0];
        }

        return new self(
            $slug,
            implode(self::OR, array_map(fn (self $one): string => $one->value, $each)),
            $definition->label,
            collect($each)->map(fn (self $one): string => $one->shown)->join(', ', ' or '),
            fn (Builder $query) => $query->where(function (Builder $either) use ($each): void {
                foreach ($each as $one) {
                    $either->orWhere(fn (Builder $query) => $one->narrow($query));
                }
            }),
        );
    }

    /** @return array{0: string, 1: list<float>, 2: string} SQL, what is bound in it, and the range in words */
    private static function range(string $column, string $what, string $text): array
    {
        [$from, $to] = str_contains($text, '..') ? explode('..', $text, 2) : [$text, $text];
        $sql = [];
        $numbers = [];
        foreach ([[$from, '>='], [$to, '<=']] as [$end, $sign]) {
            if (trim($end) !== '') {
                $sql[] = "{$column} {$sign} ?";
                $numbers[] = TypedNumber::read($end) ?? throw new Refused("{$what}: \"{$end}\" is not a number.");
            }
        }
        $shown = match (true) {
            trim($from) === '' => "up to {$to}",
            trim($to) === '' => "from {$from}",
            $from === $to => $from,
            default => "{$from} – {$to}",
        };

        return [implode(' AND ', $sql), $numbers, $shown];
    }

    private static function definition(string $slug): Definition
    {
        return Definition::called($slug) ?? throw Refused::unknown('definition', $slug);
    }
}
