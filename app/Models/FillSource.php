<?php

declare(strict_types=1);

namespace App\Models;

/** What a fill rule takes its values from. */
enum FillSource: string
{
    case Category = 'category';
    case Words = 'words';
    case Number = 'number';
    case Definition = 'definition';
    case Fixed = 'fixed';

    public function label(): string
    {
        return match ($this) {
            self::Category => 'A branch of the category tree',
            self::Words => 'Words in name or description',
            self::Number => 'A number, by bands',
            self::Definition => 'Another definition',
            self::Fixed => 'Always the same value',
        };
    }
}
