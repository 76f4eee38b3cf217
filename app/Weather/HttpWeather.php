<?php

declare(strict_types=1);

namespace App\Weather;

use App\Exceptions\Stopped;
use App\Models\Ground;
use App\Support\JobClock;
use Illuminate\Contracts\Cache\Repository;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Http;
use Thicket\Input\Refused;
use Thicket\Weather\Forecast;
use Thicket\Weather\ForecastReader;

/**
 * Asks a weather service that answers in the shape of docs/hours.md. An answer is kept for an hour; where the service
 * fails the last one is told as what it is, old, for two days; then nothing is told.
 */
final readonly class HttpWeather implements WeatherPort
{
    private const TIMEOUT_SECONDS = 3;
    private const WAITS_MILLISECONDS = [150, 450];
    private const FRESH_SECONDS = 3600;
    private const KEPT_SECONDS = 172_800;
    /** After a failure the service is left alone for so long, so that no page waits for it again. */
    private const PAUSE_SECONDS = 60;

    public function __construct(private JobClock $clock, private string $url) {}

    public function of(Ground $ground): Forecast
    {
        $now = $this->clock->now();
        $round = self::store()->get('weather.round', 0);
        $key = "weather.{$round}.{$ground->id}.{$ground->latitude}.{$ground->longitude}.{$ground->elevation_m}";
        $kept = self::store()->get($key);
        $isKept = is_array($kept) && is_int($kept['at'] ?? null);
        // the job clock may be set back for a demonstration: an answer of later is none of now
        $age = $isKept ? $now->getTimestamp() - $kept['at'] : null;
        if ($age !== null && $age >= 0 && $age < self::FRESH_SECONDS) {
            return ForecastReader::read($kept['body'], $now);
        }
        if ($this->url !== '' && self::store()->get("{$key}.pause") !== true) {
            try {
                $body = $this->ask($ground, $now);
                $forecast = ForecastReader::read($body, $now);
                self::store()->put($key, ['at' => $now->getTimestamp(), 'body' => $body], self::KEPT_SECONDS);

                return $forecast;
            } catch (\Illuminate\Http\Client\HttpClientException | Refused $e) {
                report($e);
                self::store()->put("{$key}.pause", true, self::PAUSE_SECONDS);
            }
        }
        if ($age !== null && $age >= 0 && $age < self::KEPT_SECONDS) {
            return ForecastReader::read($kept['body'], $now);
        }

        throw new Stopped(
            503,
            ($this->url === '' ? 'No weather service is set up here.' : 'The weather service does not answer.') .
                ' Go by what you measure on the spot: note wind, wetness and temperature at Scout, and the start ' .
                'gate holds them against the limits.',
        );
    }

    /** Asks anew from now on: what was kept was told before the service was made to answer otherwise. */
    public static function forget(): void
    {
        self::store()->increment('weather.round');
    }

    /** @throws \Illuminate\Http\Client\HttpClientException */
    private function ask(Ground $ground, \DateTimeImmutable $now): mixed
    {
        return Http::timeout(self::TIMEOUT_SECONDS)
            ->connectTimeout(1)
            ->retry(self::WAITS_MILLISECONDS)
            ->acceptJson()
            ->get("{$this->url}/v1/hours", [
                'latitude' => $ground->latitude,
                'longitude' => $ground->longitude,
                'elevation' => $ground->elevation_m,
                'now' => $now->setTimezone(new \DateTimeZone('UTC'))->format('Y-m-d\TH:i:s\Z'),
            ])
            ->json();
    }

    private static function store(): Repository
    {
        return Cache::store('progress');
    }
}
