<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Data\Rows;
use App\Editions\ShownText;
use App\Models\Definition;
use Lokum\Quantity\ShownNumber;
use Lokum\Vocabulary\Kind;
use Lokum\Vocabulary\Look;
use Lokum\Vocabulary\TermOrder;
use PDO;

/** What shoppers read where a product carries a spelling, for every spelling of a definition that is shown. */
final readonly class ShownSpellings
{
    public function __construct(private PDO $pdo)
    {
    }

    /** @return iterable<int, ShownText> by spelling, those of one value one after the other */
    public function of(Definition $definition): iterable
    {
        foreach (
            Rows::from(
                $this->pdo,
                'SELECT s.id, s.text, s.number, v.label, v.look, v.position FROM spellings s
                    LEFT JOIN attribute_values v ON v.id = s.value_id
                    WHERE s.definition_id = '.
                    $definition->id.
                    ' AND (v.id IS NULL OR v.held = 0 OR v.on_products = 1) ORDER BY s.value_id, s.id',
            ) as [$id, $text, $number, $label, $look, $position]
        ) {
            yield (int) $id => $this->shown($definition, (string) $text, $number, $label, $look, (int) $position);
        }
    }

    private function shown(Definition $definition, string $text, mixed $number, mixed $label, mixed $look, int $position): ShownText
    {
        $look = Look::fromJson($look === null ? null : (string) $look);

        return new ShownText(
            $definition->level,
            $definition->label,
            match (true) {
                $label !== null => $look->label ?? (string) $label,
                $number !== null && $definition->kind === Kind::Number => ShownNumber::of(
                    $text,
                    (float) $number,
                    $definition->unit,
                    $definition->decimals,
                ),
                default => trim($text),
            },
            $look->colors,
            $definition->term_order === TermOrder::Hand ? $position : 0,
        );
    }
}
