<?php

declare(strict_types=1);

namespace App\Sources;

/** Where a feed's files come from. */
enum SourceKind: string
{
    case Hand = 'hand';
    case Inbox = 'inbox';
    case Address = 'address';
    case Server = 'server';

    /** Whether it is elsewhere: it has an address, and may ask who is there. */
    public function isElsewhere(): bool
    {
        return $this === self::Address || $this === self::Server;
    }

    public function label(): string
    {
        return match ($this) {
            self::Hand => 'Somebody brings them',
            self::Inbox => 'Files in the inbox',
            self::Address => 'An address',
            self::Server => 'A folder by SFTP',
        };
    }
}
