<?php

declare(strict_types=1);

use Thicket\Input\Faults;
use Thicket\Input\Fields;
use Thicket\Input\Refused;
use Thicket\Label\CardDetails;
use Thicket\Label\LabelCard;
use Thicket\Measure\Unit;

/** @param array<string, mixed> $changes */
function readCard(array $changes): ?LabelCard
{
    $faults = new Faults();
    $card = LabelCard::read(Fields::of(esterCard($changes), $faults), catalogue());
    $faults->throwIfAny();

    return $card;
}

it('keeps what the label says, in the unit it was printed in', function () {
    $card = readCard([
        'hottest' => '85 F',
        'coldest' => '40 F',
        'reentryHours' => 12,
        'rainfastHours' => 4,
        'windMost' => '10 mph',
        'surfactantInside' => false,
    ]);
    expect($card?->contents->actives[0]['amount']->unit)
        ->toBe(Unit::GramEquivalentPerLitre)
        ->and($card?->holds('triclopyr-ester'))
        ->toBeTrue()
        ->and($card?->holds('glyphosate'))
        ->toBeFalse()
        ->and($card?->allowsMethod('basal-bark'))
        ->toBeTrue()
        ->and($card?->allowsMethod('foliar-spot'))
        ->toBeFalse()
        ->and((string) $card?->lines('basal-bark')[0]->min?->percent()->amount)
        ->toBe('10')
        ->and((string) $card?->lines('basal-bark')[0]->max?->percent()->amount)
        ->toBe('30')
        ->and($card?->lines('cut-stump')[0]->min)
        ->toBeNull()
        ->and($card?->start->hottest?->unit)
        ->toBe(Unit::Fahrenheit)
        ->and([$card?->protection->reentryHours, $card?->start->rainfastHours, $card?->contents->surfactantInside])
        ->toBe([12, 4, false]);
});

it('leaves what the label does not say unknown instead of none', function () {
    $card = readCard(['yearlyMaximum' => null, 'waterBuffer' => null]);
    expect([
        $card?->directions->ceilings[0]->perYear,
        $card?->start->waterBuffer,
        $card?->protection->reentryHours,
        $card?->start->rainfastHours,
        $card?->contents->surfactantInside,
        $card?->start->coldest,
    ])->toBe([null, null, null, null, null, null]);
});

it('reads a strength in every way a label writes it', function (string $printed, string $percent) {
    $card = readCard(['methods' => [['method' => 'basal-bark', 'max' => $printed]]]);
    expect(
        Thicket\Measure\Shown::number(
            $card?->lines('basal-bark')[0]->max?->percent()->amount ?? Brick\Math\BigRational::zero(),
        ),
    )->toBe($percent);
})->with([
    'percent' => ['25 %', '25'],
    'parts' => ['1:3', '25'],
    'quarts to the gallon' => ['1 qt/gal', '25'],
    'ounces to the gallon' => ['32 fl oz/gal', '25'],
    'millilitres to the litre' => ['250 mL/L', '25'],
    'spoons to the gallon' => ['2 tsp/gal', '0.2604'],
]);

it('reads an amount to a volume of water as a share of the mix, where the label says so', function (
    string $printed,
    bool $toWater,
    ?string $percent,
) {
    try {
        $line = readCard([
            'methods' => [['method' => 'foliar-spot', 'max' => $printed, 'toWater' => $toWater]],
        ])?->lines('foliar-spot')[0];
        expect(Thicket\Measure\Shown::number($line?->max?->percent()->amount ?? Brick\Math\BigRational::zero(), 4))
            ->toBe($percent)
            ->and($line?->toWater)
            ->toBe($toWater)
            ->and($line?->max?->typed)
            ->toBe($printed);
    } catch (Refused $e) {
        expect($percent)
            ->toBeNull()
            ->and($e->faults[0]['pointer'])
            ->toBe('/methods/0/max')
            ->and($e->faults[0]['message'])
            ->toContain('amount per volume');
    }
})->with([
    // 2 fl oz in a finished gallon are 1.5625 %; to a gallon of water 2 in 130
    'to the gallon of mix' => ['2 fl oz/gal', false, '1.563'],
    'to the gallon of water' => ['2 fl oz/gal', true, '1.538'],
    'to the litre of water' => ['250 mL/L', true, '20'],
    'a percentage is of the mix' => ['2 %', true, null],
    'parts say it already' => ['1:4', true, null],
]);

it('names the field that cannot be right', function (array $changes, string $pointer, string $says) {
    try {
        readCard($changes);
    } catch (Refused $e) {
        $at = array_column($e->faults, 'message', 'pointer');
        expect($at)->toHaveKey($pointer)->and($at[$pointer])->toContain($says);

        return;
    }
    $this->fail("nothing refused at {$pointer}");
})->with([
    'no product' => [['product' => ''], '/product', 'Product is needed'],
    'no registration' => [['registration' => null], '/registration', 'Registration is needed'],
    'formulation unknown' => [['formulation' => 'jelly'], '/formulation', 'not one of the choices'],
    'no active' => [['actives' => []], '/actives', 'at least one'],
    'brand instead of active' => [
        ['actives' => [['active' => 'weed-be-gone', 'amount' => '1 %w/w']]],
        '/actives/0/active',
        'common chemical name',
    ],
    'strength as share of the mix' => [
        ['actives' => [['active' => 'glyphosate', 'amount' => '41 %']]],
        '/actives/0/amount',
        'as printed',
    ],
    'strength of nothing' => [
        ['actives' => [['active' => 'glyphosate', 'amount' => '0 g ae/L']]],
        '/actives/0/amount',
        'above zero',
    ],
    'strength above the whole' => [
        ['actives' => [['active' => 'glyphosate', 'amount' => '100.1 % w/w']]],
        '/actives/0/amount',
        'above 100',
    ],
    'method unknown' => [['methods' => [['method' => 'wish']]], '/methods/0/method', 'not in the catalogue'],
    'least above most' => [
        ['methods' => [['method' => 'basal-bark', 'min' => '1:2', 'max' => '30 %']]],
        '/methods/0/max',
        'must not be below',
    ],
    'strength of the active' => [
        ['methods' => [['method' => 'basal-bark', 'max' => '5 % active']]],
        '/methods/0/max',
        'Give product share here',
    ],
    'above all of it' => [
        ['methods' => [['method' => 'basal-bark', 'max' => '101 %']]],
        '/methods/0/max',
        'larger than',
    ],
    'carrier unknown' => [['carriers' => ['milk']], '/carriers/0', 'not one of the choices'],
    'site unknown' => [['sites' => ['moon']], '/sites/0', 'not one of the choices'],
    'buffer in gallons' => [['waterBuffer' => '3 gal'], '/waterBuffer', 'Give length here'],
    'yearly maximum without area' => [['yearlyMaximum' => '8 kg'], '/yearlyMaximum', 'amount per area'],
    'heat below cold' => [['coldest' => '60 F', 'hottest' => '15 C'], '/hottest', 'must not be below'],
    'hours below none' => [['rainfastHours' => -1], '/rainfastHours', 'whole number'],
    'a stage of nobody' => [
        ['methods' => [['method' => 'basal-bark', 'stages' => ['teenage']]]],
        '/methods/0/stages/0',
        'not one of the choices',
    ],
    'from without to' => [['methods' => [['method' => 'basal-bark', 'from' => '03-01']]], '/methods/0/to', 'both'],
    'to without from' => [['methods' => [['method' => 'basal-bark', 'to' => '03-01']]], '/methods/0/from', 'both'],
    'a day that is none' => [
        ['methods' => [['method' => 'basal-bark', 'from' => '02-30', 'to' => '03-01']]],
        '/methods/0/from',
        'MM-DD',
    ],
    'one use twice for all' => [
        ['methods' => [['method' => 'basal-bark', 'max' => '20%'], ['method' => 'basal-bark', 'max' => '30%']]],
        '/methods/1/method',
        'second line',
    ],
    'a field of nobody in a line' => [
        ['methods' => [['method' => 'basal-bark', 'colour' => 'red']]],
        '/methods/0/colour',
        'no such field',
    ],
    'a rate of nothing' => [
        ['methods' => [['method' => 'pasture-broadcast', 'rateMost' => '0 L/ha']]],
        '/methods/0/rateMost',
        'amount per area',
    ],
    'rates of two kinds' => [
        ['methods' => [['method' => 'pasture-broadcast', 'rateLeast' => '1 oz wt/ac', 'rateMost' => '2 L/ha']]],
        '/methods/0/rateMost',
        'same kind',
    ],
    'least rate above most' => [
        ['methods' => [['method' => 'pasture-broadcast', 'rateLeast' => '3 L/ha', 'rateMost' => '2 L/ha']]],
        '/methods/0/rateMost',
        'not below',
    ],
    'spray by weight' => [
        ['methods' => [['method' => 'pasture-broadcast', 'spray' => '2 oz wt/ac']]],
        '/methods/0/spray',
        'mix per area',
    ],
    'yes as a word' => [['licensedOnly' => 'yes'], '/licensedOnly', 'true or false'],
    'a field of nobody' => [['colour' => 'orange'], '/colour', 'no such field'],
]);

it('accepts least and most that are the same', function () {
    expect(readCard(['methods' => [['method' => 'basal-bark', 'min' => '25 %', 'max' => '1:3']]]))->not->toBeNull();
});

/** @return list<array<string, mixed>> one use parted by stage and dates */
function partedUses(): array
{
    return [
        ['method' => 'foliar-spot', 'min' => '1%', 'max' => '3%'],
        ['method' => 'foliar-spot', 'max' => '1.5%', 'stages' => ['seedling', 'rosette']],
        ['method' => 'foliar-spot', 'max' => '2%', 'from' => '11-01', 'to' => '02-15'],
    ];
}

it('takes the line of the stage and the day, and the strictest where nobody looked', function (
    ?string $stage,
    string $day,
    string $most,
) {
    $line = readCard(['methods' => partedUses()])?->use('foliar-spot', $stage, new DateTimeImmutable($day));
    expect(Thicket\Measure\Shown::number($line?->max?->percent()->amount ?? Brick\Math\BigRational::zero()))->toBe(
        $most,
    );
})->with([
    'its own stage' => ['rosette', '2026-06-01', '1.5'],
    'another stage: the line for all' => ['flower', '2026-06-01', '3'],
    'nobody looked' => [null, '2026-06-01', '1.5'],
    'the day before the dates' => ['flower', '2026-10-31', '3'],
    'their first day' => ['flower', '2026-11-01', '2'],
    'over the new year' => ['flower', '2027-01-10', '2'],
    'their last day' => ['flower', '2027-02-15', '2'],
    'the day after' => ['flower', '2027-02-16', '3'],
    'both stage and dates: the stricter' => ['seedling', '2026-12-01', '1.5'],
]);

it('takes the line of the very stage also where it allows more than the line for all', function (
    ?string $stage,
    string $most,
) {
    $line = readCard([
        'methods' => [
            ['method' => 'foliar-spot', 'max' => '3%', 'stages' => ['rosette']],
            ['method' => 'foliar-spot', 'max' => '1%'],
        ],
    ])?->use('foliar-spot', $stage, new DateTimeImmutable('2026-06-01'));
    expect(Thicket\Measure\Shown::number($line?->max?->percent()->amount ?? Brick\Math\BigRational::zero()))->toBe(
        $most,
    );
})->with(['seen' => ['rosette', '3'], 'another seen' => ['flower', '1'], 'nobody looked' => [null, '1']]);

it('lists no use outside its dates and stages, and says when the dates open', function () {
    $card = readCard([
        'methods' => [
            ['method' => 'foliar-spot', 'max' => '2%', 'from' => '03-01', 'to' => '05-31'],
            ['method' => 'basal-bark', 'max' => '20%', 'stages' => ['dormant']],
        ],
    ]);
    $day = new DateTimeImmutable('2026-06-01');
    $spring = $card?->lines('foliar-spot')[0];
    expect($card?->use('foliar-spot', 'rosette', $day))
        ->toBeNull()
        ->and($spring?->holds(null, new DateTimeImmutable('2026-05-31')))
        ->toBeTrue()
        ->and($spring?->holds(null, new DateTimeImmutable('2026-03-01')))
        ->toBeTrue()
        ->and($spring?->holds(null, new DateTimeImmutable('2026-02-28')))
        ->toBeFalse()
        ->and(
            readCard([
                'methods' => [['method' => 'foliar-spot', 'from' => '03-01', 'to' => '03-01', 'rateMost' => null]],
            ])
                ?->lines('foliar-spot')[0]
                ->holds(null, new DateTimeImmutable('2026-03-01')),
        )
        ->toBeTrue()
        ->and($card?->use('basal-bark', 'flower', $day))
        ->toBeNull()
        ->and($card?->use('basal-bark', null, $day)?->stages)
        ->toBe(['dormant'])
        ->and($card?->use('cut-stump', null, $day))
        ->toBeNull()
        ->and($spring?->opensOn($day)?->format('Y-m-d'))
        ->toBe('2027-03-01')
        ->and($spring?->opensOn(new DateTimeImmutable('2026-03-01'))?->format('Y-m-d'))
        ->toBe('2026-03-01')
        ->and($spring?->opensOn(new DateTimeImmutable('2026-02-01'))?->format('Y-m-d'))
        ->toBe('2026-03-01')
        ->and($spring?->opensOn(new DateTimeImmutable('2026-04-01'))?->format('Y-m-d'))
        ->toBe('2026-04-01')
        ->and(array_map(static fn(DateTimeImmutable $d): string => $d->format('Y-m-d'), $spring?->turns(2026) ?? []))
        ->toBe(['2026-03-01', '2026-06-01'])
        ->and($card?->lines('basal-bark')[0]->opensOn($day))
        ->toBeNull();
});

it('holds one line stricter than another by strength, then rate, then mix a stem', function (
    array $one,
    array $other,
    bool $stricter,
) {
    [$a, $b] = array_map(
        static fn(array $line) => readCard(['methods' => [['method' => 'foliar-spot'] + $line]])?->lines(
            'foliar-spot',
        )[0],
        [$one, $other],
    );
    expect($a !== null && $b !== null && $a->isStricterThan($b))->toBe($stricter);
})->with([
    'less of it' => [['max' => '1%'], ['max' => '2%'], true],
    'more of it' => [['max' => '2%'], ['max' => '1%'], false],
    'a most against none' => [['max' => '50%'], [], true],
    'none against a most' => [[], ['max' => '50%'], false],
    'as strong, less an area' => [
        ['max' => '1%', 'rateMost' => '1 L/ha'],
        ['max' => '1%', 'rateMost' => '2 L/ha'],
        true,
    ],
    'as much an area, less a stem' => [
        ['rateMost' => '1 L/ha', 'perStem' => '5 mL'],
        ['rateMost' => '1 L/ha', 'perStem' => '6 mL'],
        true,
    ],
    'the same' => [['max' => '1%'], ['max' => '1%'], false],
]);

it('takes the last that may be typed and refuses the next', function (array $last, array $next, string $pointer) {
    expect(readCard($last))
        ->not->toBeNull()
        ->and(static fn() => readCard($next))
        ->toThrow(static function (Refused $e) use ($pointer): void {
            expect(array_column($e->faults, 'pointer'))->toContain($pointer);
        });
})->with(function () {
    $text = static fn(string $name, int $longest): array => [
        [$name => str_repeat('a', $longest)],
        [$name => str_repeat('a', $longest + 1)],
        "/{$name}",
    ];
    $number = static fn(string $name, int $most): array => [[$name => $most], [$name => $most + 1], "/{$name}"];
    $least = static fn(string $name, int $least): array => [[$name => $least], [$name => $least - 1], "/{$name}"];
    $actives = static fn(int $n): array => [
        'actives' => array_fill(0, $n, ['active' => 'triclopyr-ester', 'amount' => '480 g ae/L']),
    ];
    $uses = static fn(int $n): array => [
        'methods' => array_map(
            static fn(int $i): array => [
                'method' => 'basal-bark',
                'from' => sprintf('%02d-%02d', 1 + intdiv($i, 28), 1 + ($i % 28)),
                'to' => '12-31',
            ],
            range(0, $n - 1),
        ),
    ];
    $limits = static fn(int $n): array => [
        'siteLimits' => array_fill(0, $n, ['sites' => ['woods'], 'intervalDays' => 1]),
    ];

    return [
        'product' => $text('product', 120),
        'registration' => $text('registration', 60),
        'wearing' => $text('wearing', 1000),
        'first aid' => $text('firstAid', 2000),
        'storage' => $text('storage', 1000),
        'version' => $number('version', 9999),
        'first version' => $least('version', 1),
        'rainfast' => $number('rainfastHours', 240),
        'rainfast at once' => $least('rainfastHours', 0),
        're-entry' => $number('reentryHours', 2000),
        're-entry at once' => $least('reentryHours', 0),
        'lead' => $number('leadDays', 2000),
        'no lead' => $least('leadDays', 0),
        'holding' => $number('holdingHours', 5000),
        'no holding' => $least('holdingHours', 0),
        'replant' => $number('replantDays', 5000),
        'year of the law' => $number('lawCheckedYear', 2100),
        'first year of the law' => $least('lawCheckedYear', 1990),
        'actives' => [$actives(6), $actives(7), '/actives'],
        'uses' => [$uses(80), $uses(81), '/methods'],
        'limits of sites' => [$limits(20), $limits(21), '/siteLimits'],
        'former names' => [
            ['formerNames' => array_map(strval(...), range(1, 12))],
            ['formerNames' => array_map(strval(...), range(1, 13))],
            '/formerNames',
        ],
        'all of it active' => [
            ['actives' => [['active' => 'triclopyr-ester', 'amount' => '100 % w/w']]],
            ['actives' => [['active' => 'triclopyr-ester', 'amount' => '100.01 % w/w']]],
            '/actives/0/amount',
        ],
        'light' => [['density' => '300 g/L'], ['density' => '299.9 g/L'], '/density'],
        'heavy' => [['density' => '3000 g/L'], ['density' => '3000.1 g/L'], '/density'],
        'little water' => [['waterInDepth' => '1 mm'], ['waterInDepth' => '0.9 mm'], '/waterInDepth'],
        'much water' => [['waterInDepth' => '100 mm'], ['waterInDepth' => '4 in'], '/waterInDepth'],
        'the latest is the earliest' => [
            ['waterInAfterMinutes' => 60, 'waterInHours' => 1],
            ['waterInAfterMinutes' => 61, 'waterInHours' => 1],
            '/waterInAfterMinutes',
        ],
        'as hot as cold' => [
            ['coldest' => '15 C', 'hottest' => '59 F'],
            ['coldest' => '15 C', 'hottest' => '58.9 F'],
            '/hottest',
        ],
        'no stray field of an active' => [
            [],
            ['actives' => [['active' => 'triclopyr-ester', 'amount' => '480 g ae/L', 'colour' => 'red']]],
            '/actives/0/colour',
        ],
        'uses at all' => [[], ['methods' => null], '/methods'],
    ];
});

it('has every particular in both schemas, alike', function () {
    $schema = static fn(string $name): array => json_decode(
        (string) file_get_contents(dirname(__DIR__, 2) . "/docs/schemas/{$name}.schema.json"),
        true,
        64,
        JSON_THROW_ON_ERROR,
    );
    $alone = $schema('label-card')['properties']['card']['properties'];
    $inSituation = $schema('advise')['properties']['cards']['items']['properties'];
    // the crew's own marks are given by the shed, not handed on
    expect(array_diff_key($inSituation, array_flip(['id', 'version', 'confirmed'])))
        ->toEqual($alone)
        ->and(array_keys(array_diff_key($inSituation, $alone)))
        ->toEqualCanonicalizing(['id', 'version', 'confirmed'])
        ->and(array_keys($alone))
        ->toContain(
            ...CardDetails::TEXTS,
            ...CardDetails::GRASS_LISTS,
            ...CardDetails::DAYS,
            ...CardDetails::HOURS,
            ...CardDetails::YES_NO,
            ...['waterInHours', 'waterInAfterMinutes'],
        );
});

it('takes what is not said for no, and a card that nobody confirmed for unconfirmed', function () {
    $bare = LabelCard::read(
        Fields::of(
            array_intersect_key(
                esterCard(),
                array_flip(['product', 'registration', 'formulation', 'actives', 'methods']),
            ),
            $faults = new Faults(),
        ),
        catalogue(),
    );
    expect($faults->any())
        ->toBeFalse()
        ->and([
            $bare?->id,
            $bare?->version,
            $bare?->confirmed,
            $bare?->start->aquaticAllowed,
            $bare?->protection->licensedOnly,
            $bare?->contents->soilActive,
            $bare?->protection->wearing,
            $bare?->protection->firstAid,
        ])
        ->toBe(['', 1, false, false, false, false, '', ''])
        ->and([
            $bare?->intervals->leadDays,
            $bare?->intervals->lastingDays,
            $bare?->intervals->grazingDays,
            $bare?->intervals->hayDays,
            $bare?->contents->density,
            $bare?->details->holdingHours(),
            $bare?->details->buyers,
            $bare?->details->texts,
            $bare?->details->numbers,
            $bare?->details->answers,
        ])
        ->toBe([null, null, null, null, null, null, null, [], [], []]);
    $told = readCard([
        'wearing' => 'Boots.',
        'firstAid' => 'Water.',
        'drift' => 'Coarse drops.',
        'dairyDays' => 3,
        'waterInHours' => 24,
        'forageAllowed' => false,
        'tankMixAllowed' => true,
        'buyers' => 'farm',
        'exclusionDistance' => '8 m',
        'leadDays' => 30,
        'lastingDays' => 90,
        'grazingDays' => 7,
        'hayDays' => 14,
    ]);
    expect([
        $told?->protection->wearing,
        $told?->protection->firstAid,
        $told?->details->texts,
        $told?->details->numbers,
        $told?->details->answers,
        $told?->details->buyers,
        $told?->directions->soil->waterInHours,
        (string) $told?->protection->exclusion?->amount,
    ])
        ->toBe([
            'Boots.',
            'Water.',
            ['drift' => 'Coarse drops.'],
            ['dairyDays' => 3],
            ['forageAllowed' => false, 'tankMixAllowed' => true],
            'farm',
            24,
            '8',
        ])
        ->and([
            $told?->intervals->leadDays,
            $told?->intervals->lastingDays,
            $told?->intervals->grazingDays,
            $told?->intervals->hayDays,
        ])
        ->toBe([30, 90, 7, 14]);
});

it('begins with cards that read as cards, of actives and ways that are known, and hold no rate', function () {
    foreach (catalogue()->cardTemplates() as $template) {
        $card = LabelCard::read(Fields::of($template->body('x'), $faults = new Faults()), catalogue());
        $faults->throwIfAny();
        expect($card?->product)
            ->toBe($template->product())
            // what a label decides is left to the label
            ->and($card?->directions->sites)
            ->toBe([]);
        foreach ($card->directions->uses ?? [] as $use) {
            expect([$use->min, $use->max, catalogue()->hasMethod($use->method)])->toBe([null, null, true]);
        }
    }
});
