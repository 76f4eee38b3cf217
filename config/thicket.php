<?php

declare(strict_types=1);

return [
    // Where the compiled catalogue and other derived files are kept.
    'var' => getenv('THICKET_VAR') ?: dirname(__DIR__) . '/var/console',

    // Seconds that the job clock runs ahead of the real clock (rulings B6); set by bin/start from THICKET_NOW.
    'clock_offset_seconds' => (int) env('THICKET_CLOCK_OFFSET_SECONDS', 0),

    // For tests: the job clock stands still at this moment (RFC 3339), or runs when empty.
    'clock_frozen_at' => env('THICKET_CLOCK_FROZEN_AT', ''),

    // Minutes for which a password given for signing, issuing or confirming holds (rulings B15).
    'password_grace_minutes' => 15,

    // Wrong tries: a minute for one address and account, ten minutes for one address, an hour for one account.
    'sign_in_tries_per_minute' => 6,
    'sign_in_tries_per_address' => 60,
    'sign_in_tries_per_account' => 30,

    // Bytes of a body, and the routes that take more: pictures, files of shapes, walked lines, a count as a table.
    'body_limit_bytes' => 262_144,
    'large_bodies' => [
        'api/v1/(sightings|sheets)/[^/]+/photos' => 13_000_000,
        'api/v1/sheets/[^/]+/tracks' => 14_000_000,
        'api/v1/grounds/[^/]+/imports(/preview)?' => 14_000_000,
        'api/v1/outlines' => 14_000_000,
        'api/v1/places' => 14_000_000,
        'api/v1/stands/[^/]+/tally/csv' => 500_000,
    ],

    // Port of the simulated GPS receiver on loopback, in demo and test only; 0 for none.
    'gps_port' => (int) env('THICKET_GPS_PORT', 0),

    // Weather service of docs/hours.md, without a slash at its end; empty where there is none.
    'weather_url' => (string) env('THICKET_WEATHER_URL', ''),

    // Soil probe of docs/hours.md, without a slash at its end; empty where there is none.
    'probe_url' => (string) env('THICKET_PROBE_URL', ''),

    // The secret of the seals (App\Seal\SealKey), kept outside the database; the application's own key where none is
    // set.
    'seal_key' => (string) env('THICKET_SEAL_KEY', ''),

    // Days that an idempotency key is kept (rulings B16).
    'idempotency_days' => 90,
];
