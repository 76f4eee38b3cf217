<?php

declare(strict_types=1);

namespace App\Weather;

use App\Exceptions\Stopped;
use App\Models\Ground;
use App\Support\JobClock;
use Illuminate\Support\Facades\Http;
use Thicket\Input\Refused;
use Thicket\Weather\ProbeReading;

/** Asks the soil probe of a ground what it reads now (docs/hours.md); nothing of it is kept. */
final readonly class SoilProbe
{
    private const TIMEOUT_SECONDS = 3;
    private const WAITS_MILLISECONDS = [150];

    public function __construct(private JobClock $clock, private string $url) {}

    /** @throws Stopped 503 where it does not answer, or not with a reading of now */
    public function of(Ground $ground): ProbeReading
    {
        if ($this->url === '') {
            throw new Stopped(503, 'No soil probe is set up here. Read it yourself and type it in.');
        }
        $now = $this->clock->now();
        try {
            $body = Http::timeout(self::TIMEOUT_SECONDS)
                ->connectTimeout(1)
                ->retry(self::WAITS_MILLISECONDS)
                ->acceptJson()
                ->get("{$this->url}/v1/reading", [
                    'latitude' => $ground->latitude,
                    'longitude' => $ground->longitude,
                    'elevation' => $ground->elevation_m,
                    'now' => $now->setTimezone(new \DateTimeZone('UTC'))->format('Y-m-d\TH:i:s\Z'),
                ])
                ->json();

            return ProbeReading::read($body, $now);
        } catch (\Illuminate\Http\Client\HttpClientException $e) {
            report($e);
            throw new Stopped(503, 'The soil probe does not answer. Read it yourself and type it in.');
        } catch (Refused $e) {
            throw new Stopped(503, "{$e->faults[0]['message']} Read it yourself and type it in.");
        }
    }
}
