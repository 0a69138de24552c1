<?php

declare(strict_types=1);

return [
    // file for one machine; database, or redis where there is one, for several.
    'driver' => env('SESSION_DRIVER', 'file'),
    'connection' => env('SESSION_DRIVER') === 'redis' ? 'default' : 'state',
    'table' => 'sessions',
    'lifetime' => (int) env('SESSION_LIFETIME', 480),
    'expire_on_close' => false,
    'encrypt' => true,
    'files' => storage_path('framework/sessions'),
    'lottery' => [2, 100],
    'cookie' => env('SESSION_COOKIE', 'pocketplot_session'),
    'path' => '/',
    'domain' => null,
    'secure' => env('SESSION_SECURE_COOKIE', false),
    'http_only' => true,
    'same_site' => 'lax',
    'partitioned' => false,
];
