<?php

declare(strict_types=1);

return [
    'default' => env('CACHE_STORE', 'database'),
    'stores' => [
        // answers worked out lately, in the memory of this machine; lost at every start, and no matter
        'answers' => ['driver' => function_exists('apcu_enabled') && apcu_enabled() ? 'apc' : 'null'],
        // seen by others before a write is done, so not in the database
        'progress' => ['driver' => 'file', 'path' => storage_path('framework/progress')],
    ],
];
