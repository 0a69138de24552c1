<?php

declare(strict_types=1);

return [
    'default' => env('MAIL_MAILER', 'mailbox'),
    'mailers' => [
        // A stand-in: letters land on a page of the application. See app/Standins/Mailbox.
        'mailbox' => ['transport' => 'mailbox'],
        'smtp' => [
            'transport' => 'smtp',
            'host' => env('MAIL_HOST', '127.0.0.1'),
            'port' => env('MAIL_PORT', 587),
            'username' => env('MAIL_USERNAME'),
            'password' => env('MAIL_PASSWORD'),
        ],
    ],
    'from' => ['address' => env('MAIL_FROM_ADDRESS', 'workshop@pocketplot.invalid'), 'name' => 'Pocket Plot'],
];
