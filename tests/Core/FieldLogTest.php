<?php

declare(strict_types=1);

use Random\Engine\Mt19937;
use Random\Randomizer;
use Thicket\FieldDay\FieldEvent;
use Thicket\FieldDay\FieldEventReader;
use Thicket\FieldDay\FieldLog;
use Thicket\FieldDay\Spell;
use Thicket\FieldDay\WorkTime;
use Thicket\Input\Faults;
use Thicket\Input\Fields;
use Thicket\Input\Refused;
use Thicket\Measure\Unit;

/** @return array<string, mixed> a note as a device sends it; devices count on by themselves */
function noteSent(int $id, string $kind, string $at, array $body, string $device = 'phone', string $by = 'Ada'): array
{
    return [
        'id' => sprintf('01a22634-0000-7000-8000-%012d', $id),
        'kind' => $kind,
        'at' => "2026-09-03T{$at}:00Z",
        'device' => $device,
        'seq' => $id,
        'by' => $by,
    ] + $body;
}

function noteRead(array $sent): FieldEvent
{
    $faults = new Faults();
    $event = FieldEventReader::read(Fields::of($sent, $faults));
    $faults->throwIfAny();

    return $event ?? throw new LogicException('neither read nor refused');
}

/** @param list<array<string, mixed>> $sent */
function dayOf(array $sent): FieldLog
{
    return FieldLog::of(array_map(noteRead(...), $sent));
}

/** Everything that a day tells, to compare days with. */
function toldOf(FieldLog $log): string
{
    $id = static fn(FieldEvent $e): string => $e->id;

    return serialize([
        array_map($id, $log->events),
        array_map($id, $log->undone),
        $log->stems(),
        $log->treatedBy(),
        array_map($id, $log->ticks()),
        $log->spells(),
        $log->mixFilled()?->toWire(),
        array_map($id, $log->clocks()),
        array_map(static fn(array $of): array => array_map($id, $of), $log->said()),
    ]);
}

it('adds up what two people count, and takes back one tap', function () {
    $log = dayOf([
        noteSent(1, 'work', '09:00', ['what' => 'start']),
        noteSent(2, 'count', '09:05', ['group' => '1-2 in', 'n' => 5]),
        noteSent(3, 'count', '09:06', ['group' => '2-4 in', 'n' => 1]),
        noteSent(4, 'undo', '09:07', ['of' => '01a22634-0000-7000-8000-000000000003']),
        noteSent(1, 'work', '09:02', ['what' => 'start'], 'other', 'Bram') + [],
        noteSent(12, 'count', '09:08', ['group' => '1-2 in', 'n' => 7], 'other', 'Bram'),
        noteSent(13, 'skip', '09:09', ['group' => '2-4 in', 'n' => 2, 'why' => 'wren on eggs'], 'other', 'Bram'),
    ]);
    expect($log->stems())
        ->toBe(['1-2 in' => ['treated' => 12, 'left' => 0], '2-4 in' => ['treated' => 0, 'left' => 2]])
        ->and($log->treatedBy())
        ->toBe(['Ada' => 5, 'Bram' => 7])
        ->and([$log->treated(), $log->left(), count($log->undone)])
        ->toBe([12, 2, 1]);
});

it('knows a note by its id, however often it comes', function () {
    $count = noteSent(2, 'count', '09:05', ['group' => 'a', 'n' => 5]);
    expect(dayOf([$count, $count, $count])->treated())->toBe(5);
});

it('tells when each worked, and not when it ended while somebody works on', function () {
    $notes = [
        noteSent(1, 'work', '09:00', ['what' => 'start']),
        noteSent(2, 'work', '10:00', ['what' => 'pause']),
        noteSent(3, 'work', '10:20', ['what' => 'start']),
        noteSent(4, 'work', '10:25', ['what' => 'start']),
        noteSent(5, 'work', '09:30', ['what' => 'start'], 'other', 'Bram'),
        noteSent(6, 'work', '11:30', ['what' => 'stop'], 'other', 'Bram'),
        noteSent(7, 'work', '11:40', ['what' => 'stop'], 'other', 'Bram'),
    ];
    $log = dayOf($notes);
    expect(
        array_map(
            static fn(Spell $s): string => "{$s->by} {$s->from->format('H:i')} " . ($s->to?->format('H:i') ?? '-'),
            $log->spells(),
        ),
    )->toBe(['Ada 09:00 10:00', 'Bram 09:30 11:30', 'Ada 10:20 -']);
    expect([$log->started()?->format('H:i'), $log->stopped()])->toBe(['09:00', null]);
    $log = dayOf([...$notes, noteSent(8, 'work', '11:10', ['what' => 'stop'])]);
    expect($log->stopped()?->format('H:i'))->toBe('11:30');
    expect($log->people())->toBe(['Ada', 'Bram']);
});

it('counts minutes by the clock of each, and the longest for who kept none', function (int $people, ?int $minutes) {
    $log = dayOf([
        noteSent(1, 'work', '09:00', ['what' => 'start']),
        noteSent(2, 'work', '10:00', ['what' => 'pause']),
        noteSent(3, 'work', '10:30', ['what' => 'start']),
        noteSent(4, 'work', '11:00', ['what' => 'stop']),
        noteSent(11, 'work', '09:30', ['what' => 'start'], 'other', 'Bram'),
    ]);
    expect($log->minutesWorked($people))->toBeNull();
    $log = FieldLog::of([
        ...$log->events,
        noteRead(noteSent(12, 'work', '10:10', ['what' => 'stop'], 'other', 'Bram')),
    ]);
    // Ada 60 + 30, Bram 40; somebody worked from 9:00 to 10:10 and from 10:30 to 11:00
    expect($log->minutesWorked($people))->toBe($minutes);
})->with(['both kept one' => [2, 130], 'a third kept none' => [3, 230], 'fewer than kept one' => [1, 130]]);

it('reckons the time of a job by start and stop where nobody kept a clock', function (
    int $people,
    array $told,
    ?int $minutes,
) {
    expect(WorkTime::minutes(FieldLog::of([]), $people, ...$told))->toBe($minutes);
})->with([
    'two for an hour and ten' => [2, ['09:10', '10:20'], 140],
    'nobody' => [0, ['09:10', '10:20'], null],
    'no stop told' => [2, ['09:10', ''], null],
    'no time of day' => [2, ['09:10', '24:00'], null],
]);

it('keeps the order of a device whose clock was put back, and nobody else out of it', function () {
    // its clock runs back by an hour between its two ticks; the last one holds
    $log = dayOf([
        noteSent(1, 'tick', '10:00', ['what' => 'gloves', 'on' => true]),
        noteSent(2, 'tick', '09:00', ['what' => 'gloves', 'on' => false]),
        noteSent(1, 'count', '09:30', ['group' => 'a', 'n' => 1], 'other', 'Bram'),
    ]);
    expect($log->ticks())->toBe([]);
});

it('shows both where two devices say different things, until a person says it over both', function () {
    $say = static fn(int $id, string $value, string $device, array $over = []): array => noteSent(
        $id,
        'say',
        '09:1' . $id,
        [
            'field' => 'equipment',
            'value' => $value,
            'over' => array_map(static fn(int $n): string => sprintf('01a22634-0000-7000-8000-%012d', $n), $over),
        ],
        $device,
    );
    $first = $say(1, 'blue backpack', 'phone');
    $mended = $say(2, 'blue backpack, fan nozzle', 'phone', [1]);
    // made without having seen the second
    $other = $say(3, 'squirt bottle', 'other', [1]);
    expect(dayOf([$first, $mended])->conflicts())->toBe([]);
    $both = dayOf([$first, $mended, $other]);
    expect($both->conflicts())->toBe(['equipment']);
    expect(array_map(static fn(FieldEvent $e): string => $e->text('value'), $both->said()['equipment']))->toBe([
        'blue backpack, fan nozzle',
        'squirt bottle',
    ]);
    $ended = dayOf([$first, $mended, $other, $say(4, 'both', 'phone', [2, 3])]);
    expect([$ended->conflicts(), $ended->said()['equipment'][0]->text('value')])->toBe([[], 'both']);
    // the same from both is none
    expect(dayOf([$first, $say(5, 'blue backpack', 'other')])->conflicts())->toBe([]);
});

it('adds up what was filled in its own unit, exactly', function () {
    $log = dayOf([
        noteSent(1, 'refill', '09:00', ['amount' => '1/2 gal', 'bottle' => 'A']),
        noteSent(2, 'refill', '09:30', ['amount' => ['value' => '1', 'unit' => 'L']]),
    ]);
    expect($log->mixFilled()?->in(Unit::Millilitre)->isEqualTo('2892.705892'))->toBeTrue();
});

it('runs clocks by what they are of', function () {
    $log = dayOf([
        noteSent(1, 'timer', '09:00', ['clock' => 'stump', 'of' => 'batch 1']),
        noteSent(2, 'timer', '09:05', ['clock' => 'stump', 'of' => 'batch 2']),
        noteSent(3, 'timer', '09:10', ['clock' => 'stump', 'of' => 'batch 1', 'on' => false]),
    ]);
    expect(array_map(static fn(FieldEvent $e): string => $e->text('of'), $log->clocks()))->toBe(['batch 2']);
});

it('is the same day from 1,000 notes in any order, each as often as it may come', function (int $seed) {
    $random = new Randomizer(new Mt19937($seed));
    $sent = [];
    $kinds = ['tick', 'count', 'count', 'count', 'skip', 'work', 'refill', 'timer', 'say', 'undo', 'note'];
    for ($i = 1; $i <= 1000; ++$i) {
        $kind = $kinds[$random->getInt(0, count($kinds) - 1)];
        $earlier = sprintf('01a22634-0000-7000-8000-%012d', $random->getInt(1, $i));
        $group = ['a', 'b', 'c'][$random->getInt(0, 2)];
        $device = ['phone', 'other', 'third'][$random->getInt(0, 2)];
        // clocks that lie, too
        $at = sprintf('%02d:%02d', $random->getInt(8, 16), $random->getInt(0, 59));
        $sent[] = noteSent(
            $i,
            $kind,
            $at,
            match ($kind) {
                'tick' => ['what' => $group, 'on' => $random->getInt(0, 1) === 1],
                'count', 'skip' => ['group' => $group, 'n' => $random->getInt(1, 9)],
                'work' => ['what' => FieldEventReader::WORK[$random->getInt(0, 2)]],
                'refill' => ['amount' => $random->getInt(1, 9) . ' L'],
                'timer' => ['clock' => 'stump', 'of' => $group, 'on' => $random->getInt(0, 1) === 1],
                'say' => ['field' => 'remarks', 'value' => $group, 'over' => [$earlier]],
                'undo' => ['of' => $earlier],
                default => ['text' => 'a note'],
            },
            $device,
            ['Ada', 'Bram'][$random->getInt(0, 1)],
        );
    }
    $inOrder = toldOf(dayOf($sent));
    $again = [...$sent, ...$random->shuffleArray($sent), ...array_slice($sent, 200, 500)];
    expect(toldOf(dayOf($random->shuffleArray($again))))->toBe($inOrder);
    // and on the way a part that came says nothing that the whole does not let stand
    expect(dayOf(array_slice($random->shuffleArray($sent), 0, 400))->treated())->toBeGreaterThan(0);
})->with([1, 2, 3]);

it('reads the notes of two devices as the browser does', function () {
    $fixture = json_decode(
        (string) file_get_contents(__DIR__ . '/fixtures/field-day.json'),
        true,
        flags: JSON_THROW_ON_ERROR,
    );
    $log = dayOf($fixture['notes']);
    $id = static fn(FieldEvent $e): string => $e->id;
    $ticks = array_map(static fn(FieldEvent $e): string => "{$e->text('what')}|{$e->by}", array_values($log->ticks()));
    $working = array_filter(array_map(static fn(Spell $s): ?string => $s->to === null ? $s->by : null, $log->spells()));
    sort($ticks);
    sort($working);
    expect([
        'order' => array_map($id, $log->events),
        'stems' => $log->stems(),
        'ticks' => $ticks,
        'working' => $working,
        'clocks' => array_map($id, $log->clocks()),
        'said' => array_map($id, $log->said()['equipment']),
    ])->toBe($fixture['expected']);
});

it('refuses a note that cannot be, and names the field', function (array $change, string $pointer) {
    try {
        noteRead($change + noteSent(1, 'count', '09:00', ['group' => 'a', 'n' => 1]));
        $this->fail('it was taken');
    } catch (Refused $refused) {
        expect(array_column($refused->faults, 'pointer'))->toContain($pointer);
    }
})->with([
    'no such kind' => [['kind' => 'guess'], '/kind'],
    'none counted' => [['n' => 0], '/n'],
    'too many for one tap' => [['n' => 1001], '/n'],
    'half a number' => [['n' => 1.5], '/n'],
    'what another kind says' => [['text' => 'hello'], '/text'],
    'no id' => [['id' => 'one'], '/id'],
    'a day without an hour' => [['at' => '2026-09-03'], '/at'],
    'a clock that was never set' => [['at' => '1970-01-01T00:00:05Z'], '/at'],
    'a year that no calendar holds' => [['at' => '0000-01-01T00:00:00+14:00'], '/at'],
    'a clock of another age' => [['at' => '2101-01-01T00:00:00Z'], '/at'],
    'nothing of the weather' => [['kind' => 'reading', 'group' => null, 'n' => null], '/wind'],
    'weight of mix' => [['kind' => 'refill', 'amount' => '3 kg'], '/amount'],
    'no place on earth' => [['kind' => 'mark', 'state' => 'missed', 'position' => [200, 44.1]], '/position'],
    'a track without times' => [['kind' => 'track', 'points' => [[-72.1, 44.1]]], '/points/0'],
]);
