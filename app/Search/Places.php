<?php

declare(strict_types=1);

namespace App\Search;

/** The rooms, and what people begin most often. */
final class Places
{
    /** @return list<Place> */
    public static function all(): array
    {
        return [
            new Place('Today', 'what waits', 'today'),
            new Place('Products', 'grid, cells, bulk change', 'products'),
            new Place('Products that miss something', 'gaps, empty cells', 'expected'),
            new Place('Definitions', 'attributes, fields, columns', 'definitions'),
            new Place('New definition', 'attribute, field', 'definitions', ['open' => 'new'], 'edit'),
            new Place('Expected', 'what categories should carry', 'expected'),
            new Place('Fill rules', 'fill gaps, defaults', 'rules'),
            new Place('Values', 'merge, umbrellas, spellings', 'values'),
            new Place('Newcomers', 'new spellings to decide on', 'newcomers'),
            new Place('Line-ups', 'filters that shoppers see', 'line-ups'),
            new Place('Storefront', 'the shop', 'shop'),
            new Place('Feeds', 'read a supplier\'s file, inbox, readings', 'feeds'),
            new Place('History', 'take back, undo', 'history'),
            new Place('Publish', 'differences, drift, edition', 'publishing'),
            new Place('Settings', 'shop name, currency, language', 'settings', needs: 'manage'),
            new Place('People', 'accounts, access, roles', 'people', needs: 'manage'),
            new Place('Programs outside', 'API, tokens, notices', 'outside', needs: 'manage'),
            new Place('Your password', 'account', 'account'),
        ];
    }
}
