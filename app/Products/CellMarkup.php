<?php

declare(strict_types=1);

namespace App\Products;

use App\Cells\Cell;
use App\Models\Definition;
use App\Models\Origin;
use App\Support\Cube;
use Lokum\Vocabulary\Kind;

/** Cells as markup. A page of the grid has thousands of them, so they are written here and not by as many views. */
final class CellMarkup
{
    /** A cell of the grid, with what its editor needs to know. */
    public static function cell(GridCell $cell): string
    {
        return sprintf(
            '<td class="cell cut%s" data-item="%d" data-definition="%s" data-was="%s" data-text="%s">%s</td>',
            $cell->held === [] ? ' missing' : '',
            $cell->item,
            $cell->definition->slug,
            $cell->token(),
            e($cell->text()),
            $cell->held === []
                ? '<span class="sr-only">missing</span>'
                : self::values($cell->held, $cell->definition, $cell->of > 1 ? 1 : 2),
        );
    }

    /** @param  list<Cell>  $cells */
    public static function values(array $cells, Definition $definition, int $most): string
    {
        $unique = [];
        foreach ($cells as $cell) {
            $unique[$cell->valueId ?? $cell->text] ??= $cell;
        }
        $shown = array_map(fn (Cell $cell): string => self::value($cell, $definition), array_slice($unique, 0, $most));

        return implode(' ', $shown).
            (count($unique) > $most ? ' <span class="soft">+ '.(count($unique) - $most).'</span>' : '');
    }

    private static function value(Cell $cell, Definition $definition): string
    {
        $value = match (true) {
            $cell->label !== null && $definition->kind === Kind::Choice => '<span class="cube">'.
                Cube::picture($cell->label, $cell->look).
                '<span class="name">'.
                e(mb_strimwidth($cell->label, 0, 40, '…')).
                '</span></span>',
            $cell->problem !== null => '<span class="unread" title="'.
                e($cell->problem).
                '">'.
                e(mb_strimwidth($cell->shown($definition->unit), 0, 60, '…')).
                '</span>',
            default => '<span>'.e(mb_strimwidth($cell->shown($definition->unit), 0, 60, '…')).'</span>',
        };

        return $value.
            match (true) {
                $cell->origin === Origin::Hand => '<span class="mark-hand" title="Set by hand: feeds and rules leave it"><span '.
                    'class="sr-only">set by hand</span></span>',
                $cell->origin === Origin::Rule => ' <a class="tag" href="'.
                    e(route('rules', ['rule' => $cell->rule])).
                    '" title="From fill rule '.
                    $cell->rule.
                    '">rule</a>',
                default => '',
            };
    }
}
