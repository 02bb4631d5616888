<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Catalog\CategoryTree;
use App\Catalog\FieldNumbers;
use App\Catalog\Stock;
use App\Catalog\TermNumbers;
use App\Data\Rows;
use App\Draft\DraftLineups;
use App\Draft\DraftTerms;
use App\Editions\Blob;
use App\Editions\EditionDatabase;
use App\Editions\StoredNumbers;
use App\Models\Change;
use App\Models\Definition;
use App\Models\State;
use Closure;
use Generator;
use Illuminate\Database\Eloquent\Collection;
use Lokum\Edition\Summary;
use Lokum\Facet\ColumnCutter;
use Lokum\Facet\RankedNumbers;
use Lokum\Facet\StoredBits;
use Lokum\Lineup\ProductField;
use Lokum\Vocabulary\Kind;
use Lokum\Vocabulary\Level;
use PDO;

/** Writes everything that shoppers will see into an edition's file: categories, terms with their bitmaps, numbers, filters, products. */
final class BuildEdition
{
    private Numbering $numbering;

    private ListingCounts $listingCounts;

    private EditionCounts $counts;

    private int $terms = 0;

    private readonly DraftLineups $compositions;

    public function __construct(
        private readonly EditionWriter $writer,
        private readonly DraftTerms $draft,
        private readonly PDO $pdo,
    ) {
        $this->compositions = DraftLineups::load();
    }

    /**
     * @param  Closure(EditionCounts): Summary  $summary  gets what was counted on the way
     * @param  Closure(string, float): void  $progress
     * @return array{products: int, variants: int, terms: int}
     */
    public function __invoke(int $number, Closure $summary, Closure $progress): array
    {
        $progress('Numbering products', 0.0);
        $this->numbering = new Numbering($this->pdo);
        $layout = $this->numbering->layout;
        foreach (
            [
                'format' => EditionDatabase::FORMAT,
                'columns' => 1,
                // Of History, when the catalog was as it is here.
                'revision' => (int) Change::query()->max('id'),
                'edition' => $number,
                'lanes' => json_encode($layout->sizes),
                'currency' => config('lokum.currency'),
                'locale' => config('lokum.locale'),
            ] as $key => $value
        ) {
            $this->writer->insert('meta', [$key, (string) $value]);
        }
        $this->categories();
        $definitions = Definition::query()->live()->orderBy('id')->get();
        foreach ($definitions as $i => $definition) {
            $progress('Counting '.$definition->label, 0.1 + (0.4 * $i) / max(1, count($definitions)));
            match ($definition->kind) {
                Kind::Choice, Kind::Flag => $this->attribute($definition),
                Kind::Number => $this->numbers(
                    $definition->slug,
                    $definition->label,
                    $definition->unit,
                    $definition->level,
                    $this->numbersOf($definition),
                ),
                Kind::Date => $this->numbers(
                    $definition->slug,
                    $definition->label,
                    'day',
                    $definition->level,
                    $this->numbersOf($definition),
                ),
                Kind::Text => null,
            };
        }
        $directories = $definitions->filter(
            fn (Definition $definition): bool => $definition->has_pages && $definition->kind === Kind::Choice,
        );
        $this->writer->insert('meta', ['directories', (string) json_encode($directories->pluck('id')->values()->all())]);
        foreach ($directories as $definition) {
            foreach (
                $definition
                    ->values()
                    ->where(fn ($either) => $either->whereNotNull('description')->orWhereNotNull('picture'))
                    ->get() as $value
            ) {
                $this->writer->insert('pages', [$value->id, $definition->id, $value->description, $value->picture]);
            }
        }
        $this->fields();
        $this->words($definitions);
        $this->writer->insert('meta', [
            'sections',
            (string) json_encode(
                $definitions->whereNotNull('section')->where('section', '!=', '')->pluck('section', 'label')->all(),
                JSON_FORCE_OBJECT | JSON_UNESCAPED_UNICODE,
            ),
        ]);
        $this->writer->insert('meta', [
            'counted_numbers',
            (string) json_encode([
                ...array_column(ProductField::ownNumbers(), 'value'),
                ...$definitions->where('kind', Kind::Number)->pluck('slug')->all(),
            ]),
        ]);
        $lineups = new EditionLineups($this->writer, $this->draft, $this->compositions);
        $lineups->write();
        $progress('Writing texts', 0.48);
        (new EditionTexts($this->writer, $this->numbering))->write(
            $definitions->where('kind', Kind::Text)->whereIn('slug', $lineups->keys()),
        );
        $this->extras($lineups->keys());
        $progress('Comparing with the edition before', 0.49);
        $this->writer->insert('meta', ['summary', serialize($summary($this->counts))]);
        $this->listingCounts->write($this->writer);
        $progress('Writing what is searched', 0.55);
        $this->texts($definitions->where('state', State::Accepted));
        $progress('Writing orders', 0.65);
        (new EditionOrders($this->writer, $this->numbering, $this->pdo))->write($lineups->sorts());
        $progress('Writing products', 0.7);
        $this->writer->handOver();
        (new CopyProducts($this->pdo))($layout->products(), fn (float $share) => $progress('Writing products', 0.7 + 0.3 * $share));

        return ['products' => $layout->products(), 'variants' => $layout->variants(), 'terms' => $this->terms];
    }

    /**
     * What shoppers read of what products carry, and find them by.
     *
     * @param  Collection<int, Definition>  $definitions
     */
    private function texts(Collection $definitions): void
    {
        $search = new EditionSearch($this->writer, $this->numbering, $this->pdo);
        foreach ((new ShownSpellings($this->pdo, $definitions))->all() as $id => $shown) {
            $this->writer->insert('shown', [$id, ...$shown->toRow()]);
            $search->spelling($id, $shown->text);
        }
        $search->finish();
    }

    private function categories(): void
    {
        $bits = [];
        $categories = [];
        $tree = CategoryTree::load();
        foreach (
            Rows::of(
                'SELECT id, category_id FROM items WHERE parent_id IS NULL AND category_id IS NOT NULL AND out_since IS NULL',
            ) as [$id, $category]
        ) {
            $bits[$category][] = $number = $this->numbering->product($id);
            $categories[$number] = (int) $category;
        }
        $also = [];
        $listed = 'SELECT o.item_id, o.category_id FROM also_on o JOIN items i ON i.id = o.item_id WHERE i.out_since IS NULL';
        foreach (Rows::of($listed) as [$id, $category]) {
            $also[$category][] = $this->numbering->product($id);
        }
        $this->listingCounts = new ListingCounts($tree, $categories, $also);
        $this->counts = new EditionCounts($this->listingCounts);
        foreach ($tree->flat() as [$category, $depth]) {
            $below = array_merge(
                $also[$category->id] ?? [],
                ...array_map(
                    fn (int $id): array => $bits[$id] ?? [],
                    $category->own_only ? [$category->id] : $tree->withDescendants($category->id),
                ),
            );
            $this->writer->insert('categories', [
                $category->id,
                $category->parent_id,
                $category->name,
                $category->slug,
                $category->path,
                $depth,
                count($below),
                new Blob(StoredBits::encode($below, $this->numbering->layout->productBytes())),
            ]);
        }
    }

    private function attribute(Definition $definition): void
    {
        $this->writer->insert('attributes', [
            $definition->id,
            $definition->slug,
            $definition->label,
            $definition->kind->value,
            $definition->level->value,
            $definition->help,
        ]);
        $carried = $counts = [];
        foreach ($this->carrying($definition) as $term => $items) {
            $carried[$term] = $this->numbering->bits($items, $definition->level);
            $counts[$term] = count($carried[$term][1]);
        }
        $this->counts->add($definition->id, $counts);
        foreach ($this->draft->of($definition, array_filter($counts)) as $position => $term) {
            $this->term(
                $term['id'],
                $definition->id,
                $position,
                $term['slug'],
                $term['label'],
                $term['look'],
                $definition->level,
                $carried[$term['id']],
            );
        }
        $this->columns($definition, array_filter(array_map(fn (array $one): array => $one[0], $carried)));
        $this->nested($definition);
        foreach (EndedAddresses::of($definition) + EndedAddresses::ofMerged($definition) as $slug => $term) {
            $this->writer->insert('redirects', [$definition->id, (string) $slug, $term]);
        }
    }

    /** @return array<int, list<int>> items by term; those of the other level are among them and have no bit */
    private function carrying(Definition $definition): array
    {
        // In one go: row by row takes three times as long.
        $statement = $this->pdo->query(
            'SELECT '.
                TermNumbers::SQL.
                ', a.item_id FROM spellings s JOIN attribute_values v ON v.id = s.value_id AND v.held = 0
                JOIN assignments a ON a.spelling_id = s.id WHERE s.definition_id = '.
                $definition->id,
        );

        return $statement === false ? [] : $statement->fetchAll(PDO::FETCH_GROUP | PDO::FETCH_COLUMN);
    }

    /** Values below their umbrellas, where a filter shows them. */
    private function nested(Definition $definition): void
    {
        if (! EditionLineups::nests($this->compositions, $definition->slug)) {
            return;
        }
        $ofValue = $this->pdo->prepare('SELECT a.item_id FROM spellings s JOIN assignments a ON a.spelling_id = s.id WHERE s.value_id = ?');
        foreach ($this->draft->below($definition) as $position => $term) {
            $ofValue->execute([$term->id]);
            $this->term(
                $term->id,
                $definition->id,
                $position,
                $term->slug,
                $term->label,
                $term->look->toJson(),
                $definition->level,
                $this->numbering->bits(array_values($ofValue->fetchAll(PDO::FETCH_COLUMN)), $definition->level),
                $term->parent,
            );
        }
    }

    /** @param  array{0: list<int>, 1: array<int, true>}  $carried  bits, and the products that are shown with them */
    private function term(
        int $id,
        int $attribute,
        int $position,
        string $slug,
        string $label,
        ?string $look,
        Level $level,
        array $carried,
        ?int $parent = null,
    ): void {
        [$bits, $products] = $carried;
        if ($bits === [] && $parent !== null) {
            return;
        }
        $this->listingCounts->add($id, $products);
        $this->writer->insert('terms', [$id, $attribute, $position, $slug, $label, $look, count($products), $parent]);
        $this->writer->insert('term_bits', [$id, new Blob(StoredBits::encode($bits, $this->bytes($level)))]);
        $this->terms += $attribute > 0 && $parent === null ? 1 : 0;
    }

    /** @param  array<int, list<int>>  $bits  of the terms of an attribute, by term */
    private function columns(Definition $definition, array $bits): void
    {
        $layout = $this->numbering->layout;
        foreach ((new ColumnCutter($layout, $definition->level === Level::Product))->cut($bits) as $place => $column) {
            $repeats = $column->repeats === null ? null : new Blob(StoredBits::ofVariants($column->repeats, $layout));
            $this->writer->insert('term_columns', [$definition->id, $place, (string) json_encode($column->terms), $repeats]);
            for ($block = 0; $block < $column->blocks->count(); $block++) {
                $this->writer->insert('term_column_parts', [$definition->id, $place, $block, new Blob($column->part($block))]);
            }
        }
    }

    /** @return Generator<int, list<mixed>> item id and number */
    private function numbersOf(Definition $definition): Generator
    {
        return Rows::of(
            'SELECT a.item_id, s.number FROM spellings s JOIN assignments a ON a.spelling_id = s.id
            WHERE s.definition_id = '.
                $definition->id.
                ' AND s.number IS NOT NULL',
        );
    }

    /**
     * What shoppers are told of definitions, and where the addresses of merged ones lead.
     *
     * @param  Collection<int, Definition>  $definitions
     */
    private function words(Collection $definitions): void
    {
        foreach (
            [
                'helps' => $definitions->whereNotNull('help')->where('help', '!=', '')->pluck('help', 'slug')->all(),
                'labels' => $definitions->pluck('label', 'slug')->all() + self::titles(),
                'ended_attributes' => EndedAddresses::ofDefinitions(),
            ] as $name => $words
        ) {
            $this->writer->insert('meta', [$name, (string) json_encode($words, JSON_FORCE_OBJECT | JSON_UNESCAPED_UNICODE)]);
        }
    }

    /** @return array<string, string> what filters over product fields are called, by key */
    private static function titles(): array
    {
        return array_combine(
            array_column(ProductField::cases(), 'value'),
            array_map(fn (ProductField $field): string => $field->title(), ProductField::cases()),
        );
    }

    private function fields(): void
    {
        foreach (ProductField::ownNumbers() as $field) {
            $this->field($field);
        }
        $stock = ProductField::Stock;
        $this->writer->insert('attributes', [
            0,
            $stock->value,
            $stock->label(),
            $stock->kind()->value,
            $stock->level()->value,
            null,
        ]);
        foreach ($stock->terms() as $position => $term) {
            $carrying = $this->pdo->query(
                'SELECT i.id FROM items i WHERE variant_count = 0 AND stock IS NOT NULL AND '.Stock::TERM." = {$term->id}",
            );
            $items = $carrying === false ? [] : array_values($carrying->fetchAll(PDO::FETCH_COLUMN));
            $carried = $this->numbering->bits($items, $stock->level());
            $this->term($term->id, 0, $position, $term->slug, $term->label, null, $stock->level(), $carried);
        }
    }

    private function field(ProductField $field): void
    {
        $sql = FieldNumbers::sql($field);
        if ($sql !== null) {
            $unit = $field->unit((string) config('lokum.currency'));
            $this->numbers($field->value, $field->label(), $unit, $field->level(), Rows::of($sql));
        }
    }

    /** @param  iterable<list<mixed>>  $pairs  item id and number */
    private function numbers(string $field, string $label, ?string $unit, Level $level, iterable $pairs): void
    {
        $bytes = $this->bytes($level);
        $bits = [];
        foreach ($pairs as [$id, $number]) {
            $bit = $this->numbering->bit($id, $level);
            // Of several numbers of one variant the smallest counts.
            if ($bit !== null) {
                $bits[$bit] = min($bits[$bit] ?? INF, (float) $number);
            }
        }
        $ranked = new RankedNumbers($bits);
        $this->writer->insert('numbers', [
            $field,
            $label,
            $unit,
            $level->value,
            new Blob(StoredNumbers::packed($ranked)),
            new Blob(StoredBits::encode(array_keys($bits), $bytes)),
        ]);
        foreach ($ranked->slices as $digit => $set) {
            $this->writer->insert('number_slices', [$field, $digit, new Blob(StoredBits::encode($set, $bytes))]);
        }
    }

    /**
     * Numbers that only some line-ups ask for: days since a product was added, and the discount against a list price.
     *
     * @param  list<string>  $keys  of all filters
     */
    private function extras(array $keys): void
    {
        foreach ([ProductField::Added, ProductField::Discount] as $field) {
            if (in_array($field->value, $keys, true)) {
                $this->field($field);
            }
        }
    }

    /** Bytes of a bitmap. */
    private function bytes(Level $level): int
    {
        return $level === Level::Product ? $this->numbering->layout->productBytes() : $this->numbering->layout->bytes;
    }
}
