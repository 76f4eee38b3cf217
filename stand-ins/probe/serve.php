<?php

/*
 * A small simulated soil probe: JSON over HTTP on loopback, what a probe 30 cm (1 ft) down reads now.
 *
 *   php -S 127.0.0.1:PORT stand-ins/probe/serve.php
 *
 *   GET /v1/reading?latitude=44.05&longitude=-71.4&elevation=205&now=2026-09-03T09:00:00Z
 *   PUT /v1/bad-day   body: fine, outage, half, nonsense or old: how it answers from now on
 *
 * The same reading for the same place and hour each time (docs/hours.md has the shape).
 */

declare(strict_types=1);

require dirname(__DIR__) . '/service.php';

$bad = kindOfDay('probe', ['fine', 'outage', 'half', 'nonsense', 'old'], '/v1/reading');
[$latitude, , $elevation] = placeAsked();
$now = nowAsked();
$bad === 'outage' && answer(503, ['title' => 'Out of order.']);

$ofYear = (int) gmdate('z', $now) + ($latitude < 0 ? 182.5 : 0.0);
$mean = 27 - 0.5 * max(0.0, abs($latitude) - 10) - 0.0065 * $elevation;
$soil = $mean + 0.24 * abs($latitude) * cos((2 * M_PI * ($ofYear - 225)) / 365.25);
// wettest in early spring, driest in August
$moisture = 24 + 9 * cos((2 * M_PI * ($ofYear - 60)) / 365.25);
answer(
    200,
    [
        'at' => gmdate('Y-m-d\TH:i:s\Z', $bad === 'old' ? $now - 86_400 : $now),
        'soilC' => $bad === 'nonsense' ? -9999 : round($soil, 1),
    ] + ($bad === 'half' ? [] : ['moisturePct' => round($moisture)]),
);
