<?php

declare(strict_types=1);

use Thicket\Calendar\Day;
use Thicket\Practice\Gate;
use Thicket\Practice\Gates;
use Thicket\Safety\Duties;
use Thicket\Safety\Duty;
use Thicket\Safety\DutyKind;
use Thicket\Safety\Settled;

/* What has to be settled with others before a job, both sides of each reason. */

/** @return list<string> kinds that a row asks for, with what they are about */
function duties(array $document, string $row): array
{
    [$situation, $option] = situated($document, $row);

    return array_map(
        static fn(Duty $one): string => trim("{$one->kind->value} {$one->keeper}"),
        Duties::of($situation, [$option, ...$option->partners]),
    );
}

it('asks for papers and notices by what the job does, and where', function (array $document, string $row, array $due) {
    // the owner is asked of every job
    expect(duties($document, $row))->toBe(['owner', ...$due]);
})->with(function () {
    $water = static fn(string $distance, array $card = [], array $facts = []): array => stand([
        'facts' => $facts,
        'keepers' => [keeper('stream', 'brook', $distance)],
        'cards' => [waterCard($card + ['aquaticAllowed' => true])],
    ]);
    $spray = static fn(array $keeper, array $facts = []): array => stand([
        ...leafSpray($keeper),
        'facts' => [seen('height', '4 ft'), ...$facts],
    ]);
    $flame = static fn(array $facts = []): array => herbs('bed-lawn-paving', 'common-chickweed', '2026-04-10', $facts);
    $stump = 'cut-stump/glyphosate/water';
    $leaf = 'foliar-spot/glyphosate';

    return [
        'work by hand' => [stand(), 'girdle', []],
        'water inside the buffer of a card for water' => [$water('9.9 m'), $stump, ['water-permit']],
        'outside it, and 10 m off' => [$water('10 m'), $stump, []],
        'a wider buffer' => [$water('15 m', ['waterBuffer' => '20 m']), $stump, ['water-permit']],
        'ground that floods' => [$water('300 m', [], [seen('floods', true)]), $stump, ['water-permit']],
        'a card that is not for water: the board shuts it' => [$water('5 m', ['aquaticAllowed' => false]), $stump, []],
        'flame' => [$flame(), 'flame', ['fire-permit']],
        'flame by a path' => [$flame([seen('public-way', true)]), 'flame', ['fire-permit', 'path-users']],
        'product at the roadside' => [
            woody('roadside-trail', 'red-maple', '2026-08-15', [['diameter' => '4 in', 'count' => 3]]),
            'cut-stump/glyphosate',
            ['road-permit'],
        ],
        'a saw at the roadside' => [
            woody('roadside-trail', 'red-maple', '2026-08-15', [['diameter' => '4 in', 'count' => 3]]),
            'girdle',
            [],
        ],
        'something protected near' => [
            stand(['keepers' => [keeper('habitat', 'turtle bank', '300 m')]]),
            'girdle',
            ['protected-life turtle bank'],
        ],
        'a label that asks for the check' => [
            stand(['cards' => [waterCard(['protectedLifeCheck' => true])]]),
            $stump,
            ['protected-life'],
        ],
        'hives at 800 m' => [$spray(keeper('hive', 'hives', '800 m')), $leaf, ['bee-keeper hives']],
        'hives farther' => [$spray(keeper('hive', 'hives', '801 m')), $leaf, []],
        'hives, and nobody drew them' => [
            $spray(keeper('tree', 'oak', '300 m'), [seen('hives-near', true)]),
            $leaf,
            ['bee-keeper'],
        ],
        'an organic field at 400 m' => [$spray(keeper('organic', 'beans', '400 m')), $leaf, ['grower beans']],
        'a crop farther' => [$spray(keeper('crop', 'beans', '401 m')), $leaf, []],
        'the crop among which it is worked' => [$spray(keeper('crop', 'apple rows', '0.5 m')), $leaf, []],
        'a house at 30 m' => [$spray(keeper('building', 'cottage', '30 m')), $leaf, ['neighbour cottage']],
        'a house farther' => [$spray(keeper('building', 'cottage', '31 m')), $leaf, []],
        'stumps beside hives' => [stand(['keepers' => [keeper('hive', 'hives', '20 m')]]), 'cut-stump/glyphosate', []],
        'a school' => [$spray(keeper('tree', 'oak', '300 m'), [seen('school-ground', true)]), $leaf, ['school']],
    ];
});

it('goes by what holds that day, then by what is under way, then by what has run out', function (
    array $recorded,
    array $shut,
) {
    $duties = [new Duty(DutyKind::WaterPermit), new Duty(DutyKind::Grower, 'beans')];
    $gates = Gates::ofDuties(
        $duties,
        array_map(static fn(array $one): Settled => new Settled(...$one), $recorded),
        Day::parse('2026-09-03'),
    );
    expect(array_map(static fn(Gate $g): string => $g->kind->value, $gates))->toBe($shut);
})->with(function () {
    $beans = [DutyKind::Grower, Settled::DONE, 'beans'];
    $held = static fn(?string $until, string $state = Settled::DONE): array => [
        DutyKind::WaterPermit,
        $state,
        null,
        $until === null ? null : Day::parse($until),
    ];

    return [
        'nothing' => [[], ['permit', 'notice']],
        'both' => [[$held(null), $beans], []],
        'till today' => [[$held('2026-09-03'), $beans], []],
        'till yesterday' => [[$held('2026-09-02'), $beans], ['permit-over']],
        'run out and asked for again' => [[$held(null, Settled::UNDER_WAY), $held('2026-09-02'), $beans], ['permit']],
        'a newer one that has run out beside one that holds' => [[$held('2026-09-02'), $held(null), $beans], []],
        'none needed' => [[$held(null, Settled::NOT_NEEDED), $beans], []],
        'somebody else was told' => [[$held(null), [DutyKind::Grower, Settled::DONE, 'maize']], ['notice']],
        'all growers were told' => [[$held(null), [DutyKind::Grower, Settled::DONE]], []],
        'still to be told' => [[$held(null), [DutyKind::Grower, Settled::UNDER_WAY, 'beans']], ['notice']],
    ];
});
