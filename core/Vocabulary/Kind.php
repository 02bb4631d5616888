<?php

declare(strict_types=1);

namespace Lokum\Vocabulary;

/** What a definition holds: an attribute (choice, flag) or a custom field (number, text, date). */
enum Kind: string
{
    case Choice = 'choice';
    case Flag = 'flag';
    case Number = 'number';
    case Text = 'text';
    case Date = 'date';

    /** Whether its values come from a list. */
    public function isAttribute(): bool
    {
        return $this === self::Choice || $this === self::Flag;
    }

    public function label(): string
    {
        return match ($this) {
            self::Choice => 'Choice',
            self::Flag => 'Yes or no',
            self::Number => 'Number',
            self::Text => 'Text',
            self::Date => 'Date',
        };
    }
}
