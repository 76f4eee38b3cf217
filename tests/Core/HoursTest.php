<?php

declare(strict_types=1);

use Thicket\Hours\Condition;
use Thicket\Hours\HourBoard;
use Thicket\Hours\Place;
use Thicket\Input\Refused;
use Thicket\Measure\Unit;
use Thicket\Verdict\Outcome;
use Thicket\Weather\Forecast;
use Thicket\Weather\ForecastReader;
use Thicket\Weather\Psychrometry;
use Thicket\Weather\Sun;
use Thicket\Weather\Surface;
use Thicket\Weather\Wetness;

/*
 * Hours of work against hours of weather: each limit from both sides (handbook 4, rulings J3). The weather is mild,
 * dry and half clouded but for what a case changes; the place is 40 N, 75 W, summer time, so 15:00 UTC is 11:00.
 */

const MILD = [
    'airC' => 22,
    'humidityPct' => 55,
    'windMs' => 2.5,
    'gustMs' => 4,
    'windFromDeg' => 270,
    'rainMm' => 0,
    'rainChancePct' => 5,
    'cloudPct' => 60,
    'snowCm' => 0,
    'soilC' => 20,
    'topsoilC' => 21,
];

/**
 * Ten days back and twelve ahead of 09:00 UTC of a day.
 *
 * @param array<string, array<string, mixed>> $changes by hour such as '2026-08-15T15'; '*' changes all
 */
function weather(string $day, array $changes = []): Forecast
{
    $first = new DateTimeImmutable("{$day}T00:00:00Z");
    $hours = [];
    for ($i = -240; $i < 288; ++$i) {
        $at = $first->modify("{$i} hours");
        $hours[] =
            ['at' => $at->format('Y-m-d\TH:i:s\Z')] +
            ($changes[$at->format('Y-m-d\TH')] ?? []) +
            ($changes['*'] ?? []) +
            MILD;
    }

    return ForecastReader::read(
        ['issued' => "{$day}T06:00:00Z", 'source' => 'test', 'hours' => $hours],
        new DateTimeImmutable("{$day}T09:00:00Z"),
    );
}

function eastern(): Place
{
    return new Place(40.0, -75.0, 200.0, new DateTimeZone('America/New_York'));
}

/** @param array<string, array<string, mixed>> $changes */
function hoursOf(string $row, array $document, array $changes = [], ?Place $place = null, int $days = 3): HourBoard
{
    [$situation, $option] = situated($document, $row);

    return HourBoard::of(
        $situation,
        [$option],
        weather($situation->day->format('Y-m-d'), $changes),
        $place ?? eastern(),
        $days,
    );
}

/** What a condition says of the hour that begins then (UTC); '-' where the work does not ask for it. */
function atHour(HourBoard $board, string $at, Condition $condition): string
{
    foreach ($board->hours as $hour) {
        if ($hour->at->format('Y-m-d\TH') === $at) {
            return ($hour->findings[$condition->value] ?? null)?->outcome->value ?? '-';
        }
    }

    return 'no such hour';
}

/** @return array<string, array{string, array<string, mixed>}> a row and its stand, by what is done */
function works(): array
{
    $leaf = ['rainfastHours' => 4, 'sites' => ['woods'], 'methods' => [['method' => 'foliar-spot', 'max' => '2%']]];
    $shrub = [
        'species' => 'bush-honeysuckle',
        'date' => '2026-08-15',
        'facts' => [['fact' => 'setting', 'value' => 'woods'], ['fact' => 'height', 'value' => '4 ft']],
    ];

    return [
        'leaf' => ['foliar-spot/glyphosate/water', stand($shrub + ['cards' => [waterCard($leaf)]])],
        'silent' => [
            'foliar-spot/glyphosate/water',
            stand($shrub + ['cards' => [waterCard(array_diff_key($leaf, ['rainfastHours' => 1]))]]),
        ],
        'fine' => [
            'foliar-spot/glyphosate/water',
            stand($shrub + ['cards' => [waterCard($leaf)], 'schools' => ['foliar-droplet' => 'fine']]),
        ],
        // in June it flowers, and somebody said that no hives stand near
        'flower' => [
            'foliar-spot/glyphosate/water',
            stand(
                [
                    'date' => '2026-06-05',
                    'facts' => [
                        ...$shrub['facts'],
                        ...[seen('hives-near', false), seen('flowers-around', true), seen('irrigated', true)],
                    ],
                ] +
                    $shrub + ['cards' => [waterCard($leaf)]],
            ),
        ],
        'bark' => ['basal-bark/triclopyr-ester/ester', stand(['cards' => [esterCard(['rainfastHours' => 1])]])],
        'pull' => ['hand-pull', herbs('woods', 'garlic-mustard', '2026-05-01', [seen('height', '1 ft')])],
        'flame' => ['flame', seedbed([])],
        'preventer' => [
            'pre-emergent/pendimethalin/preventer',
            herbs('orchard', 'large-crabgrass', '2026-02-20', [], ['cards' => [preventerCard()]]),
        ],
    ];
}

it('works out moist air and the sun as the cases have them', function (array $case) {
    [$ask, $answer] = [$case['ask'], $case['answer']];
    if (isset($ask['airC'])) {
        expect(Psychrometry::deltaT((float) $ask['airC'], (float) $ask['humidityPct'], (float) $ask['elevationM']))
            ->toEqualWithDelta((float) $answer['deltaTC'], (float) $case['tolerance']['deltaTC'])
            ->and(Psychrometry::dewPoint((float) $ask['airC'], (float) $ask['humidityPct']))
            ->toEqualWithDelta((float) $answer['dewPointC'], (float) $case['tolerance']['dewPointC']);

        return;
    }
    $sun = Sun::on(
        new DateTimeImmutable("{$ask['date']}T00:00:00Z"),
        (float) $ask['latitude'],
        (float) $ask['longitude'],
    );
    foreach (['riseUtc' => $sun->rise, 'setUtc' => $sun->set] as $which => $found) {
        $minutes = static fn(string $clock): int => 60 * (int) substr($clock, 0, 2) + (int) substr($clock, 3);
        $off = abs($minutes((string) $found?->format('H:i')) - $minutes($answer[$which]));
        expect(min($off, 1440 - $off))->toBeLessThanOrEqual((int) $case['tolerance']['minutes']);
    }
})->with(
    static fn(): array => array_column(
        array_map(
            static fn(array $c): array => ['id' => $c['id'], 'case' => [$c]],
            json_decode((string) file_get_contents(__DIR__ . '/hours.json'), true, 16, JSON_THROW_ON_ERROR),
        ),
        'case',
        'id',
    ),
);

it('knows days on which the sun does not rise, and does not set', function () {
    $on = static fn(string $day): Sun => Sun::on(new DateTimeImmutable("{$day}T00:00:00Z"), 70.0, 25.0);
    expect([$on('2026-12-21')->rise, $on('2026-06-21')->set])->toBe([null, null]);
    // noon and midnight of that place
    $up = static fn(string $at): bool => $on(substr($at, 0, 10))->isUp(new DateTimeImmutable($at));
    expect([
        $up('2026-12-21T10:20:00Z'),
        $up('2026-06-21T22:20:00Z'),
        $up('2026-03-20T10:20:00Z'),
        $up('2026-03-20T22:20:00Z'),
    ])->toBe([false, true, true, false]);
});

it('holds each hour against each limit, from both sides', function (
    string $work,
    Condition $condition,
    array $changes,
    string $outcome,
    string $at = '15',
) {
    [$row, $document] = works()[$work];
    $day = $document['date'];
    $dated = [];
    foreach ($changes as $hour => $change) {
        $dated[
            $hour === '*'
                ? '*'
                : (new DateTimeImmutable("{$day}T00:00:00Z"))->modify("+{$hour} hours")->format('Y-m-d\TH')
        ] = $change;
    }
    expect(atHour(hoursOf($row, $document, $dated), "{$day}T{$at}", $condition))->toBe($outcome);
})->with([
    'wind at its limit' => ['leaf', Condition::Wind, ['15' => ['windMs' => 4.5]], 'fits'],
    'wind over it' => ['leaf', Condition::Wind, ['15' => ['windMs' => 4.51]], 'notNow'],
    'wind light enough' => ['leaf', Condition::Wind, ['15' => ['windMs' => 1]], 'fits'],
    'wind near still' => ['leaf', Condition::Wind, ['15' => ['windMs' => 0.99]], 'withCare'],
    'wind not told' => ['leaf', Condition::Wind, ['15' => ['windMs' => null]], 'cannotTell'],
    'wind no matter to bark' => ['bark', Condition::Wind, ['15' => ['windMs' => 9]], '-'],
    'gust at its limit' => ['leaf', Condition::Gust, ['15' => ['gustMs' => 6.7]], 'fits'],
    'gust over it' => ['leaf', Condition::Gust, ['15' => ['gustMs' => 6.71]], 'notNow'],
    'air warm enough' => ['leaf', Condition::Temperature, ['15' => ['airC' => 10]], 'fits'],
    'air too cold' => ['leaf', Condition::Temperature, ['15' => ['airC' => 9.99]], 'notNow'],
    'air cool enough' => ['bark', Condition::Temperature, ['15' => ['airC' => 29.4]], 'fits'],
    'air over 85 F' => ['bark', Condition::Temperature, ['15' => ['airC' => 29.5]], 'notNow'],
    'heat 48 h after' => ['bark', Condition::HeatAfter, ['63' => ['airC' => 29.5]], 'notNow'],
    'heat 49 h after' => ['bark', Condition::HeatAfter, ['64' => ['airC' => 35]], 'fits'],
    'heat told, another hour not' => [
        'bark',
        Condition::HeatAfter,
        ['30' => ['airC' => null], '63' => ['airC' => 29.5]],
        'notNow',
    ],
    'one hour of the two days not told' => ['bark', Condition::HeatAfter, ['30' => ['airC' => null]], 'cannotTell'],
    'heat no matter without vapour' => ['leaf', Condition::HeatAfter, ['40' => ['airC' => 35]], '-'],
    // sunset 19:54, so still clear air counts from 18:24: the hour from 18:00 is touched, that from 17:00 is not
    'inversion' => ['leaf', Condition::Inversion, ['22' => ['windMs' => 1.49, 'cloudPct' => 39]], 'notNow', '22'],
    'inversion, air moves' => [
        'leaf',
        Condition::Inversion,
        ['22' => ['windMs' => 1.5, 'cloudPct' => 0]],
        'fits',
        '22',
    ],
    'inversion, clouded' => ['leaf', Condition::Inversion, ['22' => ['windMs' => 0, 'cloudPct' => 40]], 'fits', '22'],
    'inversion, too early' => ['leaf', Condition::Inversion, ['21' => ['windMs' => 0, 'cloudPct' => 0]], '-', '21'],
    // sunrise 06:13: two hours after is 08:13
    'inversion in the morning' => [
        'leaf',
        Condition::Inversion,
        ['12' => ['windMs' => 0, 'cloudPct' => 0]],
        'notNow',
        '12',
    ],
    'no inversion at nine' => ['leaf', Condition::Inversion, ['13' => ['windMs' => 0, 'cloudPct' => 0]], '-', '13'],
    'drops hang' => ['fine', Condition::Drying, ['15' => ['airC' => 15, 'humidityPct' => 90]], 'notNow'],
    'drops land' => ['fine', Condition::Drying, [], 'fits'],
    'drops nearly dry' => ['fine', Condition::Drying, ['15' => ['airC' => 28, 'humidityPct' => 45]], 'withCare'],
    'drops dry' => ['fine', Condition::Drying, ['15' => ['airC' => 29, 'humidityPct' => 25]], 'notNow'],
    'coarse drops do not mind' => ['leaf', Condition::Drying, ['15' => ['airC' => 29, 'humidityPct' => 25]], '-'],
    'rain within the card and an hour' => ['leaf', Condition::RainAfter, ['20' => ['rainMm' => 0.2]], 'notNow'],
    'rain after that' => ['leaf', Condition::RainAfter, ['21' => ['rainMm' => 5]], 'fits'],
    'hardly any rain' => ['leaf', Condition::RainAfter, ['20' => ['rainMm' => 0.19]], 'fits'],
    'rain likely' => ['leaf', Condition::RainAfter, ['18' => ['rainChancePct' => 50]], 'notNow'],
    'rain less likely' => ['leaf', Condition::RainAfter, ['18' => ['rainChancePct' => 49]], 'fits'],
    'card silent' => ['silent', Condition::RainAfter, [], 'cannotTell'],
    'leaves wet' => ['leaf', Condition::Surface, ['14' => ['rainMm' => 2]], 'notNow'],
    'leaves dry again' => ['leaf', Condition::Surface, ['10' => ['rainMm' => 2]], 'fits'],
    'bark stays wet longer' => ['bark', Condition::Surface, ['10' => ['rainMm' => 2]], 'notNow'],
    'bees fly' => ['flower', Condition::Bees, ['15' => ['airC' => 10]], 'notNow'],
    'too cold for bees' => ['flower', Condition::Bees, ['15' => ['airC' => 9.9]], 'withCare'],
    'too windy for bees' => ['flower', Condition::Bees, ['15' => ['windMs' => 6.8]], 'withCare'],
    'too wet for bees' => ['flower', Condition::Bees, ['15' => ['rainMm' => 0.1]], 'withCare'],
    'no flowers, no bees' => ['leaf', Condition::Bees, [], '-'],
    'watered ground' => ['flower', Condition::Sprinklers, [], 'withCare'],
    'nobody waters a wood' => ['leaf', Condition::Sprinklers, [], '-'],
    'snow' => ['bark', Condition::Snow, ['15' => ['snowCm' => 1]], 'notNow'],
    'no snow' => ['bark', Condition::Snow, [], 'fits'],
    'dark at four' => ['bark', Condition::Daylight, [], 'notNow', '09'],
    'light at seven' => ['bark', Condition::Daylight, [], 'fits', '11'],
    'dry ground to pull from' => ['pull', Condition::Ground, [], 'withCare'],
    'moist ground to pull from' => ['pull', Condition::Ground, ['2' => ['rainMm' => 5]], 'fits'],
    'litter dry' => ['flame', Condition::Fire, [], 'notNow'],
    'litter wet' => ['flame', Condition::Fire, ['14' => ['rainMm' => 4]], 'withCare'],
    'wind on flame' => ['flame', Condition::Fire, ['14' => ['rainMm' => 4], '15' => ['windMs' => 4.1]], 'notNow'],
    'rain on a preventer' => ['preventer', Condition::Ground, ['40' => ['rainMm' => 13]], 'fits'],
    'too much rain on a preventer' => ['preventer', Condition::Ground, ['40' => ['rainMm' => 13.1]], 'notNow'],
    'an hour of rain not told' => ['preventer', Condition::Ground, ['40' => ['rainMm' => null]], 'cannotTell'],
    'frozen ground' => ['preventer', Condition::Ground, ['15' => ['topsoilC' => 0]], 'notNow'],
]);

it('looks where the wind of the hour carries drops', function (?float $from, string $outcome) {
    [$row, $document] = works()['leaf'];
    $field = keeper('organic', 'Field of the neighbour', '390 m', ['bearing' => 90]);
    $board = hoursOf($row, ['keepers' => [$field]] + $document, ['*' => ['windFromDeg' => $from]]);
    expect(atHour($board, '2026-08-15T15', Condition::Drift))->toBe($outcome);
})->with([[270.0, 'notNow'], [230.0, 'notNow'], [200.0, 'fits'], [90.0, 'fits'], [null, 'cannotTell']]);

it('keeps a shut season shut in the best of weather, and tells the best two hours of an open one', function () {
    $heaven = static fn(string $date): HourBoard => hoursOf(
        'basal-bark/triclopyr-ester/ester',
        [
            'species' => 'tree-of-heaven',
            'date' => $date,
            'cards' => [esterCard(['rainfastHours' => 1])],
            'facts' => [seen('setting', 'woods'), seen('grass-at-base', false), seen('silt-on-bark', false)],
        ] + stand(),
        [],
        null,
        2,
    );
    expect($heaven('2026-05-10')->openings())
        ->toBe([])
        ->and(atHour($heaven('2026-05-10'), '2026-05-10T15', Condition::Season))
        ->toBe('notNow');
    $open = $heaven('2026-08-15');
    expect($open->best())
        ->not->toBeNull()
        ->and($open->best()?->until()->getTimestamp())
        ->toBe($open->best()?->from()->modify('+2 hours')->getTimestamp())
        ->and($open->best()?->outcome()->isWorseThan(Outcome::WithCare))
        ->toBeFalse();
});

it('has the seasons and the sun of the south', function (string $date, string $season, array $light) {
    $south = new Place(-38.0, 145.0, 200.0, new DateTimeZone('Australia/Melbourne'));
    $board = hoursOf(
        'basal-bark/triclopyr-ester/ester',
        [
            'species' => 'tree-of-heaven',
            'date' => $date,
            'place' => ['latitude' => '-38', 'elevationMetres' => '200'],
            'cards' => [esterCard(['rainfastHours' => 1])],
            'facts' => [seen('setting', 'woods'), seen('grass-at-base', false), seen('silt-on-bark', false)],
        ] + stand(),
        [],
        $south,
        2,
    );
    expect(atHour($board, "{$date}T10", Condition::Season))->toBe($season);
    foreach ($light as $hour => $outcome) {
        expect(atHour($board, "{$date}T{$hour}", Condition::Daylight))->toBe($outcome);
    }
})->with([
    // November there is our May: suckering trees are shut till the first days of January; sunset 09:09 UTC
    'in November' => ['2026-11-10', 'notNow', ['09' => 'notNow', '18' => 'notNow', '19' => 'fits']],
    // sunset 09:42 UTC, sunrise 18:54
    'on midsummer' => ['2026-12-21', 'notNow', ['09' => 'fits', '10' => 'notNow', '18' => 'notNow', '19' => 'fits']],
    'in February' => ['2027-02-15', 'withCare', ['10' => 'notNow', '20' => 'fits']],
]);

it('gives a day of a clock change the hours that it has', function (string $date, string $day, int $hours) {
    $board = hoursOf('hand-pull', ['date' => $date] + works()['pull'][1], [], null, 4);
    $onDay = array_filter($board->hours, static fn($h): bool => eastern()->dayOf($h->at)->format('Y-m-d') === $day);
    expect(count($onDay))->toBe($hours);
})->with([['2026-10-30', '2026-11-01', 25], ['2026-03-06', '2026-03-08', 23], ['2026-05-01', '2026-05-02', 24]]);

it('never opens an hour by a stricter label', function () {
    mt_srand(19);
    $random = [];
    for ($i = -48; $i < 120; ++$i) {
        $at = (new DateTimeImmutable('2026-08-15T00:00:00Z'))->modify("{$i} hours")->format('Y-m-d\TH');
        $random[$at] = [
            'windMs' => mt_rand(10, 50) / 10,
            'gustMs' => mt_rand(0, 70) / 10,
            'airC' => mt_rand(80, 300) / 10,
            'rainMm' => mt_rand(0, 24) === 0 ? 1 : 0,
            'cloudPct' => mt_rand(0, 100),
        ];
    }
    $open = static function (array $card) use ($random): array {
        [$row, $document] = works()['leaf'];
        $card += [
            'rainfastHours' => 2,
            'sites' => ['woods'],
            'methods' => [['method' => 'foliar-spot', 'max' => '2%']],
        ];
        $document['cards'] = [waterCard($card)];
        $document['facts'] = [
            ...$document['facts'],
            ...[seen('leaf-damage', false), seen('fresh-flush', false), seen('hives-near', false)],
        ];

        // by the sky alone: what the ground says is the same for all
        return array_map(
            static fn($h): string => $h->at->format('c'),
            array_filter(
                hoursOf($row, $document, $random)->hours,
                static fn($h): bool => array_filter(
                    array_diff_key($h->findings, ['season' => 1]),
                    static fn($f): bool => $f->outcome->isWorseThan(Outcome::WithCare),
                ) === [],
            ),
        );
    };
    $wide = $open([]);
    expect($wide)->not->toBe([]);
    foreach (
        [['rainfastHours' => 6], ['windMost' => '3 m/s'], ['hottest' => '20 C'], ['coldest' => '15 C']]
        as $strict
    ) {
        expect(array_diff($open($strict), $wide))->toBe([]);
        expect(count($open($strict)))->toBeLessThan(count($wide));
    }
});

it('does not believe what no weather has, and refuses an answer whose clock is off', function () {
    $now = new DateTimeImmutable('2026-08-15T09:00:00Z');
    $one = ['at' => '2026-08-15T09:00:00Z'] + MILD;
    $read = static fn(array $hour, string $issued = '2026-08-15T09:00:00Z'): Forecast => ForecastReader::read(
        ['issued' => $issued, 'hours' => [$hour]],
        $now,
    );
    $odd = $read(['windMs' => -9999, 'airC' => 'n/a', 'rainMm' => 1e9] + $one);
    expect([$odd->notBelieved, $odd->at($now)?->wind, $odd->at($now)?->humidity])->toBe([3, null, 55.0]);
    expect($read($one, '2026-08-15T09:10:00Z')->at($now)?->air?->float(Unit::Celsius))->toBe(22.0);
    expect(static fn() => $read($one, '2026-08-15T09:10:01Z'))->toThrow(Refused::class);
    expect(static fn() => ForecastReader::read(['issued' => 'x'], $now))->toThrow(Refused::class);
    expect(
        static fn() => ForecastReader::read(['issued' => '2026-08-15T09:00:00Z', 'hours' => [['at' => 'soon']]], $now),
    )->toThrow(Refused::class);
    expect([$odd->isStale($now->modify('+6 hours')), $odd->isStale($now->modify('+361 minutes'))])->toBe([false, true]);
});

it('has a sentence for everything that a rule of hours says, and no other', function () {
    $root = dirname(__DIR__, 2);
    $said = [];
    foreach (glob("{$root}/core/src/Hours/{,Rules/}*.php", GLOB_BRACE) ?: [] as $file) {
        preg_match_all(
            '/[\'"](hour\.[a-z-]+)(\{\$what\})?[\'"]/',
            (string) file_get_contents($file),
            $found,
            PREG_SET_ORDER,
        );
        foreach ($found as $one) {
            $said = [...$said, ...isset($one[2]) ? ["{$one[1]}leaf", "{$one[1]}bark"] : [$one[1]]];
        }
    }
    $written = json_decode((string) file_get_contents("{$root}/lang/en/hours.json"), true, 4, JSON_THROW_ON_ERROR);
    $hours = array_values(
        array_filter(array_keys($written), static fn(string $c): bool => str_starts_with($c, 'hour.')),
    );
    expect(array_values(array_unique($said)))->toEqualCanonicalizing($hours);
});

it('dries leaves before bark, and knows nothing where nothing is told', function () {
    $hours = static fn(array $changes): array => weather('2026-08-15', $changes)->before(
        new DateTimeImmutable('2026-08-16T00:00:00Z'),
        24,
    );
    $dryAt = static function (Surface $surface, array $told): ?string {
        foreach ($told as $hour) {
            if (Wetness::on($surface, $told)->isWetAt($hour->at) === false && $hour->at->format('H') > '06') {
                return $hour->at->format('H');
            }
        }

        return null;
    };
    $rain = $hours(['2026-08-15T06' => ['rainMm' => 3]]);
    // 22 C and 55 %: 11.9 hPa short of saturation, 2.5 m/s: 0.26/24 x (1 + 0.54 x 1.875) x 11.9 = 0.26 mm an hour
    expect([$dryAt(Surface::Leaf, $rain), $dryAt(Surface::SmoothBark, $rain), $dryAt(Surface::RoughBark, $rain)])->toBe(
        ['08', '09', '12'],
    );
    $silent = $hours(['*' => ['rainMm' => null]]);
    expect(Wetness::on(Surface::Leaf, $silent)->isWetAt($silent[20]->at))->toBeNull();
});
