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
                : self::values($cell->held, $cell->definition, $cell->of > 1 ? 1 : 2, true),
        );
    }

    /** Values beyond those that are shown at once that come along, to be shown on demand. */
    private const ON_DEMAND = 40;

    /**
     * @param  list<Cell>  $cells
     * @param  bool  $onDemand  whether the rest comes along, to be shown when its number is pressed
     */
    public static function values(array $cells, Definition $definition, int $most, bool $onDemand = false): string
    {
        $unique = [];
        foreach ($cells as $cell) {
            $unique[$cell->valueId ?? $cell->text] ??= $cell;
        }
        $some = fn (int $from, int $number): string => implode(
            ' ',
            array_map(
                fn (Cell $cell): string => self::value($cell, $definition),
                array_slice($unique, $from, $number),
            ),
        );
        $rest = count($unique) - $most;

        return $some(0, $most).
            match (true) {
                $rest <= 0 => '',
                $onDemand => ' <span class="soft count-of-rest" title="All of them: press here, or the space bar">+ '.
                    "{$rest}</span> <span class=\"rest-of-cell\">".
                    $some($most, self::ON_DEMAND).
                    ($rest > self::ON_DEMAND ? ' <span class="soft">and '.($rest - self::ON_DEMAND).' more</span>' : '').
                    '</span>',
                default => " <span class=\"soft\">+ {$rest}</span>",
            };
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
                e(mb_strimwidth($cell->shown($definition), 0, 60, '…')).
                '</span>',
            default => '<span>'.e(mb_strimwidth($cell->shown($definition), 0, 60, '…')).'</span>',
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
