<?php

declare(strict_types=1);

use App\Exceptions\Stopped;
use App\Models\Ground;
use App\Support\JobClock;
use App\Weather\HttpWeather;
use Illuminate\Support\Facades\Http;
use Symfony\Component\Process\Process;
use Thicket\Weather\Forecast;

/*
 * The hours of a chosen job over the wire, and the weather service on its bad days.
 */

it('tells the hours of the chosen job, one hour with its reasons, and what is open today', function () {
    mildWeather();
    $this->as();
    $stand = $this->standId('quackgrass');
    $board = $this->api('GET', "/stands/{$stand}/hours")->assertOk();
    // 09:00 on the ground, mild weather: open till it is dark or the air may settle
    expect($board->json('days.0.hours.0.at'))
        ->toBe(
            $board->json('at') === null
                ? ''
                : substr((string) $board->json('at'), 0, 13) . ':00:00' . substr((string) $board->json('at'), 19),
        )
        ->and($board->json('openUntil'))
        ->not->toBeNull()
        ->and(count($board->json('days')))
        ->toBe(11);
    $hour = $this->api('GET', "/stands/{$stand}/hours/hour?at=" . urlencode((string) $board->json('at')))->assertOk();
    expect(array_column($hour->json('findings'), 'condition'))
        ->toContain('season', 'daylight', 'wind', 'rain-after', 'surface')
        ->and(collect($hour->json('findings'))->firstWhere('condition', 'wind')['text']['metric'])
        ->toBe('Wind is 2.5 m/s, within 4.47 m/s (10 mph).');
    $lines = collect($this->api('GET', '/today/hours')->assertOk()->json('lines'))->keyBy('standId');
    expect($lines[$stand]['openUntil'])->toBe($board->json('openUntil'));
    // 3 September on demo ground, 17 days late: knotweed flowers
    $looks = collect($this->api('GET', '/today/hours')->json('looks'));
    expect($looks->firstWhere('species', 'japanese-knotweed')['why'] ?? null)->toBe('flower');
    $this->api('GET', "/stands/{$stand}/hours/hour?at=2026-12-01T09:00:00Z")->assertStatus(404);
    $this->api('GET', "/stands/{$stand}/hours/hour?at=soon")->assertStatus(422);
    $this->api('GET', "/stands/{$this->standId('japanese-knotweed')}/hours")->assertStatus(409);
});

it('lets what somebody measured now beat the forecast, for this hour alone', function () {
    mildWeather();
    $this->as();
    $stand = $this->standId('quackgrass');
    $patch = App\Models\Stand::query()->findOrFail($stand)->patch_id;
    $this->api('POST', "/patches/{$patch}/observations", [
        'facts' => [['fact' => 'wind-speed', 'value' => '14 mph']],
    ])->assertCreated();
    $board = $this->api('GET', "/stands/{$stand}/hours")
        ->assertOk()
        ->assertJsonPath('openUntil', null);
    $now = $this->api('GET', "/stands/{$stand}/hours/hour?at=" . urlencode((string) $board->json('at')))->assertOk();
    expect(collect($now->json('findings'))->firstWhere('condition', 'wind')['text']['us'])->toBe(
        'Wind is 14 mph; the limit is 10 mph.',
    );
    expect([$board->json('days.0.hours.0.deciding'), $board->json('days.0.hours.1.outcome')])->toBe([
        'wind',
        'withCare',
    ]);
});

/** @return array{Process, string} a simulated service on a port of its own */
function simulated(string $which): array
{
    $server = stream_socket_server('tcp://127.0.0.1:0');
    $port = (int) substr((string) strrchr((string) stream_socket_get_name($server, false), ':'), 1);
    fclose($server);
    $process = new Process([
        'php',
        '-d',
        'display_errors=0',
        '-S',
        "127.0.0.1:{$port}",
        base_path("stand-ins/{$which}/serve.php"),
    ]);
    $process->start();
    for ($i = 0; $i < 100 && @fsockopen('127.0.0.1', $port) === false; ++$i) {
        usleep(50_000);
    }

    return [$process, "http://127.0.0.1:{$port}"];
}

it('asks the service, and says what it makes of its bad days', function () {
    [$process, $url] = simulated('weather');
    try {
        $clock = app(JobClock::class);
        $ground = Ground::query()->firstOrFail();
        // each asks for a place of its own, so that no answer is kept from the one before
        $ask = function (string $bad) use ($url, $clock, $ground): Forecast|string {
            Http::withBody($bad, 'text/plain')
                ->put("{$url}/v1/bad-day")
                ->throw();
            $ground->elevation_m = bcadd((string) $ground->elevation_m, '0.1', 1);
            try {
                return (new HttpWeather($clock, $url))->of($ground);
            } catch (Stopped $e) {
                return (string) $e->status;
            }
        };
        $fine = $ask('fine');
        expect($fine)
            ->toBeInstanceOf(Forecast::class)
            ->and([$fine->notBelieved, $fine->isStale($clock->now())])
            ->toBe([0, false])
            ->and(count($fine->following($clock->now(), 240)))
            ->toBe(240);
        expect([$ask('outage'), $ask('ahead')])->toBe(['503', '503']);
        $odd = $ask('nonsense');
        expect($odd)
            ->toBeInstanceOf(Forecast::class)
            ->and($odd->notBelieved)
            ->toBe(3 * 160);
        $half = $ask('half');
        $winds = array_map(static fn($h) => $h->wind === null, $half->following($clock->now(), 4));
        expect(array_count_values(array_map(intval(...), $winds)))->toBe([0 => 2, 1 => 2]);
    } finally {
        $process->stop(0);
    }
});

it('tells the last answer as old where the service fails, and nothing after two days', function () {
    $ground = Ground::query()->firstOrFail();
    $ground->elevation_m = (string) random_int(1, 3000);
    $clock = app(JobClock::class);
    $now = $clock->now();
    $answer = static fn() => Http::response([
        'issued' => $now->format('Y-m-d\TH:i:s\Z'),
        'hours' => [['at' => $now->format('Y-m-d\TH:i:s\Z'), 'airC' => 20]],
    ]);
    $calls = 0;
    Http::fake(function () use (&$calls, $answer) {
        ++$calls;

        return $calls === 1 ? $answer() : throw new Illuminate\Http\Client\ConnectionException('timed out');
    });
    $weather = new HttpWeather($clock, 'http://weather.test');
    expect($weather->of($ground)->isStale($clock->now()))->toBeFalse();
    $weather->of($ground);
    expect($calls)->toBe(1);
    $clock->freezeAt($now->modify('+7 hours')->format(DATE_RFC3339));
    expect($weather->of($ground)->isStale($clock->now()))->toBeTrue();
    // three tries, then a minute's rest
    expect($calls)->toBe(4);
    $weather->of($ground);
    expect($calls)->toBe(4);
    $clock->freezeAt($now->modify('+49 hours')->format(DATE_RFC3339));
    expect(static fn() => $weather->of($ground))->toThrow(Stopped::class);
});

it('lets a forecast that somebody brought count before the service, hour by hour, for a day', function () {
    $ground = Ground::query()->findOrFail(
        App\Models\Stand::query()->where('species', 'quackgrass')->firstOrFail()->patch->ground_id,
    );
    $now = app(JobClock::class)->now();
    $service = new class ($now) implements App\Weather\WeatherPort {
        public bool $fails = false;

        public function __construct(private DateTimeImmutable $now) {}

        public function of(Ground $ground): Forecast
        {
            $this->fails && throw new Stopped(503, 'no service');
            $hours = [];
            for ($i = 0; $i < 48; ++$i) {
                $at = $this->now->setTimestamp(Forecast::begin($this->now) + 3600 * $i);
                $hours[] = ['at' => $at->format('Y-m-d\TH:i:s\Z'), 'windMs' => 9, 'cloudPct' => 70];
            }

            return Thicket\Weather\ForecastReader::read(
                ['issued' => $this->now->format('Y-m-d\TH:i:s\Z'), 'source' => 'service', 'hours' => $hours],
                $this->now,
            );
        }
    };
    $told = fn(int $hours): ?Thicket\Weather\WeatherHour => (new App\Weather\BroughtFirst(
        $service,
        new JobClock(0, $now->modify("+{$hours} hours")),
    ))
        ->of($ground)
        ->at($now->modify("+{$hours} hours"));
    $this->as();
    $bring = fn(array $body) => $this->api('POST', "/grounds/{$ground->id}/weather", $body);
    $wind = static fn(?Thicket\Weather\WeatherHour $h): ?string => $h?->wind === null
        ? null
        : (string) $h->wind->in(Thicket\Measure\Unit::MetrePerSecond)->toScale(2, Brick\Math\RoundingMode::HALF_UP);

    // nine o'clock on the ground; 5 mph are 2.24 m/s; what the table does not tell the service tells
    $bring(['document' => "at;windMph;rainIn\n2026-09-03 09:00;5;0.1\n2026-09-03 10:00;;0\n"])
        ->assertCreated()
        ->assertJsonPath('brought.way', 'file')
        ->assertJsonPath('brought.hours', 2);
    expect([$wind($told(0)), $told(0)?->cloud, $wind($told(1)), $wind($told(2))])->toBe(['2.24', 70.0, '9.00', '9.00']);

    // three hours of 0.3 in: a third each; a day later it counts no more, and alone it stands for two
    $block = ['day' => '2026-09-03', 'from' => 9, 'hours' => 3, 'wind' => '4 mph', 'rain' => '0.3 in', 'cloud' => 20];
    $bring(['blocks' => [$block, ['from' => 9, 'day' => '2026-09-04'] + $block]])->assertCreated();
    expect([
        $wind($told(2)),
        (string) $told(2)?->rain?->in(Thicket\Measure\Unit::Millimetre)->toScale(2),
        $wind($told(24)),
    ])->toBe(['1.79', '2.54', '9.00']);
    $service->fails = true;
    expect($wind($told(24)))->toBe('1.79');
    expect(fn() => $told(48))->toThrow(Stopped::class);
    $service->fails = false;

    $fault = fn(array $body): string => (string) $bring($body)->assertStatus(422)->json('errors.0.message');
    expect([
        $fault(['document' => "at,windMph\nyesterday,4\n"]),
        $fault(['document' => "at,windMph\n2026-09-03 09:00,4 mph\n"]),
        $fault(['document' => "when,wind\n2026-09-03 09:00,4\n"]),
        $fault(['document' => "at,airC\n2026-09-03 09:00,68\n"]),
        $fault(['blocks' => [['day' => '2026-09-03', 'from' => 9, 'hours' => 3]]]),
    ])->toBe([
        'Line 2: give the begin of the hour as 2026-09-03 09:00.',
        'Line 2: windMs is a figure such as 12.5, without its unit.',
        'Name the columns: at for the begin of the hour, and any of airC, airF, humidityPct, windMs, windKmh, ' .
        'windMph, gustMs, gustKmh, gustMph, windFromDeg, rainMm, rainIn, rainChancePct, cloudPct, snowCm, snowIn, ' .
        'soilC, soilF, topsoilC, topsoilF.',
        '1 of its readings are such as no weather has; look at the units.',
        'Say something of this stretch: temperature, wind, rain or cloud.',
    ]);
    // nothing of what was refused is kept
    $this->api('GET', "/grounds/{$ground->id}/weather")->assertJsonPath('brought.way', 'typed');
    $this->api('DELETE', "/grounds/{$ground->id}/weather")
        ->assertOk()
        ->assertJsonPath('brought', null);
    expect($wind($told(2)))->toBe('9.00');
});

it('reads the soil probe, and says what it makes of its bad days', function () {
    [$process, $url] = simulated('probe');
    try {
        $ground = Ground::query()->firstOrFail();
        $probe = new App\Weather\SoilProbe(app(JobClock::class), $url);
        $ask = function (string $bad) use ($url, $probe, $ground): array|string {
            Http::withBody($bad, 'text/plain')
                ->put("{$url}/v1/bad-day")
                ->throw();
            try {
                $reading = $probe->of($ground);

                return [(string) $reading->soil?->in(Thicket\Measure\Unit::Celsius)->toScale(1), $reading->moisture];
            } catch (Stopped $e) {
                return $e->getMessage();
            }
        };
        // 3 September at 44.05 N, 205 m: 27 - 17.03 - 1.33 is the year's mean, 20 days after its height 9.95 more
        expect($ask('fine'))->toBe(['18.6', 'moist']);
        expect($ask('half'))->toBe(['18.6', null]);
        expect($ask('nonsense'))->toBe(['', 'moist']);
        expect($ask('outage'))->toBe('The soil probe does not answer. Read it yourself and type it in.');
        expect($ask('old'))->toBe('The probe has not read anything this hour. Read it yourself and type it in.');
        app()->instance(App\Weather\SoilProbe::class, $probe);
        $ask('fine');
        $this->as();
        $this->api('GET', "/grounds/{$ground->id}/probe")
            ->assertOk()
            ->assertJsonPath('moisture', 'moist');
    } finally {
        $process->stop(0);
    }
});
