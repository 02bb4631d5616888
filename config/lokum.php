<?php

declare(strict_types=1);

/*
 * Everything that is the user's lives in one directory, named by LOKUM_DATA: the databases, the files that suppliers
 * sent, the editions, the key that signs sessions.
 */

$data = getenv('LOKUM_DATA') ?: dirname(__DIR__).'/storage/lokum';
if (! str_starts_with($data, '/')) {
    $data = getcwd().'/'.$data;
}

return [
    'data' => $data,

    // Shows the demo's sign-in on the page. Only `bin/lokum demo` sets it.
    'demo' => filter_var(getenv('LOKUM_DEMO'), FILTER_VALIDATE_BOOLEAN),

    // Until the settings say otherwise: the shop's language, as BCP 47, and the currency of prices that come without one, as ISO 4217.
    'locale' => getenv('LOKUM_LOCALE') ?: 'en',
    'currency' => getenv('LOKUM_CURRENCY') ?: 'EUR',
    'timezone' => 'UTC',

    // Narrowed pages of the shop that one address may ask for in a minute.
    'shop_limit' => (int) (getenv('LOKUM_SHOP_LIMIT') ?: 600),

    // A replica serves what another machine publishes: its address, a token that may copy editions, the secret that its notices are
    // signed with, and after how many seconds without an answer from there it serves no more (0: never). `bin/lokum replica` sets them.
    'replica' => [
        'from' => getenv('LOKUM_REPLICA_FROM') ?: '',
        'token' => getenv('LOKUM_REPLICA_TOKEN') ?: '',
        'secret' => getenv('LOKUM_REPLICA_SECRET') ?: '',
        'silence' => (int) (getenv('LOKUM_REPLICA_SILENCE') ?: 0),
    ],

    // Products from which on an edition is written by two processes.
    'beside_from' => 20_000,

    // The largest feed that is taken over the web, in bytes.
    'largest_feed' => 512 << 20,
];
