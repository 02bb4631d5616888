<?php

declare(strict_types=1);

namespace Lokum\Feed;

/** What becomes of products and variants that a feed, which sends all it has each time, sends no longer. */
enum Gone: string
{
    case Stay = 'stay';
    case SoldOut = 'sold-out';
    case Out = 'out';

    public function label(): string
    {
        return match ($this) {
            self::Stay => 'they stay as they are',
            self::SoldOut => 'they are sold out',
            self::Out => 'they go out of the shop',
        };
    }
}
