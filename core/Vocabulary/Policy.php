<?php

declare(strict_types=1);

namespace Lokum\Vocabulary;

/** What a newcomer does when its strict key is not known (C14). */
enum Policy: string
{
    case Follow = 'follow';
    case Certain = 'certain';
    case Hold = 'hold';
    case Refuse = 'refuse';

    public function label(): string
    {
        return match ($this) {
            self::Follow => 'Becomes a term at once',
            self::Certain => 'Lands by itself where that is certain, else waits for a decision',
            self::Hold => 'Waits for a decision, hidden from shoppers',
            self::Refuse => 'Its row is refused',
        };
    }
}
