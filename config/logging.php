<?php

declare(strict_types=1);

return [
    'default' => env('LOG_CHANNEL', 'single'),
    'channels' => [
        'single' => ['driver' => 'single', 'path' => storage_path('logs/pocketplot.log'), 'level' => 'warning', 'permission' => 0600],
        // Sign-ins, refusals and exports; see app/Http/Journal.php.
        'journal' => env('LOG_CHANNEL') === 'null'
            ? ['driver' => 'monolog', 'handler' => Monolog\Handler\NullHandler::class]
            : ['driver' => 'single', 'path' => storage_path('logs/journal.log'), 'level' => 'info', 'permission' => 0600],
        // Where something of the host's gathers what all machines say.
        'stderr' => ['driver' => 'monolog', 'handler' => Monolog\Handler\StreamHandler::class, 'with' => ['stream' => 'php://stderr'], 'level' => 'warning'],
        'null' => ['driver' => 'monolog', 'handler' => Monolog\Handler\NullHandler::class],
    ],
];
