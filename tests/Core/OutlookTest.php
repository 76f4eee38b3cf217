<?php

declare(strict_types=1);

use Thicket\Input\Faults;
use Thicket\Input\Fields;
use Thicket\Outlook\Assumptions;
use Thicket\Outlook\Control;
use Thicket\Outlook\Course;
use Thicket\Outlook\Dice;
use Thicket\Outlook\Effort;
use Thicket\Outlook\Population;
use Thicket\Outlook\Projection;
use Thicket\Outlook\Span;
use Thicket\Outlook\StandOutlook;
use Thicket\Outlook\Start;
use Thicket\Outlook\Terms;
use Thicket\Outlook\Way;
use Thicket\Outlook\World;

/* The years ahead: against figures worked out apart from it, against what must be, and against chance. */

/** Basal bark on a hundred stems, as a board has it. */
function outlookWay(float $low = 0.8, float $use = 0.8, float $high = 0.8): Way
{
    return new Way(
        'basal-bark',
        Control::expected(new Span($low, $use, $high)),
        new Effort(100, new Span(0.3, 0.5, 0.8), 30, new Span(60, 90, 150), 0.06, 0.5, 20),
    );
}

/** @param array<string, array{float, float, float}> $given */
function privetLife(array $given = []): Assumptions
{
    return Assumptions::of(catalogue()->species('common-privet'), catalogue()->life(), false, false)->with($given);
}

/** @return list<float> plants seen, year by year, every figure at its middle */
function middle(?float $kill, int $years, Start $start, array $given = []): array
{
    $stand = new Population(World::of(privetLife($given), [], $start, null), null, $start);
    $seen = [];
    for ($year = 0; $year < $years; ++$year) {
        $stand->yearOn($kill);
        $stand->spring($start->hectares ?? 0.0);
        $seen[] = round($stand->visible(), 4);
    }

    return $seen;
}

it('gives what the same life gives on another machine, worked out apart from it', function (?float $kill, array $seen) {
    // privet of life.yaml, 400 stems on 0.3 ha; a script of its own, written from docs/outlook.md
    foreach (middle($kill, count($seen), new Start(400, 0.3)) as $year => $plants) {
        expect($plants)->toEqualWithDelta($seen[$year], 0.001);
    }
})->with([
    'four of five killed every year' => [0.8, [137.736, 42.0292, 12.1567, 3.3222, 0.8712]],
    'left alone' => [null, [515.52, 621.9595, 732.8811, 856.2364, 995.412]],
]);

it('grows to the room there is where nobody works, and never beyond it', function () {
    $seen = middle(null, 600, new Start(400, 0.3));
    // 15,000 a hectare: room for 4,500, and the few that die each year are never all made up for
    expect(end($seen))->toEqualWithDelta(4078.51, 0.01)->and(max($seen))->toBeLessThan(4500);
    $fuller = middle(null, 600, new Start(4600, 0.3));
    expect(end($fuller))->toBeLessThan(4600);
});

it('is left with the seed in the soil where every plant is killed, and that fades by the years it lasts', function () {
    $all = ['foundAdults' => [1, 1, 1], 'foundJuveniles' => [1, 1, 1], 'foundSeedlings' => [1, 1, 1]];
    $start = new Start(400, 0.3);
    $world = World::of(privetLife($all), [], $start, null);
    $stand = new Population($world, null, $start);
    $bank = $stand->bank;
    for ($year = 1; $year <= 6; ++$year) {
        $stand->yearOn(1.0);
        $stand->spring(0.3);
        // a twentieth is left after its two years
        expect($stand->bank)->toEqualWithDelta($bank * 0.05 ** ($year / 2), 1e-9);
        expect($stand->visible())->toBeLessThan($bank);
    }
    // no seed that lasts, no plant that comes back
    $none = middle(1.0, 2, $start, $all + ['seedYears' => [0, 0, 0]]);
    expect($none[1])->toBe(0.0);
});

it('throws as the distributions say, and the same with the same seed', function () {
    $dice = new Dice(7);
    [$few, $many, $counts, $shares, $times] = [[], [], [], [], []];
    for ($i = 0; $i < 20_000; ++$i) {
        $few[] = $dice->of(12, 0.2);
        $many[] = $dice->of(400, 0.7);
        $counts[] = $dice->about(3.5);
        $shares[] = $dice->share(8, 2);
        $times[] = log($dice->within(new Span(2, 8, 32)));
    }
    $mean = static fn(array $of): float => array_sum($of) / count($of);
    $variance = static fn(array $of): float => $mean(
        array_map(static fn(float $x): float => ($x - $mean($of)) ** 2, $of),
    );
    // five deviations of the mean of 20,000
    expect($mean($few))->toEqualWithDelta(2.4, 0.05)->and($variance($few))->toEqualWithDelta(1.92, 0.1);
    expect($mean($many))->toEqualWithDelta(280, 0.4)->and($variance($many))->toEqualWithDelta(84, 5);
    expect($mean($counts))->toEqualWithDelta(3.5, 0.07)->and($variance($counts))->toEqualWithDelta(3.5, 0.2);
    expect($mean($shares))
        ->toEqualWithDelta(0.8, 0.005)
        ->and($variance($shares))
        ->toEqualWithDelta(0.16 / 11, 0.001);
    // a matter of times: even on the logarithm
    expect($mean($times))->toEqualWithDelta(log(8), 0.03);
    [$one, $other] = [new Dice(3), new Dice(3)];
    expect([$one->even(), $one->bell(), $one->of(50, 0.3)])->toBe([
        $other->even(),
        $other->bell(),
        $other->of(50, 0.3),
    ]);
});

it('learns from look-backs, less from one job than from as many plants of many', function () {
    $before = Control::expected(new Span(0.65, 0.8, 0.9));
    expect($before->mean())->toEqualWithDelta(0.79167, 0.0001);
    $one = $before->seen([['dead' => 12, 'counted' => 40]], 0.1);
    // 40 plants of one job weigh as 40 / (1 + 39 x 0.1) = 8.163
    expect($one->a - $before->a)->toEqualWithDelta(12 / 4.9, 1e-9);
    $eight = $before->seen(array_fill(0, 8, ['dead' => 2, 'counted' => 5]), 0.1);
    expect($one->mean())
        ->toBeLessThan($before->mean())
        ->and($eight->interval(0.9)['high'])
        ->toBeLessThan($one->interval(0.9)['high']);
    expect($before->seen([['dead' => 0, 'counted' => 0]], 0.1)->mean())->toBe($before->mean());
});

it('holds the true share of a crew in nine of ten of its intervals, over crews that are made up', function () {
    $expected = Control::expected(new Span(0.5, 0.75, 0.95));
    $dice = new Dice(11);
    $alike = 0.1;
    $held = 0;
    for ($crew = 0; $crew < 600; ++$crew) {
        $true = $dice->share($expected->a, $expected->b);
        $looks = [];
        for ($job = 0; $job < 4; ++$job) {
            // jobs differ round the crew's share as much as plants of one job are alike (beta-binomial)
            $that = $dice->share(($true * (1 - $alike)) / $alike, ((1 - $true) * (1 - $alike)) / $alike);
            $looks[] = ['dead' => (int) $dice->of(25, $that), 'counted' => 25];
        }
        ['low' => $low, 'high' => $high] = $expected->seen($looks, $alike)->interval(0.9);
        $held += $low <= $true && $true <= $high ? 1 : 0;
    }
    // 0.9 give or take three deviations of 600 crews (0.0122 each)
    expect($held / 600)
        ->toBeGreaterThan(0.863)
        ->toBeLessThan(0.937);
});

it('holds eight of ten worlds within its bands', function () {
    $start = new Start(400, 0.3);
    $courses = Course::all(outlookWay(0.65, 0.8, 0.9), null, 6);
    $told = Projection::of($start, privetLife(), [$courses[0]], 6, 4, 1);
    $inside = [2 => 0, 4 => 0];
    foreach (range(1, 400) as $world) {
        $one = Projection::of($start, privetLife(), [$courses[0]], 6, 4, 500_000 + 2 * $world, 2);
        foreach (array_keys($inside) as $year) {
            // of two runs the low end of their band is the first world's or the second's: each is one
            $plants = $one->bands[Course::PLANNED][$year]['plants'][0] ?? -1.0;
            [$low, , $high] = $told->bands[Course::PLANNED][$year]['plants'] ?? [0.0, 0.0, 0.0];
            $inside[$year] += $plants >= $low && $plants <= $high ? 1 : 0;
        }
    }
    // the lower of two lies within 10-90 % with 0.9^2 - 0.1^2 = 0.80
    foreach ($inside as $n) {
        expect($n / 400)
            ->toBeGreaterThan(0.73)
            ->toBeLessThan(0.88);
    }
});

it('tells what a year left out, an early end, a late start and nothing at all cost', function () {
    $hand = new Way(
        'pull',
        Control::expected(new Span(0.1, 0.25, 0.5)),
        new Effort(400, new Span(1, 3, 6), 30, new Span(60, 90, 150), 0.0, 0.0, null),
    );
    $told = Projection::of(new Start(400, 0.3), privetLife(), Course::all(outlookWay(), $hand, 10), 10, 4, 1, 300);
    $end = static fn(string $course): float => $told->bands[$course][10]['plants'][1] ?? -1.0;
    expect(array_keys($told->bands))->toBe([
        Course::PLANNED,
        Course::SKIP_A_YEAR,
        Course::STOP_AFTER_TWO,
        Course::BY_HAND,
        Course::NEXT_YEAR,
        Course::LEAVE,
    ]);
    expect($told->under[Course::PLANNED][8])->toBeGreaterThan(0.9);
    expect($told->bands[Course::SKIP_A_YEAR][3]['plants'][1])->toBeGreaterThan(
        $told->bands[Course::PLANNED][3]['plants'][1],
    );
    expect($end(Course::STOP_AFTER_TWO))->toBeGreaterThan(100.0)->and($end(Course::LEAVE))->toBeGreaterThan(1000.0);
    expect($told->under[Course::LEAVE][10])->toBe(0.0);
    // later begun is more to do; nobody named a wage of who pulls by hand, so its money is not known
    expect($told->totals[Course::NEXT_YEAR]['hours'][1])->toBeGreaterThan($told->totals[Course::PLANNED]['hours'][1]);
    expect($told->totals[Course::BY_HAND]['money'])->toBeNull();
    expect($told->totals[Course::LEAVE])->toBe([
        'hours' => [0.0, 0.0, 0.0],
        'litres' => [0.0, 0.0, 0.0],
        'money' => [0.0, 0.0, 0.0],
    ]);
    // a first find has less seed to come
    expect(
        (new Population(
            World::of(privetLife(['firstFound' => [0.1, 0.1, 0.1]]), [], new Start(400, 0.3), null),
            null,
            new Start(400, 0.3),
        ))->bank,
    )->toEqualWithDelta(82.946, 0.001);
});

it('lets what is planted among them live and bear the sooner, the less stands there', function () {
    $species = catalogue()->species('reed-canarygrass');
    $life = Assumptions::of($species, catalogue()->life(), false, true);
    $told = Projection::of(
        new Start(3000, 0.3, Start::COVERED),
        $life,
        Course::all(outlookWay(), null, 8),
        8,
        30,
        1,
        200,
    );
    expect($told->bands[Course::PLANNED][8]['kept'][1])->toBeGreaterThan($told->bands[Course::LEAVE][8]['kept'][1]);
    expect($told->crop[Course::PLANNED][1])->toBeLessThan($told->crop[Course::LEAVE][1]);
    // ground is covered once
    expect($told->bands[Course::LEAVE][8]['plants'][2])->toBeLessThanOrEqual(3000.0);
});

it('looks ahead for every plant with a name that somebody counted, and for none else', function () {
    $document = woody(
        'woods',
        'common-privet',
        '2026-09-20',
        [['from' => '1 in', 'below' => '2 in', 'count' => 120]],
        [],
        [
            'area' => '0.2 ha',
            'cards' => [esterCard()],
        ],
    );
    $board = board($document);
    $in = Fields::of($document, new Faults());
    $situation = (new Thicket\Situation\SituationReader(catalogue()))->situation($in);
    $row = row($document, 'basal-bark/triclopyr-ester/ester');
    $look = [
        'method' => 'basal-bark',
        'active' => 'triclopyr-ester',
        'species' => 'bush-honeysuckle',
        'dead' => 4,
        'counted' => 40,
    ];
    $terms = new Terms(5, null, [], 1, 100);
    $told = StandOutlook::of($situation, $row, $board->rows, [], $terms) ?? throw new LogicException('no outlook');
    expect($told->byHand)->not->toBeNull()->and($told->threshold)->toBe(2.0);
    // what the crew saw of another shrub counts, of a tree not
    $worse = StandOutlook::of($situation, $row, $board->rows, [$look], $terms);
    expect($worse?->planned->control->mean())->toBeLessThan($told->planned->control->mean());
    $tree = StandOutlook::of($situation, $row, $board->rows, [['species' => 'norway-maple'] + $look], $terms);
    expect($tree?->planned->control->jobs)->toBe(0);
    $given = new Terms(5, null, ['control' => [0.5, 0.6, 0.7]], 1, 100);
    expect(
        StandOutlook::of($situation, $row, $board->rows, [$look], $given)?->planned->control->mean(),
    )->toEqualWithDelta(0.6, 1e-9);
    $nobody = (new Thicket\Situation\SituationReader(catalogue()))->situation(
        Fields::of(['stems' => [], 'area' => null] + $document, new Faults()),
    );
    expect(StandOutlook::of($nobody, $row, $board->rows, [], $terms))->toBeNull();
});

it('refuses terms that cannot be', function (array $given, string $pointer) {
    $faults = new Faults();
    Terms::read(Fields::of($given, $faults));
    expect(fn() => $faults->throwIfAny())->toThrow(Thicket\Input\Refused::class, $pointer);
})->with([
    'no year' => [['years' => 0], '/years'],
    'too far' => [['years' => 26], '/years'],
    'below nothing' => [['threshold' => 0], '/threshold'],
    'a share above all' => [
        ['assumptions' => [['name' => 'adultLives', 'low' => '0.5', 'use' => '0.9', 'high' => '1.1']]],
        '/assumptions/0/high',
    ],
    'a kill above all' => [
        ['assumptions' => [['name' => 'control', 'low' => '0.5', 'use' => '0.9', 'high' => '1.2']]],
        '/assumptions/0/high',
    ],
    'a figure of nobody' => [
        ['assumptions' => [['name' => 'luck', 'low' => '0', 'use' => '1', 'high' => '1']]],
        '/assumptions/0/name',
    ],
    'out of order' => [
        ['assumptions' => [['name' => 'seeds', 'low' => '5', 'use' => '4', 'high' => '6']]],
        '/assumptions/0/use',
    ],
]);

it('names every figure that an outlook rests on, and none besides', function () {
    $life = catalogue()->life();
    $figures = ['seedYears', 'resprouts', ...array_keys($life->kept())];
    foreach (['tree', 'shrub', 'vine', 'creeping', 'perennial', 'biennial', 'annual'] as $kind) {
        $figures = [...$figures, ...array_keys($life->kind($kind))];
    }
    $figures = [
        ...$figures,
        ...array_filter(array_keys($life->all()), fn(string $n): bool => !str_starts_with($n, 'resprouts')),
    ];
    $named = Assumptions::NAMES;
    $expected = array_unique([...Assumptions::CONTROL, ...$figures]);
    sort($named);
    sort($expected);
    expect($named)->toBe($expected);
});

it('tells no litres and no money where nobody knows how much one plant takes', function () {
    $unknown = new Way(
        'spread',
        Control::expected(new Span(0.8, 0.8, 0.8)),
        new Effort(100, new Span(0.3, 0.5, 0.8), 30, new Span(60, 90, 150), null, null, 20),
    );
    $told = Projection::of(new Start(400, 0.3), privetLife(), Course::all($unknown, null, 2), 2, 4, 1, 100);
    expect([$told->totals[Course::PLANNED]['litres'], $told->totals[Course::PLANNED]['money']])->toBe([null, null]);
    expect($told->totals[Course::PLANNED]['hours'][1])->toBeGreaterThan(0.0);
    expect($told->totals[Course::LEAVE]['litres'])->toBe([0.0, 0.0, 0.0]);
});

it(
    'lets every plant it knows grow alone as the waiting figures have it, none dying out, none running away',
    function () {
        $rates = [];
        foreach (catalogue()->allSpecies() as $species) {
            $start = new Start(20, 1000);
            $world = World::of(Assumptions::of($species, catalogue()->life(), false, false), [], $start, null);
            $stand = new Population($world, null, $start);
            for ($year = 1; $year <= 15; ++$year) {
                $stand->yearOn(null);
                $stand->spring(1000);
                $year === 5 && ($fifth = $stand->visible());
            }
            $rates[$species->id()] = ($stand->visible() / ($fifth ?? 1)) ** 0.1;
        }
        // handbook 9: 1.1, 1.3, 1.8 a year; annuals double
        expect(array_filter($rates, static fn(float $rate): bool => $rate < 1.03 || $rate > 2.4))->toBe([]);
    },
);

it('takes the life of the plant itself where that is known, and says that it is ours', function () {
    $of = static fn(string $id): array => Assumptions::of(catalogue()->species($id), catalogue()->life(), false, false)
        ->spans;
    $knotweed = $of('japanese-knotweed');
    expect([$knotweed['adultLives']->use, $knotweed['adultLives']->source])
        ->toBe([0.97, Span::SPECIES_GUESS])
        ->and([$knotweed['comesUp']->use, $knotweed['comesUp']->source])
        ->toBe([0.2, Span::OUR_GUESS])
        // it creeps from roots and hardly from seed: kept from seeding it comes on as before
        ->and($knotweed['seeds']->use)
        ->toBeLessThan($of('canada-thistle')['seeds']->use);
    // broom seeds young, hogweed dies by seeding
    expect($of('scotch-broom')['yearsToSeed']->use)->toBe(3.0)->and($of('giant-hogweed')['adultLives']->use)->toBe(0.0);
    // nobody's life says more than its spread does
    foreach (catalogue()->allSpecies() as $species) {
        $seeds = in_array('seed', $species->spread(), true);
        expect($seeds || !isset($species->life()['seeds']))->toBeTrue($species->id());
        foreach ($species->life() as $name => [$low, $use, $high]) {
            expect($low <= $use && $use <= $high && $high <= Assumptions::mostOf($name))->toBeTrue(
                "{$species->id()} {$name}",
            );
        }
    }
});
