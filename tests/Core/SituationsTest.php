<?php

declare(strict_types=1);

use Thicket\Verdict\Outcome;

/*
 * Situations worked by hand over every setting: what the board must say of some rows (outcome and reason code) and what
 * it must never say. Typical product rows are 'method/active'; with a card 'method/active/card'. A '!' before an
 * outcome means: anything but that.
 */

$three = [['diameter' => '3 in', 'count' => 12]];
$keep = static fn(string $kind, string $name, string $distance = '0 m', array $more = []): array => [
    'kind' => $kind,
    'name' => $name,
    'distance' => $distance,
] + $more;

it('says of a situation what must be said, and never what must not', function (
    array $document,
    array $must,
    array $never = [],
) {
    expectRows($document, $must, $never);
})->with(fn(): array => situations('settings'));

it('covers every setting, and asks every school for its other choices', function () {
    $settings = $asked = [];
    foreach (situations('settings') as [$document]) {
        foreach ($document['facts'] ?? [] as $fact) {
            $fact['fact'] === 'setting' && ($settings[$fact['value']] = true);
        }
        foreach (board($document)->rows as $row) {
            foreach ($row->findings as $finding) {
                $finding->school === null || ($asked[$finding->school] = true);
            }
        }
    }
    expect(array_diff(catalogue()->sites(), array_keys($settings)))->toBe([]);
    // the stance is the owner's word, not a way of working; OwnersStance is tested by itself
    $all = array_map(static fn($s): string => $s->id(), catalogue()->allSchools());
    expect(array_values(array_diff($all, array_keys($asked), ['herbicide-stance'])))->toBe([]);
});

/*
 * A stricter label is the same label with a limit moved inward. No row may get better by it, and none may appear.
 */
it('never widens under a stricter label', function (array $stricter) use ($three) {
    $card = esterCard([
        'sites' => ['woods', 'pasture'],
        'windMost' => '4 m/s',
        'hottest' => '30 C',
        'grazingDays' => 7,
        'reentryHours' => 12,
    ]);
    $stand = static fn(array $card): array => woody(
        'woods',
        'norway-maple',
        '2026-08-20',
        $three,
        [
            seen('wind-speed', '3 m/s'),
            seen('air-temperature', '24 C'),
            seen('water-distance', '12 m'),
            seen('grazed-from', '2026-08-30'),
        ],
        ['cards' => [$card], 'someoneLicensed' => false],
    );
    $rank = static function (array $document): array {
        $out = [];
        foreach (board($document)->rows as $row) {
            $out[$row->option->id()] = $row->outcome->rank();
        }

        return $out;
    };
    $before = $rank($stand($card));
    foreach ($rank($stand(array_replace($card, $stricter))) as $id => $outcome) {
        expect($before)->toHaveKey($id)->and($outcome)->toBeLessThanOrEqual($before[$id], $id);
    }
})->with([
    'a site less' => [['sites' => ['pasture']]],
    'a use less' => [['methods' => [['method' => 'basal-bark', 'max' => '30%']]]],
    'a wider buffer' => [['waterBuffer' => '20 m']],
    'less wind' => [['windMost' => '2 m/s']],
    'less heat' => [['hottest' => '20 C']],
    'licensed people only' => [['licensedOnly' => true]],
    'longer to grazing' => [['grazingDays' => 30]],
    'not confirmed' => [['confirmed' => false]],
    'soil-active by its word' => [['soilActive' => true]],
]);

it(
    'never gains a way by losing a tool or a person, and keeps its order whatever kept things are called',
    function () use ($three, $keep) {
        $all = [
            'tools' => [
                'lever-puller',
                'saw-or-loppers',
                'saw',
                'hatchet',
                'drill',
                'mower',
                'tractor',
                'chain',
                'brush-cutter',
                'wick',
            ],
            'clearances' => ['saw', 'axe', 'mower', 'tractor', 'flame'],
        ];
        $of = static fn(array $more): array => woody(
            'woods',
            'norway-maple',
            '2026-09-10',
            $three,
            [seen('slope', 'level')],
            $more,
        );
        $open = static fn(array $document): array => array_map(
            static fn($r): string => $r->option->id(),
            array_filter(
                board($document)->rows,
                static fn($r): bool => !in_array($r->outcome, [Outcome::DoesNotSuit, Outcome::NotAllowed], true),
            ),
        );
        $with = $open($of($all));
        foreach ($all['tools'] as $tool) {
            expect(
                array_diff($open($of(['tools' => array_values(array_diff($all['tools'], [$tool]))] + $all)), $with),
            )->toBe([]);
        }
        foreach ($all['clearances'] as $clearance) {
            expect(
                array_diff(
                    $open($of(['clearances' => array_values(array_diff($all['clearances'], [$clearance]))] + $all)),
                    $with,
                ),
            )->toBe([]);
        }
        $named = static fn(string $a, string $b): array => array_map(
            static fn($r): string => $r->option->id(),
            board(
                $of([
                    'keepers' => [
                        $keep('tree', $a, '9 m', ['crownRadius' => '3 m', 'height' => '8 m']),
                        $keep('forbs', $b, '2 m'),
                    ],
                ]),
            )->rows,
        );
        expect($named('zelkova', 'asters'))->toBe($named('ash', 'violets'));
    },
);
