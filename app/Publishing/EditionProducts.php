<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Definitions\Definition;
use App\Definitions\State;
use Closure;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Lokum\Vocabulary\Level;
use Lokum\Vocabulary\Look;

/** Writes the products of an edition with all that their pages show, and the orders they can stand in. */
final readonly class EditionProducts
{
    private const CHUNK = 500;

    private const PRICE = '(SELECT %s(i.price) FROM items i WHERE (i.id = p.id OR i.parent_id = p.id) AND i.variant_count = 0)';

    public function __construct(private EditionWriter $writer, private Numbering $numbering) {}

    /**
     * @param  Collection<int, Definition>  $definitions
     * @param  Closure(float): void  $progress
     */
    public function __invoke(Collection $definitions, Closure $progress): void
    {
        $shown = $definitions->where('state', State::Accepted)->keyBy('id');
        $total = max(1, $this->numbering->layout->products());
        $written = 0;
        DB::table('items')->whereNull('parent_id')->orderBy('id')->chunkById(self::CHUNK, function (Collection $products) use ($shown, $progress, $total, &$written): void {
            $this->write($products, $shown);
            $progress(($written += count($products)) / $total);
        });
        $this->orders();
    }

    /**
     * @param  Collection<int, \stdClass>  $products
     * @param  Collection<int, Definition>  $shown
     */
    private function write(Collection $products, Collection $shown): void
    {
        $ids = $products->pluck('id')->all();
        $variants = DB::table('items')->whereIn('parent_id', $ids)->orderBy('id')->get(['id', 'parent_id', 'sku', 'name', 'price', 'currency', 'stock', 'variant_count'])->groupBy('parent_id');
        $data = $this->data([...$ids, ...$variants->flatten(1)->pluck('id')->all()], $shown);
        foreach ($products as $product) {
            $own = $variants[$product->id] ?? collect([$product]);
            $prices = $own->pluck('price')->filter(fn (mixed $price): bool => $price !== null);
            $colors = [];
            $rows = [];
            foreach ($own as $variant) {
                $colors = $colors ?: ($data[$variant->id]['colors'] ?? []);
                $rows[] = ['sku' => $variant->sku, 'name' => $variant->name, 'price' => $variant->price, 'stock' => $variant->stock, 'properties' => $data[$variant->id][Level::Variant->value] ?? []];
            }
            $body = ['description' => $product->description, 'image' => $product->image, 'colors' => $colors ?: ($data[$product->id]['colors'] ?? []),
                'properties' => $data[$product->id][Level::Product->value] ?? [], 'variants' => $rows];
            $stocks = $own->pluck('stock')->filter(fn (mixed $stock): bool => $stock !== null);
            $this->writer->insert('products', [$this->numbering->product($product->id), $product->sku, $product->name ?? $product->sku, $product->category_id,
                $prices->min(), $prices->max(), $own->pluck('currency')->filter()->first() ?? $product->currency, $stocks->isEmpty() ? null : (int) ($stocks->max() > 0),
                (string) json_encode($body, JSON_UNESCAPED_UNICODE | JSON_INVALID_UTF8_SUBSTITUTE)]);
        }
    }

    /**
     * @param  list<int>  $items
     * @param  Collection<int, Definition>  $shown
     * @return array<int, array<string, mixed>> by item: properties by level, and the colors it wears
     */
    private function data(array $items, Collection $shown): array
    {
        $data = [];
        $rows = DB::table('assignments as a')->join('spellings as s', 's.id', '=', 'a.spelling_id')->leftJoin('attribute_values as v', 'v.id', '=', 's.value_id')
            ->whereIn('a.item_id', $items)->get(['a.item_id', 'a.definition_id', 's.text', 's.number', 'v.label', 'v.look', 'v.held']);
        foreach ($rows as $row) {
            $definition = $shown[$row->definition_id] ?? null;
            if ($definition === null || $row->held) {
                continue;
            }
            $text = match (true) {
                $row->label !== null => Look::fromJson($row->look)->label ?? $row->label,
                $row->number !== null && $definition->unit !== null => self::number((float) $row->number).' '.$definition->unit,
                default => trim($row->text),
            };
            $data[$row->item_id][$definition->level->value][$definition->label][] = $text;
            if (! isset($data[$row->item_id]['colors']) && is_string($row->look)) {
                $data[$row->item_id]['colors'] = Look::fromJson($row->look)->colors ?: null;
            }
        }

        return $data;
    }

    private function orders(): void
    {
        $price = 'SELECT p.id, '.sprintf(self::PRICE, '%s').' AS price FROM items p WHERE p.parent_id IS NULL ORDER BY price IS NULL, price %s, p.id';
        foreach ([
            'name' => 'SELECT id FROM items WHERE parent_id IS NULL ORDER BY name COLLATE NOCASE, id',
            'price' => sprintf($price, 'MIN', 'ASC'),
            'price-down' => sprintf($price, 'MAX', 'DESC'),
            'new' => 'SELECT id FROM items WHERE parent_id IS NULL ORDER BY id DESC',
        ] as $name => $sql) {
            $packed = '';
            $statement = DB::connection()->getPdo()->query($sql);
            while ($statement !== false && ($id = $statement->fetchColumn()) !== false) {
                $packed .= pack('V', $this->numbering->product((int) $id));
            }
            $this->writer->insert('orders', [$name, new Blob($packed)]);
        }
    }

    private static function number(float $number): string
    {
        return rtrim(rtrim(number_format($number, 3, '.', ''), '0'), '.');
    }
}
