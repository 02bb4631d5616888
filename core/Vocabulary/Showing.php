<?php

declare(strict_types=1);

namespace Lokum\Vocabulary;

/** Where shoppers see a value: as a term of filters and on its products, on its products alone, or nowhere. */
enum Showing: string
{
    case Everywhere = 'everywhere';
    case Products = 'products';
    case Nowhere = 'nowhere';

    /** From a mark in a list: "products" for on products alone, any yes for nowhere, anything else for everywhere. */
    public static function fromMark(string $mark): self
    {
        return match (true) {
            mb_strtolower(trim($mark)) === self::Products->value => self::Products,
            FlagWord::read($mark) === true => self::Nowhere,
            default => self::Everywhere,
        };
    }

    /** What stands under "hidden" in a list. */
    public function mark(): string
    {
        return match ($this) {
            self::Everywhere => '',
            self::Products => self::Products->value,
            self::Nowhere => 'yes',
        };
    }

    public function label(): string
    {
        return match ($this) {
            self::Everywhere => 'in filters and on products',
            self::Products => 'on products, not in filters',
            self::Nowhere => 'nowhere',
        };
    }
}
