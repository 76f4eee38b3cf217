<?php

declare(strict_types=1);

return [
    'channels' => [
        // letters that no mailer takes (config/mail.php): they hold one-time links, so their owner alone reads them
        'letters' => [
            'driver' => 'single',
            'path' => storage_path('logs/letters.log'),
            'level' => 'debug',
            'permission' => 0o600,
        ],
        // sign-ins, refusals, changes of cards, people and settings, exports (App\Http\SecurityLog)
        'security' => [
            'driver' => 'daily',
            'path' => storage_path('logs/security.log'),
            'level' => 'info',
            'days' => 180,
            'permission' => 0o600,
            'formatter' => Monolog\Formatter\JsonFormatter::class,
            'formatter_with' => ['includeStacktraces' => false],
        ],
    ],
];
