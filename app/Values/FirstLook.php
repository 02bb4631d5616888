<?php

declare(strict_types=1);

namespace App\Values;

use App\Models\Definition;
use App\Models\Value;
use Lokum\Color\ColorNames;
use Lokum\Vocabulary\Look;

/** Takes the look of a new value from its name, where the attribute is about colors. */
final class FirstLook
{
    /** Color, Frame colours, Farbe */
    private const OF_COLORS = '/\b(?:colou?rs?|farben?|shades?|tints?|couleurs?)\b/iu';

    public const COLORS = 'colors';

    public const LETTERS = 'letters';

    /** Whether somebody said so, its name says so, or half of its values wear colors already. */
    public static function wearsColors(Definition $definition): bool
    {
        if ($definition->dress !== null) {
            return $definition->dress === self::COLORS;
        }
        if (
            preg_match(
                self::OF_COLORS,
                str_replace(['_', '-'], ' ', $definition->label.' '.$definition->slug),
            ) === 1
        ) {
            return true;
        }
        $values = Value::table()->where('definition_id', $definition->id)->whereNull('merged_into');
        $all = $values->count();

        return $all > 3 && $values->whereNotNull('look')->where('look', 'like', '%"colors"%')->count() * 2 >= $all;
    }

    public static function fromName(string $label): ?string
    {
        return (new Look(ColorNames::in($label)))->toJson();
    }
}
