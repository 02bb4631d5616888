<?php

declare(strict_types=1);

namespace Lokum\Lineup;

/** What happens to a term that no product would be left for. */
enum EmptyTerms: string
{
    case Hide = 'hide';
    case Unavailable = 'unavailable';

    public function label(): string
    {
        return match ($this) {
            self::Hide => 'Hidden',
            self::Unavailable => 'Shown unavailable',
        };
    }
}
