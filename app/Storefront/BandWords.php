<?php

declare(strict_types=1);

namespace App\Storefront;

use App\Support\Format;
use Lokum\Lineup\Band;
use Lokum\Lineup\FilterSettings;
use Lokum\Lineup\ProductField;

/** What shoppers read for a band: its label, or its ends with the filter's unit and decimals. */
final class BandWords
{
    public static function of(FilterSettings $filter, Band $band): string
    {
        return $band->words(
            (string) $filter->prefix,
            $filter->unit !== null
                ? Format::unit($filter->unit)
                : ($filter->key === ProductField::Price->value
                    ? Format::unit((string) config('lokum.currency'))
                    : ''),
            $filter->decimals,
        );
    }
}
