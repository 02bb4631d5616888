<?php

declare(strict_types=1);

namespace App\Sources;

/** Where a feed's files come from. */
enum SourceKind: string
{
    case Hand = 'hand';
    case Inbox = 'inbox';
    case Address = 'address';

    public function label(): string
    {
        return match ($this) {
            self::Hand => 'Somebody brings them',
            self::Inbox => 'Files in the inbox',
            self::Address => 'An address',
        };
    }
}
