<?php

/*
 * A small simulated GPS receiver: NMEA 0183 sentences over TCP on loopback, one walker per connection.
 *
 *   php stand-ins/gps/serve.php PORT [SPEED]
 *
 * A client may first send "START longitude latitude" (default: the demo ground); the walker then goes once round a
 * lopsided field of about 60 x 35 m at 1.3 m/s, a position a second (SPEED times as fast for tests; the times in the
 * sentences stay a second apart). Like a real receiver it wavers, loses its fix under trees, is off by tens of metres
 * for a while with a poor dilution, jumps once, and garbles a sentence now and then. The same seed each time, so that a
 * walk can be tested.
 */

declare(strict_types=1);

use Thicket\Position\Nmea;
use Thicket\Survey\LocalPlane;

require_once dirname(__DIR__, 2) . '/vendor/autoload.php';

const CORNERS = [[0.0, 0.0], [28.0, -4.0], [60.0, 2.0], [57.0, 34.0], [30.0, 38.0], [3.0, 32.0], [0.0, 0.0]];
const WALK_METRES_PER_SECOND = 1.3;
const DEMO_PLACE = [-71.4, 44.05];

/** @return \Generator<int, list<string>> sentences, second by second */
function walk(array $start): \Generator
{
    mt_srand(20260903);
    $plane = new LocalPlane($start);
    $clock = new DateTimeImmutable('2026-09-03T14:00:00Z');
    $wander = [0.0, 0.0];
    $chance = static fn(): float => mt_rand() / mt_getrandmax() - 0.5;
    $second = 0;
    foreach (stations() as $at) {
        $time = $clock->modify("+{$second} seconds");
        $wander = [0.9 * $wander[0] + 0.35 * $chance(), 0.9 * $wander[1] + 0.35 * $chance()];
        $lost = $second >= 38 && $second < 44;
        $poor = $second >= 80 && $second < 85;
        $off = match (true) {
            $poor => 25.0,
            $second === 110 => 90.0,
            default => 0.0,
        };
        $place = $plane->position([$at[0] + $wander[0] + $off, $at[1] + $wander[1]]);
        $sentences = [rmc($place, $time, $lost), gga($place, $time, $lost, $poor ? 9.4 : 0.9 + abs($wander[0]))];
        if ($second % 23 === 17) {
            $sentences[1][20] = $sentences[1][20] === '7' ? '1' : '7';
        }
        yield $sentences;
        ++$second;
    }
}

/**
 * @return \Generator<int, array{float, float}> where the walker is each second; at the end a few seconds of standing
 */
function stations(): \Generator
{
    for ($leg = 1; $leg < count(CORNERS); ++$leg) {
        [$from, $to] = [CORNERS[$leg - 1], CORNERS[$leg]];
        $seconds = max(1, (int) round(hypot($to[0] - $from[0], $to[1] - $from[1]) / WALK_METRES_PER_SECOND));
        for ($s = 0; $s < $seconds; ++$s) {
            yield [$from[0] + (($to[0] - $from[0]) * $s) / $seconds, $from[1] + (($to[1] - $from[1]) * $s) / $seconds];
        }
    }
    for ($s = 0; $s < 5; ++$s) {
        yield CORNERS[0];
    }
}

function rmc(array $place, DateTimeImmutable $time, bool $lost): string
{
    return sentence(
        $lost
            ? "GPRMC,{$time->format('His')}.00,V,,,,,,,{$time->format('dmy')},,,N"
            : "GPRMC,{$time->format('His')}.00,A," . coordinates($place) . ",2.5,,{$time->format('dmy')},,,A",
    );
}

function gga(array $place, DateTimeImmutable $time, bool $lost, float $dilution): string
{
    return sentence(
        $lost
            ? "GPGGA,{$time->format('His')}.00,,,,,0,02,,,M,,M,,"
            : "GPGGA,{$time->format('His')}.00," .
                coordinates($place) .
                ',1,09,' .
                number_format($dilution, 1) .
                ',210.0,M,-32.0,M,,',
    );
}

function coordinates(array $place): string
{
    $write = static fn(float $degrees, int $digits): string => sprintf(
        "%0{$digits}d%09.6f",
        (int) floor(abs($degrees)),
        60 * fmod(abs($degrees), 1),
    );

    return $write($place[1], 2) .
        ($place[1] < 0 ? ',S,' : ',N,') .
        $write($place[0], 3) .
        ($place[0] < 0 ? ',W' : ',E');
}

function sentence(string $body): string
{
    return sprintf('$%s*%02X', $body, Nmea::checksum($body));
}

[$port, $speed] = [(int) ($argv[1] ?? 0), max(1.0, (float) ($argv[2] ?? 1))];
$server =
    stream_socket_server("tcp://127.0.0.1:{$port}", $code, $message) ?:
    exit("The GPS stand-in cannot listen on {$port}: {$message}\n");
$walkers = [];
while (true) {
    $read = [$server];
    $none = null;
    if (@stream_select($read, $none, $none, 0, (int) (1_000_000 / $speed)) > 0) {
        $client = stream_socket_accept($server, 0);
        if ($client !== false) {
            stream_set_timeout($client, 0, 200_000);
            $first = (string) fgets($client, 100);
            $start =
                preg_match('/^START (-?[\d.]+) (-?[\d.]+)/', $first, $said) === 1
                    ? [(float) $said[1], (float) $said[2]]
                    : DEMO_PLACE;
            $walkers[] = ['to' => $client, 'walk' => walk($start)];
        }
        continue;
    }
    foreach ($walkers as $i => $walker) {
        $sent =
            $walker['walk']->valid() &&
            @fwrite($walker['to'], implode("\r\n", $walker['walk']->current()) . "\r\n") !== false;
        $walker['walk']->next();
        if (!$sent) {
            fclose($walker['to']);
            unset($walkers[$i]);
        }
    }
}
