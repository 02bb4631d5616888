<?php

declare(strict_types=1);

namespace Lokum\Quantity;

use Lokum\Text\Unicode;

/**
 * Reads measures as the trade writes them: 12 in, 5 ft 6 in, 1½", 10–12 cm, 20 x 30 cm, A4. What is not clear is refused
 * with its reason and never guessed.
 */
final class MeasureText
{
    /** 30 x 40, 2" × 4", 12cm✕8cm */
    private const BETWEEN_SIDES = '/(?<=[\d\p{L}"\'′″²½¼¾ ])\s*[x×✕✖]\s*(?=[\d.,½¼¾])/ui';

    private const LONGEST = 200;

    private const BETWEEN = '/^(.*?)\s*(?:[–—~-]|…|\bto\b|\/(?=\s?\+))\s*([+-]?[\d.,½⅓⅔¼¾⅛⅜⅝⅞].*)$/u';

    /** @throws UnreadableQuantity */
    public static function read(string $text): Quantity|QuantityRange|Dimensions
    {
        $plain = trim((string) preg_replace(['/[\s\p{Z}]+/u', '/\.{2,3}(?=\d)/'], [' ', '…'], Unicode::digits($text)));
        if ($plain === '' || mb_strlen($plain) > self::LONGEST) {
            throw UnreadableQuantity::notANumber($text);
        }

        return SheetSize::find($plain) ?? (self::dimensions($plain) ?? (self::range($plain) ?? self::single($plain)));
    }

    private static function dimensions(string $text): ?Dimensions
    {
        $parts = preg_split(self::BETWEEN_SIDES, $text) ?: [];
        if (count($parts) < 2 || preg_match('/^[\d.,½⅓⅔¼¾⅛⅜⅝⅞]/u', $text) !== 1) {
            return null;
        }
        $sides = array_map(self::single(...), $parts);
        $unit = end($sides)->unit;
        if ($unit === null || ! $unit->converts(Unit::of('mm')) || count($sides) > 3) {
            throw UnreadableQuantity::manyNumbers($text);
        }

        return new Dimensions(
            array_map(
                fn (Quantity $side): Quantity => $side->unit === null ? new Quantity($side->number, $unit) : $side->to($unit),
                $sides,
            ),
        );
    }

    private static function range(string $text): ?QuantityRange
    {
        [$from, $rest] = NumberText::leading($text);
        if (preg_match(self::BETWEEN, $rest, $part) !== 1 || ($part[1] !== '' && Unit::find($part[1]) === null)) {
            return null;
        }
        $to = self::single($part[2]);
        $unit = $part[1] === '' ? $to->unit : Unit::of($part[1]);
        $from = new Quantity($from, $unit);
        if ($to->unit === null) {
            $to = new Quantity($to->number, $unit);
        } elseif ($unit !== null) {
            $from = $from->to($to->unit);
        }
        if ($from->number->isGreaterThan($to->number)) {
            throw UnreadableQuantity::backwards($text);
        }

        return new QuantityRange($from, $to);
    }

    private static function single(string $text): Quantity
    {
        [$number, $rest] = NumberText::leading($text);
        if ($rest === '') {
            return new Quantity($number, null);
        }
        $unit = Unit::find($rest);

        return $unit !== null
            ? new Quantity($number, $unit)
            : self::mixed(new Quantity($number, null), $rest) ?? throw UnreadableQuantity::unknownUnit($rest);
    }

    /** 5 ft 6 in, 1 lb 4 oz: a smaller unit behind a larger one of the same dimension. */
    private static function mixed(Quantity $large, string $rest): ?Quantity
    {
        if (preg_match('/^(\D+?)[ ,]*(\d.*)$/u', $rest, $part) !== 1 || ($unit = Unit::find($part[1])) === null) {
            return null;
        }
        $small = self::single($part[2]);
        if (
            $small->unit === null ||
            ! $small->unit->converts($unit) ||
            $small->unit->factor->isGreaterThanOrEqualTo($unit->factor)
        ) {
            return null;
        }

        return new Quantity($large->number->plus($small->to($unit)->number), $unit);
    }
}
