<?php

declare(strict_types=1);

namespace Lokum\Feed;

use Lokum\Text\Label;

/** Prices and stock as the known columns hold them. */
final class Money
{
    private const MOST = 1e12;

    /**
     * A price: digits with a point or a decimal comma, nothing else. The currency has a column of its own.
     *
     * @return float|null null for a blank cell
     *
     * @throws BadCell
     */
    public static function price(string $cell): ?float
    {
        if (Label::isBlank($cell)) {
            return null;
        }
        $text = Label::of($cell);
        if (preg_match('/^\d+(?:\.\d+|,\d{1,2})?$/D', $text) === 1) {
            $price = (float) str_replace(',', '.', $text);

            return $price < self::MOST ? $price : throw BadCell::of($cell, 'is too large for a price');
        }

        throw match (true) {
            str_starts_with($text, '-') || str_starts_with($text, "\u{2212}") => BadCell::of(
                $cell,
                'is negative; a price is zero or more',
            ),
            preg_match('/\p{Sc}|\d\s*[A-Z]{3}$|^[A-Z]{3}\s*\d/u', $text) === 1 => BadCell::of(
                $cell,
                'carries a currency; write the number alone (12.50) and put the currency in its own column',
            ),
            preg_match('/^\d[\d.]*e[+-]?\d+$/iD', $text) === 1 => BadCell::of(
                $cell,
                'is written with an exponent; write the price out in digits',
            ),
            preg_match('/^\d[\d.,\' ]*$/D', $text) === 1 => BadCell::of($cell, 'has marks between thousands; write 1250.00'),
            default => BadCell::of($cell, 'is not a price; write it as 12.50'),
        };
    }

    /**
     * A stock level: a whole number, negative for what is owed.
     *
     * @return int|null null for a blank cell
     *
     * @throws BadCell
     */
    public static function stock(string $cell): ?int
    {
        if (Label::isBlank($cell)) {
            return null;
        }
        $text = Label::of($cell);

        return preg_match('/^[+-]?\d{1,12}(?:\.0+)?$/D', $text) === 1
            ? (int) $text
            : throw BadCell::of($cell, 'is not a stock level; write a whole number');
    }
}
