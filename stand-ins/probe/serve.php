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

const BAD_DAYS = ['fine', 'outage', 'half', 'nonsense', 'old'];

function answer(int $status, mixed $body): never
{
    http_response_code($status);
    header('Content-Type: application/json');
    echo json_encode($body, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION);
    exit();
}

$switch = sys_get_temp_dir() . '/thicket-probe-' . ($_SERVER['SERVER_PORT'] ?? '0');
$path = parse_url((string) ($_SERVER['REQUEST_URI'] ?? ''), PHP_URL_PATH);
if ($path === '/v1/bad-day' && $_SERVER['REQUEST_METHOD'] === 'PUT') {
    $kind = trim((string) file_get_contents('php://input'));
    in_array($kind, BAD_DAYS, true) || answer(422, ['title' => 'One of ' . implode(', ', BAD_DAYS) . '.']);
    file_put_contents($switch, $kind);
    answer(200, ['badDay' => $kind]);
}
if ($path !== '/v1/reading') {
    answer(404, ['title' => 'There is /v1/reading and /v1/bad-day.']);
}
$latitude = (float) ($_GET['latitude'] ?? 0);
$elevation = (float) ($_GET['elevation'] ?? 0);
$now = strtotime((string) ($_GET['now'] ?? ''));
$now === false && answer(422, ['title' => 'now is a time such as 2026-09-03T09:00:00Z.']);
$bad = is_file($switch) ? (string) file_get_contents($switch) : 'fine';
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
