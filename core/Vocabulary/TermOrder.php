<?php

declare(strict_types=1);

namespace Lokum\Vocabulary;

/** The orders that terms can stand in (C9). */
enum TermOrder: string
{
    case Hand = 'hand';
    case Alphabet = 'alphabet';
    case Number = 'number';
    case Size = 'size';
    case Products = 'products';
    case Hue = 'hue';

    public function label(): string
    {
        return match ($this) {
            self::Hand => 'by hand',
            self::Alphabet => 'by alphabet',
            self::Number => 'by number',
            self::Size => 'by size',
            self::Products => 'by products',
            self::Hue => 'by hue',
        };
    }
}
