<?php

declare(strict_types=1);

namespace App\Models;

/** Where something happened, as History names it. */
enum Room: string
{
    case Access = 'Access';
    case Categories = 'Categories';
    case Definitions = 'Definitions';
    case Feeds = 'Feeds';
    case FillRules = 'Fill rules';
    case LineUps = 'Line-ups';
    case Products = 'Products';
    case Publishing = 'Publishing';
    case Settings = 'Settings';
    case Values = 'Values';

    /** Whether what the catalog holds may be other after it: products, values, definitions. */
    public function changesData(): bool
    {
        return ! in_array($this, [self::LineUps, self::Publishing, self::Settings, self::Access], true);
    }

    /** Whether products may be others after it, with their category, price and stock: all of that but work on values. */
    public function changesProducts(): bool
    {
        return $this->changesData() && $this !== self::Values;
    }

    /** Whether drafts and figures may be other after it. */
    public function changesCatalog(): bool
    {
        return $this !== self::Access;
    }

    /**
     * @param  callable(self): bool  $which
     * @return list<string> as they are stored
     */
    public static function those(callable $which): array
    {
        return array_column(array_filter(self::cases(), $which), 'value');
    }
}
