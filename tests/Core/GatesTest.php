<?php

declare(strict_types=1);

use Thicket\Calendar\Day;
use Thicket\Label\LabelLimit;
use Thicket\Mix\PastLoad;
use Thicket\Mix\PriorApplications;
use Thicket\Mix\Residue;
use Thicket\Mix\TankTerms;
use Thicket\Practice\Gate;
use Thicket\Practice\GateKind;
use Thicket\Practice\Gates;
use Thicket\Survey\Outline;
use Thicket\Verdict\Finding;

/* Gates of a job sheet, and what earlier work put on its ground. */

it('shuts a gate once for each kind of refusal, by its first finding', function () {
    $gates = Gates::ofFindings([
        Finding::notNow('season.closed', 'handbook-4'),
        Finding::withCare('wind.mind', 'handbook-5'),
        Finding::unknown('keeper-tolerance', 'rulings-J46', true, ['keeper' => 'old oak']),
        Finding::unknown('soil', 'handbook-5', true),
    ]);
    expect(
        array_map(static fn(Gate $g): array => [$g->kind, $g->values['missing'], $g->values['keeper']], $gates),
    )->toBe([[GateKind::NotNow, '', ''], [GateKind::CannotTell, 'keeper-tolerance', 'old oak']]);
});

it('lets a lead pass what bears on effect alone', function () {
    $passable = array_filter(GateKind::cases(), static fn(GateKind $kind): bool => $kind->isPassable());
    expect(array_column(array_values($passable), 'value'))->toBe([
        'not-now',
        'does-not-suit',
        'calibration',
        'cleaning-due',
        'estimated-tally',
    ]);
});

it('knows what a sprayer gives till the day its next calibration is due', function (?string $due, bool $shut) {
    $gate = Gates::ofCalibration($due === null ? null : Day::parse($due), Day::parse('2026-09-03'));
    expect($gate !== null)->toBe($shut);
})->with([
    'due today' => ['2026-09-03', false],
    'due yesterday' => ['2026-09-02', true],
    'never calibrated' => [null, true],
]);

it('has a sprayer washed before anything else goes in', function (array $now, string $day, ?GateKind $shut) {
    $held = new Residue(['ester', 'amine'], 'oil', 'ester and amine', Day::parse('2026-09-02'));
    expect(Gates::ofCleaning('Blue tank', $held, $now[0], $now[1], Day::parse($day))?->kind)->toBe($shut);
})->with([
    'the same again that day' => [[['amine', 'ester'], 'oil'], '2026-09-02', null],
    'the same on the next' => [[['amine', 'ester'], 'oil'], '2026-09-03', GateKind::CleaningDue],
    'another carrier' => [[['amine', 'ester'], 'water'], '2026-09-02', GateKind::Cleaning],
    'one product less' => [[['ester'], 'oil'], '2026-09-02', GateKind::Cleaning],
    'one more' => [[['ester', 'amine', 'dye'], 'oil'], '2026-09-02', GateKind::Cleaning],
]);

it('goes on with a sprayer that holds nothing', function () {
    expect(Gates::ofCleaning('Blue tank', null, ['ester'], 'oil', Day::parse('2026-09-02')))->toBeNull();
});

it('asks for a licence where a card of the tank does', function () {
    $card = static fn(bool $licensed) => Thicket\Label\LabelCard::read(
        Thicket\Input\Fields::of(esterCard(['licensedOnly' => $licensed]), new Thicket\Input\Faults()),
        catalogue(),
    );
    expect(Gates::ofLicence(new TankTerms([$card(false), $card(true)]), false)?->kind)
        ->toBe(GateKind::Licence)
        ->and(Gates::ofLicence(new TankTerms([$card(false), $card(true)]), true))
        ->toBeNull()
        ->and(Gates::ofLicence(new TankTerms([$card(false)]), false))
        ->toBeNull();
});

// a square of 0.001 degrees at 50 N, and such squares beside it, half over it and on it
$square = static fn(float $east): Outline => Outline::fromGeoJson(
    [
        'type' => 'Polygon',
        'coordinates' => [
            [[10 + $east, 50], [10.001 + $east, 50], [10.001 + $east, 50.001], [10 + $east, 50.001], [10 + $east, 50]],
        ],
    ],
    '',
);

it('adds what was put on the very patch to the heaviest spot of what reaches it from beside', function () use (
    $square,
) {
    $past = static fn(string $day, ?string $load, ?float $east, string $patch = 'a'): PastLoad => new PastLoad(
        $patch,
        Day::parse($day),
        $load === null ? null : quantity($load),
        $east === null,
        $east === null ? null : $square($east),
    );
    $of = static fn(PastLoad ...$all): PriorApplications => PriorApplications::of(
        $square(0),
        array_values($all),
        Day::parse('2026-09-03'),
        false,
    );
    $told = static fn(PriorApplications $p): array => [
        array_map(
            static fn($q): string => (string) $q->amount . ' ' . $q->unit->value,
            $p->loads(LabelLimit::CALENDAR_YEAR),
        ),
        $p->times(LabelLimit::CALENDAR_YEAR),
    ];
    $own = $past('2026-04-01', '1 lb ae/ac', null);
    // two halves that do not meet: the heavier counts, not both
    expect(
        $told(
            $of($own, $past('2026-05-01', '2 lb ae/ac', 0.0006, 'b'), $past('2026-05-02', '1 lb ae/ac', -0.0006, 'c')),
        ),
    )
        ->toBe([['3 lb_ae/ac'], 3])
        // the very next patch does not reach it, and last year is over
        ->and($told($of($own, $past('2026-05-01', '2 lb ae/ac', 0.001, 'b'), $past('2025-12-31', '2 lb ae/ac', null))))
        ->toBe([['1 lb_ae/ac'], 1])
        // twice on one day is one time
        ->and($told($of($own, $own)))
        ->toBe([['2 lb_ae/ac'], 1])
        // nobody knows how much: told apart, so that no sum is told of it
        ->and($told($of($own, $past('2026-05-01', null, null)))[0])
        ->toHaveCount(2)
        ->and($told($of()))
        ->toBe([[], 0]);
    // a patch that nobody drew shares nothing with others
    expect($past('2026-05-01', '2 lb ae/ac', 0.0006)->reaches(null))->toBeFalse()->and($own->reaches(null))->toBeTrue();
});
