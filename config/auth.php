<?php

declare(strict_types=1);

return [
    'defaults' => ['guard' => 'web', 'passwords' => 'users'],
    // A remembered sign-in holds for thirty days.
    'guards' => ['web' => ['driver' => 'session', 'provider' => 'users', 'remember' => 30 * 24 * 60]],
    'providers' => ['users' => ['driver' => 'eloquent', 'model' => App\Models\User::class]],
    'passwords' => ['users' => ['provider' => 'users', 'table' => 'password_reset_tokens', 'expire' => 60, 'throttle' => 30]],
    'password_timeout' => 10800,
];
