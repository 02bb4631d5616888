<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Data\Rows;
use App\Editions\Blob;
use App\Models\Category;
use Lokum\Facet\StoredBits;
use Lokum\Text\StrictKey;
use Lokum\Text\TextBlock;
use PDO;
use PDOStatement;

/**
 * Writes what the search box finds products by: names, numbers, categories and what they carry. A text that many products share stands
 * once, with the set of them; what few have stands with the product.
 */
final class EditionSearch
{
    /** Products from which on a text is shared. */
    private const MANY = 16;

    private const OWN = 'SELECT n.number, p.name, p.sku, (SELECT group_concat(v.sku, char(10)) FROM items v
        WHERE v.parent_id = p.id AND v.out_since IS NULL) FROM temp.numbered n JOIN items p ON p.id = n.id ORDER BY n.number';

    private int $texts = 0;

    private readonly PDOStatement $carrying;

    /** The text at work, and the products that carry it. */
    private string $text = '';

    /** @var array<int, true> by number */
    private array $products = [];

    public function __construct(private readonly EditionWriter $writer, private readonly Numbering $numbering, private readonly PDO $pdo)
    {
        $this->carrying = $pdo->prepare('SELECT item_id FROM assignments WHERE spelling_id = ?');
    }

    /** Those of one value come one after the other. */
    public function spelling(int $id, string $shown): void
    {
        $this->carrying->execute([$id]);
        /** @var list<int> $items */
        $items = $this->carrying->fetchAll(PDO::FETCH_COLUMN);
        if ($items !== []) {
            $this->add(StrictKey::of($shown), $items);
        }
    }

    /** Behind the last spelling: categories, and what is each product's own. */
    public function finish(): void
    {
        $in = $this->pdo->prepare('SELECT id FROM items WHERE category_id = ? AND parent_id IS NULL AND out_since IS NULL');
        foreach (Category::table()->pluck('name', 'id') as $id => $name) {
            $in->execute([$id]);
            /** @var list<int> $products */
            $products = $in->fetchAll(PDO::FETCH_COLUMN);
            $this->add(StrictKey::of((string) $name), $products);
        }
        $this->write();
        foreach (Rows::from($this->pdo, self::OWN) as [$number, $name, $sku, $skus]) {
            $own = [(string) $name, (string) $sku, ...explode("\n", (string) $skus)];
            $this->writer->insert('found_by', [$number, implode("\n", array_unique(array_map(StrictKey::of(...), array_filter($own))))]);
        }
        $this->gather();
    }

    /** What each product is found by, its own texts one behind the other, in blocks. */
    private function gather(): void
    {
        $first = 0;
        $texts = [];
        $all = 'SELECT number, group_concat(folded, char(10)) FROM temp.found_by GROUP BY number ORDER BY number';
        foreach ($this->writer->rows($all) as [$number, $text]) {
            if ($number >= $first + TextBlock::SIZE) {
                $this->writer->insert('search_texts', [$first, new Blob(TextBlock::packed($texts))]);
                $first += TextBlock::SIZE;
                $texts = [];
            }
            $texts[] = (string) $text;
        }
        $this->writer->insert('search_texts', [$first, new Blob(TextBlock::packed($texts))]);
    }

    /** @param  list<int>  $items */
    private function add(string $text, array $items): void
    {
        if ($text !== $this->text) {
            $this->write();
            $this->text = $text;
        }
        $this->products += $this->numbering->productsOf($items);
    }

    private function write(): void
    {
        $products = array_keys($this->products);
        $this->products = [];
        if (count($products) < self::MANY) {
            foreach ($products as $product) {
                $this->writer->insert('found_by', [$product, $this->text]);
            }
        } else {
            $this->writer->insert('shared_texts', [++$this->texts, $this->text]);
            $bits = StoredBits::encode($products, $this->numbering->layout->productBytes());
            $this->writer->insert('shared_carriers', [$this->texts, new Blob($bits)]);
        }
    }
}
