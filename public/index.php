<?php

declare(strict_types=1);

use Illuminate\Http\Request;

define('LARAVEL_START', microtime(true));

// A request that met its limit still has to say so: what answers for it needs room and a moment of its own.
register_shutdown_function(static function (): void {
    if (preg_match('/^Maximum execution time|^Allowed memory size/', (string) (error_get_last()['message'] ?? '')) === 1) {
        ini_set('memory_limit', '1G');
        set_time_limit(5);
    }
});

require __DIR__.'/../vendor/autoload.php';

/** @var Illuminate\Foundation\Application $app */
$app = require __DIR__.'/../bootstrap/app.php';

$app->handleRequest(Request::capture());
