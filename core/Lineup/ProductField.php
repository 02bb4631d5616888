<?php

declare(strict_types=1);

namespace Lokum\Lineup;

use Lokum\Vocabulary\Kind;
use Lokum\Vocabulary\Level;

/**
 * A field that every product has beside its definitions, as filters, conditions, rules and sort orders ask for it. The brand is none:
 * it is an attribute like any other, whose values are merged and gathered.
 */
enum ProductField: string
{
    case Price = 'price';
    case Stock = 'stock';
    case Category = 'category';
    case Added = 'added';
    case Discount = 'discount';

    /** Terms of stock, which is a number as well as a yes/no question; terms of attributes are numbered from 1. */
    public const IN_STOCK = -1;

    public const SOLD_OUT = -2;

    /** What a filter over it asks for. */
    public function kind(): Kind
    {
        return match ($this) {
            self::Stock => Kind::Flag,
            self::Category => Kind::Choice,
            default => Kind::Number,
        };
    }

    /** Where it counts: the date and the category are the product's, prices and stock each variant's. */
    public function level(): Level
    {
        return match ($this) {
            self::Category, self::Added => Level::Product,
            default => Level::Variant,
        };
    }

    /** What it is called among fields. */
    public function label(): string
    {
        return match ($this) {
            self::Price => 'Price',
            self::Stock => 'Stock',
            self::Category => 'Category',
            self::Added => 'New',
            self::Discount => 'Discount',
        };
    }

    /** What a filter over it is called where nobody says otherwise. */
    public function title(): string
    {
        return $this === self::Stock ? 'In stock' : $this->label();
    }

    /**
     * Its numbers' unit: the shop's currency, days, per cent.
     *
     * @param  string  $currency  ISO 4217
     */
    public function unit(string $currency): ?string
    {
        return match ($this) {
            self::Price => $currency,
            self::Added => 'days',
            self::Discount => '%',
            default => null,
        };
    }

    /** @return list<self> those that are a number in every product's row, whatever line-ups ask for */
    public static function ownNumbers(): array
    {
        return [self::Price, self::Stock];
    }

    /** The term that a variant of so much stock carries; none where nobody counts it. */
    public static function stockTerm(?int $stock): ?int
    {
        return $stock === null ? null : ($stock > 0 ? self::IN_STOCK : self::SOLD_OUT);
    }

    /** @return list<OfferableTerm> the terms that are the same on every page */
    public function terms(): array
    {
        return $this === self::Stock
            ? [new OfferableTerm(self::IN_STOCK, 'yes', 'In stock'), new OfferableTerm(self::SOLD_OUT, 'no', 'Sold out')]
            : [];
    }
}
