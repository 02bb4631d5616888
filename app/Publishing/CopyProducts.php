<?php

declare(strict_types=1);

namespace App\Publishing;

use Closure;
use PDO;

/**
 * Copies products and variants that are numbered into an edition's file, each with the spellings that it carries; what these say stands
 * in the file once, and is put together where a product is shown. A product that is its own variant says its spellings as a product; a
 * variant without any has the spelling 0, which there is none of.
 */
final readonly class CopyProducts
{
    private const CHUNK = 20_000;

    /** In the order of the table that it reads first, which is that of the edition. */
    private const VARIANTS = '
        INSERT OR REPLACE INTO edition.variants
        SELECT l.product, l.lane, i.id, i.sku, i.name, i.price, i.stock,
            CASE WHEN i.parent_id IS NOT NULL
                THEN COALESCE((SELECT group_concat(a.spelling_id) FROM assignments a WHERE a.item_id = i.id), 0) END
        FROM temp.placed l CROSS JOIN items i ON i.id = l.id';

    private const PRODUCTS = '
        INSERT OR REPLACE INTO edition.products
        SELECT n.number, p.id, p.sku, COALESCE(p.name, p.sku), p.category_id, v.low, v.high,
            COALESCE(p.currency,
                (SELECT i.currency FROM items i WHERE i.parent_id = p.id AND i.currency IS NOT NULL ORDER BY i.id LIMIT 1)),
            v.stocked > 0, p.description, (SELECT group_concat(a.spelling_id) FROM assignments a WHERE a.item_id = p.id)
        FROM temp.numbered n JOIN items p ON p.id = n.id
            LEFT JOIN (SELECT product, MIN(price) AS low, MAX(price) AS high, MAX(stock) AS stocked FROM edition.variants
                WHERE product IN (SELECT number FROM temp.numbered WHERE number >= %1$d AND number < %2$d)
                GROUP BY product) v ON v.product = n.number
        WHERE n.number >= %1$d AND n.number < %2$d ORDER BY n.number';

    /** @param  PDO  $pdo  of the catalog, with the edition's file attached */
    public function __construct(private PDO $pdo)
    {
    }

    /** @param  Closure(float): void  $progress */
    public function __invoke(int $products, Closure $progress): void
    {
        $this->pdo->exec(self::VARIANTS);
        for ($from = 0; $from < $products; $from += self::CHUNK) {
            $progress(0.5 + (0.5 * $from) / $products);
            $this->pdo->exec(sprintf(self::PRODUCTS, $from, $from + self::CHUNK));
        }
    }
}
