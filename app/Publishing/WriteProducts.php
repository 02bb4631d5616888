<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Catalog\SortSql;
use App\Editions\Blob;
use App\Editions\EditionOrder;
use App\Editions\EditionProducts;
use App\Models\Category;
use App\Models\Definition;
use App\Models\State;
use Closure;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Lokum\Lineup\SortOrder;
use Lokum\Text\StrictKey;
use Lokum\Vocabulary\Level;
use PDO;

/** Writes the products of an edition with all that their pages show, and the orders they can stand in. */
final class WriteProducts
{
    private const CHUNK = 500;

    /** Folded texts that are kept, since products share most of them. */
    private const FOLDED = 20000;

    /** @var array<string, string> strict keys by text */
    private array $folded = [];

    private readonly PDO $pdo;

    private readonly ShownSpellings $spellings;

    /** @var array<int, string> */
    private readonly array $categories;

    /**
     * @param  Collection<int, Definition>  $definitions
     * @param  array<string, SortOrder>  $sorts  that any page can be put in, by what they do
     */
    public function __construct(
        private readonly EditionWriter $writer,
        private readonly Numbering $numbering,
        Collection $definitions,
        private readonly array $sorts,
    ) {
        $this->pdo = DB::connection()->getPdo();
        $this->categories = Category::table()->pluck('name', 'id')->all();
        $this->spellings = new ShownSpellings($definitions->where('state', State::Accepted));
    }

    /** @param  Closure(float): void  $progress */
    public function __invoke(Closure $progress): void
    {
        $this->writer->insert('text_levels', [EditionProducts::SEARCH, Level::Product->value, null]);
        $total = max(1, $this->numbering->layout->products());
        $written = 0;
        $last = 0;
        do {
            $products = $this->rows(
                'SELECT id, sku, name, category_id, price, currency, stock, description, image FROM items
                    WHERE parent_id IS NULL AND out_since IS NULL AND id > '.
                    $last.
                    ' ORDER BY id LIMIT '.
                    self::CHUNK,
            );
            if ($products !== []) {
                $this->write($products);
                $last = (int) $products[count($products) - 1]['id'];
            }
            $progress(($written += count($products)) / $total);
        } while (count($products) === self::CHUNK);
        $this->orders();
    }

    /** @param  list<array<string, mixed>>  $products */
    private function write(array $products): void
    {
        $ids = array_column($products, 'id');
        $variants = [];
        foreach (
            $this->rows(
                'SELECT id, parent_id, sku, name, price, currency, stock FROM items WHERE parent_id IN ('.
                    implode(',', $ids).
                    ') ORDER BY id',
            ) as $variant
        ) {
            $variants[$variant['parent_id']][] = $variant;
            $ids[] = $variant['id'];
        }
        $data = $this->spellings->of($ids);
        foreach ($products as $product) {
            $this->product($product, $variants[$product['id']] ?? [$product], $data);
        }
    }

    /**
     * @param  array<string, mixed>  $product
     * @param  non-empty-list<array<string, mixed>>  $own  its variants, or itself
     * @param  array<int, array{product?: array<string, list<string>>, variant?: array<string, list<string>>, colors?: list<string>}>  $data
     */
    private function product(array $product, array $own, array $data): void
    {
        $colors = [];
        $rows = [];
        $prices = [];
        $stocks = [];
        $currency = $product['currency'];
        foreach ($own as $variant) {
            $colors = $colors ?: $data[$variant['id']]['colors'] ?? [];
            $rows[] = [
                'sku' => $variant['sku'],
                'name' => $variant['name'],
                'price' => $variant['price'],
                'stock' => $variant['stock'],
                'properties' => $data[$variant['id']][Level::Variant->value] ?? [],
            ];
            $currency ??= $variant['currency'];
            if ($variant['price'] !== null) {
                $prices[] = (float) $variant['price'];
            }
            if ($variant['stock'] !== null) {
                $stocks[] = (int) $variant['stock'];
            }
        }
        $body = [
            'description' => $product['description'],
            'image' => $product['image'],
            'colors' => $colors ?: $data[$product['id']]['colors'] ?? [],
            'properties' => $data[$product['id']][Level::Product->value] ?? [],
            'variants' => $rows,
        ];
        $this->writer->insert('products', [
            $this->numbering->product((int) $product['id']),
            $product['sku'],
            $product['name'] ?? $product['sku'],
            $product['category_id'],
            $prices === [] ? null : min($prices),
            $prices === [] ? null : max($prices),
            $currency,
            $stocks === [] ? null : (int) (max($stocks) > 0),
            (string) json_encode($body, JSON_UNESCAPED_UNICODE | JSON_INVALID_UTF8_SUBSTITUTE),
        ]);
        $this->writer->insert('texts', [
            EditionProducts::SEARCH,
            $this->numbering->product((int) $product['id']),
            $this->searched($product, $own, $data),
        ]);
    }

    /**
     * What the search box finds a product by: its name, its own and its variants' numbers, its category, and all that they carry.
     *
     * @param  array<string, mixed>  $product
     * @param  non-empty-list<array<string, mixed>>  $own
     * @param  array<int, array{product?: array<string, list<string>>, variant?: array<string, list<string>>, colors?: list<string>}>  $data
     */
    private function searched(array $product, array $own, array $data): string
    {
        if (count($this->folded) > self::FOLDED) {
            $this->folded = [];
        }
        $found = [StrictKey::of((string) $product['name']) => true, StrictKey::of((string) $product['sku']) => true];
        $found[$this->folded((string) ($this->categories[$product['category_id']] ?? ''))] = true;
        foreach ($own as $variant) {
            $found[StrictKey::of((string) $variant['sku'])] = true;
        }
        foreach ([$product['id'], ...array_column($own, 'id')] as $item) {
            foreach ([Level::Product->value, Level::Variant->value] as $level) {
                foreach ($data[$item][$level] ?? [] as $texts) {
                    foreach ($texts as $text) {
                        $found[$this->folded($text)] = true;
                    }
                }
            }
        }

        return implode(' ', array_keys($found));
    }

    private function folded(string $text): string
    {
        return $this->folded[$text] ??= StrictKey::of($text);
    }

    private function orders(): void
    {
        foreach ($this->sorts as $order) {
            $statement = $this->pdo->query(SortSql::of($order));
            [$numbers] = $this->numbering->bits(
                $statement === false ? [] : array_values($statement->fetchAll(PDO::FETCH_COLUMN)),
                Level::Product,
            );
            $places = array_flip($numbers);
            ksort($places);
            foreach (array_chunk($numbers, EditionOrder::PART) as $part => $chunk) {
                $this->writer->insert('orders', [
                    $order->key(),
                    $part,
                    new Blob(pack('V*', ...$chunk)),
                    new Blob(pack('V*', ...array_slice($places, $part * EditionOrder::PART, EditionOrder::PART))),
                ]);
            }
        }
    }

    /** @return list<array<string, mixed>> */
    private function rows(string $sql): array
    {
        $statement = $this->pdo->query($sql);

        return $statement === false ? [] : array_values($statement->fetchAll(PDO::FETCH_ASSOC));
    }
}
