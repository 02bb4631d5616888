<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Editions\EditionDatabase;
use App\Editions\EditionFile;
use App\Editions\EditionMeta;
use App\Editions\EditionProduct;
use App\Editions\Served;
use App\Editions\StoredNumbers;
use App\History\Touched;
use App\Models\Change;
use App\Models\Definition;
use App\Models\Edition;
use Lokum\Edition\Summary;
use Lokum\Lineup\ProductField;

/** The edition before, of which a new one takes over what nothing has touched since it was made. */
final readonly class TakenOver
{
    /** Products and variants whose prices, stock and places are changed one by one. */
    private const FEW = 500;

    private EditionDatabase $database;

    /** @var array<int, true> attributes whose values stand below their umbrellas in it */
    private array $nested;

    private function __construct(public string $path, public EditionFile $edition, public Touched $touched)
    {
        $this->database = new EditionDatabase($path);
        $rows = $this->database->rows('SELECT DISTINCT attribute_id FROM terms WHERE parent_id IS NOT NULL');
        $this->nested = array_fill_keys(array_map(intval(...), array_column($rows, 'attribute_id')), true);
    }

    /** Null where there is none, or more was touched than can be told apart. */
    public static function from(Served $served): ?self
    {
        if ($served->edition === null || $served->problem !== null) {
            return null;
        }
        $edition = $served->file();
        $revision = (int) $edition->meta(EditionMeta::Revision);
        $isSame =
            $edition->meta(EditionMeta::Currency) === config('lokum.currency') &&
            $edition->meta(EditionMeta::Locale) === config('lokum.locale') &&
            $edition->isOfThisVersion() &&
            $revision <= (int) Change::query()->max('id');
        $touched = $isSame ? Touched::since($revision) : null;

        return $touched === null ? null : new self(Edition::directory()."/{$served->edition->file}", $edition, $touched);
    }

    /** Whether nothing has touched the words of a definition. */
    public function keeps(Definition $definition): bool
    {
        // Addresses of a definition that was merged away lead on to the one that stayed.
        return $this->touched->keeps([$definition->id, ...array_keys(EndedAddresses::stays(), $definition->id, true)]);
    }

    /** Whether values of an attribute stand below their umbrellas in it. */
    public function nests(Definition $definition): bool
    {
        return isset($this->nested[$definition->id]);
    }

    /** Whether nothing has touched price or stock. */
    public function keepsField(ProductField $field): bool
    {
        return $this->touched->keeps([$field->value]);
    }

    /** @return iterable<array{0: int, 1: int}> item and number of each product */
    public function numbered(): iterable
    {
        foreach ($this->database->stream('SELECT item, number FROM products') as $row) {
            yield [$row['item'], $row['number']];
        }
    }

    /** @return iterable<array{0: int, 1: int, 2: int}> item, number of the product and lane of each variant */
    public function placed(): iterable
    {
        foreach ($this->database->stream('SELECT item, product, lane FROM variants') as $row) {
            yield [$row['item'], $row['product'], $row['lane']];
        }
    }

    /**
     * Where the products stand that items are or are variants of, all their variants with them.
     *
     * @param  list<int>  $items
     * @return array{0: array<int, int>, 1: array<int, array{0: int, 1: int}>} numbers of products by item; number of the product and lane
     *                                                                         of variants, or of products that are their own, by item
     */
    public function placesOf(array $items): array
    {
        $asked = (string) json_encode($items);
        $numbers = $this->database->rows(
            'SELECT product FROM variants WHERE item IN (SELECT value FROM json_each(?))
                UNION SELECT number FROM products WHERE item IN (SELECT value FROM json_each(?))',
            [$asked, $asked],
        );
        $asked = (string) json_encode(array_column($numbers, 'product'));
        $numbered = $this->database->rows(
            'SELECT item, number FROM products WHERE number IN (SELECT value FROM json_each(?))',
            [$asked],
        );
        $placed = [];
        foreach (
            $this->database->rows(
                'SELECT item, product, lane FROM variants WHERE product IN (SELECT value FROM json_each(?))',
                [$asked],
            ) as $row
        ) {
            $placed[(int) $row['item']] = [(int) $row['product'], (int) $row['lane']];
        }

        return [array_map(intval(...), array_column($numbered, 'number', 'item')), $placed];
    }

    /** Whether so few products and variants were touched that their numbers and places in orders are changed instead of made anew. */
    public function movesFew(): bool
    {
        return count($this->touched->items()) <= self::FEW;
    }

    /** @return array{0: list<float>, 1: string, 2: list<string>}|null numbers of a field as they are stored; null where it has none */
    public function numbersOf(ProductField $field): ?array
    {
        $row = $this->database->row('SELECT numbers, present FROM numbers WHERE field = ?', [$field->value]);
        $slices = $this->database->rows('SELECT bits FROM number_slices WHERE field = ? ORDER BY digit', [$field->value]);

        return $row === null
            ? null
            : [StoredNumbers::unpacked((string) $row['numbers']), (string) $row['present'], array_column($slices, 'bits')];
    }

    /**
     * Products of which something was touched, with the prices and stock that they have now.
     *
     * @param  iterable<list<mixed>>  $now  sku, price and stock of their variants, and the number of the product
     * @return array<int, EditionProduct> by number
     */
    public function productsWith(iterable $now): array
    {
        $said = [];
        foreach ($now as [$sku, $price, $stock, $number]) {
            $said[(int) $number][(string) $sku] = [
                'price' => $price === null ? null : (float) $price,
                'stock' => $stock === null ? null : (int) $stock,
            ];
        }

        return array_filter(array_map(
            fn (int $number): ?EditionProduct => $this->edition->products->asMade($number, whole: true)?->with($said[$number]),
            array_combine(array_keys($said), array_keys($said)),
        ));
    }

    /** @return array<int, int> categories of products, by number */
    public function categories(): array
    {
        $categories = [];
        foreach ($this->database->stream('SELECT number, category_id FROM products WHERE category_id IS NOT NULL') as $row) {
            $categories[$row['number']] = $row['category_id'];
        }

        return $categories;
    }

    /** @return array<int, array<int, int>> products by category and term */
    public function listingCounts(): array
    {
        $counts = [];
        foreach ($this->database->rows('SELECT category_id, counts FROM listing_counts') as $row) {
            $counts[(int) $row['category_id']] = array_map(intval(...), (array) json_decode((string) $row['counts'], true));
        }

        return $counts;
    }

    /** @return array<int, int> products by term; those below umbrellas are left out */
    public function termCounts(int $attribute): array
    {
        $terms = $this->database->rows('SELECT id, products FROM terms WHERE attribute_id = ? AND parent_id IS NULL', [$attribute]);

        return array_map(intval(...), array_column($terms, 'products', 'id'));
    }

    /** @return list<int> all terms of an attribute, those below umbrellas, too */
    public function terms(int $attribute): array
    {
        return array_map(
            intval(...),
            array_column($this->database->rows('SELECT id FROM terms WHERE attribute_id = ?', [$attribute]), 'id'),
        );
    }

    /** @return list<string> */
    public function orders(): array
    {
        return $this->edition->products->orders();
    }

    /** @return list<string> fields whose texts it has */
    public function textFields(): array
    {
        return array_map(strval(...), array_column($this->database->rows('SELECT field FROM text_levels'), 'field'));
    }

    /** What it said when it was made. */
    public function summary(): Summary
    {
        return $this->edition->summary(asMade: true);
    }
}
