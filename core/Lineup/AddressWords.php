<?php

declare(strict_types=1);

namespace Lokum\Lineup;

/** The words that addresses of listings use themselves, so that no filter goes by them. */
final class AddressWords
{
    /** Parameters that are no filters; each takes one text. */
    public const NO_FILTERS = ['q', 'sort', 'page', 'sold-out', self::WHOLE_LIST, self::IN_LIST];

    /** The filter of which every term is listed, however many there are. */
    public const WHOLE_LIST = 'whole-list';

    /** What is looked for among the terms of that filter. */
    public const IN_LIST = 'in-list';

    /** Whether a definition cannot be called so: an address, a sort order or a product field is. */
    public static function has(string $word): bool
    {
        return in_array($word, [...self::NO_FILTERS, ...array_keys(SortOrder::FIELDS), 'sku'], true) ||
            ProductField::tryFrom($word) !== null;
    }
}
