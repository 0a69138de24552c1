<?php

declare(strict_types=1);

// For PHP's own server: files in public/ as they are, everything else to the application.
$path = parse_url((string) ($_SERVER['REQUEST_URI'] ?? '/'), PHP_URL_PATH);
if (is_string($path) && $path !== '/' && is_file(__DIR__.'/../public'.$path) && ! str_ends_with($path, '.php')) {
    return false;
}

$_SERVER['SCRIPT_NAME'] = '/index.php';
$_SERVER['SCRIPT_FILENAME'] = __DIR__.'/../public/index.php';

require __DIR__.'/../public/index.php';
