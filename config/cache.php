<?php

declare(strict_types=1);

return [
    // Limits and locks as well: file for one machine; database, or redis where there is one, for several.
    'default' => env('CACHE_STORE', 'file'),
    'stores' => [
        'file' => ['driver' => 'file', 'path' => storage_path('framework/cache/data')],
        'database' => ['driver' => 'database', 'connection' => 'state', 'lock_connection' => 'state', 'table' => 'cache', 'lock_table' => 'cache_locks'],
        'redis' => ['driver' => 'redis', 'connection' => 'default', 'lock_connection' => 'default'],
        'array' => ['driver' => 'array'],
    ],
    'prefix' => 'pocketplot',
];
