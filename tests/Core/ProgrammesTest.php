<?php

declare(strict_types=1);

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Thicket\Assess\CostCurve;
use Thicket\Economics\Labour;
use Thicket\Input\Faults;
use Thicket\Input\Fields;
use Thicket\Measure\Unit;
use Thicket\Programmes\Offer;
use Thicket\Programmes\PlannedStep;
use Thicket\Programmes\Planner;
use Thicket\Situation\Prices;
use Thicket\Situation\SituationReader;

/*
 * Programmes laid out by hand at 40 N and 200 m, where catalogue days hold as written; hours, money and mix of one
 * pass.
 */

/**
 * @param array<string, mixed> $document
 *
 * @return array<string, Offer>
 */
function offers(array $document): array
{
    $in = Fields::of($document, $faults = new Faults());
    $reader = new SituationReader(catalogue());
    $schools = $reader->schools($in);
    $situation = $reader->situation($in);
    $offers = (new Planner(catalogue(), $schools, $reader->shed($in)))->offers($situation);
    $faults->throwIfAny();

    return array_combine(array_map(static fn(Offer $o): string => $o->programme->id(), $offers), $offers);
}

/** @return list<string> "from method[/active]" of each job */
function jobs(Offer $offer): array
{
    return array_map(
        static fn(PlannedStep $s): string => $s->from->format('Y-m-d') .
            ' ' .
            $s->row->option->method->id() .
            ($s->row->option->active === null ? '' : '/' . $s->row->option->active->id()),
        $offer->steps,
    );
}

$woods = [['fact' => 'setting', 'value' => 'woods']];

it('treats a suckering tree standing, fells it a month later, and watches', function () use ($woods) {
    $offer = offers(stand(['species' => 'tree-of-heaven', 'date' => '2026-08-15', 'facts' => $woods]))[
        'treat-standing-then-fell'
    ];
    // thirty days after 15 August; then not before the suckering season of the next year; patrols in May once 200 days
    // have gone
    expect(array_map(static fn(PlannedStep $s): string => $s->from->format('Y-m-d'), $offer->steps))
        ->toBe(['2026-08-15', '2026-09-14', '2027-07-11', '2028-05-01'])
        ->and($offer->steps[0]->to?->format('Y-m-d'))
        ->toBe('2026-10-31')
        ->and($offer->steps[1]->row->option->method->id())
        ->toBe('cut-only')
        // the board says never knock it down first; here it is not the first
        ->and(codes($offer->steps[1]->row))
        ->toContain('suckering.never-knock-down')
        ->and($offer->canBeDone())
        ->toBeTrue();
});

it('plans brambles in two passes, autumn and the next summer, and does not hold the second back', function () {
    $offer = offers([
        'date' => '2026-09-20',
        'species' => 'armenian-blackberry',
        'place' => ['latitude' => '40', 'elevationMetres' => '200'],
        'facts' => [['fact' => 'setting', 'value' => 'pasture'], ['fact' => 'height', 'value' => '4 ft']],
    ])['two-pass-bramble'];
    expect(
        array_slice(
            array_map(static fn(PlannedStep $s): string => $s->from->format('Y-m-d') . ' ' . $s->note, $offer->steps),
            0,
            3,
        ),
    )
        ->toBe(['2026-09-20 autumn-pass', '2027-07-01 next-summer-pass', '2027-09-01 close-the-sward'])
        ->and($offer->steps[0]->row->option->active?->group())
        ->toBe('4');
});

it('keeps at rosettes for six years, twice a year, with the stalks between', function () {
    $offer = offers([
        'date' => '2026-11-10',
        'species' => 'wild-parsnip',
        'place' => ['latitude' => '40', 'elevationMetres' => '200'],
        'facts' => [['fact' => 'setting', 'value' => 'pasture']],
    ])['rosettes-six-years'];
    $notes = array_count_values(array_map(static fn(PlannedStep $s): string => $s->note, $offer->steps));
    expect(
        array_intersect_key(
            $notes,
            array_flip([
                'autumn-rosettes',
                'look-before-any-second-spray',
                'spring-rosettes',
                'escaped-stalks',
                'new-stalks-after-seven-days',
            ]),
        ),
    )
        ->toEqual(
            array_fill_keys(
                [
                    'autumn-rosettes',
                    'look-before-any-second-spray',
                    'spring-rosettes',
                    'escaped-stalks',
                    'new-stalks-after-seven-days',
                ],
                6,
            ),
        )
        ->and($offer->steps[0]->from->format('Y-m-d'))
        ->toBe('2026-11-10')
        ->and($offer->steps[1]->from->format('Y-m-d'))
        ->toBe('2026-11-24');
    $days = static fn(string $note): array => array_values(
        array_map(
            static fn(PlannedStep $s): string => $s->from->format('Y-m-d'),
            array_filter($offer->steps, static fn(PlannedStep $s): bool => $s->note === $note),
        ),
    );
    // the look comes seven days after the cut in every year, never on its day
    expect(
        array_map(
            static fn(string $cut, string $look): int => Thicket\Calendar\Day::between(
                Thicket\Calendar\Day::parse($cut),
                Thicket\Calendar\Day::parse($look),
            ),
            $days('escaped-stalks'),
            $days('new-stalks-after-seven-days'),
        ),
    )->toBe(array_fill(0, 6, 7));
    // four patrols in each whole year
    expect(
        count(array_filter($days('patrol-in-every-season'), static fn(string $d): bool => str_starts_with($d, '2028'))),
    )->toBe(4);
});

it('takes another group in June than in April where there is one', function () {
    $offer = offers([
        'date' => '2026-09-20',
        'species' => 'quackgrass',
        'place' => ['latitude' => '40', 'elevationMetres' => '200'],
        'facts' => [
            ['fact' => 'setting', 'value' => 'orchard'],
            ['fact' => 'planted-on', 'value' => '2026-11-01'],
            ['fact' => 'height', 'value' => '20 cm'],
        ],
    ])['orchard-year-zero'];
    $of = static fn(string $note): array => array_values(
        array_filter($offer->steps, static fn(PlannedStep $s): bool => $s->note === $note),
    );
    expect($of('strip-april')[0]->from->format('m-d'))
        ->toBe('04-10')
        ->and($of('strip-june')[0]->row->option->active?->group())
        ->not->toBe($of('strip-april')[0]->row->option->active?->group())
        ->and(count($of('strip-june')))
        ->toBe(3);
});

it('has a whole programme without product for every plant of the catalogue, whatever the season', function (
    string $date,
) {
    $without = [];
    foreach (catalogue()->allSpecies() as $species) {
        $site = $species->settings()[0] ?? 'woods';
        $document = stand(
            ['species' => $species->id(), 'date' => $date, 'facts' => [['fact' => 'setting', 'value' => $site]]] +
                ($species->isWoody() ? [] : ['stems' => []]),
        );
        $in = Fields::of($document, new Faults());
        $reader = new SituationReader(catalogue());
        $planner = new Planner(catalogue(), $reader->schools($in), $reader->shed($in));
        $situation = $reader->situation($in);
        // laid out one by one until one will do: all of them for all plants take minutes
        foreach (catalogue()->allProgrammes() as $programme) {
            $offer =
                !$programme->usesProduct() &&
                (new Thicket\Programmes\ProgrammeFit($programme))->isFor($species, $situation)
                    ? $planner->layOut($programme, $species, $situation)
                    : null;
            if ($offer?->canBeDone() === true && $offer->steps !== []) {
                continue 2;
            }
        }
        $without[] = $species->id();
    }
    expect($without)->toBe([]);
})->with(['2026-02-10', '2026-08-15']);

it('keeps to the owner, and says what a tool still lacks without taking the programme away', function () use ($woods) {
    $refused = offers(stand(['species' => 'norway-maple', 'stance' => 'none', 'facts' => $woods]));
    expect($refused['cut-then-treat']->canBeDone())
        ->toBeFalse()
        ->and($refused[array_key_last($refused)]->programme->usesProduct())
        ->toBeTrue()
        ->and($refused['girdle-and-patrol']->canBeDone())
        ->toBeTrue();
    $bare = offers(stand(['species' => 'norway-maple', 'tools' => [], 'facts' => $woods]));
    expect($bare['girdle-and-patrol']->canBeDone())
        ->toBeTrue()
        ->and(array_map(static fn($f): string => $f->code, $bare['girdle-and-patrol']->steps[0]->against))
        ->toContain('tool.missing');
});

it(
    'counts hours it knows and names the jobs it cannot reckon; seed past ten years leaves the end open',
    function () use ($woods) {
        $offer = offers(
            stand([
                'species' => 'norway-maple',
                'date' => '2026-09-10',
                'stems' => [['diameter' => '3 in', 'count' => 12]],
                'facts' => $woods,
            ]),
        )['cut-then-treat'];
        // 12 stems at 2 min and one setting up of 90: 114; sprouts of as many, how tall nobody knows, at 1 min and
        // another setting up: 102; patrols unknown
        expect((string) $offer->hours()['use']->in(Unit::Minute)->toScale(0, RoundingMode::HALF_UP))
            ->toBe('216')
            ->and((string) $offer->hours()['low']->in(Unit::Minute)->toScale(0, RoundingMode::HALF_UP))
            ->toBe('72')
            ->and($offer->hours()['unreckoned'])
            ->toBeGreaterThan(0)
            ->and(offers(stand(['species' => 'scotch-broom', 'facts' => $woods]))['cut-then-treat']->openEnded)
            ->toBeTrue()
            ->and($offer->openEnded)
            ->toBeFalse();
    },
);

it('reckons the hours of a pass', function (string $row, array $document, string $minutes, int $days) {
    $labour = Labour::of(...situated($document, $row));
    expect([(string) $labour->total()?->in(Unit::Minute)->toScale(1, RoundingMode::HALF_UP), $labour->days])->toBe([
        $minutes,
        $days,
    ]);
})->with([
    // 12 x 2 min + 90
    'no outline, so no walking' => [
        'cut-stump/glyphosate',
        stand(['stems' => [['diameter' => '3 in', 'count' => 12]]]),
        '114.0',
        1,
    ],
    // and 0.7124 sqrt(10000 x 12) x 1.3 = 320.8 m at 1.8 km/h: 10.7 min
    'over a hectare of wood' => [
        'cut-stump/glyphosate',
        stand([
            'area' => '1 ha',
            'stems' => [['diameter' => '3 in', 'count' => 12]],
            'facts' => [['fact' => 'setting', 'value' => 'woods']],
        ]),
        '124.7',
        1,
    ],
    // the same at 3 km/h in the open: 6.4 min
    'over a hectare of heath' => [
        'cut-stump/glyphosate',
        stand([
            'area' => '1 ha',
            'stems' => [['diameter' => '3 in', 'count' => 12]],
            'facts' => [['fact' => 'setting', 'value' => 'open-habitat']],
        ]),
        '120.4',
        1,
    ],
    // 180 stems x 2 min = 360: one day; one more: two days, each with its setting up
    'a full day' => ['cut-stump/glyphosate', stand(['stems' => [['diameter' => '3 in', 'count' => 180]]]), '450.0', 1],
    'a stem more' => ['cut-stump/glyphosate', stand(['stems' => [['diameter' => '3 in', 'count' => 181]]]), '542.0', 2],
    // 10 trees of 4 in, a cut an inch of diameter: 10 x 0.3 + 40 x 0.15 = 9 min + 90
    'injection by trees and cuts' => ['hack-and-squirt/glyphosate', stand(), '99.0', 1],
    'thick bark takes half as long again' => [
        'hack-and-squirt/glyphosate',
        stand(['facts' => [['fact' => 'bark-thickness', 'value' => 'thick']]]),
        '103.5',
        1,
    ],
    // the crew's own figures: 12 x 3 min + 60
    'by the crew' => [
        'cut-stump/glyphosate',
        stand([
            'stems' => [['diameter' => '3 in', 'count' => 12]],
            'figures' => ['minutesPerStem/cut-stump/1' => ['2', '3', '5'], 'setUpMinutes' => ['30', '60', '90']],
        ]),
        '96.0',
        1,
    ],
    'by the crew, by cuts' => [
        'hack-and-squirt/glyphosate',
        stand(['figures' => ['minutesPerCut/hack-and-squirt' => ['0.2', '0.3', '0.4']]]),
        '105.0',
        1,
    ],
    'by the crew, by area' => [
        'mow',
        [
            'stems' => [],
            'species' => 'canada-thistle',
            'area' => '1 ha',
            'figures' => ['hectaresPerHour/mow' => ['0.3', '0.5', '0.9']],
        ] + stand(),
        '210.0',
        1,
    ],
    'by the crew, by trees' => [
        'hand-release',
        [
            'stems' => [],
            'species' => 'quackgrass',
            'facts' => [seen('setting', 'new-planting'), seen('planted-trees', '10')],
            'figures' => ['minutesPerTree/hand-release' => ['1', '3', '5']],
        ] + stand(),
        '120.0',
        1,
    ],
    // 1 ha at 0.25 ha/h
    'mowing by the hectare' => [
        'mow',
        ['stems' => [], 'species' => 'canada-thistle', 'area' => '1 ha'] + stand(),
        '330.0',
        1,
    ],
]);

it('costs hours at the wage and product at its price, each with its day', function () {
    $prices = [
        'currency' => 'USD',
        'wage' => ['amount' => '30', 'on' => '2026-01-05'],
        'products' => [['active' => 'glyphosate', 'amount' => '20', 'per' => '1 L', 'on' => '2024-09-09']],
    ];
    $document = stand([
        'date' => '2026-09-10',
        'area' => '0.5 ha',
        'stems' => [['diameter' => '3 in', 'count' => 12]],
        'prices' => $prices,
    ]);
    $money = row($document, 'cut-stump/glyphosate')->measures->money;
    // 114 min + 4.5 min of walking at 3 km/h (0.7124 sqrt(5000 x 12) x 1.3 = 226.9 m): 1.9757 h x 30 = 59.27
    expect((string) $money?->wages->toScale(2, RoundingMode::HALF_UP))
        ->toBe('59.25')
        // 12 x pi/4 x (7.62 cm)2 x 0.5 L/m2 = 27.36 mL, + 10 % = 30.10 mL, half of it product: 15.05 mL at 20 a litre
        ->and((string) $money?->product->toScale(2, RoundingMode::HALF_UP))
        ->toBe('0.30')
        ->and((string) $money?->perHectare?->toScale(1, RoundingMode::HALF_UP))
        ->toBe('119.1')
        // 9 September 2024 is more than eighteen months before
        ->and($money?->stale)
        ->toBe(['glyphosate'])
        ->and(row($document, 'cut-stump/triclopyr-ester')->measures->money)
        ->toBeNull();
});

it('costs carrier oil, dye and surfactant where the crew has a price, and tells what has none', function () {
    $money = static function (string $row, array $products): ?Thicket\Economics\Money {
        $lines = array_map(
            static fn(string $what, string $amount): array => [
                'active' => $what,
                'amount' => $amount,
                'per' => '1 L',
                'on' => '2026-01-05',
            ],
            array_keys($products),
            $products,
        );
        $prices = ['currency' => 'USD', 'wage' => ['amount' => '30', 'on' => '2026-01-05'], 'products' => $lines];

        return row(
            stand([
                'date' => '2026-09-10',
                'area' => '0.5 ha',
                'stems' => [['diameter' => '2 in', 'count' => 100]],
                'facts' => [seen('setting', 'woods'), seen('height', '4 ft')],
                'prices' => $prices,
            ]),
            $row,
        )->measures->money;
    };
    [$bare, $oiled, $dyed] = [
        $money('basal-bark/triclopyr-ester', ['triclopyr-ester' => '40']),
        $money('basal-bark/triclopyr-ester', ['triclopyr-ester' => '40', 'oil' => '5']),
        $money('basal-bark/triclopyr-ester', ['triclopyr-ester' => '40', 'oil' => '5', 'dye' => '100']),
    ];
    $recipe = (new Thicket\Mix\RecipeSolver(
        ...[
            ...situated(
                stand([
                    'date' => '2026-09-10',
                    'area' => '0.5 ha',
                    'stems' => [['diameter' => '2 in', 'count' => 100]],
                    'facts' => [seen('setting', 'woods'), seen('height', '4 ft')],
                ]),
                'basal-bark/triclopyr-ester',
            ),
            quantity('0.5 ha'),
        ],
    ))->solve(null);
    $litres = static fn(?Thicket\Measure\Quantity $q): Brick\Math\BigRational => $q?->in(Thicket\Measure\Unit::Litre) ??
        throw new LogicException('no amount');
    expect($bare?->without)
        ->toBe(['oil'])
        ->and($oiled?->without)
        ->toBe([])
        ->and(
            $oiled?->product->minus($bare->product)->isEqualTo($litres($recipe->mix?->carrierAmount)->multipliedBy(5)),
        )
        ->toBeTrue()
        // 3 mL a litre at 100 a litre
        ->and($dyed?->product->minus($oiled->product)->isEqualTo($litres($recipe->need)->multipliedBy('3/10')))
        ->toBeTrue();
    $leaf = ['glyphosate' => '20'];
    expect(
        (string) $money('foliar-spot/glyphosate', $leaf + ['surfactant' => '80'])?->product->minus(
            $money('foliar-spot/glyphosate', $leaf)->product ?? 0,
        ),
    )
        ->not->toBe('0')
        // oil takes none
        ->and(
            (string) $money('basal-bark/triclopyr-ester', [
                'triclopyr-ester' => '40',
                'oil' => '5',
                'surfactant' => '80',
            ])?->product->simplified(),
        )
        ->toBe((string) $oiled->product->simplified());
});

it('costs the seed of a cover by its rate', function () {
    $prices = static fn(array $products): array => [
        'currency' => 'USD',
        'wage' => ['amount' => '30', 'on' => '2026-01-05'],
        'products' => $products,
    ];
    $money = static fn(array $products) => row(
        herbs(
            'orchard',
            'quackgrass',
            '2026-10-01',
            [seen('cover-kind', 'crimson-clover')],
            ['area' => '2 ha', 'prices' => $prices($products)],
        ),
        'cover-crop',
    )->measures->money;
    // a price eighteen months old is fresh, a day more is not
    $staleOf = static fn(string $on): ?array => $money([
        ['active' => 'cover-seed', 'amount' => '5', 'per' => '1 kg', 'on' => $on],
    ])?->stale;
    expect([$staleOf('2025-04-01'), $staleOf('2025-03-31')])->toBe([[], ['cover-seed']]);
    // 20 kg/ha x 2 ha at 5 a kilogram
    expect(
        (string) $money([
            ['active' => 'cover-seed', 'amount' => '5', 'per' => '1 kg', 'on' => '2026-01-05'],
        ])?->product->simplified(),
    )
        ->toBe('200')
        ->and($money([])?->without)
        ->toBe(['cover-seed'])
        ->and((string) $money([])?->product->simplified())
        ->toBe('0');
});

it('takes the price of a product from its packs where nobody gave one', function (array $packs, ?string $litre) {
    $own = new Prices('USD', null, [
        'glyphosate' => ['amount' => BigRational::of(20), 'per' => quantity('1 L'), 'on' => null],
    ]);
    $packs = array_map(
        static fn(array $p): array => [
            'active' => $p[0],
            'size' => quantity($p[1]),
            'price' => BigRational::of($p[2]),
            'on' => $p[3] === null ? null : new DateTimeImmutable($p[3]),
        ],
        $packs,
    );
    $prices = $own->withPacks($packs, new DateTimeImmutable('2026-09-03'));
    expect((string) $prices->ofProduct('imazapyr', quantity('1 L'))?->simplified())
        ->toBe((string) $litre)
        ->and((string) $prices->ofProduct('glyphosate', quantity('1 L'))?->simplified())
        ->toBe('20');
})->with([
    'the only pack' => [[['imazapyr', '5 L', '100', '2026-02-01']], '20'],
    'the cheaper for its content' => [
        [['imazapyr', '1 L', '30', '2026-02-01'], ['imazapyr', '5 L', '100', '2026-02-01']],
        '20',
    ],
    'the other way round' => [
        [['imazapyr', '5 L', '100', '2026-02-01'], ['imazapyr', '1 L', '30', '2026-02-01']],
        '20',
    ],
    'a fresh price before an old one' => [
        [['imazapyr', '5 L', '100', '2024-02-01'], ['imazapyr', '1 L', '30', '2026-02-01']],
        '30',
    ],
    'an old one where there is no other' => [[['imazapyr', '5 L', '100', null]], '20'],
    'weighed is not poured' => [[['imazapyr', '1 kg', '100', '2026-02-01']], null],
    'the price given goes first' => [[['glyphosate', '1 L', '1', '2026-02-01']], null],
]);

it('shows what thickening and waiting cost', function () {
    [$situation, $option] = situated(
        stand(['area' => '1 ha', 'stems' => [['diameter' => '3 in', 'count' => 12, 'stemsPerClump' => 2]]]),
        'cut-stump/glyphosate',
    );
    $curve = CostCurve::of($situation, $option);
    expect(array_column($curve->density ?? [], 'stems'))
        ->toBe([3, 6, 12, 24, 48, 96])
        // 6 plants: 1, 2, 4, 8, 16 stems each
        ->and(array_column($curve->clumps ?? [], 'stems'))
        ->toBe([6, 12, 24, 48, 96])
        // 12 x 1.3, 1.69, 3.71 in the middle; low 1.1, high 1.8
        ->and(array_column($curve->waiting ?? [], 'stems'))
        ->toBe([[12, 12, 12], [13, 16, 22], [15, 20, 39], [19, 45, 227]]);
    $hours = array_map(static fn(array $d): string => (string) $d['hours'][1]->in(Unit::Hour), $curve->density ?? []);
    $sorted = $hours;
    usort($sorted, static fn(string $a, string $b): int => Brick\Math\BigRational::of($a)->compareTo($b));
    expect($hours)
        ->toBe($sorted)
        ->and(CostCurve::of(...situated(['stems' => []] + stand(), 'cut-stump/glyphosate')))
        ->toBeNull();
});

it('lays programmes out for two climates and both hemispheres, in the order of the year', function (
    string $latitude,
    string $elevation,
    string $species,
    string $site,
    string $programme,
    array $notes,
) {
    $offer = offers([
        'date' => '2026-03-01',
        'species' => $species,
        'place' => ['latitude' => $latitude, 'elevationMetres' => $elevation],
        'facts' => [['fact' => 'setting', 'value' => $site]],
    ])[$programme];
    $first = [];
    foreach ($offer->steps as $step) {
        $first[$step->note] ??= $step->from->format('Y-m-d');
    }
    expect(array_intersect_key($first, $notes))->toBe($notes);
})->with([
    // hoe and spray before flower, then the preventer after 14 days and a look after five weeks
    'lawn oxalis at 40 north' => [
        '40',
        '200',
        'creeping-woodsorrel',
        'bed-lawn-paving',
        'lawn-oxalis',
        [
            'before-flower-and-seed' => '2026-04-10',
            'look-again-at-the-lawn' => '2026-04-24',
            'then-the-preventer' => '2026-04-24',
            'look-first-five-to-eight-weeks' => '2026-05-29',
        ],
    ],
    'lawn oxalis at 38 south' => [
        '-38',
        '100',
        'creeping-woodsorrel',
        'bed-lawn-paving',
        'lawn-oxalis',
        [
            'before-flower-and-seed' => '2026-09-30',
            'look-again-at-the-lawn' => '2026-10-14',
            'then-the-preventer' => '2026-10-14',
            'look-first-five-to-eight-weeks' => '2026-11-18',
        ],
    ],
    // laid thirty days before the flush of September, and of March
    'winter annuals at 40 north' => [
        '40',
        '200',
        'henbit',
        'bed-lawn-paving',
        'annuals-small',
        ['before-they-sprout' => '2026-03-01'],
    ],
    'brush that does not sucker, 52 north' => [
        '52',
        '50',
        'common-buckthorn',
        'woods',
        'treat-standing-and-watch',
        ['treat-standing' => '2026-03-01', 'look-after-leaf-out' => '2026-05-10', 'treat-survivors' => '2026-07-09'],
    ],
]);

it('offers an orchard what fits the age of its trees', function (?string $planted, array $offered) {
    $facts = [
        ['fact' => 'setting', 'value' => 'orchard'],
        ...$planted === null ? [] : [['fact' => 'planted-on', 'value' => $planted]],
    ];
    $all = ['orchard-year-zero', 'orchard-young-trees', 'orchard-established', 'orchard-mow-only'];
    expect(
        array_values(
            array_intersect(
                $all,
                array_keys(
                    offers([
                        'date' => '2026-03-01',
                        'species' => 'quackgrass',
                        'place' => ['latitude' => '40', 'elevationMetres' => '200'],
                        'facts' => $facts,
                    ]),
                ),
            ),
        ),
    )->toBe($offered);
})->with([
    'before planting' => ['2026-11-01', ['orchard-year-zero']],
    'two years and 364 days' => ['2023-03-02', ['orchard-young-trees']],
    'three years' => ['2023-03-01', ['orchard-established', 'orchard-mow-only']],
    'nobody told' => [null, ['orchard-year-zero', 'orchard-young-trees', 'orchard-established', 'orchard-mow-only']],
]);

it('takes a card that is held before a typical active', function () {
    $card = [
        'id' => 'weak',
        'product' => 'glyphosate 360',
        'registration' => 'T-9',
        'confirmed' => true,
        'formulation' => 'soluble-liquid',
        'actives' => [['active' => 'glyphosate', 'amount' => '360 g ae/L']],
        'carriers' => ['water'],
        'sites' => ['woods'],
        'methods' => [['method' => 'cut-stump', 'max' => '100%']],
        'yearlyMaximum' => '8 kg ae/ha',
        'waterBuffer' => '2 m',
    ];
    $steps = offers(
        stand([
            'species' => 'norway-maple',
            'date' => '2026-09-10',
            'facts' => [['fact' => 'setting', 'value' => 'woods'], ['fact' => 'food-taken', 'value' => false]],
            'cards' => [$card],
        ]),
    )['cut-then-treat']->steps;
    expect($steps[0]->row->option->card?->id)->toBe('weak');
});
