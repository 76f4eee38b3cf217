<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Exceptions\Stopped;
use App\Weather\HttpWeather;
use Illuminate\Http\Client\HttpClientException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Http;
use Symfony\Component\HttpFoundation\StreamedResponse;
use Thicket\Position\Nmea;

/**
 * Relays the simulated GPS receiver as an event stream, and tells the simulated weather service what kind of day it
 * has; in demo and test only (rulings B30).
 */
final class StandInController extends Controller
{
    private const LONGEST_SECONDS = 600;
    private const WEATHER_DAYS = ['fine', 'outage', 'slow', 'half', 'nonsense', 'ahead'];

    public function gps(Request $request): StreamedResponse
    {
        $in = $this->query($request);
        $place = [$in->decimal('longitude', '-180', '180'), $in->decimal('latitude', '-85', '85')];
        $this->done($in);
        $receiver = @stream_socket_client(
            'tcp://127.0.0.1:' . config()->integer('thicket.gps_port'),
            $code,
            $message,
            2,
        );
        if ($receiver === false) {
            throw new Stopped(
                503,
                'The simulated receiver does not answer; start it with bin/start, or use the device\'s own position.',
            );
        }
        fwrite($receiver, "START {$place[0]} {$place[1]}\n");

        return new StreamedResponse(static fn() => self::relay($receiver), 200, [
            'Content-Type' => 'text/event-stream',
            'Cache-Control' => 'no-store',
            'X-Accel-Buffering' => 'no',
        ]);
    }

    /** How the simulated weather service answers from now on, so that its bad days can be seen on screen. */
    public function weather(Request $request): JsonResponse
    {
        $in = $this->fields($request);
        $day = $in->choice('day', self::WEATHER_DAYS);
        $this->done($in);
        try {
            // on a slow day it has to finish what it was asked before
            Http::timeout(20)
                ->withBody((string) $day, 'text/plain')
                ->put(config()->string('thicket.weather_url') . '/v1/bad-day')
                ->throw();
        } catch (HttpClientException) {
            throw new Stopped(503, 'The simulated weather service does not answer; start it with bin/start.');
        }
        HttpWeather::forget();

        return $this->json(['day' => $day]);
    }

    /** @param resource $receiver */
    private static function relay($receiver): void
    {
        $nmea = new Nmea(gmdate('Y-m-d'));
        $end = time() + self::LONGEST_SECONDS;
        stream_set_timeout($receiver, 5);
        while (time() < $end && connection_aborted() === 0 && ($line = fgets($receiver, 200)) !== false) {
            $read = $nmea->read($line);
            if ($read['kind'] === 'other') {
                continue;
            }
            $data = isset($read['fix'])
                ? [
                    'position' => $read['fix']->position,
                    'at' => $read['fix']->at->format('Y-m-d\TH:i:s.v\Z'),
                    'dilution' => $read['fix']->dilution,
                    'satellites' => $read['fix']->satellites,
                ]
                : [];
            echo "event: {$read['kind']}\ndata: " . json_encode((object) $data, JSON_THROW_ON_ERROR) . "\n\n";
            while (ob_get_level() > 0) {
                ob_end_flush();
            }
            flush();
        }
        echo "event: end\ndata: {}\n\n";
        fclose($receiver);
    }
}
