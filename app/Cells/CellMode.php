<?php

declare(strict_types=1);

namespace App\Cells;

use App\Models\Definition;
use Lokum\Vocabulary\Kind;

/** What is done to the cells of one definition on many products. */
enum CellMode: string
{
    case Set = 'set';
    case Add = 'add';
    case Remove = 'remove';
    case Clear = 'clear';
    case Copy = 'copy';
    case Replace = 'replace';
    case Raise = 'raise';
    case Percent = 'percent';
    case Round = 'round';

    public function label(): string
    {
        return match ($this) {
            self::Set => 'Set',
            self::Add => 'Add',
            self::Remove => 'Remove',
            self::Clear => 'Clear',
            self::Copy => 'Copy from another',
            self::Replace => 'Find and replace',
            self::Raise => 'Raise by an amount',
            self::Percent => 'Raise by per cent',
            self::Round => 'Round to a step',
        };
    }

    public function isFor(Definition $definition): bool
    {
        return match ($this) {
            self::Set, self::Clear, self::Copy => true,
            self::Add => $definition->multiple,
            self::Remove => $definition->kind->isAttribute(),
            self::Replace => $definition->kind === Kind::Text || $definition->kind === Kind::Choice,
            self::Raise, self::Percent, self::Round => $definition->kind === Kind::Number,
        };
    }

    /** Whether each cell's new text is made from an old one, and not the same everywhere. */
    public function maps(): bool
    {
        return in_array($this, [self::Copy, self::Replace, self::Raise, self::Percent, self::Round], true);
    }

    public function isAboutNumbers(): bool
    {
        return in_array($this, [self::Raise, self::Percent, self::Round], true);
    }
}
