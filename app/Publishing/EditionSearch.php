<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Data\Rows;
use App\Editions\Blob;
use App\Models\Category;
use App\Models\Definition;
use Lokum\Facet\StoredBits;
use Lokum\Text\StrictKey;
use Lokum\Text\TextBlock;
use PDO;
use PDOStatement;

/**
 * Writes what shoppers read of what products carry, and what the search box finds them by: names, numbers, categories and these texts. A
 * text that many products share stands once, with the set of them; what few have stands in blocks, product by product.
 */
final class EditionSearch
{
    /** Products from which on a text is shared. */
    private const MANY = 16;

    /** In place of a definition: what is every product's own. */
    private const OWN = 0;

    private const NAMES = 'SELECT n.number, p.name, p.sku, (SELECT group_concat(v.sku, char(10)) FROM items v
        WHERE v.parent_id = p.id AND v.out_since IS NULL) FROM temp.numbered n CROSS JOIN items p ON p.id = n.id ORDER BY n.number';

    private readonly PDOStatement $carrying;

    public function __construct(
        private readonly EditionWriter $writer,
        private readonly Numbering $numbering,
        private readonly ShownSpellings $spellings,
        private readonly PDO $pdo,
    ) {
        $this->carrying = $pdo->prepare('SELECT item_id FROM assignments WHERE spelling_id = ?');
    }

    /** What the file has of a definition is written anew. */
    public function remove(int $definition): void
    {
        $this->writer->removeCarriers($definition);
        foreach (['shown', 'shared_texts', 'search_texts'] as $table) {
            $this->writer->remove($table, 'definition', $definition);
        }
    }

    public function definition(Definition $definition): void
    {
        $text = '';
        $items = [];
        foreach ($this->spellings->of($definition) as $id => $shown) {
            $this->writer->insert('shown', [$id, $definition->id, ...$shown->toRow()]);
            $folded = StrictKey::of($shown->text);
            // Those of one value come one after the other.
            if ($folded !== $text) {
                $this->text($definition->id, $text, $items);
                [$text, $items] = [$folded, []];
            }
            $this->carrying->execute([$id]);
            $carrying = array_values($this->carrying->fetchAll(PDO::FETCH_COLUMN));
            $items = $items === [] ? $carrying : array_merge($items, $carrying);
        }
        $this->text($definition->id, $text, $items);
        $this->pack($definition->id, $this->few());
        $this->writer->remove('found_by');
    }

    /** Names, numbers and categories, which no definition says. */
    public function own(): void
    {
        $in = $this->pdo->prepare('SELECT id FROM items WHERE category_id = ? AND parent_id IS NULL AND out_since IS NULL');
        $few = [];
        foreach (Category::table()->orderBy('id')->pluck('name', 'id') as $id => $name) {
            $in->execute([$id]);
            $text = StrictKey::of((string) $name);
            foreach ($this->fewer(self::OWN, $text, array_values($in->fetchAll(PDO::FETCH_COLUMN))) as $product) {
                $few[$product][] = $text;
            }
        }
        $this->pack(self::OWN, $this->names($few));
    }

    /**
     * @param  array<int, list<string>>  $categories  that few products are in, by the number of the product
     * @return iterable<int, string>
     */
    private function names(array $categories): iterable
    {
        foreach (Rows::from($this->pdo, self::NAMES) as [$number, $name, $sku, $skus]) {
            $own = array_filter([(string) $name, (string) $sku, ...explode("\n", (string) $skus)], fn (string $text): bool => $text !== '');
            yield $number => implode("\n", [...$categories[$number] ?? [], ...array_unique(array_map(StrictKey::of(...), $own))]);
        }
    }

    /** @param  list<int>  $items  that carry it */
    private function text(int $definition, string $text, array $items): void
    {
        foreach ($this->fewer($definition, $text, $items) as $product) {
            $this->writer->insert('found_by', [$product, $text]);
        }
    }

    /**
     * Writes a text that many share.
     *
     * @param  list<int>  $items  that carry it
     * @return list<int> the numbers of their products, where these are few, and nothing was written
     */
    private function fewer(int $definition, string $text, array $items): array
    {
        $products = array_keys($this->numbering->productsOf($items));
        if (count($products) < self::MANY) {
            return $products;
        }
        $bits = StoredBits::encode($products, $this->numbering->layout->productBytes());
        $id = $this->writer->insert('shared_texts', [null, $definition, $text]);
        $this->writer->insert('shared_carriers', [$id, new Blob($bits)]);

        return [];
    }

    /** @return iterable<int, string> what few products have, product by product */
    private function few(): iterable
    {
        $all = 'SELECT number, group_concat(folded, char(10)) FROM temp.found_by GROUP BY number ORDER BY number';
        foreach ($this->writer->rows($all) as [$number, $text]) {
            yield $number => (string) $text;
        }
    }

    /** @param  iterable<int, string>  $all  texts by the number of the product, rising */
    private function pack(int $definition, iterable $all): void
    {
        $texts = [];
        foreach ($all as $number => $text) {
            $texts[$number] = $text;
            if (count($texts) === TextBlock::SIZE) {
                $this->block($definition, $texts);
                $texts = [];
            }
        }
        $this->block($definition, $texts);
    }

    /** @param  array<int, string>  $texts  by the number of the product */
    private function block(int $definition, array $texts): void
    {
        if ($texts !== []) {
            $this->writer->insert('search_texts', [
                $definition,
                new Blob(pack('V*', ...array_keys($texts))),
                new Blob(TextBlock::packed(array_values($texts))),
            ]);
        }
    }
}
