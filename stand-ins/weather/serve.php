<?php

/*
 * A small simulated weather service: JSON over HTTP on loopback, the hours of ten days back and ten days ahead.
 *
 *   php -S 127.0.0.1:PORT stand-ins/weather/serve.php
 *
 *   GET /v1/hours?latitude=44.05&longitude=-71.4&elevation=205&now=2026-09-03T09:00:00Z
 *   PUT /v1/bad-day   body: fine, outage, slow, half, nonsense or ahead: how it answers from now on
 *
 * The same answer for the same place and hour each time (docs/hours.md has the shape). The weather is plausible by
 * latitude, elevation and season; in the demo's round of seven days it is wet and windy, with one good morning.
 */

declare(strict_types=1);

const SEED = 20260903;
const HOURS_BACK = 240;
const HOURS_AHEAD = 240;
/** In the round of seven days, the one with a good morning (5 September 2026 is one). */
const GOOD_DAY = 2;

require dirname(__DIR__) . '/service.php';

/** 0 to 1, the same for the same words each time. */
function chance(string ...$of): float
{
    return hexdec(substr(hash('xxh32', SEED . implode('/', $of)), 0, 7)) / 0xfffffff;
}

/** A wave through chances six hours apart. */
function drift(string $what, int $hour): float
{
    $step = intdiv($hour, 6);
    $part = ($hour % 6) / 6;
    $ease = $part * $part * (3 - 2 * $part);

    return chance($what, (string) $step) * (1 - $ease) + chance($what, (string) ($step + 1)) * $ease;
}

/** @return array<string, mixed> one hour as the sun and the seed have it */
function hour(int $at, float $latitude, float $longitude, float $elevation): array
{
    $number = intdiv($at, 3600);
    // by the sun, not by anybody's clock
    $solar = $at + (int) round($longitude * 240);
    $ofDay = ($solar % 86400) / 3600;
    $day = intdiv($solar, 86400);
    $ofYear = (int) gmdate('z', $solar);
    $south = $latitude < 0 ? 182.5 : 0.0;

    // from the evening before a good morning to the evening of its day no rain falls; by noon the wind is back
    $round = ($day - GOOD_DAY) % 7;
    $isDry = ($round === 0 && $ofDay < 21) || ($round === 6 && $ofDay >= 17);
    $isGood = $round === 0 && $ofDay >= 4 && $ofDay < 12;
    $storm = 0.45 + 0.5 * drift('storm', $number);
    $storm = $isGood ? 0.12 : ($isDry ? min(max($storm, 0.58), 0.61) : $storm);

    $cloud = min(100.0, 15 + 95 * $storm);
    $mean = 27 - 0.5 * max(0.0, abs($latitude) - 10) - 0.0065 * $elevation;
    $season = $mean + 0.32 * abs($latitude) * cos((2 * M_PI * ($ofYear - 200 + $south)) / 365.25);
    $swing = (6 - 0.035 * $cloud) * cos((2 * M_PI * ($ofDay - 15)) / 24);
    $air = $season + $swing + 4 * (drift('air', $number) - 0.5);
    $humidity = min(98.0, max(30.0, 52 + 42 * $storm - 14 * cos((2 * M_PI * ($ofDay - 15)) / 24)));
    $wind = max($isGood ? 2.3 : 0.3, 1.2 + 8 * max(0.0, $storm - 0.2) + 0.8 * cos((2 * M_PI * ($ofDay - 15)) / 24));
    $rain = $isDry || $storm < 0.62 ? 0.0 : round((($storm - 0.62) / 0.33) ** 1.5 * 3.5, 1);
    $cold = $air < 0.5;

    return [
        'at' => gmdate('Y-m-d\TH:i:s\Z', $at),
        'airC' => round($air, 1),
        'humidityPct' => round($humidity),
        'windMs' => round($wind, 1),
        'gustMs' => round($wind * (1.25 + 0.5 * $storm), 1),
        'windFromDeg' => round(fmod(200 + 140 * (drift('from', $number) - 0.5) + 360, 360)),
        'rainMm' => $cold ? 0.0 : $rain,
        'rainChancePct' => $isDry ? round(12 * $storm) : round(min(95.0, max(5.0, 130 * ($storm - 0.35)))),
        'cloudPct' => round($cloud),
        'snowCm' => $season < -2 ? round(min(60.0, -2 * ($season + 2) * (0.5 + $storm)), 0) : 0.0,
        'soilC' => round($mean + 0.24 * abs($latitude) * cos((2 * M_PI * ($ofYear - 225 + $south)) / 365.25), 1),
        'topsoilC' => round($season + 0.4 * $swing, 1),
    ];
}

$bad = kindOfDay('weather', ['fine', 'outage', 'slow', 'half', 'nonsense', 'ahead'], '/v1/hours');
$asked = placeAsked();
$now = nowAsked();
$bad === 'outage' && answer(503, ['title' => 'Out of order.']);
// longer than anybody waits for it; one that answers one after the other is asked no sooner again
$bad === 'slow' && sleep(4);
$first = intdiv($now, 3600) * 3600 - HOURS_BACK * 3600;
$hours = [];
for ($i = 0; $i < HOURS_BACK + HOURS_AHEAD; ++$i) {
    $one = hour($first + 3600 * $i, ...$asked);
    if ($bad === 'half' && $i % 2 === 1) {
        $one = array_intersect_key($one, ['at' => 1, 'airC' => 1]);
    }
    if ($bad === 'nonsense' && $i % 3 === 0) {
        $one = ['windMs' => -9999, 'airC' => 'n/a', 'rainMm' => 1e9] + $one;
    }
    $hours[] = $one;
}
// worked out at the full hour, as services do
$issued = intdiv($now, 3600) * 3600 + ($bad === 'ahead' ? 7200 : 0);
answer(200, [
    'issued' => gmdate('Y-m-d\TH:i:s\Z', $issued),
    'source' => 'simulated weather',
    'place' => ['latitude' => $asked[0], 'longitude' => $asked[1], 'elevationM' => $asked[2]],
    'hours' => $hours,
]);
