<?php

declare(strict_types=1);

namespace App\Catalog;

use App\Models\Definition;
use Lokum\Lineup\SortOrder;
use Lokum\Vocabulary\Kind;

/** The products of the catalog in an order; those without what it asks for come last. */
final class SortSql
{
    private const OWN = '(SELECT %1$s(v.%2$s) FROM items v WHERE v.parent_id = p.id AND v.out_since IS NULL)';

    /**
     * @param  string  $where  condition on the product p
     * @param  bool  $soldOutLast  whether products that are sold out come behind all others
     */
    public static function of(SortOrder $order, string $where = '1', bool $soldOutLast = false): string
    {
        $steps = $soldOutLast ? ['NOT '.Stock::ofProduct()] : [];
        foreach ($order->by as [$field, $down]) {
            $sql = self::field($field, $down);
            if ($sql !== null) {
                $steps[] = "{$sql} ".($down ? 'DESC' : 'ASC').' NULLS LAST';
            }
        }

        return "SELECT p.id FROM items p WHERE p.parent_id IS NULL AND {$where} ORDER BY ".implode(', ', [...$steps, 'p.id']);
    }

    /** Of several variants the lowest counts where the lowest comes first, and the greatest where the greatest does. */
    private static function field(string $field, bool $down): ?string
    {
        $pick = $down ? 'MAX' : 'MIN';

        return match ($field) {
            'name' => 'p.title',
            'new' => 'p.id',
            // Of a product with variants only theirs are seen.
            'price', 'stock' => "CASE p.variant_count WHEN 0 THEN p.{$field} ELSE ".sprintf(self::OWN, $pick, $field).' END',
            default => self::number($field, $pick),
        };
    }

    private static function number(string $field, string $pick): ?string
    {
        $definition = Definition::query()
            ->accepted()
            ->where('slug', $field)
            ->whereIn('kind', [Kind::Number, Kind::Date])
            ->value('id');

        return $definition === null
            ? null
            : "(SELECT {$pick}(s.number) FROM assignments a JOIN spellings s ON s.id = a.spelling_id
                WHERE a.definition_id = {$definition} AND a.item_id IN (SELECT p.id UNION ALL SELECT id FROM items
                WHERE parent_id = p.id))";
    }
}
