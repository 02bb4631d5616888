<?php

declare(strict_types=1);

return [
    // Argon2id reads passwords of any length; where PHP lacks it, bcrypt is what there is. What was hashed otherwise still lets in,
    // and is hashed anew at the next sign-in.
    'driver' => defined('PASSWORD_ARGON2ID') ? 'argon2id' : 'bcrypt',
    'bcrypt' => ['rounds' => 12, 'verify' => false, 'limit' => 72],
    'argon' => [
        'memory' => 19456,
        'time' => 2,
        'threads' => 1,
        'verify' => false,
    ],
    'rehash_on_login' => true,
];
