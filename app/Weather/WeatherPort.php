<?php

declare(strict_types=1);

namespace App\Weather;

use App\Exceptions\Stopped;
use App\Models\Ground;
use Thicket\Weather\Forecast;

/** Where hours come from: a service, or later a file or a person. */
interface WeatherPort
{
    /** @throws Stopped 503 where nothing can be told, with what to do instead */
    public function of(Ground $ground): Forecast;
}
