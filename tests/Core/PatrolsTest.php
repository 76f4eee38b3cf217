<?php

declare(strict_types=1);

use Thicket\Calendar\Day;
use Thicket\Calendar\SeasonShift;
use Thicket\Catalogue\Species;
use Thicket\Measure\Unit;
use Thicket\Review\GapPlan;
use Thicket\Review\OpenGround;
use Thicket\Review\Patrols;
use Thicket\Review\Result;
use Thicket\Review\Retreat;
use Thicket\Situation\Schools;
use Thicket\Survey\RootKill;

/* What comes after a score: what survived, and looks for as long as seed lasts. */

it('has brambles judged once more about three years on, and nothing else', function () {
    $again = static fn(string $species): ?string => Thicket\Timing\EvaluationDate::again(
        catalogue()->species($species),
        Day::parse('2025-11-10'),
    )?->format('Y-m-d');
    expect([$again('armenian-blackberry'), $again('common-privet')])->toBe(['2028-11-10', null]);
});

it('says what to do with what survived, by how it went', function (
    array $result,
    int $survivors,
    bool $hasCause,
    ?string $group,
    bool $woody,
    array $said,
) {
    [$dead, $counted] = $result;
    $advice = Retreat::of(
        Result::of($dead, $counted, ['low' => 80, 'high' => 97]),
        $survivors,
        $hasCause,
        $group,
        $woody,
    );
    expect(array_column($advice, 'code'))->toBe($said);
})->with([
    'none left' => [[40, 40], 0, false, '4', true, ['retreat.none-left']],
    'as expected, ten left' => [
        [36, 40],
        10,
        false,
        '4',
        true,
        ['retreat.left', 'retreat.rotate', 'retreat.by-hand', 'retreat.regrowth'],
    ],
    'eleven left of a herb, by hand' => [[36, 40], 11, false, null, false, ['retreat.left']],
    'worse, and the record knows why' => [
        [12, 40],
        70,
        true,
        '9',
        false,
        ['retreat.left', 'retreat.mend-cause', 'retreat.rotate'],
    ],
    'worse, and it does not' => [
        [12, 40],
        70,
        false,
        '9',
        false,
        ['retreat.left', 'retreat.other-way', 'retreat.rotate'],
    ],
]);

it('parts what is left over the sizes so that the sum is right', function (
    array $counts,
    int $dead,
    int $of,
    array $left,
) {
    expect(Retreat::left($counts, $dead, $of))->toBe($left);
})->with([
    'a quarter of each' => [[40, 20, 4], 30, 40, [10, 5, 1]],
    // 5.5 + 3.85 + 1.65 = 11: the larger remainders are rounded up
    'remainders' => [[10, 7, 3], 18, 40, [5, 4, 2]],
    'none' => [[10, 7], 40, 40, [0, 0]],
    'all' => [[10, 7], 0, 40, [10, 7]],
]);

it('widens the interval by how much plots differ, and never narrows it', function () {
    $even = array_fill(0, 5, ['dead' => 8, 'counted' => 10]);
    $plain = RootKill::interval(40, 50, 0.9);
    expect(RootKill::overPlots($even, 0.9))->toBe($plain);
    // 40 of 50 again, but 10, 10, 10, 10 and 0: variance 5/4 x (4 x 2^2 + 8^2) / 50^2 = 0.04 against 0.0032, so 4 count
    $apart = RootKill::overPlots(
        [...array_fill(0, 4, ['dead' => 10, 'counted' => 10]), ['dead' => 0, 'counted' => 10]],
        0.9,
    );
    // as 3.2 of 4: beta quantiles by another program
    expect($apart['low'])->toEqualWithDelta(0.2866, 0.0001)->and($apart['high'])->toEqualWithDelta(0.9947, 0.0001);
    expect(RootKill::overPlots([['dead' => 4, 'counted' => 9]], 0.9))->toBe(RootKill::interval(4, 9, 0.9));
    $none = array_fill(0, 3, ['dead' => 0, 'counted' => 10]);
    expect(RootKill::overPlots($none, 0.9))->toBe(RootKill::interval(0, 30, 0.9));
});

it('looks for as long as seed lasts, begun again by whatever seeds', function (
    string $species,
    array $looks,
    bool $first,
    string $today,
    array $told,
) {
    $patrols = Patrols::of(
        catalogue()->species($species),
        Day::parse('2025-08-20'),
        Day::parse('2025-09-10'),
        false,
        array_map(static fn(array $l): array => ['on' => Day::parse($l[0]), 'found' => $l[1]], $looks),
        $first,
        Day::parse($today),
    );
    expect([
        $patrols->until->format('Y-m-d'),
        $patrols->next->format('Y-m-d'),
        $patrols->mayClose,
        $patrols->forGood,
    ])->toBe($told);
})->with([
    // privet: 1 to 3 years, mostly two
    'nobody looked yet' => ['common-privet', [], false, '2026-06-01', ['2027-08-20', '2026-09-10', false, false]],
    'a look a year before' => [
        'common-privet',
        [['2026-05-01', 'none']],
        false,
        '2026-06-01',
        ['2027-08-20', '2027-05-01', false, false],
    ],
    'the years are over, but nobody looked since' => [
        'common-privet',
        [['2027-08-19', 'none']],
        false,
        '2027-09-01',
        ['2027-08-20', '2028-08-19', false, false],
    ],
    'looked on the very day' => [
        'common-privet',
        [['2027-08-20', 'none']],
        false,
        '2027-08-20',
        ['2027-08-20', '2028-08-20', true, false],
    ],
    'seedlings do not begin it anew, nor let it be closed' => [
        'common-privet',
        [['2027-09-01', 'seedlings']],
        false,
        '2027-09-02',
        ['2027-08-20', '2028-09-01', false, false],
    ],
    'seed does' => [
        'common-privet',
        [['2027-09-01', 'none'], ['2027-06-01', 'seeding']],
        false,
        '2027-09-02',
        ['2029-06-01', '2028-09-01', false, false],
    ],
    'a first find has less to wait for' => [
        'common-privet',
        [],
        true,
        '2026-06-01',
        ['2026-08-20', '2026-09-10', false, false],
    ],
    'until a second is found' => [
        'common-privet',
        [['2026-05-01', 'seeding']],
        true,
        '2026-06-01',
        ['2028-05-01', '2027-05-01', false, false],
    ],
    // worked date of handbook 4: seed last dropped in August 2025, patrol to August 2031; sprouts in every season
    'poison hemlock' => ['poison-hemlock', [], false, '2025-12-20', ['2031-08-20', '2025-12-10', false, false]],
    'decades' => ['scotch-broom', [], false, '2026-06-01', ['2055-08-20', '2026-09-10', false, true]],
]);

it('names what may fill the gap, in its days here and not before the labels let it', function (
    string $worked,
    array $replant,
    string $today,
    ?string $from,
    array $sowings,
) {
    $plan = Thicket\Review\GapPlan::of(
        catalogue(),
        Thicket\Calendar\SeasonShift::forPlace('40', '200'),
        Day::parse($worked),
        $replant,
        Day::parse($today),
        new Thicket\Review\OpenGround(quantity('0.5 ha'), 'woods', []),
    );
    expect($plan->from?->format('Y-m-d'))->toBe($from);
    expect(
        array_map(
            static fn(array $s): string => implode(' ', [
                $s['cover']->id(),
                $s['first']->format('m-d'),
                $s['last']->format('m-d'),
                (string) $s['seed']?->in(Thicket\Measure\Unit::Kilogram)->toScale(1),
            ]),
            $plan->sowings,
        ),
    )->toBe($sowings);
})->with([
    // oats till 30 September, clovers and ryegrass in their autumn days
    'by hand, in August' => [
        '2026-08-10',
        [],
        '2026-08-12',
        '2026-08-10',
        [
            'oats 08-12 09-30 45.0',
            'clover 08-15 09-30 5.0',
            'ryegrass 09-01 10-31 14.0',
            'crimson-clover 09-25 10-15 10.0',
        ],
    ],
    'two products, the later one decides' => [
        '2026-08-10',
        [0, 60],
        '2026-08-12',
        '2026-10-09',
        [
            'crimson-clover 10-09 10-15 10.0',
            'ryegrass 10-09 10-31 14.0',
            'oats 03-15 09-30 45.0',
            'clover 08-15 09-30 5.0',
        ],
    ],
    'one label does not say' => ['2026-08-10', [14, null], '2026-08-12', null, []],
]);

it('proposes the school that leaves fewer alive, and only where another was taken', function (
    string $method,
    ?string $active,
    array $chosen,
    array $other,
) {
    $said = Retreat::schools(catalogue(), Schools::of(catalogue(), $chosen), $method, $active);
    expect(array_column(array_column($said, 'values'), 'other'))->toBe($other);
})->with([
    'stumps by our defaults' => [
        'cut-stump',
        'glyphosate',
        [],
        ['stump-amount.liberal-on-small', 'stump-delay.few-minutes'],
    ],
    'weak on thin stumps, the rest as sure as it gets' => [
        'cut-stump',
        'triclopyr-ester',
        ['stump-strength' => 'weak-on-thin', 'stump-delay' => 'few-minutes', 'stump-amount' => 'liberal-on-small'],
        ['stump-strength.from-card'],
    ],
    'sparse cuts with glyphosate' => [
        'hack-and-squirt',
        'glyphosate',
        ['injection-strength' => 'undiluted'],
        ['injection-spacing.per-inch-of-girth'],
    ],
    // its label wants them sparse: more would only go into the soil
    'sparse cuts with imazapyr' => ['hack-and-squirt', 'imazapyr', ['injection-strength' => 'undiluted'], []],
    'a hand that pulls' => ['hand-pull', null, [], []],
]);

it('plans what is planted to stay: when, how many, and natives of such a place that are not fought there', function () {
    $plan = static fn(?string $area, string $setting, array $targets, ?int $days): array => GapPlan::of(
        catalogue(),
        SeasonShift::forPlace('40', '200'),
        Day::parse('2026-08-10'),
        [$days],
        Day::parse('2026-08-12'),
        new OpenGround($area === null ? null : quantity($area), $setting, $targets),
    )->plantings;
    $told = static fn(array $one): array => [
        $one['kind']->id(),
        $one['first']->format('Y-m-d'),
        $one['last']->format('m-d'),
        $one['plants'],
        $one['seed'] === null ? null : (string) $one['seed']->in(Unit::Kilogram)->toScale(1),
        implode(' ', array_map(static fn(Species $s): string => $s->id(), $one['natives'])),
    ];
    // 0.5 ha: 5000 m2 by 0.4 x 0.4 m, by 2.5 x 2.5 m; 12 kg/ha
    expect(array_map($told, $plan('0.5 ha', 'woods', ['sugar-maple'], 0)))->toBe([
        ['plugs', '2026-09-01', '09-30', 31_250, null, 'marsh-marigold whitegrass'],
        ['potted', '2026-09-01', '10-31', 800, null, 'quaking-aspen red-mulberry red-spruce sassafras white-oak'],
        ['bare-root', '2026-10-25', '12-05', 800, null, 'quaking-aspen red-spruce white-oak'],
        ['native-mix', '2026-11-01', '12-15', null, '6.0', 'jewelweed'],
    ]);
    // a label of sixty days: the last days of September are over by 9 October
    expect($told($plan(null, 'open-habitat', [], 60)[0]))
        ->toBe(['potted', '2026-10-09', '10-31', null, null, 'quaking-aspen sassafras winged-sumac'])
        ->and($plan('0.5 ha', 'woods', [], null))
        ->toBe([]);
});
