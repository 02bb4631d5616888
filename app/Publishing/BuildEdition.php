<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Catalog\CategoryTree;
use App\Data\Rows;
use App\Draft\DraftLineups;
use App\Draft\DraftTerms;
use App\Editions\Blob;
use App\Editions\EditionDatabase;
use App\Editions\EditionMeta;
use App\Models\Change;
use App\Models\Definition;
use App\Support\Version;
use Closure;
use Illuminate\Database\Eloquent\Collection;
use Lokum\Edition\Summary;
use Lokum\Facet\StoredBits;
use Lokum\Lineup\ProductField;
use Lokum\Vocabulary\Kind;
use Lokum\Vocabulary\Level;
use PDO;

/**
 * Writes everything that shoppers will see into an edition's file: categories, terms with their bitmaps, numbers, filters, products. Where
 * an edition before is taken over, the file is a copy of it, and what was touched since is taken out and written anew.
 */
final class BuildEdition
{
    private Numbering $numbering;

    private ListingCounts $listings;

    private EditionCounts $counts;

    /** @var Collection<int, Definition> */
    private Collection $definitions;

    private readonly DraftLineups $compositions;

    public function __construct(
        private readonly EditionWriter $writer,
        private readonly DraftTerms $draft,
        private readonly PDO $pdo,
        private readonly ?TakenOver $before,
        private readonly ?WriteBeside $beside,
    ) {
        $this->compositions = DraftLineups::load();
        $this->definitions = Definition::query()->live()->orderBy('id')->get();
    }

    /**
     * @param  Closure(EditionCounts): Summary  $summary  gets what was counted on the way
     * @param  Closure(string, float): void  $progress
     * @return array{products: int, variants: int, terms: int}
     */
    public function __invoke(int $number, Closure $summary, Closure $progress): array
    {
        $progress('Numbering products', 0.0);
        $this->numbering = $this->before === null ? Numbering::afresh($this->pdo) : Numbering::takenOver($this->before);
        if ($this->beside === null) {
            $this->numbering->intoTables($this->pdo);
        }
        $layout = $this->numbering->layout;
        $this->categories();
        $this->terms($progress);
        $this->pages();
        $lineups = new EditionLineups($this->writer, $this->draft, $this->compositions);
        $lineups->write();
        $this->numbers($lineups->keys());
        $progress('Writing texts', 0.48);
        (new EditionTexts($this->writer, $this->numbering))->write(
            $this->definitions->where('kind', Kind::Text)->whereIn('slug', $lineups->keys()),
            $this->before,
        );
        $progress('Comparing with the edition before', 0.49);
        $this->meta($number, $summary($this->counts));
        $this->listings->write($this->writer);
        $terms = $this->writer->count('terms', 'attribute_id > 0 AND parent_id IS NULL');
        $this->products(fn (string $what, float $share) => $progress($what, 0.55 + 0.45 * $share));
        // Sorted once, instead of row by row.
        $this->pdo->exec('CREATE UNIQUE INDEX IF NOT EXISTS edition.products_by_sku ON products (sku)');

        return ['products' => $layout->products(), 'variants' => $layout->variants(), 'terms' => $terms];
    }

    /** @param  Closure(string, float): void  $progress */
    private function products(Closure $progress): void
    {
        if ($this->beside?->ends(fn (float $share) => $progress('Writing products', $share)) === true) {
            $this->writer->takeIn($this->beside->path);
            $this->writer->handOver();

            return;
        }
        if ($this->beside !== null) {
            $this->numbering->intoTables($this->pdo);
        }
        $sorts = $this->compositions->sorts();
        (new WriteProducts($this->writer, $this->numbering, $this->pdo, $this->definitions, $sorts, $this->before))($progress);
    }

    private function meta(int $number, Summary $summary): void
    {
        $this->writer->remove('meta');
        $words = fn (array $words): string => (string) json_encode($words, JSON_FORCE_OBJECT | JSON_UNESCAPED_UNICODE);
        foreach (EditionMeta::cases() as $what) {
            $said = match ($what) {
                EditionMeta::Format => EditionDatabase::FORMAT,
                EditionMeta::MadeBy => Version::current(),
                EditionMeta::Revision => (int) Change::query()->max('id'),
                EditionMeta::Edition => $number,
                EditionMeta::Lanes => json_encode($this->numbering->layout->sizes),
                EditionMeta::Currency => config('lokum.currency'),
                EditionMeta::Locale => config('lokum.locale'),
                EditionMeta::Directories => json_encode($this->directories()->pluck('id')->values()->all()),
                EditionMeta::Helps => $words(
                    $this->definitions->whereNotNull('help')->where('help', '!=', '')->pluck('help', 'slug')->all(),
                ),
                EditionMeta::Labels => $words($this->definitions->pluck('label', 'slug')->all() + self::titles()),
                EditionMeta::EndedAttributes => $words(EndedAddresses::ofDefinitions()),
                EditionMeta::Sections => $words(
                    $this->definitions->whereNotNull('section')->where('section', '!=', '')->pluck('section', 'label')->all(),
                ),
                EditionMeta::CountedNumbers => json_encode([
                    ...array_column(ProductField::ownNumbers(), 'value'),
                    ...$this->definitions->where('kind', Kind::Number)->pluck('slug')->all(),
                ]),
                EditionMeta::Summary => serialize($summary),
            };
            $this->writer->insert('meta', [$what->value, (string) $said]);
        }
    }

    private function categories(): void
    {
        $tree = CategoryTree::load();
        $also = [];
        $listed = 'SELECT o.item_id, o.category_id FROM also_on o JOIN items i ON i.id = o.item_id WHERE i.out_since IS NULL';
        foreach (Rows::from($this->pdo, $listed) as [$id, $category]) {
            $also[$category][] = $this->numbering->product($id);
        }
        $categories = $this->before?->categories() ?? $this->categoriesOfProducts();
        $this->listings = new ListingCounts($tree, $categories, $also);
        $this->counts = new EditionCounts($this->listings);
        if ($this->before !== null) {
            $this->listings->takeOver($this->before->listingCounts());

            return;
        }
        $products = [];
        foreach ($categories as $number => $category) {
            $products[$category][] = $number;
        }
        foreach ($tree->flat() as [$category, $depth]) {
            $below = array_merge(
                $also[$category->id] ?? [],
                ...array_map(
                    fn (int $id): array => $products[$id] ?? [],
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
                new Blob(StoredBits::encode($below, $this->numbering->bytes(Level::Product))),
            ]);
        }
    }

    /** @return array<int, int> by number */
    private function categoriesOfProducts(): array
    {
        $categories = [];
        $all = 'SELECT id, category_id FROM items WHERE parent_id IS NULL AND category_id IS NOT NULL AND out_since IS NULL';
        foreach (Rows::from($this->pdo, $all) as [$id, $category]) {
            $categories[$this->numbering->product($id)] = (int) $category;
        }

        return $categories;
    }

    /** @param  Closure(string, float): void  $progress */
    private function terms(Closure $progress): void
    {
        $terms = new EditionTerms($this->writer, $this->numbering, $this->draft, $this->counts, $this->listings, $this->pdo);
        $definitions = $this->definitions->whereIn('kind', [Kind::Choice, Kind::Flag])->values();
        foreach ($definitions as $i => $definition) {
            $nests = EditionLineups::nests($this->compositions, $definition->slug);
            if ($this->before?->keeps($definition) === true && $this->before->nests($definition) === $nests) {
                $this->counts->add($definition->id, $this->before->termCounts($definition->id));

                continue;
            }
            $progress('Counting '.$definition->label, 0.1 + (0.3 * $i) / max(1, count($definitions)));
            $terms->remove($definition->id, $this->before?->terms($definition->id) ?? []);
            $terms->write($definition, $nests);
        }
        if ($this->before?->keepsField(ProductField::Stock) !== true) {
            $terms->remove(EditionTerms::STOCK, $this->before?->terms(EditionTerms::STOCK) ?? []);
            $terms->stock();
        }
    }

    /** @param  list<string>  $keys  of all filters */
    private function numbers(array $keys): void
    {
        $numbers = new EditionNumbers($this->writer, $this->numbering, $this->pdo);
        foreach ($this->definitions->whereIn('kind', [Kind::Number, Kind::Date]) as $definition) {
            if ($this->before?->keeps($definition) !== true) {
                $numbers->remove($definition->slug);
                $numbers->definition($definition);
            }
        }
        foreach (ProductField::ownNumbers() as $field) {
            if ($this->before?->keepsField($field) === true) {
                continue;
            }
            $there = $this->before?->movesFew() === true ? $this->before->numbersOf($field) : null;
            if ($there !== null) {
                $numbers->change($field, $there);
            } else {
                $numbers->remove($field->value);
                $numbers->field($field);
            }
        }
        // Days since a product was added, which are others every day, and the discount: only some line-ups ask for them.
        foreach ([ProductField::Added, ProductField::Discount] as $field) {
            $numbers->remove($field->value);
            if (in_array($field->value, $keys, true)) {
                $numbers->field($field);
            }
        }
    }

    /** @return Collection<int, Definition> whose values have pages */
    private function directories(): Collection
    {
        return $this->definitions->filter(
            fn (Definition $definition): bool => $definition->has_pages && $definition->kind === Kind::Choice,
        );
    }

    private function pages(): void
    {
        $this->writer->remove('pages');
        foreach ($this->directories() as $definition) {
            foreach (
                $definition
                    ->values()
                    ->where(fn ($either) => $either->whereNotNull('description')->orWhereNotNull('picture'))
                    ->get() as $value
            ) {
                $this->writer->insert('pages', [$value->id, $definition->id, $value->description, $value->picture]);
            }
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
}
