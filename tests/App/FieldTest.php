<?php

declare(strict_types=1);

use App\Models\Amendment;
use App\Models\Crew;
use App\Models\FieldNote;
use App\Models\Record;
use App\Seal\Verifier;
use Illuminate\Database\QueryException;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** @return array<string, mixed> */
function fieldNote(int $id, string $kind, array $body, string $device = 'phone', string $at = '09:00'): array
{
    return [
        'id' => sprintf('01a22634-0000-7000-8000-%012d', $id),
        'kind' => $kind,
        'at' => "2026-09-03T{$at}:00-05:00",
        'device' => $device,
        'seq' => $id,
        'by' => $device === 'phone' ? 'Ada Thornbury' : 'Bram Quillfeather',
    ] + $body;
}

/** @return array<string, mixed> */
function signed(array $more = []): array
{
    return $more + [
        'workedOn' => '2026-09-03',
        'start' => '09:00',
        'stop' => '11:00',
        'people' => ['Ada Thornbury'],
        'treated' => 12,
        'mixUsed' => '1 qt',
        'weather' => 'dry',
        'wind' => '3 mph',
        'temperature' => '68 F',
    ];
}

it('carries all that a phone without signal needs', function () {
    $this->as();
    [, $sheet] = issuedTrees($this);
    $snapshot = $this->api('GET', "/sheets/{$sheet}")
        ->assertOk()
        ->json('snapshot');
    $codes = array_column($snapshot['field']['briefing'], 'each', 'code');
    // everybody for themselves, once for the day (rulings J38)
    expect($codes)->toMatchArray(['brief.card-read' => true, 'wear.chemical-gloves' => true, 'kit.eyewash' => false]);
    expect($snapshot['field']['groups'])->toBe([
        ['key' => '3in', 'name' => ['us' => '3 in', 'metric' => '7.62 cm (3 in)'], 'count' => 12],
    ]);
    $clocks = array_column($snapshot['field']['clocks'], 'alarms', 'code');
    // the demo card: out for 12 h; basal bark has no clock from cut to treated
    expect($clocks)
        ->toHaveKeys(['check-in', 'reentry'])
        ->not->toHaveKey('stump');
    foreach ($snapshot['startOnlyIf'] as $limit) {
        expect($limit['typed'])->toHaveKeys(['us', 'metric']);
    }
});

it('takes each note once, whatever else comes with it, and tells what two phones made of the day', function () {
    $this->as();
    [, $sheet] = issuedTrees($this);
    $send = fn(array $notes, int $after = 0) => $this->api('POST', "/sheets/{$sheet}/notes", [
        'notes' => $notes,
        'after' => $after,
    ]);
    $start = fieldNote(1, 'work', ['what' => 'start']);
    $count = fieldNote(2, 'count', ['group' => '3in', 'n' => 5], at: '09:20');
    $bad = ['n' => 0] + fieldNote(3, 'count', ['group' => '3in', 'n' => 5]);
    $one = $send([$start, $count, $bad, $count])
        ->assertOk()
        ->json();
    expect([$one['taken'], $one['known'], $one['day']['treated']])->toBe([2, 1, 5]);
    expect($one['refused'])->toBe([
        [
            'id' => $bad['id'],
            'pointer' => '/notes/2/n',
            'message' => $one['refused'][0]['message'],
        ],
    ]);
    // the answer was lost; all is sent again, and the id of one for another note is refused
    $again = $send([$start, $count, ['n' => 6] + $count])
        ->assertOk()
        ->json();
    expect([$again['taken'], $again['known'], $again['refused'][0]['pointer'], $again['day']['treated']])->toBe([
        0,
        2,
        '/notes/2/id',
        5,
    ]);

    $this->as('bram');
    $wind = fieldNote(12, 'reading', ['wind' => '12 mph', 'air' => '70 F'], 'other', '09:30');
    $both = $send(
        [fieldNote(11, 'count', ['group' => '3in', 'n' => 7], 'other', '09:25'), $wind],
        $one['last'],
    )->json();
    expect($both['day']['treated'])->toBe(12);
    // only what this phone has not seen
    expect(array_column(array_column($both['notes'], 'note'), 'id'))->toBe([
        sprintf('01a22634-0000-7000-8000-%012d', 11),
        $wind['id'],
    ]);
    $this->api('GET', "/sheets/{$sheet}/notes?after={$both['last']}")
        ->assertOk()
        ->assertJsonPath('notes', []);
    $send([])->assertStatus(422)->assertJsonPath('errors.0.pointer', '/notes');
    // where none can be taken the whole is refused
    $send([$bad])
        ->assertStatus(422)
        ->assertJsonPath('errors.0.pointer', '/notes/0/n');
    $this->as('cleo');
    $send([fieldNote(21, 'note', ['text' => 'x'], 'third')])->assertStatus(403);
});

it('signs with the notes of the day, and sees when one of them is changed', function () {
    $this->as();
    [$stand, $sheet] = issuedTrees($this);
    $send = fn(array $notes) => $this->api('POST', "/sheets/{$sheet}/notes", ['notes' => $notes])->assertOk();
    $send([
        fieldNote(1, 'work', ['what' => 'start']),
        fieldNote(2, 'count', ['group' => '3in', 'n' => 12]),
        fieldNote(3, 'reading', ['air' => '104 F'], at: '10:00'),
        fieldNote(4, 'work', ['what' => 'stop'], at: '11:00'),
    ]);
    $record = $this->api('POST', "/sheets/{$sheet}/records", signed())
        ->assertCreated()
        ->json();
    expect([$record['body']['field']['treated'], $record['body']['field']['stopped']])->toBe([
        12,
        '2026-09-03T11:00:00-05:00',
    ]);
    // hotter than the volatile form may be sprayed at, on the way and not at the end
    expect($record['body']['outsideLimits'])->not->toBe([]);
    // what comes after is kept beside it
    $late = $send([fieldNote(9, 'note', ['text' => 'gate left open'], 'other')])->json();
    expect([$late['signed'], $late['late'], $late['day']['notes']])->toBe([true, 1, ['gate left open']]);

    $state = fn(): string => app(Verifier::class)->record(Record::query()->with('seal')->findOrFail($record['id']));
    expect($state())->toBe('whole');
    // the late one put in among those that were signed, and taken out again
    $slipped = FieldNote::query()->findOrFail(fieldNote(9, 'note', [])['id']);
    $slipped->forceFill(['record_id' => $record['id']])->save();
    expect($state())->toBe('broken');
    expect(fn() => $slipped->forceFill(['record_id' => null])->save())->toThrow(QueryException::class);
});

it('puts right what was signed by adding to it, seals that, and gives all as a table', function () {
    $this->as();
    [, $sheet] = issuedTrees($this);
    $record = $this->api(
        'POST',
        "/sheets/{$sheet}/records",
        signed([
            'remarks' => '=HYPERLINK("x")',
            'nozzle' => 'flat fan 03',
            'pressure' => '30 psi',
            'droplets' => 'coarse',
        ]),
    )
        ->assertCreated()
        ->json();
    $amend = fn(array $change = []) => $this->api(
        'POST',
        "/records/{$record['id']}/amendments",
        $change + ['field' => 'treated', 'text' => '11', 'why' => 'one was counted twice'],
    );
    $after = $amend()->assertCreated()->json();
    expect([$after['body'], $after['seal']['state'], $after['amendments'][0]['by']])->toBe([
        $record['body'],
        'whole',
        'Ada Thornbury',
    ]);
    expect(app(Verifier::class)->crew(Crew::query()->firstOrFail())->faults)->toBe([]);
    foreach (['field' => 'hash', 'text' => '', 'why' => ''] as $field => $bad) {
        $amend([$field => $bad])
            ->assertStatus(422)
            ->assertJsonPath('errors.0.pointer', "/{$field}");
    }
    expect(fn() => Amendment::query()->update(['text' => '12']))->toThrow(QueryException::class);

    $file = $this->api('GET', '/records.csv?year=2026')->assertOk()->getContent();
    $stream = fopen('php://memory', 'r+') ?: throw new RuntimeException('no memory');
    fwrite($stream, (string) $file);
    rewind($stream);
    for ($rows = []; is_array($row = fgetcsv($stream, escape: '')); $rows[] = $row);
    $mine = collect($rows)
        ->skip(1)
        ->map(static fn(array $row): array => array_combine($rows[0], $row))
        ->firstWhere('record', (string) $record['seq']);
    expect(
        array_intersect_key(
            $mine,
            array_flip(['day', 'treated', 'mix used', 'mix unit', 'put right', 'restricted use']),
        ),
    )->toBe([
        'day' => '2026-09-03',
        'restricted use' => $mine['restricted use'],
        'mix used' => '1',
        'mix unit' => 'qt_us',
        'treated' => '12',
        'put right' => 'treated: 11 (one was counted twice)',
    ]);
    expect([$mine['nozzle'], $mine['pressure'], $mine['pressure unit'], $mine['droplets']])->toBe([
        'flat fan 03',
        '30',
        'psi',
        'coarse',
    ]);
    // no program takes a remark for a formula
    expect($mine['remarks'])->not->toStartWith('=');
    $all = $this->api('GET', '/records?year=2026')->assertOk()->json('records');
    expect(array_column($all, 'id'))->toContain($record['id']);
    expect($this->api('GET', '/records?year=2001')->json('records'))->toBe([]);
    $this->as('cleo');
    $amend()->assertStatus(403);
});

it('shows on Today who is at work, and from midnight on what nobody signed', function () {
    $this->as();
    [, $sheet] = issuedTrees($this);
    $this->api('POST', "/sheets/{$sheet}/notes", [
        'notes' => [
            fieldNote(1, 'work', ['what' => 'start']),
            fieldNote(2, 'timer', ['clock' => 'check-in'], at: '09:05'),
        ],
    ])->assertOk();
    $day = fn(): ?array => collect($this->api('GET', '/today')->json('field'))->firstWhere('sheetId', $sheet);
    expect([$day()['working'], $day()['late'], $day()['clocks'][0]['startedAt']])->toBe([
        ['Ada Thornbury'],
        false,
        '2026-09-03T14:05:00+00:00',
    ]);
    app(App\Support\JobClock::class)->freezeAt('2026-09-03T23:59:00-05:00');
    expect($day()['late'])->toBeFalse();
    app(App\Support\JobClock::class)->freezeAt('2026-09-04T00:00:00-05:00');
    expect([$day()['late'], $day()['day']])->toBe([true, '2026-09-03']);
    $this->api('POST', "/sheets/{$sheet}/records", signed())->assertCreated();
    expect($day())->toBeNull();
});

it('lets a note that is kept be neither changed nor deleted', function () {
    $this->as();
    [, $sheet] = issuedTrees($this);
    $this->api('POST', "/sheets/{$sheet}/notes", ['notes' => [fieldNote(1, 'count', ['group' => '3in', 'n' => 3])]]);
    $note = FieldNote::query()->where('sheet_id', $sheet)->firstOrFail();
    expect(fn() => $note->forceFill(['body' => ['group' => '3in', 'n' => 4]])->save())
        ->toThrow(QueryException::class)
        ->and(fn() => $note->delete())
        ->toThrow(QueryException::class);
});

it('holds the tracks of the day against the patch, and tells ground that nobody enters', function () {
    $this->as();
    [, $sheet] = issuedTrees($this);
    // the patch is 0.001 by 0.0005 degrees, 80.1 by 55.6 m: straight through its middle
    $points = [];
    for ($i = 0; $i <= 10; ++$i) {
        $points[] = [-71.2001 + 0.00012 * $i, 44.10025, 1_788_400_000 + 5 * $i, 1.5];
    }
    $this->api('POST', "/sheets/{$sheet}/notes", [
        'notes' => [fieldNote(1, 'track', ['points' => $points])],
    ])->assertOk();
    $told = $this->api('GET', "/sheets/{$sheet}/coverage?width=5 m")
        ->assertOk()
        ->json();
    expect((float) $told['covered']['value'])
        ->toEqualWithDelta(5 * 80.1, 1)
        ->and((float) $told['covered']['value'] + (float) $told['missed']['value'])
        ->toEqualWithDelta(80.1 * 55.56, 5)
        ->and((float) $told['sure']['value'])
        ->toEqualWithDelta(2 * 80.1, 1)
        ->and(count($told['lines']))
        ->toBe(12);
    foreach (['width=1 cm', 'width=51 m', 'width=two', ''] as $bad) {
        $this->api('GET', "/sheets/{$sheet}/coverage?{$bad}")
            ->assertStatus(422)
            ->assertJsonPath('errors.0.pointer', '/width');
    }
});

it('takes what was done by a sheet that was withdrawn meanwhile', function () {
    $this->as();
    [, $sheet] = issuedTrees($this);
    $this->api('POST', "/sheets/{$sheet}/withdraw", ['reason' => 'the card changed'])->assertOk();
    $this->api('POST', "/sheets/{$sheet}/notes", ['notes' => [fieldNote(1, 'count', ['group' => '3in', 'n' => 3])]])
        ->assertOk()
        ->assertJsonPath('withdrawn', true)
        ->assertJsonPath('day.treated', 3);
});

it('ends the same from 1,000 notes sent out of order and twice', function () {
    $this->as();
    [, $sheet] = issuedTrees($this);
    $random = new Randomizer(new Mt19937(7));
    $notes = [];
    for ($i = 1; $i <= 1000; ++$i) {
        $device = ['phone', 'other'][$i % 2];
        $notes[] = match ($i % 5) {
            0 => fieldNote(
                $i,
                'undo',
                ['of' => sprintf('01a22634-0000-7000-8000-%012d', $random->getInt(1, 999))],
                $device,
            ),
            1 => fieldNote($i, 'refill', ['amount' => '250 mL'], $device),
            2 => fieldNote($i, 'say', ['field' => 'remarks', 'value' => "v{$i}", 'over' => []], $device),
            default => fieldNote($i, 'count', ['group' => '3in', 'n' => $random->getInt(1, 9)], $device),
        };
    }
    $day = function (string $sheet, array $list): array {
        $told = [];
        foreach (array_chunk($list, 200) as $some) {
            $told = $this->api('POST', "/sheets/{$sheet}/notes", ['notes' => $some, 'after' => 999_999_999])
                ->assertOk()
                ->json();
        }

        return $told['day'];
    };
    $inOrder = $day($sheet, $notes);
    expect($inOrder['treated'])->toBeGreaterThan(1000);
    // a note is of one sheet: the same notes of another have ids of their own
    [, $other] = issuedTrees($this);
    $theirs = json_decode(
        str_replace('-7000-', '-7001-', json_encode($notes, JSON_THROW_ON_ERROR)),
        true,
        flags: JSON_THROW_ON_ERROR,
    );
    $same = $day($other, $random->shuffleArray([...$theirs, ...array_slice($theirs, 0, 400)]));
    expect(json_encode($same, JSON_THROW_ON_ERROR))->toBe(
        str_replace('-7000-', '-7001-', json_encode($inOrder, JSON_THROW_ON_ERROR)),
    );
});

it('takes the way that another device recorded, the same file once, and holds it against the patch', function () {
    $this->as();
    [, $sheet] = issuedTrees($this);
    $way = static fn(float $south): string => '<gpx version="1.1" xmlns="http://www.topografix.com/GPX/1/1"><trk>' .
        "<trkseg><trkpt lat=\"{$south}\" lon=\"-71.19990\"/><trkpt lat=\"{$south}\" lon=\"-71.19970\"/>" .
        "<trkpt lat=\"{$south}\" lon=\"-71.19950\"/></trkseg></trk></gpx>";
    $send = fn(string $gpx) => $this->api('POST', "/sheets/{$sheet}/tracks", ['gpx' => $gpx]);
    expect($send($way(44.1002))->assertOk()->json('taken'))->toBe(1);
    // later, and by somebody else: the file is the same one
    app(App\Support\JobClock::class)->freezeAt('2026-09-03T14:00:00Z');
    $this->as('bram');
    $again = $send($way(44.1002))->assertOk();
    expect([$again->json('taken'), $again->json('known'), $again->json('refused')])->toBe([0, 1, []]);
    // 0.0004 degrees of longitude at 44.1 degrees are 32.0 m: 2 m wide, 64 m2
    $covered = fn(): float => (float) $this->api('GET', "/sheets/{$sheet}/coverage?width=2 m")->json('covered.value');
    expect($covered())->toEqualWithDelta(64.0, 0.6);
    $send($way(44.1003))->assertOk();
    expect($covered())->toEqualWithDelta(128.0, 1.2);
    $send($way(45.1))->assertStatus(422)->assertJsonPath('errors.0.pointer', '/gpx');
    $send('<gpx version="1.1" xmlns="http://www.topografix.com/GPX/1/1"/>')->assertStatus(422);
});

it('tells the spots that were marked, and signs them with the day', function () {
    $this->as();
    [, $sheet] = issuedTrees($this);
    $mark = fieldNote(1, 'mark', ['state' => 'missed', 'position' => [-71.1995, 44.1002], 'why' => 'wren']);
    $day = $this->api('POST', "/sheets/{$sheet}/notes", [
        'notes' => [$mark, fieldNote(2, 'mark', ['state' => 'left', 'position' => [-71.1996, 44.1002]])],
    ])
        ->assertOk()
        ->json('day');
    expect(array_column($day['marks'], 'state'))
        ->toBe(['missed', 'left'])
        ->and($day['marks'][0]['why'])
        ->toBe('wren');
    $record = $this->api('POST', "/sheets/{$sheet}/records", signed())
        ->assertCreated()
        ->json();
    expect(array_column($record['body']['field']['marks'], 'state'))->toBe(['missed', 'left']);
});

it('keeps a picture of the day once, seals it, and says of one that is still on a phone that it is', function () {
    $this->as();
    [, $sheet] = issuedTrees($this);
    [$id, $other] = ['01a22634-0000-7000-8000-00000000aa01', '01a22634-0000-7000-8000-00000000aa02'];
    $path = tempnam(sys_get_temp_dir(), 'shot');
    $picture = imagecreatetruecolor(40, 30);
    imagejpeg($picture, $path);
    $send = fn(string $as) => $this->call(
        'POST',
        "/api/v1/sheets/{$sheet}/photos",
        ['id' => $as],
        [],
        ['photo' => new Illuminate\Http\UploadedFile($path, 'shot.jpg', null, null, true)],
        ['HTTP_ACCEPT' => 'application/json', 'CONTENT_TYPE' => 'multipart/form-data'],
    );
    $day = $this->api('POST', "/sheets/{$sheet}/notes", [
        'notes' => [
            fieldNote(1, 'photo', ['photo' => $id, 'text' => 'The wren stump']),
            fieldNote(2, 'photo', ['photo' => $other]),
        ],
    ])
        ->assertOk()
        ->json('day.photos');
    expect(array_column($day, 'here'))->toBe([false, false]);
    $send($id)->assertStatus(201)->assertJsonPath('photo', $id);
    $send($id)->assertStatus(200);
    $send('not an id')->assertStatus(422)->assertJsonPath('errors.0.pointer', '/id');
    expect(App\Models\Photo::query()->where('sheet_id', $sheet)->count())->toBe(1);
    $day = $this->api('GET', "/sheets/{$sheet}/notes")->json('day.photos');
    expect(array_column($day, 'here'))
        ->toBe([true, false])
        ->and($day[0]['text'])
        ->toBe('The wren stump');
    $this->get("/api/v1/photos/{$id}/thumb")->assertOk();
    // it stays with its day, and the chain misses it where its file was changed
    $this->api('DELETE', "/photos/{$id}")->assertStatus(409);
    $crew = Crew::query()->firstOrFail();
    $faults = static fn(): array => array_column(app(Verifier::class)->crew($crew)->faults, 'code');
    expect($faults())->toBe([]);
    $file = storage_path("app/photos/{$id}.full.jpg");
    file_put_contents($file, 'x', FILE_APPEND);
    expect($faults())->toBe(['file-changed']);
    unlink($file);
});
