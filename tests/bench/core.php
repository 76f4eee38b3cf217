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
use Thicket\Identify\Key;
use Thicket\Identify\ObservedCharacters;
use Thicket\Identify\SeasonalVisibility;
use Thicket\Input\Faults;
use Thicket\Input\Fields;
use Thicket\Programmes\Planner;
use Thicket\Situation\Schools;
use Thicket\Situation\SituationReader;
use Thicket\Timing\YearStrip;

/*
 * Core timings. Baseline: 20,000 exact rational products and sums in pure PHP, the arithmetic the core is made of.
 * Each line: median of the runs, and its ratio to the baseline.
 */

require dirname(__DIR__, 2) . '/vendor/autoload.php';

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
$lines = [
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
    printf("%-38s%8.2f ms   ratio %.3f\n", $name, $time, $time / $baseline);
}
printf(
    "the year costs %.1f boards (at most 10 are allowed)\nmemory at its peak %.1f MB\n",
    $lines['year, every row at its turning days'] / $board,
    memory_get_peak_usage(true) / 1_048_576,
);
exit($lines['year, every row at its turning days'] > 10 * $board ? 1 : 0);
