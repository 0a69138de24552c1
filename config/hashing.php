<?php

declare(strict_types=1);

return [
    // Takes a password whole, however long. Memory and rounds as OWASP's password storage sheet advises for argon2id.
    'driver' => 'argon2id',
    'argon' => [
        'memory' => (int) env('ARGON_MEMORY', 19456),
        'threads' => 1,
        'time' => 2,
        // Hashes of an older kind still let in, and are made anew then.
        'verify' => false,
    ],
    'bcrypt' => ['rounds' => 12, 'verify' => false],
    'rehash_on_login' => true,
];
