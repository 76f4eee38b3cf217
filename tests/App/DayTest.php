<?php

declare(strict_types=1);

use App\Models\Crew;
use App\Models\Ground;
use App\Models\Record;
use App\Models\Sprayer;
use App\Support\JobClock;

/*
 * The day is the ground's. Two moments at which UTC has another: the evening of 3 September twelve hours west of it,
 * and the morning of 4 September fourteen hours east, when it is still the 3rd in UTC.
 */
dataset('edges of the day', [
    'evening in the west: UTC has tomorrow' => ['Etc/GMT+12', '2026-09-04T07:30:00Z', '2026-09-03'],
    'morning in the east: UTC has yesterday' => ['Pacific/Kiritimati', '2026-09-03T19:00:00Z', '2026-09-04'],
]);

/** Moves the whole crew to a place and a moment. */
function standIn(Tests\AppTestCase $t, string $zone, string $moment): void
{
    $t->as();
    Ground::query()->update(['time_zone' => $zone]);
    app(JobClock::class)->freezeAt($moment);
}

$on = static fn(string $day, int $off): string => (new DateTimeImmutable($day))->modify("{$off} days")->format('Y-m-d');

it('lends, takes back, calibrates and opens a container on the day of the ground', function (
    string $zone,
    string $moment,
    string $today,
) use ($on) {
    standIn($this, $zone, $moment);
    expect($this->api('GET', '/today')->json('day'))
        ->toBe($today)
        ->and($this->api('GET', '/session')->json('crew.timeZone'))
        ->toBe($zone);
    $tool = collect(
        $this->api('POST', '/shed/tools', ['kind' => 'loppers', 'name' => 'Day loppers'])
            ->assertCreated()
            ->json('tools'),
    )->firstWhere('name', 'Day loppers')['id'];
    $this->api('POST', "/shed/tools/{$tool}/loans", ['to' => 'Cleo', 'dueOn' => $on($today, -1)])
        ->assertStatus(422)
        ->assertJsonPath('errors.0.pointer', '/dueOn');
    $lent = collect(
        $this->api('POST', "/shed/tools/{$tool}/loans", ['to' => 'Cleo', 'dueOn' => $today])
            ->assertCreated()
            ->json('tools'),
    )->firstWhere('id', $tool)['loan'];
    expect([$lent['on'], $lent['late']])->toBe([$today, false]);
    $this->api('POST', "/shed/loans/{$lent['id']}/return")->assertOk();
    expect(App\Models\Loan::query()->findOrFail($lent['id'])->returned_on?->format('Y-m-d'))->toBe($today);

    $sprayer = Sprayer::query()
        ->where('crew_id', Crew::query()->value('id'))
        ->where('kind', 'backpack')
        ->firstOrFail();
    $this->api('POST', "/shed/sprayers/{$sprayer->id}/calibrations", [
        'way' => 'course',
        'caught' => '30 fl oz',
    ])->assertCreated();
    expect($sprayer->refresh()->calibrated_on?->format('Y-m-d'))->toBe($today);
    $card = $this->api('GET', '/shed')->json('cards.0.id');
    $made = collect(
        $this->api('POST', '/shed/containers', ['cardId' => $card, 'size' => '1 gal', 'lot' => 'day-lot'])
            ->assertCreated()
            ->json('stock'),
    )->firstWhere('lot', 'day-lot')['id'];
    $drawn = collect(
        $this->api('POST', "/shed/containers/{$made}/draws", ['kind' => 'spilled', 'amount' => '1 pt'])
            ->assertCreated()
            ->json('stock'),
    )->firstWhere('id', $made);
    expect([$drawn['openedOn'], $drawn['draws'][0]['on']])->toBe([$today, $today]);
})->with('edges of the day');

it('reminds, and counts stock as past its date, from the day after on the ground', function (
    string $zone,
    string $moment,
    string $today,
) use ($on) {
    standIn($this, $zone, $moment);
    $sprayer = Sprayer::query()->firstOrFail();
    $due = fn(): bool => collect($this->api('GET', '/today')->json('shed'))->contains(
        fn(array $r): bool => $r['code'] === 'calibration' && str_contains($r['text'], $sprayer->name),
    );
    $sprayer->forceFill(['calibrated_on' => $on($today, -365), 'due_on' => $today])->save();
    expect($due())->toBeFalse();
    $sprayer->forceFill(['due_on' => $on($today, -1)])->save();
    expect($due())->toBeTrue();

    $card = $this->api('GET', '/shed')->json('cards.0.id');
    $advice = fn(string $expires): ?string => collect(
        $this->api('POST', '/shed/containers', [
            'cardId' => $card,
            'size' => '1 gal',
            'lot' => "x{$expires}",
            'place' => 'shelf',
            'expiresOn' => $expires,
        ])
            ->assertCreated()
            ->json('stock'),
    )->firstWhere('lot', "x{$expires}")['advice']['code'] ?? null;
    expect($advice($today))->toBe('stock.expires-soon')->and($advice($on($today, -1)))->toBe('stock.expired');
})->with('edges of the day');

it('shuts the gate of a calibration and of a licence on the day of the ground', function (
    string $zone,
    string $moment,
    string $today,
) use ($on) {
    standIn($this, $zone, $moment);
    $step = maples($this);
    $stand = $this->standId('norway-maple');
    $gates = fn(): array => array_column($this->api('GET', "/stands/{$stand}/gates")->json('gates'), 'code');
    $step->sprayer->forceFill(['due_on' => $today])->save();
    expect($gates())->not->toContain('calibration');
    $step->sprayer->forceFill(['due_on' => $on($today, -1)])->save();
    expect($gates())->toContain('calibration');
    $people = fn(string $until): bool => collect($this->api('GET', '/shed')->json('people'))->contains(
        'licensed',
        true,
    );
    App\Models\Person::query()->update(['licence' => 'X-1', 'licence_until' => $today]);
    expect($people($today))->toBeTrue();
    App\Models\Person::query()->update(['licence_until' => $on($today, -1)]);
    expect($people($today))->toBeFalse();
})->with('edges of the day');

it('dates a sheet, the record signed for it and its look-back by the ground', function (
    string $zone,
    string $moment,
    string $today,
) use ($on) {
    standIn($this, $zone, $moment);
    [$stand, $sheet] = issuedTrees($this);
    expect($this->api('GET', "/sheets/{$sheet}")->json('snapshot.day'))
        ->toBe($today)
        ->and(substr($this->api('GET', "/sheets/{$sheet}")->json('issuedAt'), 0, 10))
        ->toBe($today);
    $work = [
        'start' => '09:30',
        'stop' => '12:00',
        'people' => ['Ada Thornbury'],
        'treated' => 12,
        'mixUsed' => '0.3 L',
        'weather' => 'dry',
        'wind' => '3 mph',
        'temperature' => '66 F',
    ];
    $this->api('POST', "/sheets/{$sheet}/records", ['workedOn' => $on($today, 1)] + $work)
        ->assertStatus(422)
        ->assertJsonPath('errors.0.pointer', '/workedOn');
    $this->api('POST', "/sheets/{$sheet}/records", ['workedOn' => $on($today, -1)] + $work)
        ->assertStatus(422)
        ->assertJsonPath('errors.0.pointer', '/workedOn');
    $record = $this->api('POST', "/sheets/{$sheet}/records", ['workedOn' => $today] + $work)
        ->assertCreated()
        ->json('id');
    $this->api('POST', "/records/{$record}/look-backs", ['lookedOn' => $on($today, 1), 'counted' => 3, 'dead' => 1])
        ->assertStatus(422)
        ->assertJsonPath('errors.0.pointer', '/lookedOn');
    $this->api('POST', "/records/{$record}/look-backs", [
        'lookedOn' => $today,
        'counted' => 3,
        'dead' => 1,
    ])->assertCreated();
    // judged from the very day on, as the ground has it
    $judge = new DateTimeImmutable(Record::query()->findOrFail($record)->judge_after->format('Y-m-d'));
    $mayScore = function (DateTimeImmutable $day) use ($moment, $today, $record): bool {
        app(JobClock::class)->freezeAt(
            (new DateTimeImmutable($moment))
                ->modify((new DateTimeImmutable($today))->diff($day)->days . ' days')
                ->format(DATE_RFC3339),
        );

        return $this->api('GET', "/records/{$record}")->json('mayScore');
    };
    expect($mayScore($judge->modify('-1 day')))->toBeFalse()->and($mayScore($judge))->toBeTrue();
})->with('edges of the day');

it('tells by the ground on which day a paper was taken back', function (string $zone, string $moment, string $today) {
    standIn($this, $zone, $moment);
    [$stand, $sheet] = issuedTrees($this);
    $paper = $this->api('GET', "/sheets/{$sheet}")->json('snapshot.duties.0.settled.id');
    $this->api('DELETE', "/duties/{$paper}")->assertNoContent();
    expect($this->api('GET', "/stands/{$stand}")->json('duties.0.takenBack.on'))->toBe($today);
})->with('edges of the day');

it('takes no day from the clock without saying where', function () {
    $days = [
        'now\(\)(->modify\([^)]*\))?->format\(\'Y-m-d',
        'isLicensedOn\(\$\w+(->\w+)*->now\(\)',
        '_at->format\(\'Y-m-d\'\)',
        'Format::day\(\$\w+->\w+_at\)',
        '\$today=\$this->clock->now\(\)',
    ];
    $found = [];
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator(app_path())) as $file) {
        $isCode = $file instanceof SplFileInfo && $file->getExtension() === 'php';
        if (!$isCode || $file->getFilename() === 'JobClock.php') {
            continue;
        }
        // a call may be laid out over several lines
        $code = (string) preg_replace('/\s+/', '', (string) file_get_contents($file->getPathname()));
        if (preg_match('/' . implode('|', $days) . '/', $code, $said) === 1) {
            $found[] = $file->getFilename() . ': ' . $said[0];
        }
    }
    expect($found)->toBe([]);
});
