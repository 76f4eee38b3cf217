<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\BroughtWeather;
use App\Models\Ground;
use App\Support\Format;
use App\Support\JobClock;
use App\Weather\SoilProbe;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Thicket\Input\Refused;
use Thicket\Weather\ForecastReader;
use Thicket\Weather\ForecastTable;
use Thicket\Weather\TypedForecast;

/** The forecast that somebody brought for a ground, as a file or typed in. */
final class WeatherController extends Controller
{
    private const MOST_BYTES = 200_000;

    public function __construct(private readonly JobClock $clock) {}

    public function show(Request $request, string $groundId): JsonResponse
    {
        return $this->json($this->told($this->ground($request, $groundId)));
    }

    public function store(Request $request, string $groundId): JsonResponse
    {
        $ground = $this->ground($request, $groundId);
        $zone = new \DateTimeZone($ground->time_zone);
        $in = $this->fields($request);
        $isFile = $in->has('document');
        $text = $isFile ? $in->document('document', self::MOST_BYTES) : null;
        $hours = $isFile ? [] : TypedForecast::read($in, $zone);
        $this->done($in);
        if ($text !== null) {
            $hours = ForecastTable::read($text, $zone);
        }
        $now = $this->clock->now();
        $issued = $now->setTimezone(new \DateTimeZone('UTC'));
        try {
            $read = ForecastReader::read(
                ['issued' => $issued->format('Y-m-d\TH:i:s\Z'), 'source' => '', 'hours' => $hours],
                $now,
            );
        } catch (Refused $e) {
            throw Refused::at($isFile ? '/document' : '/blocks', $e->faults[0]['message']);
        }
        if ($read->notBelieved > 0) {
            throw Refused::at(
                $isFile ? '/document' : '/blocks',
                "{$read->notBelieved} of its readings are such as no weather has; look at the units.",
            );
        }
        BroughtWeather::query()->updateOrCreate(
            ['ground_id' => $ground->id],
            [
                'hours' => $hours,
                'way' => $isFile ? BroughtWeather::FILE : BroughtWeather::TYPED,
                'issued_at' => $issued,
                'user_id' => $this->user($request)->id,
            ],
        );

        return $this->json($this->told($ground), 201);
    }

    public function destroy(Request $request, string $groundId): JsonResponse
    {
        $ground = $this->ground($request, $groundId);
        BroughtWeather::query()->whereKey($ground->id)->delete();

        return $this->json($this->told($ground));
    }

    /** What the soil probe of the ground reads now, to be noted by whoever stands there. */
    public function probe(Request $request, string $groundId, SoilProbe $probe): JsonResponse
    {
        $ground = $this->ground($request, $groundId);
        $reading = $probe->of($ground);

        return $this->json([
            'at' => Format::moment($reading->at, $ground->time_zone),
            'soil' => Format::quantity($reading->soil),
            'moisture' => $reading->moisture,
        ]);
    }

    private function ground(Request $request, string $groundId): Ground
    {
        return $this->user($request)->crew->grounds()->findOrFail($groundId);
    }

    /** @return array<string, mixed> */
    private function told(Ground $ground): array
    {
        $brought = BroughtWeather::query()->with('user')->find($ground->id);

        return [
            'brought' =>
                $brought === null
                    ? null
                    : [
                        'way' => $brought->way,
                        'by' => $brought->user->name,
                        'at' => Format::moment($brought->issued_at, $ground->time_zone),
                        'hours' => count($brought->hours),
                    ],
        ];
    }
}
