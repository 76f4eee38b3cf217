<?php

declare(strict_types=1);

use Thicket\Assess\Board;
use Thicket\Assess\ChangesWithSeason;
use Thicket\Assess\RuleSet;
use Thicket\Assess\YearOutlook;
use Thicket\Calendar\Day;
use Thicket\Calendar\Exception\UnreadableDate;
use Thicket\Calendar\MonthDay;
use Thicket\Calendar\SeasonShift;
use Thicket\Input\Faults;
use Thicket\Input\Fields;
use Thicket\Label\LabelCard;
use Thicket\Season\LocalSpans;
use Thicket\Season\Phenology;
use Thicket\Season\ScoutingSeason;
use Thicket\Situation\Moment;
use Thicket\Situation\Option;
use Thicket\Situation\Plant;
use Thicket\Situation\Schools;
use Thicket\Situation\Shed;
use Thicket\Situation\Situation;
use Thicket\Situation\SituationReader;
use Thicket\Timing\Afterwards;
use Thicket\Timing\EvaluationDate;
use Thicket\Timing\YearStrip;
use Thicket\Verdict\Outcome;

it('moves a catalogue day by latitude and elevation', function (
    string $latitude,
    string $elevation,
    string $day,
    string $local,
) {
    expect(SeasonShift::forPlace($latitude, $elevation)->local(MonthDay::parse($day), 2026)->format('Y-m-d'))->toBe(
        $local,
    );
})->with([
    'nothing at the reference' => ['40', '200', '07-01', '2026-07-01'],
    'spring later, four days a degree' => ['44', '200', '04-20', '2026-05-06'],
    '1 May still moves whole' => ['44', '200', '05-01', '2026-05-17'],
    '1 July hardly moves: 61 of 123 days' => ['44', '200', '07-01', '2026-07-01'],
    '1 September is back whole' => ['44', '200', '09-01', '2026-08-16'],
    'autumn earlier' => ['44', '200', '10-31', '2026-10-15'],
    '120 m is four days' => ['40', '320', '04-01', '2026-04-05'],
    'lower is earlier in spring' => ['36', '200', '04-01', '2026-03-16'],
    'south is six months on' => ['-40', '200', '07-01', '2027-01-01'],
    'south, month end held' => ['-40', '200', '08-31', '2027-02-28'],
    'never across the turn of the year' => ['36', '200', '12-31', '2026-12-31'],
    'nor before it' => ['36', '200', '01-05', '2026-01-01'],
]);

it('does not trust the rule of thumb beyond thirty days', function () {
    expect(SeasonShift::forPlace('47.5', '200')->isTrusted)
        ->toBeTrue()
        ->and(SeasonShift::forPlace('47.51', '200')->isTrusted)
        ->toBeFalse();
});

it('keeps the order of days at every place', function () {
    foreach (['-60', '-35', '32.5', '36', '40', '47.5'] as $latitude) {
        $shift = SeasonShift::forPlace($latitude, '200');
        $last = null;
        for ($i = 0; $i < 365; ++$i) {
            $day = $shift->local(
                MonthDay::parse(
                    Day::of(2025, 1, 1)
                        ->modify("+{$i} days")
                        ->format('m-d'),
                ),
                2025,
            );
            expect($last === null || $day >= $last)->toBeTrue("{$latitude} at day {$i}");
            $last = $day;
        }
    }
});

it('reads days strictly', function (string $text) {
    expect(fn() => Day::parse($text))->toThrow(UnreadableDate::class, 'Write the day as');
})->with(['30 February' => '2026-02-30', 'other order' => '03-09-2026', 'words' => 'tomorrow', 'far' => '3026-01-01']);

it('judges a sprayed cactus and a girdle alone after two years, the same dug after one (handbook 4)', function (
    string $species,
    string $method,
    string $day,
) {
    $plant = catalogue()->species($species);
    expect(
        EvaluationDate::day(
            $plant,
            Day::parse('2025-06-01'),
            SeasonShift::none(),
            catalogue()->method($method)->showsLateOn($plant),
        )->format('Y-m-d'),
    )->toBe($day);
})->with([
    'cactus sprayed' => ['prickly-pear', 'foliar-spot', '2027-06-01'],
    'cactus dug' => ['prickly-pear', 'dig', '2026-06-01'],
    'maple girdled' => ['norway-maple', 'girdle', '2027-06-01'],
    'maple girdled and sprayed' => ['norway-maple', 'girdle-spray', '2026-06-01'],
]);

it('judges annuals and rosettes after fourteen days, others after twelve months', function (
    string $species,
    string $day,
) {
    expect(
        EvaluationDate::day(catalogue()->species($species), Day::parse('2026-02-28'), SeasonShift::none())->format(
            'Y-m-d',
        ),
    )->toBe($day);
})->with([
    'annual' => ['common-lambsquarters', '2026-03-14'],
    'biennial' => ['poison-hemlock', '2026-03-14'],
    'creeping root' => ['canada-thistle', '2027-02-28'],
    'tree' => ['red-maple', '2027-02-28'],
]);

it('lays out 52 columns, the last longer, with windows to the day', function () {
    $species = catalogue()->species('tree-of-heaven');
    $day = Day::parse('2026-09-03');
    $situation = new Situation(new Moment($day, $day), new Plant($species), SeasonShift::forPlace('44', '210'));
    $option = new Option(
        catalogue()->method('basal-bark'),
        catalogue()->active('triclopyr-ester'),
        null,
        Schools::of(catalogue()),
        new Shed(),
        catalogue(),
    );
    $strip = YearStrip::of($situation, 2026, [$option]);
    expect($strip->weeks)
        ->toHaveCount(52)
        ->and($strip->weeks[51]['last']->format('m-d'))
        ->toBe('12-31')
        ->and($strip->weeks[20]['flow'])
        ->toBe('up')
        ->and($strip->weeks[35]['flow'])
        ->toBe('down')
        ->and($strip->weeks[0]['flow'])
        ->toBe('still')
        ->and(
            array_map(
                static fn($w): string => $w->first->format('m-d') . '/' . $w->last->format('m-d'),
                $strip->lanes[0]['windows'],
            ),
        )
        ->toBe(['07-01/10-15']);
});

it('leaves no hole at the turn of the year, wherever the ground lies', function (string $latitude) {
    foreach (['2026-12-20', '2026-12-31', '2027-01-01', '2027-01-10'] as $day) {
        expect(
            codes(
                row(
                    stand(['date' => $day, 'place' => ['latitude' => $latitude, 'elevationMetres' => '200']]),
                    'basal-bark/triclopyr-ester',
                ),
            ),
        )->toContain('season.workable');
    }
})->with(['further north' => ['44'], 'at the reference' => ['40'], 'further south' => ['36']]);

it('turns the year round in the south', function () {
    $place = ['latitude' => '-40', 'elevationMetres' => '200'];
    expect(
        codes(
            row(
                stand(['species' => 'tree-of-heaven', 'date' => '2026-02-15', 'place' => $place]),
                'basal-bark/triclopyr-ester',
            ),
        ),
    )
        ->toContain('season.best')
        ->and(
            row(
                stand(['species' => 'tree-of-heaven', 'date' => '2026-11-10', 'place' => $place]),
                'basal-bark/triclopyr-ester',
            )->opens?->format('Y-m-d'),
        )
        ->toBe('2027-01-01');
});

it('takes a leaf-out that somebody saw over the rule of thumb', function (
    string $latitude,
    string $seen,
    string $date,
    string $code,
) {
    $document = stand([
        'species' => 'red-maple',
        'date' => $date,
        'place' => ['latitude' => $latitude, 'elevationMetres' => '200'],
        'facts' => [['fact' => 'leaf-out', 'value' => $seen]],
    ]);
    expect(codes(row($document, 'hack-and-squirt/imazapyr')))->toContain($code);
})->with([
    // the catalogue has leaf-out 25 April, full leaf 25 May; seen ten days early, full leaf moves by ten x (1 - 48 /
    // 123) = 6 days to 19 May
    'early spring: sap is over on 19 May' => ['40', '2026-04-15', '2026-05-19', 'season.with-care'],
    'by the catalogue it is not' => ['40', '2026-04-25', '2026-05-19', 'sap.pushes-out'],
    'where the rule of thumb does not reach, a seen date opens the season' => [
        '52',
        '2026-05-20',
        '2026-08-20',
        'season.best',
    ],
]);

it('still asks for a local date where none was seen', function () {
    $place = ['latitude' => '52', 'elevationMetres' => '200'];
    expect(row(stand(['place' => $place]), 'hack-and-squirt/imazapyr')->missing())->toContain('local-season');
});

it('says what stage to expect, since when, until when, and what else it could be', function () {
    $maple = catalogue()->species('tree-of-heaven');
    $leafOut = $maple->dayOf('leafOut')?->inYear(2026) ?? throw new RuntimeException('no leaf-out');
    $byPlace = new Thicket\Season\Phenology($maple, SeasonShift::none());
    $estimate = $byPlace->estimateOn($leafOut->modify('+1 day'));
    expect($estimate['stage'])
        ->toBe('leaf-out')
        ->and($estimate['since'] ?? null)
        ->toEqual($leafOut)
        ->and($estimate['until'] ?? null)
        ->toEqual($byPlace->dayOf('fullLeaf', 2026))
        ->and($estimate['marginDays'] ?? null)
        ->toBe(7)
        ->and($estimate['couldBe'] ?? [])
        ->toContain($byPlace->stageOn($leafOut->modify('-6 days')));
    // somebody saw leaf-out nine days later than the book: the same day is still the stage before
    $seen = new Thicket\Season\Phenology(
        $maple,
        SeasonShift::none()->seenOn($leafOut->modify('+9 days'), $maple->dayOf('leafOut')),
    );
    expect($seen->estimateOn($leafOut->modify('+1 day'))['stage'])
        ->not->toBe('leaf-out')
        ->and($seen->estimateOn($leafOut->modify('+9 days'))['marginDays'])
        ->toBe(3);
});

it('judges a year at the days on which a rule turns, and finds every day as it would be found alone', function (
    string $species,
    string $site,
) {
    $document = stand([
        'species' => $species,
        'stems' => [['diameter' => '2 in', 'count' => 5]],
        'facts' => [
            ['fact' => 'setting', 'value' => $site],
            ['fact' => 'planted-on', 'value' => '2023-06-10'],
            ['fact' => 'last-mown', 'value' => '2026-06-01'],
            ['fact' => 'grazed-from', 'value' => '2026-07-20'],
        ],
        'cards' => [preventerCard(), sprayCard(['grazingDays' => 14])],
    ]);
    $in = Fields::of($document, new Faults());
    $reader = new SituationReader(catalogue());
    $situation = $reader->situation($in);
    $options = Board::options($situation, catalogue(), $reader->schools($in), $reader->shed($in));
    $judged = 0;
    foreach ($options as $option) {
        $year = YearOutlook::of($situation, $option, 2026);
        $judged += $year->judged;
        for ($day = Day::of(2026, 1, 1); $day <= Day::of(2026, 12, 31); $day = $day->modify('+13 days')) {
            expect([$option->id(), $day->format('m-d'), $year->between($day, $day)['worst']])->toBe([
                $option->id(),
                $day->format('m-d'),
                Board::judge($situation->seasonOnly()->onDay($day), $option)->outcome,
            ]);
        }
    }
    // a year costs at most fifteen boards (rulings B34)
    expect($judged)->toBeLessThan(15 * count($options));
})->with([
    ['norway-maple', 'woods'],
    ['large-crabgrass', 'bed-lawn-paving'],
    ['wild-parsnip', 'pasture'],
    ['common-lambsquarters', 'new-native-grass'],
    ['quackgrass', 'orchard'],
]);

it('tells the last day that still works, and the first that does again', function (
    string $day,
    ?string $opens,
    ?string $lastDay,
) {
    // tree-of-heaven by its bark: 1 July to the end of October, with care to the end of green leaf (J42)
    $document =
        ['species' => 'tree-of-heaven', 'date' => $day, 'cards' => [esterCard()]] +
        stand(['facts' => [seen('setting', 'woods')]]);
    [$situation, $option] = situated($document, 'basal-bark/triclopyr-ester/ester');
    $season = YearOutlook::seasonAround($situation, $option);
    expect([$season['opens']?->format('Y-m-d'), $season['lastDay']?->format('Y-m-d')])->toBe([$opens, $lastDay]);
})->with([
    'shut in May' => ['2026-05-10', '2026-07-01', null],
    'the day before' => ['2026-06-30', '2026-07-01', null],
    'the first day' => ['2026-07-01', null, '2026-10-31'],
    'in August' => ['2026-08-15', null, '2026-10-31'],
    'the last day' => ['2026-10-31', null, '2026-10-31'],
    'in November, over the new year' => ['2026-11-05', '2027-07-01', null],
]);

it('has every rule tell the days on which its own finding changes', function (array $document) {
    $in = Fields::of($document, $faults = new Faults());
    $reader = new SituationReader(catalogue());
    $situation = $reader->situation($in);
    $options = Board::options($situation, catalogue(), $reader->schools($in), $reader->shed($in));
    $faults->throwIfAny();
    $season = $situation->seasonOnly();
    $days = [];
    for ($day = Day::of(2026, 1, 1); $day <= Day::of(2026, 12, 31); $day = $day->modify('+4 days')) {
        $days[] = $season->onDay($day);
    }
    $silent = [];
    foreach (RuleSet::standard()->rules as $rule) {
        foreach ($options as $option) {
            $turns = $rule instanceof ChangesWithSeason ? $rule->turns($season, $option, 2026) : [];
            $worst = static fn(Situation $on): string => array_reduce(
                $rule->evaluate($on, $option),
                static fn(Outcome $o, $f): Outcome => $f->outcome->isWorseThan($o) ? $f->outcome : $o,
                Outcome::Fits,
            )->value;
            $before = null;
            foreach ($days as $on) {
                $now = $worst($on);
                if (
                    $before !== null &&
                    $now !== $before[1] &&
                    array_filter($turns, static fn(DateTimeImmutable $d): bool => $d > $before[0] && $d <= $on->day) ===
                        []
                ) {
                    $silent[basename(str_replace('\\', '/', $rule::class))] = "{$option->id()} {$on->day->format(
                        'Y-m-d',
                    )}: {$before[1]}, then {$now}";
                }
                $before = [$on->day, $now];
            }
        }
    }
    expect($silent)->toBe([]);
})->with(function (): array {
    $near = [
        ['kind' => 'hive', 'name' => 'hives', 'distance' => '300 m'],
        ['kind' => 'path', 'name' => 'lane', 'distance' => '10 m'],
        ['kind' => 'grass', 'name' => 'sod', 'distance' => '0 m', 'species' => 'bahiagrass'],
        [
            'kind' => 'tree',
            'name' => 'oak',
            'distance' => '4 m',
            'species' => 'white-oak',
            'height' => '12 m',
            'crownRadius' => '3 m',
        ],
    ];
    $past = [
        ['on' => '2026-03-02', 'method' => 'foliar-spot', 'active' => 'glyphosate'],
        ['on' => '2025-08-20', 'method' => 'pasture-broadcast', 'active' => 'aminopyralid'],
        ['on' => '2025-05-15', 'method' => 'foliar-spot', 'active' => '2-4-d'],
    ];
    $more = [
        'keepers' => $near,
        'history' => $past,
        'cards' => [
            sprayCard([
                'grazingDays' => 14,
                'sites' => ['new-native-grass', 'pasture', 'woods', 'orchard'],
                'fertiliser' => '10-2-2',
            ]),
            preventerCard(['plants' => [['kind' => 'tree', 'years' => 3]]]),
        ],
    ];
    $facts = [
        seen('planted-on', '2025-09-12'),
        seen('height', '4 ft'),
        seen('litter', 'none'),
        seen('freeze-on', '2026-10-02'),
        seen('grazed-from', '2026-07-20'),
        seen('hay-on', '2026-06-20'),
    ];
    $south = ['place' => ['latitude' => '-38', 'elevationMetres' => '200']];
    $asked = static fn(array $document): array => [
        'facts' => array_values(
            array_filter(
                $document['facts'],
                static fn(array $f): bool => !in_array($f['fact'], ['food-taken', 'hives-near'], true),
            ),
        ),
    ] + $document;

    return [
        'brambles in pasture' => [
            $asked(
                woody(
                    'pasture',
                    'armenian-blackberry',
                    '2026-06-01',
                    [['diameter' => '1 in', 'count' => 5]],
                    $facts,
                    $more,
                ),
            ),
        ],
        'the same in the south' => [
            $asked(
                woody(
                    'pasture',
                    'armenian-blackberry',
                    '2026-06-01',
                    [['diameter' => '1 in', 'count' => 5]],
                    $facts,
                    $south + $more,
                ),
            ),
        ],
        'suckering trees' => [
            woody('woods', 'tree-of-heaven', '2026-06-01', [['diameter' => '3 in', 'count' => 5]], $facts, $more),
        ],
        'thistle in new native grass' => [herbs('new-native-grass', 'canada-thistle', '2026-06-01', $facts, $more)],
        'chickweed under young trees' => [
            herbs(
                'orchard',
                'common-chickweed',
                '2026-06-01',
                [seen('planted-on', '2023-07-20'), seen('height', '3 in'), seen('litter', 'none')],
                $more,
            ),
        ],
        'parsnip in the south' => [$asked(herbs('pasture', 'wild-parsnip', '2026-06-01', $facts, $south + $more))],
    ];
});

it('shows the worst and the best of a week in which a window opens', function () {
    $row = row(
        stand([
            'species' => 'tree-of-heaven',
            'date' => '2026-05-10',
            'facts' => [['fact' => 'setting', 'value' => 'woods']],
        ]),
        'basal-bark/triclopyr-ester',
    );
    $in = Fields::of(
        stand([
            'species' => 'tree-of-heaven',
            'date' => '2026-05-10',
            'facts' => [['fact' => 'setting', 'value' => 'woods']],
        ]),
        new Faults(),
    );
    $year = YearOutlook::of((new SituationReader(catalogue()))->situation($in), $row->option, 2026);
    // the season opens on 1 July, inside the week from 25 June
    expect($year->between(Day::of(2026, 6, 25), Day::of(2026, 7, 1)))
        ->toBe(['worst' => Outcome::NotNow, 'best' => Outcome::WithCare])
        ->and($year->between(Day::of(2026, 7, 2), Day::of(2026, 7, 8)))
        ->toBe(['worst' => Outcome::WithCare, 'best' => Outcome::WithCare]);
});

it('lays a span over the turn of the year, and six months on in the south', function (string $latitude, array $days) {
    $spans = LocalSpans::within(
        SeasonShift::forPlace($latitude, '200'),
        catalogue()->coefficients()->season('frost'),
        2026,
    );
    expect(
        array_map(static fn(array $s): string => $s['first']->format('m-d') . ' ' . $s['last']->format('m-d'), $spans),
    )->toBe($days);
})->with([
    // 15 October to 1 May of the catalogue
    'north' => ['40', ['01-01 05-01', '10-15 12-31']],
    'south' => ['-40', ['04-15 11-01']],
]);

it('counts the dates of a plant from where they hold', function (
    string $latitude,
    string $elevation,
    string $fullLeaf,
    bool $trusted,
) {
    $document = stand(['species' => 'mesquite', 'place' => ['latitude' => $latitude, 'elevationMetres' => $elevation]]);
    $situation = (new Thicket\Situation\SituationReader(catalogue()))->situation(
        Thicket\Input\Fields::of($document, new Thicket\Input\Faults()),
    );
    expect([$situation->phenology()?->dayOf('fullLeaf', 2026)?->format('m-d'), $situation->shift->isTrusted])
        ->toBe([$fullLeaf, $trusted])
        // and not a second time on another day of the same stand
        ->and(
            $situation
                ->onDay(Thicket\Calendar\Day::parse('2026-09-01'))
                ->phenology()
                ?->dayOf('fullLeaf', 2026)
                ?->format('m-d'),
        )
        ->toBe($fullLeaf);
})->with([
    'where they hold: 31 degrees, 400 m' => ['31', '400', '05-20', true],
    // 4 x 1 degree, and 19 of 123 days past 1 May: 4 x (1 - 38/123) = 2.8
    'a degree poleward' => ['32', '400', '05-23', true],
    // 4 x ((40 - 31) + (200 - 400)/120) = 29.3: still within thirty days
    'at 40 degrees and 200 m' => ['40', '200', '06-09', true],
    'beyond them' => ['42', '200', '06-10', false],
]);

it('says when a plant gives itself away, and what looking then costs', function (
    string $species,
    string $day,
    ?string $why,
    ?string $until,
    bool $fruit = false,
) {
    $plant = catalogue()->species($species);
    $season = ScoutingSeason::on(
        $plant,
        new Phenology($plant, SeasonShift::forPlace('40', '200')),
        new DateTimeImmutable("{$day}T00:00:00Z"),
    );
    expect([$season?->why, $season?->until->format('m-d'), $season !== null && $season->fruitIsRipe])->toBe([
        $why,
        $until,
        $fruit,
    ]);
})->with([
    // leaf-out 5 April, natives 20 April; flower 1-20 May; leaf fall 25 November, fruit ripe from 15 September
    'before its leaves' => ['bush-honeysuckle', '2026-04-04', null, null],
    'green alone in spring' => ['bush-honeysuckle', '2026-04-05', 'alone-green-early', '04-19'],
    'one green among others' => ['bush-honeysuckle', '2026-04-20', null, null],
    'in flower' => ['bush-honeysuckle', '2026-05-20', 'flower', '05-20'],
    'in summer' => ['bush-honeysuckle', '2026-07-15', null, null],
    'green alone in autumn, with ripe fruit' => ['bush-honeysuckle', '2026-11-01', 'alone-green-late', '11-25', true],
    'bare like the others' => ['bush-honeysuckle', '2026-11-26', null, null],
    'a herb in flower, to its seed' => ['garlic-mustard', '2026-05-01', 'flower', '06-20'],
]);

it('tells what a job shuts afterwards, the strictest card first, and what a card does not say', function (): void {
    $card = static function (array $changes): LabelCard {
        $read = LabelCard::read(Fields::of(esterCard($changes), $faults = new Faults()), catalogue());
        $faults->throwIfAny();

        return $read ?? throw new LogicException('not read');
    };
    $told = static function (array $stand, LabelCard ...$cards): array {
        $reader = new SituationReader(catalogue());
        $faults = new Faults();
        $in = Fields::of(stand($stand), $faults);
        $situation = $reader->situation($in);
        $method = catalogue()->method($cards === [] ? 'hand-pull' : 'basal-bark');
        $option = new Option($method, null, null, Schools::of(catalogue()), new Shed([]), catalogue());
        $out = [];
        foreach (Afterwards::of($situation, $option, array_values($cards)) as $f) {
            $until = $f->values['until'] ?? null;
            $out[$f->missing ?? substr($f->code, 6)] =
                $until instanceof DateTimeImmutable ? $until->format('m-d') : $f->values['hours'] ?? null;
        }

        return $out;
    };
    $pasture = [
        'date' => '2026-07-10',
        'species' => 'common-teasel',
        'facts' => [['fact' => 'setting', 'value' => 'pasture']],
    ];
    $woods = ['facts' => [['fact' => 'setting', 'value' => 'woods']]] + $pasture;
    $one = $card([
        'reentryHours' => 12,
        'rainfastHours' => 6,
        'grazingDays' => 14,
        'hayDays' => 30,
        'replantDays' => 60,
        'intervalDays' => 30,
    ]);
    $other = $card(['reentryHours' => 48, 'grazingDays' => 0]);
    $silent = $card([]);

    // biennials are judged after 14 days (J22)
    expect($told($pasture, $one))->toBe([
        'rainfast' => 6,
        'reentry' => 12,
        'grazing' => '07-24',
        'judge' => '07-24',
        'hay' => '08-09',
        'again' => '08-09',
        'replant' => '09-08',
    ]);
    expect($told($pasture, $one, $other))->toMatchArray(['reentry' => 48, 'grazing' => '07-24']);
    // out until it is dry
    expect($told($pasture, $other))->toMatchArray(['grazing' => '07-10']);
    // silence is no leave where stock is (J40), and nothing to tell where none is
    expect($told($pasture, $one, $silent))->toHaveKey('card-grazing-days');
    expect($told($woods, $one, $silent))->not->toHaveKeys(['grazing', 'hay', 'card-grazing-days']);
    // nor is it leave to walk in, or to come again
    expect($told($woods, $one, $silent))->toHaveKeys(['reentry', 'card-reentry-hours', 'card-interval-days']);
    expect($told($woods))->toBe(['judge' => '07-24']);
});
