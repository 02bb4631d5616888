<?php

declare(strict_types=1);

namespace App\Editions;

use App\Models\Edition;
use App\Support\Refused;
use App\Support\Version;
use Lokum\Edition\FilterLine;
use Lokum\Edition\Summary;
use Lokum\Edition\TermLine;
use Lokum\Facet\Carriers;
use Lokum\Facet\LaidOverNumbers;
use Lokum\Facet\Layout;
use Lokum\Facet\ProductSet;
use Lokum\Facet\RangedNumbers;
use Lokum\Facet\SlicedNumbers;
use Lokum\Facet\StoredBits;
use Lokum\Facet\TermSource;
use Lokum\Facet\VariantSet;
use Lokum\Lineup\FilterSettings;
use Lokum\Lineup\ProductField;
use Lokum\Vocabulary\Level;
use PDO;
use PDOStatement;

/** One edition, opened for reading. It never changes, so what is read stays true; only what is asked for is loaded. */
final class EditionFile implements TermSource
{
    /** Bytes of a bitmap up to which those of a whole page, seven hundred terms or so, fit into memory with ease. */
    private const KEPT_BYTES = 65536;

    public readonly Layout $layout;

    public readonly EditionProducts $products;

    /** What was said of prices and stock since; null where nothing was. */
    public readonly ?LivePrices $live;

    private readonly EditionDatabase $database;

    /** @var array<int, bool> whether an attribute's data belongs to products, by attribute id */
    private array $ofProducts = [];

    /** @var array<int, EditionAttribute> */
    private array $attributes = [];

    private PDOStatement $bits;

    /**
     * @var array<string, array{label: string, unit: string|null, level: Level,
     *         numbers: RangedNumbers<ProductSet>|RangedNumbers<VariantSet>}|null> by field
     */
    private array $numbers = [];

    private readonly EditionColumns $columns;

    /** @var array<int, Carriers> by term */
    private array $known = [];

    /** @var array<string, array<int, EditionTerm>> by attribute */
    private array $terms = [];

    /** @var array<int, ProductSet> by category */
    private array $listings = [];

    /** @var array<string, list<FilterSettings>> by page */
    private array $filters = [];

    /** @var array<string, mixed>|null by key */
    private ?array $helps = null;

    /** @var array<string, mixed>|null by key */
    private ?array $labels = null;

    /** @var array<string, string>|null */
    private ?array $ended = null;

    /** @var list<EditionCategory>|null */
    private ?array $categories = null;

    /**
     * The file of a publication.
     *
     * @throws Refused where it is not there, is not whole or was written by another version
     */
    public static function of(Edition $edition): self
    {
        return new self(Edition::directory().'/'.$edition->file, $edition->bytes);
    }

    /** @param  int|null  $bytes  that the file has to have; null: not known */
    public function __construct(string $path, ?int $bytes = null)
    {
        $this->database = new EditionDatabase($path, $bytes);
        /** @var list<int> $sizes */
        $sizes = json_decode($this->meta(EditionMeta::Lanes), true);
        $this->layout = new Layout($sizes);
        $this->live = LivePrices::over($path, $this->layout);
        $this->products = new EditionProducts($this->database, $this->layout, $this->live);
        foreach ($this->database->rows('SELECT id, slug, label, kind, level, help FROM attributes') as $row) {
            $this->attributes[(int) $row['id']] = EditionAttribute::fromRow($row);
            $this->ofProducts[(int) $row['id']] = $row['level'] === Level::Product->value;
        }
        $this->columns = new EditionColumns($this->database, $this->layout, $this->ofProducts);
        $this->bits = $this->database->prepared(
            'SELECT t.attribute_id, b.bits FROM term_bits b JOIN terms t ON t.id = b.id WHERE b.id = ?',
        );
    }

    public function meta(EditionMeta $what): string
    {
        return $this->database->meta($what);
    }

    /** Whether this version of Lokum has written it; another may have counted and compared by other rules. */
    public function isOfThisVersion(): bool
    {
        return $this->meta(EditionMeta::MadeBy) === Version::current();
    }

    /** @param  bool  $asMade  without what was said of prices and stock since */
    public function summary(bool $asMade = false): Summary
    {
        $summary = unserialize($this->meta(EditionMeta::Summary), [
            'allowed_classes' => [Summary::class, TermLine::class, FilterLine::class],
        ]);

        return $summary instanceof Summary
            ? $summary->withContentAdded($asMade ? 0 : $this->live?->content() ?? 0)
            : throw new Refused('The current edition cannot be read. Publish again.');
    }

    /** @return list<EditionAttribute> attributes of the catalog; the field "stock" is not among them */
    public function attributes(): array
    {
        return array_values(array_filter($this->attributes, fn (EditionAttribute $attribute): bool => $attribute->id > 0));
    }

    /** @return list<EditionAttribute> the same, and the field "stock" */
    public function attributesAndStock(): array
    {
        return array_values($this->attributes);
    }

    public function attribute(string $slug): ?EditionAttribute
    {
        foreach ($this->attributes as $attribute) {
            if ($attribute->slug === $slug) {
                return $attribute;
            }
        }

        return null;
    }

    /**
     * @param  bool  $nested  values below their umbrellas, too
     * @return array<int, EditionTerm> by id, in their order
     */
    public function terms(EditionAttribute $attribute, bool $nested = false): array
    {
        return $this->terms[$attribute->id.($nested ? ' nested' : '')] ??= $this->readTerms($attribute, $nested);
    }

    /** @return array<int, EditionTerm> */
    private function readTerms(EditionAttribute $attribute, bool $nested): array
    {
        $terms = [];
        foreach (
            $this->database->rows(
                'SELECT id, slug, label, look, products, parent_id FROM terms WHERE attribute_id = ?'.
                    ($nested ? '' : ' AND parent_id IS NULL').
                    ' ORDER BY parent_id IS NOT NULL, position',
                [$attribute->id],
            ) as $row
        ) {
            $id = (int) $row['id'];
            $terms[$id] = EditionTerm::fromRow(
                $this->live !== null && LivePrices::touches($id) ? ['products' => $this->productsInStock($id)] + $row : $row,
            );
        }

        return $terms;
    }

    /** What shoppers are helped with at a definition's filter. */
    public function helpOf(string $key): ?string
    {
        $this->helps ??= (array) json_decode($this->meta(EditionMeta::Helps) ?: '{}', true);

        return isset($this->helps[$key]) ? (string) $this->helps[$key] : null;
    }

    /** What a filter would ask for by a key, in words; null where the edition knows nothing of that name. */
    public function labelOf(string $key): ?string
    {
        $this->labels ??= (array) json_decode($this->meta(EditionMeta::Labels) ?: '{}', true);

        return isset($this->labels[$key]) ? (string) $this->labels[$key] : null;
    }

    /** @return array<string, string> where the addresses of merged definitions lead: slug by slug */
    public function endedAttributes(): array
    {
        return $this->ended ??= (array) json_decode($this->meta(EditionMeta::EndedAttributes) ?: '{}', true);
    }

    /** @return list<EditionAttribute> attributes whose values have pages of their own */
    public function directories(): array
    {
        $ids = (array) json_decode($this->meta(EditionMeta::Directories) ?: '[]', true);

        return array_values(
            array_filter($this->attributes(), fn (EditionAttribute $attribute): bool => in_array($attribute->id, $ids, true)),
        );
    }

    /** The number of the edition. */
    public function number(): int
    {
        return (int) $this->meta(EditionMeta::Edition);
    }

    /** @return array<int, array{description: string|null, picture: string|null}> by term */
    public function pages(EditionAttribute $attribute): array
    {
        $pages = [];
        foreach (
            $this->database->rows('SELECT term_id, description, picture FROM pages WHERE attribute_id = ?', [$attribute->id]) as $row
        ) {
            $pages[(int) $row['term_id']] = [
                'description' => $row['description'] === null ? null : (string) $row['description'],
                'picture' => $row['picture'] === null ? null : (string) $row['picture'],
            ];
        }

        return $pages;
    }

    /** The term that an ended address leads to. */
    public function redirect(EditionAttribute $attribute, string $slug): ?string
    {
        $row = $this->database->row(
            'SELECT t.slug FROM redirects r JOIN terms t ON t.id = r.leads_to WHERE r.attribute_id = ? AND r.slug = ?',
            [$attribute->id, $slug],
        );

        return $row === null ? null : (string) $row['slug'];
    }

    public function carriers(int $term): Carriers
    {
        return $this->known[$term] ?? $this->load($term);
    }

    /** A term of stock with what was said since. */
    private function asSaidSince(int $term, Carriers $carriers): Carriers
    {
        return $this->live !== null && LivePrices::touches($term) && $carriers instanceof VariantSet
            ? $carriers->without($this->live->changed())->or($this->live->carrying($term))
            : $carriers;
    }

    /**
     * In an edition that is not very large, all terms of an attribute are read at once and kept for the rest of the page; not where
     * columns count them, and only what is picked is asked for.
     */
    private function load(int $term): Carriers
    {
        if ($this->layout->bytes <= self::KEPT_BYTES && $this->columns($term) === []) {
            foreach (
                $this->database->rows(
                    'SELECT t.id, t.attribute_id, b.bits FROM terms t JOIN term_bits b ON b.id = t.id
                        WHERE t.attribute_id = (SELECT attribute_id FROM terms WHERE id = ?)',
                    [$term],
                ) as $row
            ) {
                $this->known[(int) $row['id']] = $this->asSaidSince(
                    (int) $row['id'],
                    $this->carried((string) $row['bits'], $this->ofProducts[(int) $row['attribute_id']]),
                );
            }

            return $this->known[$term];
        }
        $this->bits->execute([$term]);
        /** @var array{0: int, 1: string} $row */
        $row = $this->bits->fetch(PDO::FETCH_NUM);
        $this->bits->closeCursor();

        return $this->asSaidSince($term, $this->carried($row[1], $this->ofProducts[$row[0]]));
    }

    public function columns(int $term): array
    {
        return $this->columns->of($term);
    }

    /** Variants that are in stock, or of whose stock nothing is known. */
    public function notSoldOut(): VariantSet
    {
        $soldOut = $this->carriers(ProductField::SOLD_OUT);

        return $soldOut instanceof VariantSet ? $this->layout->allVariants()->without($soldOut) : $this->layout->allVariants();
    }

    /** @return list<string> fields that hold numbers; not those that are worked out for some filters only */
    public function numberFields(): array
    {
        $counted = (array) json_decode($this->meta(EditionMeta::CountedNumbers), true);

        return array_values(
            array_filter(
                array_map(fn (array $row): string => (string) $row['field'], $this->database->rows('SELECT field FROM numbers')),
                fn (string $field): bool => in_array($field, $counted, true),
            ),
        );
    }

    /** @return array{label: string, unit: string|null, level: Level, numbers: RangedNumbers<ProductSet>|RangedNumbers<VariantSet>}|null */
    public function numbers(string $field): ?array
    {
        return array_key_exists($field, $this->numbers) ? $this->numbers[$field] : ($this->numbers[$field] = $this->readNumbers($field));
    }

    /** @return array{label: string, unit: string|null, level: Level, numbers: RangedNumbers<ProductSet>|RangedNumbers<VariantSet>}|null */
    private function readNumbers(string $field): ?array
    {
        $row = $this->database->row('SELECT * FROM numbers WHERE field = ?', [$field]);
        if ($row === null) {
            return null;
        }
        $level = Level::from((string) $row['level']);
        $slices = $this->database->rows('SELECT bits FROM number_slices WHERE field = ? ORDER BY digit', [$field]);
        $sliced = StoredNumbers::read(
            (string) $row['numbers'],
            (string) $row['present'],
            array_map(fn (array $slice): string => (string) $slice['bits'], $slices),
            $this->layout,
            $level === Level::Product,
        );

        return [
            'label' => (string) $row['label'],
            'unit' => $row['unit'] === null ? null : (string) $row['unit'],
            'level' => $level,
            'numbers' => $this->numbersSaidSince($field, $sliced),
        ];
    }

    /**
     * @param  SlicedNumbers<ProductSet>|SlicedNumbers<VariantSet>  $numbers
     * @return RangedNumbers<ProductSet>|RangedNumbers<VariantSet>
     */
    private function numbersSaidSince(string $field, SlicedNumbers $numbers): RangedNumbers
    {
        $now = $this->live?->numbers($field);
        if ($this->live === null || $now === null) {
            return $numbers;
        }
        /** @var SlicedNumbers<VariantSet> $numbers prices, stock and discounts are those of variants */

        return new LaidOverNumbers($numbers, $this->live->changed(), $now);
    }

    /** Who has a number of a field in a range; nobody, where the field is none. */
    public function within(string $field, ?float $from, ?float $to, bool $holdsTo = true, bool $holdsFrom = true): Carriers
    {
        return ($this->numbers($field)['numbers'] ?? null)?->within($from, $to, $holdsTo, $holdsFrom) ?? new ProductSet(gmp_init(0));
    }

    /** @return list<EditionCategory> the categories one step below; of the shop, those at the top */
    public function below(?EditionCategory $category): array
    {
        return array_values(array_filter($this->categories(), fn (EditionCategory $one): bool => $one->parent === $category?->id));
    }

    /** @return list<EditionCategory> a parent before its children */
    public function categories(): array
    {
        return $this->categories ??= $this->readCategories();
    }

    /** @return list<EditionCategory> */
    private function readCategories(): array
    {
        $all = $this->database->rows('SELECT id, parent_id, name, slug, path, depth, products FROM categories ORDER BY rowid');
        $children = [];
        foreach ($all as $row) {
            $children[(int) $row['parent_id']][] = EditionCategory::fromRow($row);
        }
        foreach ($children as &$siblings) {
            usort($siblings, fn (EditionCategory $a, EditionCategory $b): int => strnatcasecmp($a->name, $b->name));
        }
        unset($siblings);
        $flat = function (int $parent) use (&$flat, $children): array {
            $list = [];
            foreach ($children[$parent] ?? [] as $category) {
                array_push($list, $category, ...$flat($category->id));
            }

            return $list;
        };

        return $flat(0);
    }

    public function category(string $slug): ?EditionCategory
    {
        $row = $this->database->row('SELECT id, parent_id, name, slug, path, depth, products FROM categories WHERE slug = ?', [
            $slug,
        ]);

        return $row === null ? null : EditionCategory::fromRow($row);
    }

    public function listing(?EditionCategory $category): ProductSet
    {
        if ($category === null) {
            return $this->layout->allProducts();
        }

        return $this->listings[$category->id] ??= StoredBits::products(
            (string) ($this->database->row('SELECT bits FROM categories WHERE id = ?', [$category->id])['bits'] ?? 'l'),
            $this->layout,
        );
    }

    /**
     * @return array<int, int> how many products of a listing carry each term, before anything is picked; those that none carries
     *         are left out
     */
    public function listingCounts(?EditionCategory $category): array
    {
        if ($category === null) {
            return $this->countsSaidSince(
                null,
                array_map(
                    intval(...),
                    array_column($this->database->rows('SELECT id, products FROM terms WHERE products > 0'), 'products', 'id'),
                ),
            );
        }
        /** @var array<int, int> $counts */
        $counts = (array) json_decode(
            (string) ($this->database->row('SELECT counts FROM listing_counts WHERE category_id = ?', [$category->id])[
                'counts'
            ] ?? '{}'),
            true,
        );

        return $this->countsSaidSince($category, $counts);
    }

    /** Products that carry a term of stock, counted with what was said since. */
    private function productsInStock(int $term, ?EditionCategory $category = null): int
    {
        $carriers = $this->carriers($term);

        return $carriers instanceof VariantSet ? $carriers->products()->and($this->listing($category))->count() : 0;
    }

    /**
     * @param  array<int, int>  $counts  by term
     * @return array<int, int>
     */
    private function countsSaidSince(?EditionCategory $category, array $counts): array
    {
        foreach ($this->live === null ? [] : LivePrices::TERMS as $term) {
            $counts[$term] = $this->productsInStock($term, $category);
        }

        return array_filter($counts);
    }

    /**
     * @param  string  $page  a category's id, or "shop", "search", "brands"
     * @return list<FilterSettings> of the page's line-up, in order
     */
    public function filters(string $page): array
    {
        return $this->filters[$page] ??= array_map(
            fn (array $row): FilterSettings => FilterSettings::of((array) json_decode((string) $row['settings'], true)),
            $this->database->rows(
                'SELECT f.settings FROM placements p JOIN lineup_filters f USING (lineup_id) WHERE p.page = ? ORDER BY f.position',
                [$page],
            ),
        );
    }

    /** @return array<int, list<string>> pages by the line-up that they share */
    public function pagesByLineup(): array
    {
        $pages = [];
        foreach ($this->database->rows('SELECT page, lineup_id FROM placements ORDER BY lineup_id, page') as $row) {
            $pages[(int) $row['lineup_id']][] = (string) $row['page'];
        }

        return $pages;
    }

    /** @return iterable<array{attribute: string, from: string, to: string}> where ended addresses of terms lead, by slugs */
    public function redirects(): iterable
    {
        $sql = 'SELECT a.slug AS attribute, r.slug AS from_slug, t.slug AS to_slug FROM redirects r
            JOIN attributes a ON a.id = r.attribute_id JOIN terms t ON t.id = r.leads_to ORDER BY a.id, r.slug';
        foreach ($this->database->stream($sql) as $row) {
            yield ['attribute' => (string) $row['attribute'], 'from' => (string) $row['from_slug'], 'to' => (string) $row['to_slug']];
        }
    }

    /** Whether an attribute belongs to products; else to their variants. */
    public function isOfProducts(EditionAttribute $attribute): bool
    {
        return $this->ofProducts[$attribute->id];
    }

    /** @return array<string, mixed> what the line-up of a page says of the page itself */
    public function pageSettings(string $page): array
    {
        return (array) json_decode(
            (string) ($this->database->row(
                'SELECT l.settings FROM placements p JOIN lineups l ON l.id = p.lineup_id WHERE p.page = ?',
                [$page],
            )['settings'] ?? '{}'),
            true,
        );
    }

    private function carried(string $bits, bool $ofProducts): Carriers
    {
        return StoredBits::carriers($bits, $this->layout, $ofProducts);
    }
}
