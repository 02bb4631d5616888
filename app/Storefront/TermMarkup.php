<?php

declare(strict_types=1);

namespace App\Storefront;

use App\Support\Cube;
use App\Support\Format;
use Lokum\Lineup\OfferedTerm;

/** One term of a filter as HTML. A page has hundreds of them, so they are written here and not by a template each. */
final class TermMarkup
{
    /** As a tick or a choice, with its cube where it has one. */
    public static function tick(ShownFilter $filter, OfferedTerm $term): string
    {
        $name = '<span class="name">'.e($term->label).'</span>';

        return self::label(
            $filter,
            $term,
            '',
            $term->look->isUndressed()
                ? $name
                : '<span class="cube min-w-0">'.Cube::picture($term->label, $term->look).$name.'</span>',
        );
    }

    /** As a cube to be pressed. */
    public static function cube(ShownFilter $filter, OfferedTerm $term): string
    {
        return self::label(
            $filter,
            $term,
            self::said($filter, $term),
            '<span class="cube min-w-0">'.
                Cube::picture($term->label, $term->look).
                '<span class="name">'.
                e($term->label).
                '</span></span>',
        );
    }

    /** As a box to be pressed, without a picture. */
    public static function box(ShownFilter $filter, OfferedTerm $term): string
    {
        return self::label($filter, $term, self::said($filter, $term), '<span class="name">'.e($term->label).'</span>');
    }

    /** What is heard of a box: its count too, where counts are shown. */
    private static function said(ShownFilter $filter, OfferedTerm $term): string
    {
        return ' aria-label="'.
            e($term->label.($filter->settings->counts ? ', '.Format::count($term->count, 'product') : '')).
            '"';
    }

    private static function label(ShownFilter $filter, OfferedTerm $term, string $said, string $inside): string
    {
        $available = $term->isAvailable();

        return '<label class="term'.
            ($available ? '' : ' off').
            '"'.
            ($term->look->help === null ? '' : ' title="'.e($term->look->help).'"').
            '><input type="'.
            ($filter->isSingle() ? 'radio' : 'checkbox').
            '" id="pick-'.
            e($filter->key.'-'.$term->slug).
            '" name="'.
            e($filter->field()).
            '" value="'.
            e($term->slug).
            '"'.
            $said.
            ($term->picked ? ' checked' : '').
            ($available ? '' : ' disabled').
            '>'.
            $inside.
            ($filter->settings->counts ? '<span class="n">'.Format::number($term->count).'</span>' : '').
            '</label>';
    }
}
