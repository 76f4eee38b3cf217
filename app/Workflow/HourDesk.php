<?php

declare(strict_types=1);

namespace App\Workflow;

use App\Models\Stand;
use App\Models\Step;
use App\Repositories\SituationRepository;
use App\Weather\WeatherPort;
use Thicket\Hours\HourBoard;
use Thicket\Hours\Place;
use Thicket\Weather\Forecast;

/** The hours of the chosen job of a stand, by the forecast of its ground. */
final readonly class HourDesk
{
    public function __construct(private SituationRepository $situations, private WeatherPort $weather) {}

    /**
     * @return array{HourBoard, Forecast, Place}
     *
     * @throws \App\Exceptions\Stopped 503 where no weather can be told
     */
    public function of(Stand $stand, Step $step, int $days = HourBoard::DAYS): array
    {
        $ground = $stand->patch->ground;
        $forecast = $this->weather->of($ground);
        $place = new Place(
            (float) $ground->latitude,
            (float) $ground->longitude,
            (float) $ground->elevation_m,
            new \DateTimeZone($ground->time_zone),
        );
        $tank = [$this->situations->option($step, $ground->crew), ...$this->situations->partners($step, $ground->crew)];

        return [
            HourBoard::of($this->situations->situation($stand), $tank, $forecast, $place, $days),
            $forecast,
            $place,
        ];
    }
}
