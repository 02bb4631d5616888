<?php

declare(strict_types=1);

namespace App\Settings;

/** What the prices of the shop are, as shoppers are told beside them. */
enum Taxes: string
{
    case Unsaid = 'unsaid';
    case Included = 'included';
    case Excluded = 'excluded';

    public function label(): string
    {
        return match ($this) {
            self::Unsaid => 'say nothing of it',
            self::Included => 'include tax',
            self::Excluded => 'are without tax',
        };
    }

    /** Beside a price. */
    public function besidePrice(): string
    {
        return match ($this) {
            self::Unsaid => '',
            self::Included => 'incl. tax',
            self::Excluded => 'plus tax',
        };
    }
}
