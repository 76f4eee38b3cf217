<?php

declare(strict_types=1);

// Letters go to a log of their own until a deploy sets another mailer (docs/deploy.md).
return [
    'default' => env('MAIL_MAILER', 'log'),
    'mailers' => [
        'smtp' => [
            'transport' => 'smtp',
            'host' => env('MAIL_HOST', '127.0.0.1'),
            'port' => (int) env('MAIL_PORT', 25),
            'username' => env('MAIL_USERNAME'),
            'password' => env('MAIL_PASSWORD'),
            'timeout' => 10,
        ],
        'sendmail' => ['transport' => 'sendmail', 'path' => '/usr/sbin/sendmail -bs -i'],
        'log' => ['transport' => 'log', 'channel' => 'letters'],
        'array' => ['transport' => 'array'],
    ],
    'from' => [
        'address' => env('MAIL_FROM_ADDRESS', 'thicket@localhost.example'),
        'name' => 'Gallant Thicket',
    ],
];
