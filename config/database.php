<?php

declare(strict_types=1);

return [
    'connections' => [
        'mariadb' => [
            'driver' => 'mariadb',
            'host' => env('DB_HOST', '127.0.0.1'),
            'port' => env('DB_PORT', '3306'),
            'database' => env('DB_DATABASE', 'thicket'),
            'username' => env('DB_USERNAME', 'thicket'),
            'password' => env('DB_PASSWORD', ''),
            'unix_socket' => env('DB_SOCKET', ''),
            'charset' => 'utf8mb4',
            'collation' => 'utf8mb4_unicode_ci',
            'strict' => true,
            // What is read after a lock was waited for is what its last holder left, not what stood there when the
            // transaction began: checks are made under the lock (App\Http\Middleware\InTurn) and must see that.
            'isolation_level' => 'READ COMMITTED',
            // seconds that a write waits for its turn before it is told to come again
            'options' => [PDO::MYSQL_ATTR_INIT_COMMAND => 'SET SESSION innodb_lock_wait_timeout = 15'],
        ],
    ],
];
