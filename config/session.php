<?php

declare(strict_types=1);

return [
    'driver' => env('SESSION_DRIVER', 'database'),
    // minutes without a request after which a session is over
    'lifetime' => (int) env('SESSION_LIFETIME', 720),
    // a browser gives a __Host- cookie back to this very host only, and takes it over TLS only
    'cookie' => env('SESSION_SECURE_COOKIE', true) ? '__Host-thicket_session' : 'thicket_session',
    'path' => '/',
    'http_only' => true,
    'same_site' => 'lax',
    // over TLS only, unless bin/start says that this is loopback
    'secure' => (bool) env('SESSION_SECURE_COOKIE', true),
];
