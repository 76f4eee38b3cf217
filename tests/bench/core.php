<?php

declare(strict_types=1);

use Brick\Math\BigRational;
use Thicket\Assess\Board;
use Thicket\Assess\YearOutlook;
use Thicket\Calendar\Day;
use Thicket\Calendar\SeasonShift;
use Thicket\Catalogue\Catalogue;
use Thicket\Catalogue\CatalogueFiles;
use Thicket\Catalogue\NameSearch;
use Thicket\Hours\HourBoard;
use Thicket\Hours\Place;
use Thicket\Identify\Key;
use Thicket\Identify\ObservedCharacters;
use Thicket\Identify\SeasonalVisibility;
use Thicket\Input\Faults;
use Thicket\Input\Fields;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Outlook\StandOutlook;
use Thicket\Outlook\Terms;
use Thicket\Programmes\Planner;
use Thicket\SeasonPlan\SeasonPlanner;
use Thicket\Situation\Schools;
use Thicket\Situation\SituationReader;
use Thicket\Timing\YearStrip;
use Thicket\Weather\Forecast;
use Thicket\Weather\WeatherHour;

/*
 * Core timings. Baseline: 20,000 exact rational products and sums in pure PHP, the arithmetic the core is made of.
 * Each line: median of the runs, and its ratio to the baseline.
 */

require dirname(__DIR__, 2) . '/vendor/autoload.php';
require dirname(__DIR__) . '/Core/seasons.php';

$root = dirname(__DIR__, 2);
$catalogue = new Catalogue((new CatalogueFiles("{$root}/core/data", "{$root}/docs/schemas"))->read(false), 'bench');
$in = Fields::of(
    json_decode((string) file_get_contents("{$root}/docs/examples/hedge-ailanthus.json"), true),
    new Faults(),
);
$reader = new SituationReader($catalogue);
$situation = $reader->situation($in);
$schools = Schools::of($catalogue);
$shed = $reader->shed($in);

$tree = ObservedCharacters::of(['habit' => 'tree', 'leaf-type' => 'pinnate', 'armature' => 'none'], $catalogue);
$season = SeasonShift::forPlace('44.05', '205');
$day = Day::parse('2026-09-03');

/** Median milliseconds of one call. */
function median(int $runs, Closure $work): float
{
    $work();
    $times = [];
    for ($i = 0; $i < $runs; ++$i) {
        $start = hrtime(true);
        $work();
        $times[] = (hrtime(true) - $start) / 1e6;
    }
    sort($times);

    return $times[intdiv($runs, 2)];
}

$baseline = median(5, static function (): void {
    $sum = BigRational::zero();
    for ($i = 1; $i <= 20_000; ++$i) {
        $sum = BigRational::of(1)
            ->dividedBy(($i % 97) + 1)
            ->multipliedBy(3)
            ->plus('1/7');
    }
});
$board = median(15, static fn() => Board::for($situation, $catalogue, $schools, $shed));
$place = new Place(44.05, -71.4, 205.0, new DateTimeZone('America/New_York'));
$forecast = new Forecast(
    $situation->now,
    'bench',
    array_map(
        static fn(int $i): WeatherHour => new WeatherHour(
            $situation->now->setTimestamp(Forecast::begin($situation->now) + 3600 * $i),
            Quantity::of(18, Unit::Celsius),
            60.0,
            Quantity::of('2.4', Unit::MetrePerSecond),
            Quantity::of('3.8', Unit::MetrePerSecond),
            250.0,
            Quantity::zero(Unit::Millimetre),
            10.0,
            50.0,
            Quantity::zero(Unit::Centimetre),
            Quantity::of(18, Unit::Celsius),
            Quantity::of(19, Unit::Celsius),
        ),
        range(-240, 290),
    ),
);
$best = Board::for($situation, $catalogue, $schools, $shed)->rows[0]->option;
$seasonOf200 = randomSeason(11, 200, 240, 4);
$ahead = Board::judge($situation, $best);
$lines = [
    'outlook, 1,000 runs, all courses, 10 years' => median(
        3,
        static fn() => StandOutlook::of($situation, $ahead, [$ahead], [], new Terms()),
    ),
    'board, one stand, one day' => $board,
    'year strip, all methods, 52 weeks' => median(
        15,
        static fn() => YearStrip::of($situation, 2026, Board::options($situation, $catalogue, $schools, $shed)),
    ),
    'year, every row at its turning days' => median(5, static function () use (
        $situation,
        $catalogue,
        $schools,
        $shed,
    ): void {
        foreach (Board::options($situation, $catalogue, $schools, $shed) as $option) {
            YearOutlook::of($situation, $option, 2026);
        }
    }),
    'hours of ten days, one row' => median(5, static fn() => HourBoard::of($situation, [$best], $forecast, $place)),
    'season plan, 200 jobs, 4 people, 240 days' => median(1, static fn() => SeasonPlanner::plan($seasonOf200)),
    'programmes, all offered and laid out' => median(
        5,
        static fn() => (new Planner($catalogue, $schools, $shed))->offers($situation),
    ),
    'key, whole catalogue, nothing answered' => median(
        25,
        static fn() => (new Key($catalogue))->rank(
            ObservedCharacters::nothing(),
            new SeasonalVisibility($season, $day),
        ),
    ),
    'key, whole catalogue, three answers' => median(
        25,
        static fn() => (new Key($catalogue))->rank($tree, new SeasonalVisibility($season, $day)),
    ),
    'search of a name with a slip' => median(
        25,
        static fn() => (new NameSearch($catalogue))->find('japanesse knottweed'),
    ),
];
printf("baseline: 20,000 rational operations  %8.2f ms\n", $baseline);
foreach ($lines as $name => $time) {
    printf("%-44s%8.2f ms   ratio %.3f\n", $name, $time, $time / $baseline);
}
printf(
    "the year costs %.1f boards (at most 10 are allowed)\nmemory at its peak %.1f MB\n",
    $lines['year, every row at its turning days'] / $board,
    memory_get_peak_usage(true) / 1_048_576,
);
exit($lines['year, every row at its turning days'] > 10 * $board ? 1 : 0);
