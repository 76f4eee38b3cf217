<?php

declare(strict_types=1);

return [
    // Addresses of proxies before this server, by comma; only from these is X-Forwarded-For believed. None by default:
    // bin/start's nginx hands on the visitor's own address.
    'proxies' => env('THICKET_TRUSTED_PROXIES') ?: null,
];
