<?php

declare(strict_types=1);

namespace Lokum\Vocabulary;

use Lokum\Quantity\Dimensions;
use Lokum\Quantity\MeasureText;
use Lokum\Quantity\QuantityRange;
use Lokum\Quantity\UnreadableQuantity;
use Lokum\Text\StrictKey;

/**
 * Sizes in the order of the trade: XXS … 7XL, brush sizes 000, 00, 0, 1 …, plain numbers, EU 38 and UK 5 each by
 * itself, ISO sheets A10 … 4A0, measures in one unit.
 * Letter sizes and brush noughts are common practice, no source; sheets follow ISO 216 (A0 is the largest of the
 * numbered ones, 2A0 and 4A0 are larger).
 */
final class SizeLadder
{
    /** Shoe and clothing sizes that are told by where they are used. Common practice, no source. */
    private const SYSTEMS = 'eu|uk|us|usa|fr|it|de|jp|au|br|cn|kr|mondo';

    private const WORDS = [
        'mini' => -2.5,
        'extra small' => -2,
        'small' => -1,
        'medium' => 0,
        'large' => 1,
        'extra large' => 2,
    ];

    /** Whether an attribute's name says that its values are sizes. */
    public static function isAbout(string $attribute): bool
    {
        return preg_match('/\b(?:sizes?|format|sheet)\b/', StrictKey::of($attribute)) === 1;
    }

    /** Where a label stands on its ladder; null: on none. */
    public static function rung(string $label): ?Rung
    {
        $key = (string) preg_replace('/^(?:size|no|nr|#)\s*(?=[0-9])/', '', StrictKey::of($label));

        return self::letters($key) ?? (self::system($key) ?? (self::sheet($key) ?? (self::measure($label) ?? self::number($key))));
    }

    /** Whether a label is a size in letters: XS, 2XL, medium. */
    public static function isLetters(string $label): bool
    {
        return self::letters(StrictKey::of($label)) !== null;
    }

    private static function letters(string $key): ?Rung
    {
        $rung = fn (float $height): Rung => new Rung('0', 'Letter sizes', $height);
        if (isset(self::WORDS[$key])) {
            return $rung((float) self::WORDS[$key]);
        }
        if (preg_match('/^(x*|[0-9]{1,2}x)([sml])$/D', $key, $part) !== 1) {
            return null;
        }
        $times = str_ends_with($part[1], 'x') && ctype_digit($part[1][0]) ? (int) $part[1] : strlen($part[1]);
        if ($part[2] === 'm') {
            return $times === 0 ? $rung(0.0) : null;
        }

        return $rung((float) (($part[2] === 's' ? -1 : 1) * ($times + 1)));
    }

    private static function number(string $key): ?Rung
    {
        if (preg_match('/^0+$/D', $key) === 1) {
            return new Rung('1', 'Numbers', 1.0 - strlen($key));
        }

        return preg_match('/^[0-9]+(?:[.,][0-9]+)?/', $key, $number) === 1
            ? new Rung('1', 'Numbers', (float) str_replace(',', '.', $number[0]))
            : null;
    }

    private static function system(string $key): ?Rung
    {
        $number = '(?<number>[0-9]+(?:[.,][0-9]+)?)';
        $name = '(?<name>'.self::SYSTEMS.')';
        if (
            preg_match("/^{$name}\\s*{$number}$/D", $key, $part) !== 1 &&
            preg_match("/^{$number}\\s*{$name}$/D", $key, $part) !== 1
        ) {
            return null;
        }

        return new Rung("2 {$part['name']}", mb_strtoupper($part['name']), (float) str_replace(',', '.', $part['number']));
    }

    private static function sheet(string $key): ?Rung
    {
        if ($key === '2a0' || $key === '4a0') {
            return new Rung('3', 'Sheets', $key === '2a0' ? 1.0 : 2.0);
        }

        return preg_match('/^([abc])([0-9]{1,2})$/D', $key, $sheet) === 1
            ? new Rung('3', 'Sheets', [
                'a' => 0.0,
                'c' => 0.25,
                'b' => 0.5,
            ][$sheet[1]] - (float) $sheet[2])
            : null;
    }

    /** A measure by what it is in one unit: 50 mm, 10 cm, 1 m. Of a range the lower end, of sides the first. */
    private static function measure(string $label): ?Rung
    {
        if (preg_match('/\d|[½⅓⅔¼¾⅛⅜⅝⅞]/u', $label) !== 1) {
            return null;
        }
        try {
            $read = MeasureText::read($label);
        } catch (UnreadableQuantity) {
            return null;
        }
        [$group, $name, $first] = match (true) {
            $read instanceof Dimensions => ['5', 'Sides', $read->sides[0]],
            $read instanceof QuantityRange => ['4', 'Measures', $read->from],
            default => ['4', 'Measures', $read],
        };
        if ($first->unit === null) {
            return null;
        }
        $powers = $first->unit->powers;
        ksort($powers);

        return new Rung(
            "{$group} ".json_encode($powers),
            $name,
            $first->unit->convert($first->number, $first->unit->base())->toFloat(),
        );
    }
}
