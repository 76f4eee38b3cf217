<?php

declare(strict_types=1);

use Brick\Math\RoundingMode;
use Thicket\Calendar\Day;
use Thicket\Input\Faults;
use Thicket\Input\Fields;
use Thicket\Input\Refused;
use Thicket\Label\LabelCard;
use Thicket\Label\LabelLimit;
use Thicket\Measure\Unit;
use Thicket\Mix\LabelLoad;
use Thicket\Mix\LimitCheck;
use Thicket\Mix\PriorApplications;
use Thicket\Mix\RecipeSolver;

/*
 * What a label lets onto ground: once, in a year, how often, on which sites, in which basis (rulings J7). Worked by
 * hand.
 */

/** @param array<string, mixed> $changes of a card of triclopyr ester, 480 g ae/L, 8 kg ae/ha a year */
function cardOf(array $changes): LabelCard
{
    $card = LabelCard::read(Fields::of(esterCard($changes), $faults = new Faults()), catalogue());
    $faults->throwIfAny();

    return $card ?? throw new LogicException('no card');
}

function held(
    array $changes,
    string $product,
    string $area,
    ?PriorApplications $before = null,
    ?string $site = 'woods',
    array $together = [],
    string $active = 'triclopyr-ester',
): LimitCheck {
    return LimitCheck::check(
        new LabelLoad(cardOf($changes), $active, quantity($product), quantity($area)),
        $site,
        $before,
        array_map(quantity(...), $together),
    );
}

it('holds a job against the limits of its site', function (
    array $changes,
    string $product,
    ?PriorApplications $before,
    ?string $site,
    ?bool $kept,
    string $by,
) {
    $ceiling = held($changes, $product, '1 ha', $before, $site);
    expect([$ceiling->kept, $ceiling->by])->toBe([$kept, $by]);
})->with(function () {
    $pasture = [
        'siteLimits' => [
            ['sites' => ['pasture'], 'perYear' => '1 kg ae/ha'],
            ['sites' => ['non-crop', 'pasture'], 'applications' => 2, 'perApplication' => '720 g ae/ha'],
        ],
    ];

    return [
        // 2 L x 480 = 960 g
        'the limit for all' => [['yearlyMaximum' => '960 g ae/ha'], '2 L', null, 'woods', true, 'year'],
        'a gram less' => [['yearlyMaximum' => '959 g ae/ha'], '2 L', null, 'woods', false, 'year'],
        'a site of its own, elsewhere' => [$pasture, '4 L', null, 'woods', true, 'year'],
        'a site of its own' => [
            ['siteLimits' => [['sites' => ['pasture'], 'perYear' => '1 kg ae/ha']]],
            '2.1 L',
            null,
            'pasture',
            false,
            'year',
        ],
        'two lines for one site: the stricter' => [$pasture, '1.6 L', null, 'pasture', false, 'application'],
        'at the limit of one application' => [$pasture, '1.5 L', null, 'pasture', true, 'year'],
        'once before' => [$pasture, '0.5 L', putThere('100 g ae/ha'), 'pasture', true, 'year'],
        'twice before' => [$pasture, '0.5 L', putThere('100 g ae/ha', 2), 'pasture', false, 'times'],
        'nobody said what the ground is' => [$pasture, '4 L', null, null, true, 'year'],
        'a line for another active' => [
            ['siteLimits' => [['sites' => ['woods'], 'active' => 'glyphosate', 'perYear' => '1 g ae/ha']]],
            '2 L',
            null,
            'woods',
            true,
            'year',
        ],
        'a line for this active' => [
            ['siteLimits' => [['sites' => ['woods'], 'active' => 'triclopyr-ester', 'perYear' => '1 g ae/ha']]],
            '2 L',
            null,
            'woods',
            false,
            'year',
        ],
        // no year's limit at all is a gap, and a gap blocks
        'no limit for a year' => [['yearlyMaximum' => null], '2 L', null, 'woods', null, 'year'],
        'a site that says it' => [
            ['yearlyMaximum' => null, 'siteLimits' => [['sites' => ['woods'], 'perYear' => '8 kg ae/ha']]],
            '2 L',
            null,
            'woods',
            true,
            'year',
        ],
    ];
});

it('adds up in one basis, and tells nothing of a sum of two', function (
    array $changes,
    string $product,
    ?string $before,
    ?bool $kept,
    ?string $planned,
) {
    $ceiling = held($changes, $product, '1 ha', $before === null ? null : putThere($before));
    expect([
        $ceiling->kept,
        $ceiling->planned === null
            ? null
            : $ceiling->planned->decimal($ceiling->planned->unit, 2, RoundingMode::HALF_UP) .
                ' ' .
                $ceiling->planned->unit->value,
    ])->toBe([$kept, $planned]);
})->with(function () {
    $ai = static fn(string $amount): array => ['actives' => [['active' => 'triclopyr-ester', 'amount' => $amount]]];

    return [
        'product alone' => [['yearlyMaximum' => '2 L/ha'], '2 L', null, true, '2.00 L/ha'],
        'product after product' => [['yearlyMaximum' => '2 L/ha'], '1 L', '1 L/ha', true, '2.00 L/ha'],
        // 2 L/ha are 960 g ae/ha: 480 of this job and 480 of another product
        'product after another product' => [
            ['yearlyMaximum' => '2 L/ha'],
            '1 L',
            '480 g ae/ha',
            true,
            '960.00 g_ae/ha',
        ],
        'a gram more of the other' => [['yearlyMaximum' => '2 L/ha'], '1 L', '481 g ae/ha', false, '961.00 g_ae/ha'],
        'acid after ingredient' => [[], '1 L', '100 g ai/ha', null, null],
        'a limit in ingredient of a card in acid' => [['yearlyMaximum' => '2 kg ai/ha'], '1 L', null, null, null],
        'ingredient with ingredient' => [
            ['yearlyMaximum' => '2 kg ai/ha'] + $ai('600 g ai/L'),
            '2 L',
            '800 g ai/ha',
            true,
            '2000.00 g_ai/ha',
        ],
        // 41 % of 1170 g/L are 479.7 g a litre
        'by weight, with its density' => [
            ['yearlyMaximum' => '1 kg ai/ha', 'density' => '1170 g/L'] + $ai('41 % w/w'),
            '2 L',
            null,
            true,
            '959.40 g_ai/ha',
        ],
        'by weight, density unknown' => [['yearlyMaximum' => '1 kg ai/ha'] + $ai('41 % w/w'), '2 L', null, null, null],
        'dry, 60 % of 50 g' => [
            ['yearlyMaximum' => '30 g ai/ha'] + $ai('60 % w/w'),
            '50 g',
            null,
            true,
            '30.00 g_ai/ha',
        ],
        'dry, a little more' => [
            ['yearlyMaximum' => '30 g ai/ha'] + $ai('60 % w/w'),
            '50.1 g',
            null,
            false,
            '30.06 g_ai/ha',
        ],
        // "480 g/L" does not say of what
        'no basis on the card' => [$ai('480 g/L'), '1 L', null, null, null],
        'no basis needed for product alone' => [
            ['yearlyMaximum' => '2 L/ha'] + $ai('480 g/L'),
            '1 L',
            null,
            true,
            '1.00 L/ha',
        ],
        'no basis, and another before' => [
            ['yearlyMaximum' => '2 L/ha'] + $ai('480 g/L'),
            '1 L',
            '1 g ae/ha',
            null,
            null,
        ],
        'wanted in pounds' => [['yearlyMaximum' => '1 lb ae/ac'], '2 L', null, true, '960.00 g_ae/ha'],
    ];
});

it('counts the same active of another product of the tank, and says what is left', function () {
    expect(held(['yearlyMaximum' => '960 g ae/ha'], '1 L', '1 ha', null, 'woods', ['480 g ae/ha'])->kept)
        ->toBeTrue()
        ->and(held(['yearlyMaximum' => '960 g ae/ha'], '1 L', '1 ha', null, 'woods', ['481 g ae/ha'])->kept)
        ->toBeFalse()
        ->and(held(['applicationMaximum' => '500 g ae/ha'], '1 L', '1 ha', null, 'woods', ['21 g ae/ha'])->by)
        ->toBe('application')
        // what earlier work put there does not count into one application
        ->and(held(['applicationMaximum' => '500 g ae/ha'], '1 L', '1 ha', putThere('21 g ae/ha'))->kept)
        ->toBeTrue()
        // (8000 - 3200) g / 480 = 10 L on a hectare, 5 on half of one
        ->and((string) held([], '1 L', '0.5 ha', putThere('3200 g ae/ha'))->left?->in(Unit::Litre))
        ->toBe('5')
        ->and(held([], '0 L', '0.5 ha')->left)
        ->toBeNull()
        ->and(held([], '1 L', '0 ha')->missing)
        ->toBe('treated-area')
        ->and(held(['yearlyMaximum' => null], '1 L', '1 ha')->missing)
        ->toBe('card-yearly-maximum');
});

it('lets the limit decide that is passed, then that cannot be told, then that is fuller', function (
    array $lines,
    ?bool $kept,
    ?string $most,
) {
    foreach ([$lines, array_reverse($lines)] as $order) {
        $ceiling = held(
            ['siteLimits' => array_map(static fn(array $line): array => $line + ['sites' => ['woods']], $order)],
            '1 L',
            '1 ha',
        );
        expect([
            $ceiling->kept,
            $ceiling->most === null
                ? null
                : Thicket\Measure\Shown::number($ceiling->most->amount) . ' ' . $ceiling->most->unit->value,
        ])->toBe([$kept, $most]);
    }
})->with([
    // 480 g: a quarter of two kilograms, half of one
    'the fuller of two years' => [[['perYear' => '2 kg ae/ha'], ['perYear' => '0.96 kg ae/ha']], true, '0.96 kg_ae/ha'],
    'the year before one application' => [
        [['perYear' => '2 kg ae/ha'], ['perYear' => '2 kg ae/ha', 'perApplication' => '1 kg ae/ha']],
        true,
        '2 kg_ae/ha',
    ],
    'one cannot be told' => [[['perYear' => '2 kg ae/ha'], ['perYear' => '2 kg ai/ha']], null, '2 kg_ai/ha'],
    'one is passed, one cannot be told' => [
        [['perYear' => '479 g ae/ha'], ['perYear' => '2 kg ai/ha']],
        false,
        '479 g_ae/ha',
    ],
    'nothing at all is allowed' => [[['perYear' => '0 g ae/ha'], ['perYear' => '2 kg ae/ha']], false, '0 g_ae/ha'],
]);

it('says which application it would be', function () {
    $ceiling = held(['applications' => 2], '1 L', '1 ha', putThere('100 g ae/ha', 2));
    expect([(string) $ceiling->planned?->amount, (string) $ceiling->most?->amount, $ceiling->left])
        ->toBe(['3', '2', null])
        ->and(held(['applications' => 1], '1 L', '1 ha')->kept)
        ->toBeTrue()
        ->and(held(['applications' => 1], '1 L', '1 ha', putThere('100 g ae/ha', 1))->kept)
        ->toBeFalse();
});

it('begins the year as the card counts it', function (string $year, string $day, bool $south, string $begins) {
    expect(LabelLimit::yearBegins($year, Day::parse($day), $south)->format('Y-m-d'))->toBe($begins);
})->with([
    'calendar' => [LabelLimit::CALENDAR_YEAR, '2026-09-03', false, '2026-01-01'],
    'calendar in the south' => [LabelLimit::CALENDAR_YEAR, '2026-09-03', true, '2026-01-01'],
    'season in the north' => [LabelLimit::SEASON, '2026-03-03', false, '2026-01-01'],
    'season in the south, before July' => [LabelLimit::SEASON, '2026-06-30', true, '2025-07-01'],
    'season in the south, from July' => [LabelLimit::SEASON, '2026-07-01', true, '2026-07-01'],
    // 365 days with the day itself
    'any 365 days' => [LabelLimit::ANY_365_DAYS, '2026-09-03', false, '2025-09-04'],
]);

it('fills what a site does not say from the limits for all', function () {
    $card = cardOf([
        'intervalDays' => 30,
        'yearCounted' => 'season',
        'applications' => 3,
        'siteLimits' => [
            ['sites' => ['pasture'], 'perYear' => '1 kg ae/ha', 'yearCounted' => '365-days'],
            ['sites' => ['orchard'], 'intervalDays' => 60],
        ],
    ]);
    [$pasture, $orchard, $woods] = array_map(
        static fn(string $site): LabelLimit => $card->limits($site, 'triclopyr-ester')[0],
        ['pasture', 'orchard', 'woods'],
    );
    expect([$pasture->intervalDays, $pasture->year, $pasture->applications])
        ->toBe([30, '365-days', 3])
        ->and([$orchard->intervalDays, $orchard->year, (string) $orchard->perYear?->amount])
        ->toBe([60, 'season', '8'])
        ->and([$woods->intervalDays, $woods->year])
        ->toBe([30, 'season']);
});

it('holds a card to the limits of each of its actives', function (string $second, array $blocks) {
    // 93.64 mL of product on 500 m2 are 1.8728 L/ha: 898.9 g of the ester and 187.3 g of the second
    $card = esterCard([
        'actives' => [
            ['active' => 'triclopyr-ester', 'amount' => '480 g ae/L'],
            ['active' => 'fluroxypyr', 'amount' => '100 g ae/L'],
        ],
        'siteLimits' => [['sites' => ['woods'], 'active' => 'fluroxypyr', 'perYear' => $second]],
    ]);
    [$situation, $option] = situated(
        stand([
            'facts' => [['fact' => 'setting', 'value' => 'woods'], ['fact' => 'bark-texture', 'value' => 'smooth']],
            'cards' => [$card],
        ]),
        'basal-bark/triclopyr-ester/ester',
    );
    expect((new RecipeSolver($situation, $option, quantity('500 m2')))->solve(null)->blocks)->toBe($blocks);
})->with([['188 g ae/ha', []], ['187 g ae/ha', ['ceiling']]]);

it('lets the densest zone of a tenth of a hectare decide for work on stems', function (string $zone, array $blocks) {
    // 4 in stems: 0.112 L of mix for ten, a quarter of it product: on the hectare 13.5 g, on the zone all of it
    $document = stand([
        'area' => '1 ha',
        'facts' => [['fact' => 'setting', 'value' => 'woods'], ['fact' => 'bark-texture', 'value' => 'smooth']],
        'cards' => [esterCard(['yearlyMaximum' => '400 g ae/ha'])],
    ]);
    [$situation, $option] = situated($document, 'basal-bark/triclopyr-ester/ester');
    $recipe = (new RecipeSolver($situation, $option, quantity('1 ha'), [], null, [
        ['area' => quantity($zone), 'stems' => $situation->stems],
    ]))->solve(null);
    expect($recipe->blocks)->toBe($blocks);
})->with([
    // 0.3746 L of mix x 25 % x 480 = 44.95 g; on 0.1 ha 449.5 g/ha, on 0.12 ha 374.6
    'all of it in a tenth of a hectare' => ['1000 m2', ['ceiling']],
    'in a little more' => ['1200 m2', []],
    'smaller than counts' => ['999 m2', []],
]);

it('takes the least and the most that may be typed, and nothing for what is not said', function () {
    $line = cardOf([
        'siteLimits' => [
            ['sites' => ['woods'], 'applications' => 99, 'intervalDays' => 1000],
            ['sites' => ['pasture'], 'applications' => 1, 'intervalDays' => 0],
            ['sites' => ['orchard'], 'applications' => null, 'intervalDays' => null, 'perYear' => null],
        ],
    ]);
    expect(
        array_map(
            static fn(LabelLimit $c): array => [$c->applications, $c->intervalDays],
            array_slice($line->directions->ceilings, 1),
        ),
    )->toBe([[99, 1000], [1, 0], [null, null]]);
});

it('names the limit that cannot be right', function (array $changes, string $pointer) {
    try {
        cardOf($changes);
    } catch (Refused $e) {
        expect(array_column($e->faults, 'pointer'))->toContain($pointer);

        return;
    }
    $this->fail("nothing refused at {$pointer}");
})->with([
    'no site' => [['siteLimits' => [['perYear' => '1 kg ae/ha']]], '/siteLimits/0/sites'],
    'a site of nobody' => [
        ['siteLimits' => [['sites' => ['moon'], 'perYear' => '1 kg ae/ha']]],
        '/siteLimits/0/sites/0',
    ],
    'an active of nobody' => [['siteLimits' => [['sites' => ['woods'], 'active' => 'soap']]], '/siteLimits/0/active'],
    'a weight without an area' => [
        ['siteLimits' => [['sites' => ['woods'], 'perYear' => '1 kg']]],
        '/siteLimits/0/perYear',
    ],
    'once more than in a year' => [['applicationMaximum' => '9 kg ae/ha'], '/applicationMaximum'],
    'no times' => [['applications' => 0], '/applications'],
    'more times than anybody counts' => [['applications' => 100], '/applications'],
    'days past counting' => [['intervalDays' => 1001], '/intervalDays'],
    'a field of nobody in a line' => [
        ['siteLimits' => [['sites' => ['woods'], 'colour' => 'red']]],
        '/siteLimits/0/colour',
    ],
    'a volume for an area' => [
        ['siteLimits' => [['sites' => ['woods'], 'perApplication' => '2 L']]],
        '/siteLimits/0/perApplication',
    ],
    'a year of nobody' => [['yearCounted' => 'fiscal'], '/yearCounted'],
]);
