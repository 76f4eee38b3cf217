<?php

declare(strict_types=1);

use Thicket\Input\Faults;
use Thicket\Input\Fields;
use Thicket\Input\Refused;
use Thicket\Measure\Unit;
use Thicket\Mix\Census;
use Thicket\Mix\TreatedArea;
use Thicket\Position\Fix;
use Thicket\Situation\SituationReader;
use Thicket\Survey\Ellipsoid;
use Thicket\Survey\Estimate;
use Thicket\Survey\LocalPlane;
use Thicket\Survey\Mending;
use Thicket\Survey\Nearest;
use Thicket\Survey\Outline;
use Thicket\Survey\OutlineEdit;
use Thicket\Survey\PlotPlan;
use Thicket\Survey\PlotTally;
use Thicket\Survey\Shape;
use Thicket\Survey\StemGroup;
use Thicket\Survey\StudentT;
use Thicket\Survey\Tracing;

/** @return array{areas: list<array<string, mixed>>, lines: list<array<string, mixed>>} */
function geodesy(): array
{
    return json_decode((string) file_get_contents(__DIR__ . '/fixtures/geodesy.json'), true);
}

/** A rectangle in metres from 71.4 W, 44.05 N. */
function block(float $east, float $north, float $width, float $height): Outline
{
    $plane = new LocalPlane([-71.4, 44.05]);
    $ring = $plane->allPositions([
        [$east, $north],
        [$east + $width, $north],
        [$east + $width, $north + $height],
        [$east, $north + $height],
    ]);

    return Outline::fromGeoJson(['type' => 'Polygon', 'coordinates' => [[...$ring, $ring[0]]]]);
}

function squareMetres(Outline $outline): float
{
    return $outline->area()->float(Unit::SquareMetre);
}

it(
    'agrees with an independent judge on areas and edges from 10 m2 to 100 km2, equator to 65 degrees, both ' .
        'hemispheres',
    function () {
        $cases = geodesy()['areas'];
        expect($cases)->toHaveCount(45);
        foreach ($cases as $case) {
            $shape = Shape::fromGeoJson(['type' => 'Polygon', 'coordinates' => [$case['ring']]]);
            $what = "{$case['latitude']} degrees, {$case['area_m2']} m2";
            expect(squareMetres(Outline::trusted($shape->parts)) / (float) $case['area_m2'])
                ->toEqualWithDelta(1, 0.0005, "area at {$what}")
                ->and($shape->length()->float(Unit::Metre) / (float) $case['perimeter_m'])
                ->toEqualWithDelta(1, 0.0005, "edge at {$what}");
        }
    },
);

it('agrees with an independent judge on distances and bearings from 3 m to 60 km', function () {
    foreach (geodesy()['lines'] as $case) {
        $got = Ellipsoid::inverse($case['from'], $case['to']);
        expect($got['distance'] / (float) $case['distance_m'])
            ->toEqualWithDelta(1, 0.0001)
            ->and(fmod($got['bearing'] - (float) $case['bearing'] + 540, 360) - 180)
            ->toEqualWithDelta(0, 0.02);
    }
});

it('finds a position again from its metres', function (float $latitude) {
    $plane = new LocalPlane([179.5, $latitude]);
    foreach ([[0.0, 0.0], [12.3, -4.5], [-9000.0, 7000.0]] as $metres) {
        $back = $plane->metres($plane->position($metres));
        expect(hypot($back[0] - $metres[0], $back[1] - $metres[1]))->toBeLessThan(0.002);
    }
})->with([0.0, -44.0, 65.0]);

it('tells the nearest way to what is kept, and its direction', function (
    array $shape,
    string $metres,
    ?float $bearing,
) {
    $plane = new LocalPlane([-71.4, 44.05]);
    $to = Shape::fromGeoJson([
        'type' => $shape[0],
        'coordinates' =>
            $shape[0] === 'Point'
                ? $plane->position($shape[1])
                : ($shape[0] === 'LineString'
                    ? $plane->allPositions($shape[1])
                    : [$plane->allPositions($shape[1])]),
    ]);
    $near = Nearest::between(Shape::ofOutline(block(0, 0, 40, 20)), $to);
    expect($near->distance->float(Unit::Metre))->toEqualWithDelta((float) $metres, 0.011);
    $bearing === null ? expect($near->bearing)->toBeNull() : expect($near->bearing)->toEqualWithDelta($bearing, 0.1);
})->with([
    'a well to the east' => [['Point', [55.0, 10.0]], '15', 90.0],
    'a tree beyond a corner, 3-4-5' => [['Point', [43.0, 24.0]], '5', 36.87],
    'a tree inside' => [['Point', [20.0, 10.0]], '0', null],
    'a stream that passes south with no corner near' => [
        ['LineString', [[-500.0, -12.0], [500.0, -12.0]]],
        '12',
        180.0,
    ],
    'a path that crosses' => [['LineString', [[-10.0, 10.0], [50.0, 11.0]]], '0', null],
    'a pond that holds the patch' => [
        ['Polygon', [[-50.0, -50.0], [90.0, -50.0], [90.0, 70.0], [-50.0, 70.0], [-50.0, -50.0]]],
        '0',
        null,
    ],
    'a planting to the west' => [
        ['Polygon', [[-30.0, 5.0], [-8.0, 5.0], [-8.0, 9.0], [-30.0, 9.0], [-30.0, 5.0]]],
        '8',
        270.0,
    ],
]);

it('splits, joins and hollows without losing ground', function () {
    $whole = block(0, 0, 100, 50);
    $plane = new LocalPlane([-71.4, 44.05]);
    $halves = OutlineEdit::split($whole, $plane->allPositions([[30.0, -10.0], [30.0, 60.0]]));
    expect($halves)
        ->toHaveCount(2)
        ->and(squareMetres($halves[0]))
        ->toEqualWithDelta(3500, 0.5)
        ->and(squareMetres($halves[1]))
        ->toEqualWithDelta(1500, 0.5);
    expect(squareMetres(OutlineEdit::merge($halves)))->toEqualWithDelta(squareMetres($whole), 0.05);
    $hollow = OutlineEdit::hollow($whole, block(10, 10, 20, 10));
    expect($hollow->rings)->toHaveCount(2)->and(squareMetres($hollow))->toEqualWithDelta(4800, 0.5);
    // a seam walked twice leaves slits: half a metre closes, three do not
    expect(squareMetres(OutlineEdit::merge([block(0, 0, 30, 20), block(30.5, 0, 30, 20)])))
        ->toEqualWithDelta(1210, 3)
        ->and(fn() => OutlineEdit::merge([block(0, 0, 30, 20), block(33, 0, 30, 20)]))
        ->toThrow(Refused::class, '(3 m apart)')
        ->and(fn() => OutlineEdit::split($whole, $plane->allPositions([[30.0, 10.0], [30.0, 60.0]])))
        ->toThrow(Refused::class, 'does not cut')
        ->and(fn() => OutlineEdit::hollow($whole, block(90, 10, 20, 10)))
        ->toThrow(Refused::class, 'inside')
        ->and(fn() => OutlineEdit::hollow($whole, block(40, 0, 20, 50)))
        ->toThrow(Refused::class);
});

it('parts an edge from a core, and refuses an edge wider than the patch', function () {
    ['edge' => $edge, 'core' => $core] = OutlineEdit::edgeAndCore(block(0, 0, 60, 40), quantity('5 m'));
    expect(squareMetres($core))
        ->toEqualWithDelta(1500, 0.5)
        ->and(squareMetres($edge))
        ->toEqualWithDelta(900, 0.5)
        ->and(fn() => OutlineEdit::edgeAndCore(block(0, 0, 60, 40), quantity('20 m')))
        ->toThrow(Refused::class, 'nowhere wide enough');
    $waist = OutlineEdit::merge([block(0, 0, 30, 30), block(30, 12, 20, 6), block(50, 0, 30, 30)]);
    expect(fn() => OutlineEdit::edgeAndCore($waist, quantity('5 m')))->toThrow(Refused::class, '2 pieces');
});

it('makes outlines from measures taken on the ground', function () {
    $at = [-71.4, 44.05];
    expect(squareMetres(Tracing::circle($at, quantity('10 m'))))
        ->toEqualWithDelta(314.159, 0.1)
        ->and(squareMetres(Tracing::rectangle($at, quantity('50 m'), quantity('20 m'), 30)))
        ->toEqualWithDelta(1000, 0.2);
    // 100 paces of 2 1/2 ft by 40: 76.2 m x 30.48 m
    $pace = quantity('2 1/2 ft');
    $round = Tracing::legs($at, [
        ['length' => $pace->times(100), 'bearing' => 0],
        ['length' => $pace->times(40), 'bearing' => 90],
        ['length' => $pace->times(100), 'bearing' => 180],
        ['length' => $pace->times(40), 'bearing' => 270],
    ]);
    expect(squareMetres($round['outline']))
        ->toEqualWithDelta(2322.576, 0.5)
        ->and($round['misclosure']->isZero())
        ->toBeTrue();
    $open = Tracing::legs($at, [
        ['length' => quantity('50 m'), 'bearing' => 0],
        ['length' => quantity('50 m'), 'bearing' => 90],
        ['length' => quantity('50 m'), 'bearing' => 180],
        ['length' => quantity('47 m'), 'bearing' => 270],
    ]);
    expect($open['misclosure']->toWire()['value'])
        ->toBe('3')
        ->and(
            fn() => Tracing::legs($at, [
                ['length' => quantity('50 m'), 'bearing' => 0],
                ['length' => quantity('50 m'), 'bearing' => 90],
                ['length' => quantity('50 m'), 'bearing' => 180],
                ['length' => quantity('30 m'), 'bearing' => 270],
            ]),
        )
        ->toThrow(Refused::class, '20.0 m');
});

it('walks an edge: weak fixes, jumps and standing about are left out', function () {
    $plane = new LocalPlane([-71.4, 44.05]);
    $fixes = [];
    $second = 0;
    $fix = static function (float $x, float $y, float $dilution = 1.0) use (&$fixes, &$second, $plane): void {
        $fixes[] = new Fix(
            $plane->position([$x, $y]),
            new DateTimeImmutable('2026-09-03T14:00:00Z +' . $second++ . ' seconds'),
            $dilution,
        );
    };
    foreach ([[0, 0, 1, 0], [60, 0, 0, 1], [60, 30, -1, 0], [0, 30, 0, -1]] as [$x, $y, $dx, $dy]) {
        for ($step = 0; $step < ($dx === 0 ? 30 : 60); ++$step) {
            $fix($x + $dx * $step, $y + $dy * $step + 0.2 * sin($step));
        }
        $fix($x + 500.0, $y, 1.0);
        $fix($x + 9.0, $y, 9.9);
    }
    $walk = Tracing::walk($fixes);
    expect(squareMetres($walk['outline']))
        ->toEqualWithDelta(1800, 40)
        ->and($walk['weak'])
        ->toBe(4)
        ->and($walk['jumps'])
        ->toBe(4)
        ->and($walk['used'])
        ->toBe(180)
        ->and(count($walk['outline']->rings[0]))
        ->toBeLessThan(20)
        ->and(fn() => Tracing::walk(array_slice($fixes, 0, 2)))
        ->toThrow(Refused::class, 'Too few good positions');
});

it('mends what has one meaning, says so, and refuses the rest', function () {
    $near = [-71.4, 44.05];
    $open = [[-71.4, 44.05], [-71.4, 44.05], [-71.399, 44.05], [-71.399, 44.051]];
    $turned = array_map(array_reverse(...), $open);
    expect(Mending::outline(['type' => 'Polygon', 'coordinates' => [$open]], $near)->mended)
        ->toBe(['closed', 'repeated'])
        ->and(Mending::outline(['type' => 'Polygon', 'coordinates' => [$turned]], $near)->mended)
        ->toBe(['swapped', 'closed', 'repeated'])
        ->and(Mending::outline(['type' => 'Polygon', 'coordinates' => [$turned]], $near)->outline->rings[0][0])
        ->toBe([-71.4, 44.05])
        ->and(
            fn() => Mending::outline(
                ['type' => 'Polygon', 'coordinates' => [[[10.0, 50.0], [10.1, 50.0], [10.1, 50.1]]]],
                $near,
            ),
        )
        ->toThrow(Refused::class, 'km from the ground')
        ->and(
            fn() => Mending::outline(
                [
                    'type' => 'Polygon',
                    'coordinates' => [[[-71.4, 44.05], [-71.399, 44.051], [-71.399, 44.05], [-71.4, 44.051]]],
                ],
                $near,
            ),
        )
        ->toThrow(Refused::class, 'crosses itself here');
});

// one-sided 95 % points as any table prints them
it('knows the t distribution', function (float $freedom, float $share, float $t) {
    expect(StudentT::quantile($share, $freedom))->toEqualWithDelta($t, 0.0005);
})->with([
    [1, 0.95, 6.3138],
    [2, 0.95, 2.92],
    [4, 0.95, 2.1318],
    [9, 0.95, 1.8331],
    [29, 0.95, 1.6991],
    [120, 0.95, 1.6577],
    [4, 0.975, 2.7764],
    [1e6, 0.95, 1.6449],
]);

it('works the plots case: five plots of 5 m radius', function () {
    $worked =
        array_column(json_decode((string) file_get_contents(__DIR__ . '/worked.json'), true), null, 'id')['plots'] ??
        null;
    expect($worked)->not->toBeNull();
    $plot = M_PI * 25;
    $got = Estimate::ofPlots([4, 7, 3, 6, 5], array_fill(0, 5, $plot), 8000.0);
    expect($got->mean * 1e4)
        ->toEqualWithDelta((float) $worked['expect']['mean_per_ha'], $worked['tolerance'])
        ->and($got->standardError * 1e4)
        ->toEqualWithDelta((float) $worked['expect']['se_per_ha'], $worked['tolerance'])
        ->and($got->halfWidth() * 1e4)
        ->toEqualWithDelta((float) $worked['expect']['half_width_per_ha'], $worked['tolerance'])
        ->and($got->total())
        ->toEqualWithDelta(509.3, 0.1);
    // spread 31.6 % of the mean: t x 31.6 % / sqrt(n) falls to 20 % at n = 9 (1.860 x 31.6 / 3 = 19.6), at 8 it is 21.2
    expect($got->plotsFor(0.2))
        ->toBe(9)
        ->and($got->plotsStillNeeded(0.2))
        ->toBe(4)
        ->and($got->plotsStillNeeded(0.4))
        ->toBe(0);
});

it('says nothing of the spread from one plot, and nothing found is nought, not a guess', function () {
    $one = Estimate::ofPlots([3], [78.54], 1000.0);
    $none = Estimate::ofPlots([0, 0, 0], [1.0, 1.0, 1.0], 1000.0);
    expect($one->halfWidth())
        ->toBeNull()
        ->and($one->plotsFor(0.2))
        ->toBeNull()
        ->and($none->interval())
        ->toBe([0.0, 0.0])
        ->and($none->plotsFor(0.2))
        ->toBeNull()
        ->and(Estimate::ofPlots([0, 9], [1.0, 1.0], null)->interval()[0] ?? -1)
        ->toBe(0.0);
});

it('adds up zones sampled apart, and weighs plots cut by the edge by the part inside', function () {
    // edge 1000 m2: mean 0.2, se 0.05 (3 plots: 0.1 0.2 0.3 x 0.0577); core 4000 m2: mean 1, se 0.5
    $edge = Estimate::ofPlots([10, 20, 30], [100.0, 100.0, 100.0], 1000.0);
    $core = Estimate::ofPlots([50, 150], [100.0, 100.0], 4000.0);
    $both = Estimate::ofZones([$edge, $core]);
    expect($edge->standardError)
        ->toEqualWithDelta(0.057735, 1e-6)
        ->and($core->standardError)
        ->toEqualWithDelta(0.5, 1e-9)
        ->and($both->total())
        ->toEqualWithDelta(200 + 4000, 1e-6)
        ->and($both->standardError * 5000)
        ->toEqualWithDelta(sqrt(57.735 ** 2 + 2000 ** 2), 0.01)
        // 4003333^2 / (3333.3^2 / 2 + 4000000^2 / 1): the core, with one degree, decides
        ->and($both->freedom)
        ->toEqualWithDelta(1.0017, 0.001);
    // ratio of sums by hand: 30 on 250 m2 = 0.12; residuals 12-12, 6-6, 12-12
    $cut = Estimate::ofPlots([12, 6, 12], [100.0, 50.0, 100.0], null);
    expect($cut->mean)->toEqualWithDelta(0.12, 1e-12)->and($cut->standardError)->toEqualWithDelta(0, 1e-12);
});

it('places plots inside, apart, and the same for the same seed', function (string $placement) {
    $outline = OutlineEdit::hollow(block(0, 0, 120, 80), block(40, 30, 20, 20));
    $plots = PlotPlan::place($outline, 12, quantity('5 m'), $placement, 7);
    expect($plots)
        ->toEqual(PlotPlan::place($outline, 12, quantity('5 m'), $placement, 7))
        ->and($plots)
        ->not->toEqual(PlotPlan::place($outline, 12, quantity('5 m'), $placement, 8))
        ->and(count($plots))
        ->toBeGreaterThanOrEqual($placement === 'random' ? 12 : 10)
        ->toBeLessThanOrEqual($placement === 'random' ? 12 : 14);
    foreach ($plots as $i => $plot) {
        $here = Shape::fromGeoJson(['type' => 'Point', 'coordinates' => $plot['position']]);
        expect(Nearest::between(Shape::ofOutline($outline), $here)->distance->isZero())
            ->toBeTrue()
            ->and($plot['inside']->float(Unit::SquareMetre))
            ->toBeGreaterThan(15)
            ->toBeLessThanOrEqual(78.54);
        foreach (array_slice($plots, $i + 1) as $other) {
            expect(Ellipsoid::inverse($plot['position'], $other['position'])['distance'])->toBeGreaterThan(9.99);
        }
    }
})->with(['random', 'systematic']);

it('refuses more plots than the ground holds', function (int $plots, string $says) {
    expect(fn() => PlotPlan::place(block(0, 0, 30, 30), $plots, quantity('5 m'), 'random', 1))->toThrow(
        Refused::class,
        $says,
    );
})->with([[12, 'more than the whole patch'], [11, 'stand apart']]);

it('raises plot counts to a tally of the whole, class by class, and marks it estimated', function () {
    $reader = new SituationReader(catalogue());
    $in = Fields::of(
        [
            'radius' => '5 m',
            'classes' => [
                ['from' => '1 in', 'below' => '2 in'],
                ['from' => '2 in', 'below' => '4 in', 'stemsPerClump' => 3],
            ],
            'plots' => [
                ['counts' => [4, 0]],
                ['counts' => [7, 2]],
                ['counts' => [3, 0]],
                ['counts' => [6, 1], 'inside' => '40 m2'],
            ],
        ],
        $faults = new Faults(),
    );
    $tally = PlotTally::read($in, static fn(Fields $row): ?StemGroup => $reader->stems($row, false));
    $faults->throwIfAny();
    $groups = $tally?->raised(quantity('1000 m2')) ?? [];
    // 20 and 3 on 3 x 78.54 + 40 = 275.62 m2: 72.6 -> 73 and 10.9 -> 11
    expect(array_map(static fn(StemGroup $g): int => $g->count, $groups))
        ->toBe([73, 11])
        ->and($groups[0]->estimated)
        ->toBeTrue()
        ->and($groups[1]->stemsPerClump)
        ->toBe(3)
        ->and($tally?->estimate(null)->total())
        ->toBeNull();
});

it('refuses plot forms that do not add up, naming the field', function (array $given, string $pointer) {
    $reader = new SituationReader(catalogue());
    $in = Fields::of($given, $faults = new Faults());
    PlotTally::read($in, static fn(Fields $row): ?StemGroup => $reader->stems($row, false));
    expect(fn() => $faults->throwIfAny())->toThrow(Refused::class, $pointer);
})->with([
    'no size' => [['plots' => [['counts' => [1]]]], '/radius'],
    'both sizes' => [['radius' => '5 m', 'frame' => '1 m2', 'plots' => [['counts' => [1]]]], '/radius'],
    'a plot as large as a field' => [['radius' => '51 m', 'plots' => [['counts' => [1]]]], '/radius'],
    'no plots' => [['radius' => '5 m', 'plots' => []], '/plots'],
]);

it('derives surface, cuts and density from the tally', function () {
    $stems = [StemGroup::sizeClass(quantity('1 in'), quantity('3 in'), 10, 4), StemGroup::exact(quantity('6 in'), 2)];
    $census = Census::of($stems, quantity('100 m2'), \Thicket\Situation\Schools::of(catalogue()), catalogue());
    // 10 x 2 in + 2 x 6 in = 32 in; band pi x 32 x 14 sq in; 12 on 100 m2 = 1,200 a hectare
    expect($census->stems)
        ->toBe(12)
        ->and($census->clumps)
        ->toBe(5)
        ->and($census->sumOfDiameters->float(Unit::Inch))
        ->toEqualWithDelta(32, 1e-9)
        ->and($census->bandArea->float(Unit::SquareInch))
        ->toEqualWithDelta(M_PI * 32 * 14, 1e-6)
        ->and($census->perArea?->float(Unit::OnePerHectare))
        ->toEqualWithDelta(1200, 1e-9)
        ->and($census->density)
        ->toBe('open')
        ->and(array_column($census->cuts, 'cuts', 'choice')['per-inch-of-diameter'])
        ->toBe(10 * 3 + 2 * 6)
        // faces of 2 in whole, of 6 in the 1 in ring: 10 pi + 2 x 5 pi; sides pi x 32 x 4 more
        ->and($census->stumpFaces->float(Unit::SquareInch))
        ->toEqualWithDelta(20 * M_PI, 1e-6)
        ->and($census->stumpFacesAndSides->float(Unit::SquareInch))
        ->toEqualWithDelta((20 + 128) * M_PI, 1e-6);
});

it('turns girth into diameter', function () {
    $group = (new SituationReader(catalogue()))->stems(
        Fields::of(['girth' => '40 cm', 'count' => 1, 'bark' => 'rough', 'height' => '12 ft'], $faults = new Faults()),
    );
    $faults->throwIfAny();
    expect($group?->least->float(Unit::Centimetre))
        ->toEqualWithDelta(12.7324, 1e-4)
        ->and($group?->bark)
        ->toBe('rough')
        ->and($group?->height?->toWire()['value'])
        ->toBe('12');
});

it('takes the middle of a cover class as the ground it stands for', function () {
    // patchy: 5 to 25 percent, so 15 of 200 m2 are 30
    $patchy = array_values(
        array_filter(catalogue()->coefficients()->coverClasses(), static fn($c): bool => $c->id === 'patchy'),
    )[0];
    expect(TreatedArea::underCover($patchy, quantity('200 m2'))->toWire())->toBe(['value' => '30', 'unit' => 'm2']);
});

it('says how much is dead to the root, half a percent upwards, and nothing of nothing', function (
    int $dead,
    int $counted,
    ?int $percent,
) {
    expect(\Thicket\Survey\RootKill::percent($dead, $counted))->toBe($percent);
})->with([[0, 60, 0], [1, 200, 1], [1, 201, 0], [57, 60, 95], [60, 60, 100], [0, 0, null]]);
