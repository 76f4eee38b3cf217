<?php

declare(strict_types=1);

use App\Models\Crew;
use App\Models\Person;
use App\Models\Placement;
use App\Models\Stand;
use App\Resources\PlanResource;
use App\Support\BusyCalendar;
use Illuminate\Support\Facades\DB;
use Thicket\Calendar\Day;
use Thicket\SeasonPlan\SeasonPlanner;

require_once __DIR__ . '/../Core/seasons.php';

/*
 * The season of the demo crew on 3 September 2026, a Thursday: Ada works Tuesdays and Thursdays, Bram Tuesdays and
 * Saturdays but is away from the 7th to the 13th, Cleo, a volunteer, on Saturdays.
 */

/** @return array<string, mixed> the job of that name with its days under 'days', and its id under 'id' */
function jobOf(array $season, string $name): array
{
    $job = collect($season['jobs'])->firstWhere('name', $name);
    $placed = collect($season['plan']['placed'])->firstWhere('job', $job['id']);

    return $job + ['days' => array_column($placed['parts'] ?? [], 'day'), 'parts' => $placed['parts'] ?? []];
}

it('proposes, keeps, and holds to what is kept', function () {
    $this->as();
    $before = $this->api('GET', '/season-plan')->assertOk();
    expect([$before->json('keptAt'), $before->json('plan.placed'), $before->json('kept')])->toBe([null, [], true]);
    $proposed = $this->api('POST', '/season-plan/proposal', [])->assertOk();
    expect($proposed->json('kept'))
        ->toBeFalse()
        ->and(Placement::query()->count())
        ->toBe(0);
    $kept = $this->api('POST', '/season-plan', [])->assertOk()->json();
    expect($kept['plan']['placed'])
        ->toHaveCount(count($proposed->json('plan.placed')))
        ->and($kept['keptAt'])
        ->not->toBeNull()
        ->and($kept['fallen'])
        ->toBe([]);
    // stilt-grass sets seed on the 13th: at once; two volunteers and Bram may pull it together
    $grass = jobOf($kept, 'Hand pull, Japanese stiltgrass');
    expect($grass['days'])->toBe(['2026-09-03', '2026-09-05']);
    // nobody who volunteers is on a job with product
    $cleo = (string) Person::query()->where('name', 'Cleo Marshgate')->value('id');
    $withProduct = collect($kept['jobs'])->filter(
        fn(array $j): bool => preg_match('/spray|squirt|bark/i', (string) $j['name']) === 1,
    );
    foreach ($withProduct as $job) {
        foreach (jobOf($kept, $job['name'])['parts'] as $part) {
            expect($part['people'])->not->toContain($cleo);
        }
    }
    // what is planned stands in the calendar, of the crew and of whoever goes
    $days = fn(string $who): array => array_column(
        $this->api('GET', "/calendar?first=2026-09-01&last=2026-09-30&who={$who}")
            ->assertOk()
            ->json('entries'),
        'title',
        'id',
    );
    expect($days('all'))
        ->toContain(
            'Hand pull: Japanese stiltgrass (Cleo Marshgate, Bram Quillfeather, 3 h each)',
            'Bram Quillfeather is away until Sun 13 Sep 2026',
        )
        ->and($days('me'))
        ->toContain('Hand pull: Japanese stiltgrass (Ada Thornbury, 5.3 h)')
        ->not->toContain('Bram Quillfeather is away until Sun 13 Sep 2026');
    expect((string) $this->get('/api/v1/calendar.ics')->getContent())->toContain('planned-');
});

it('plans nothing any more of a stand that is closed, and says why a job is open on no day', function () {
    $this->as();
    $season = $this->api('POST', '/season-plan', [])->json();
    $job = jobOf($season, 'Hand pull, Japanese stiltgrass');
    $planned = fn(): array => array_column(
        $this->api('GET', '/calendar?first=2026-09-01&last=2026-09-30')->json('entries'),
        'job',
    );
    expect($planned())->toContain($job['id']);
    Stand::query()
        ->whereKey($job['standId'])
        ->update(['closed_at' => now()]);
    $this->as();
    expect(
        array_column(app(App\Workflow\CalendarDesk::class)->of(App\Models\User::query()->firstOrFail(), true), 'job'),
    )->not->toContain($job['id']);

    // its programme had the thistle sprayed by 13 October
    $step = App\Models\Step::query()->findOrFail(jobOf($season, 'Shielded spot spray, Canada thistle')['id']);
    $step->update(['due_to' => '2026-09-01']);
    $crew = Crew::query()->firstOrFail();
    $shut = function (string $step) use ($crew): ?string {
        $desk = app(App\Workflow\PlanDesk::class);
        $jobs = $desk->jobs($crew);
        $season = $desk->season($crew, $jobs);
        $plan = SeasonPlanner::hold($season, []);
        $told = app(App\Resources\SeasonResource::class)->season($crew, $season, $jobs, $plan, true);

        return collect($told['jobs'])->firstWhere('id', $step)['shut']['us'] ?? null;
    };
    expect($shut($step->id))->toBe('Its programme had it done by Tue 1 Sep 2026: follow the programme anew.');
    // quackgrass is open in autumn till 8 November, and not before April again
    $grass = jobOf($season, 'Foliar spot spray, Quackgrass')['id'];
    expect($shut($grass))->toBeNull();
    App\Models\Step::query()
        ->findOrFail($grass)
        ->update(['due_from' => '2026-12-01', 'due_to' => '2026-12-31']);
    expect($shut($grass))->toBe('Out of season. The next window runs Sat 17 Apr 2027 to Thu 3 Jun 2027.');
});

it('moves a job within its days and pins it, and refuses the others with the reason', function () {
    $this->as();
    $season = $this->api('POST', '/season-plan', [])->json();
    $job = jobOf($season, 'Shielded spot spray, Canada thistle');
    $others = fn(array $s): array => collect($s['plan']['placed'])
        ->where('job', '!=', $job['id'])
        ->pluck('parts')
        ->all();
    $move = fn(?string $day) => $this->api('PUT', "/season-plan/jobs/{$job['id']}", ['day' => $day]);
    $why = fn(string $day): string => (string) $move($day)->assertStatus(422)->json('errors.0.message');

    // 22 September is a Tuesday; 13 October the last day that is open, a Tuesday; the 14th is shut
    $moved = $move('2026-09-22')->assertOk()->json();
    expect([jobOf($moved, $job['name'])['days'], jobOf($moved, $job['name'])['pinned']])->toBe([['2026-09-22'], true]);
    expect($others($moved))->toBe($others($season));
    expect($why('2026-09-21'))->toBe('Nobody who may do it works that day.');
    expect($why('2026-10-14'))->toBe('Its season is shut then.');
    expect(jobOf($move('2026-10-13')->assertOk()->json(), $job['name'])['days'])->toBe(['2026-10-13']);

    // the pin holds when all is planned again, and lets go when it is told so
    expect(jobOf($this->api('POST', '/season-plan', [])->json(), $job['name'])['days'])->toBe(['2026-10-13']);
    expect(jobOf($move(null)->assertOk()->json(), $job['name'])['pinned'])->toBeFalse();

    $pull = jobOf($season, 'Hand pull, Common teasel');
    $this->api('PUT', "/season-plan/jobs/{$pull['id']}", ['day' => 'soon'])->assertStatus(422);
    $this->api('PUT', '/season-plan/jobs/01a00000-0000-7000-8000-000000000000', ['day' => null])->assertStatus(404);
});

it('plans within money, weeks and days away, and says what fell', function () {
    $this->as();
    $season = $this->api('POST', '/season-plan', [])->json();
    $terms = ['last' => '2027-06-30', 'money' => '0.50', 'mixADay' => '11 gal'];
    $this->api('PUT', '/season-plan/terms', $terms, ['If-Match' => '"7"'])->assertStatus(412);
    $narrow = $this->api('PUT', '/season-plan/terms', $terms, ['If-Match' => "\"{$season['terms']['revision']}\""])
        ->assertOk()
        ->json();
    expect([$narrow['terms']['money'], $narrow['terms']['mixADay']['value'], $narrow['terms']['last']])->toBe([
        '0.50',
        // 41.6 L, never rounded up
        '41',
        '2027-06-30',
    ]);
    $short = collect($narrow['plan']['leftOut'])->pluck('why.0.code')->all();
    expect($short)->toContain('no-money')->and($narrow['fallen'])->not->toBe([]);
    foreach (['last' => '2026-09-02', 'money' => '-1', 'mixADay' => '40'] as $field => $bad) {
        $this->api('PUT', '/season-plan/terms', [$field => $bad] + $terms, ['If-Match' => '"1"'])
            ->assertStatus(422)
            ->assertJsonPath('errors.0.pointer', "/{$field}");
    }

    $ada = collect($season['people'])->firstWhere('name', 'Ada Thornbury');
    $week = ['weekdays' => ['5', '3', '5'], 'timeADay' => '4 h', 'volunteer' => true];
    $changed = $this->api('PUT', "/season-plan/people/{$ada['id']}", $week, ['If-Match' => "\"{$ada['revision']}\""])
        ->assertOk()
        ->json();
    expect(collect($changed['people'])->firstWhere('id', $ada['id']))->toMatchArray([
        'weekdays' => ['3', '5'],
        'volunteer' => true,
    ]);
    expect(collect($changed['people'])->firstWhere('id', $ada['id'])['timeADay']['shown']['us'])->toBe('4 h');

    $away = ['first' => '2026-09-03', 'last' => '2026-12-31', 'note' => 'shooting'];
    $closed = $this->api('POST', '/season-plan/away', $away)->assertCreated()->json();
    $within = fn(array $s): int => collect($s['plan']['placed'])->where('parts.0.day', '<=', '2026-12-31')->count();
    expect([$within($changed), $within($closed)])
        ->toBe([$within($changed), 0])
        ->and($within($changed))
        ->toBeGreaterThan(0);
    $row = collect($closed['away'])->firstWhere('note', 'shooting');
    expect($row['person'])->toBeNull();
    $this->api('DELETE', "/season-plan/away/{$row['id']}")->assertOk();
    $this->api('POST', '/season-plan/away', ['first' => '2026-09-03', 'last' => '2026-09-01'])->assertStatus(422);
    $this->api('POST', '/season-plan/away', ['person' => '01a00000-0000-7000-8000-000000000000'] + $away)->assertStatus(
        422,
    );
});

it('takes busy days from a calendar file: whole days, and days of which three hours are taken', function () {
    $event = static fn(string $lines): string => "BEGIN:VEVENT\r\nUID:" .
        md5($lines) .
        "\r\n{$lines}\r\nEND:VEVENT\r\n";
    $file = static fn(string ...$events): string => "BEGIN:VCALENDAR\r\nVERSION:2.0\r\n" .
        implode('', array_map($event, $events)) .
        "END:VCALENDAR\r\n";
    $read = static fn(string ...$events): array => array_map(
        static fn(array $s): string => $s[0]->format('md') . '-' . $s[1]->format('md'),
        (array) BusyCalendar::read(
            $file(...$events),
            new \DateTimeZone('America/New_York'),
            Day::parse('2026-09-03'),
            Day::parse('2026-12-31'),
        ),
    );
    // an end that is a day is the first day after it; two that touch are one time away
    expect($read("DTSTART;VALUE=DATE:20260910\r\nDTEND;VALUE=DATE:20260912", 'DTSTART;VALUE=DATE:20260912'))->toBe([
        '0910-0912',
    ]);
    $zone = 'DTSTART;TZID=America/New_York';
    expect($read("{$zone}:20260910T090000\r\nDURATION:PT3H"))->toBe(['0910-0910']);
    expect($read("{$zone}:20260910T090000\r\nDURATION:PT2H59M"))->toBe([]);
    // half past eight in the evening in Greenwich is the afternoon there; an evening is nobody's work
    expect($read("DTSTART:20260910T170000Z\r\nDTEND:20260910T203000Z"))->toBe(['0910-0910']);
    expect($read("{$zone}:20260910T170000\r\nDURATION:PT5H"))->toBe([]);
    // every Tuesday, over the end of summer time
    expect($read("{$zone}:20261020T080000\r\nDURATION:PT4H\r\nRRULE:FREQ=WEEKLY;COUNT=3"))->toBe([
        '1020-1020',
        '1027-1027',
        '1103-1103',
    ]);
    expect($read("DTSTART;VALUE=DATE:20260910\r\nTRANSP:TRANSPARENT"))->toBe([]);
    expect($read("DTSTART;VALUE=DATE:20260910\r\nSTATUS:CANCELLED"))->toBe([]);
    expect($read('DTSTART;VALUE=DATE:20260801', 'DTSTART;VALUE=DATE:20270101'))->toBe([]);

    $this->as();
    $bram = (string) Person::query()->where('name', 'Bram Quillfeather')->value('id');
    $send = fn(string $document) => $this->api('POST', '/season-plan/busy', [
        'person' => $bram,
        'document' => $document,
    ]);
    foreach (['20260915' => '2026-09-15', '20260919' => '2026-09-19'] as $day => $first) {
        // what came from the file before goes, what was typed stays
        $away = $send($file("SUMMARY:secret\r\nDTSTART;VALUE=DATE:{$day}"))->assertCreated()->json('away');
        expect(array_column($away, 'first', 'source'))->toBe([
            'typed' => '2026-09-07',
            'calendar' => $first,
        ]);
        expect((string) json_encode(DB::table('days_away')->get()))->not->toContain('secret');
    }
    $send('three gallons')->assertStatus(422)->assertJsonPath('errors.0.pointer', '/document');
    $send(str_replace('END:VEVENT', '', $file('DTSTART;VALUE=DATE:20260910')))->assertStatus(422);
});

it('lets what presses go first, and keeps to the crew of whoever asks', function () {
    $this->as();
    $stand = Stand::query()->where('species', 'quackgrass')->firstOrFail();
    $press = ['spreads' => true, 'promisedBy' => '2026-09-20'];
    $season = $this->api('PUT', "/stands/{$stand->id}/priority", $press, ['If-Match' => "\"{$stand->revision}\""])
        ->assertOk()
        ->json();
    expect(jobOf($season, 'Foliar spot spray, Quackgrass')['worth'])->toBe(['it spreads from here', 'promised']);
    $this->as('cleo');
    $this->api('GET', '/season-plan')->assertOk();
    $this->api('POST', '/season-plan', [])->assertStatus(403);

    $other = Crew::create(['name' => 'Others', 'settings' => []]);
    $step = Placement::query()->count();
    Person::create(['crew_id' => $other->id, 'name' => 'Nobody Here', 'clearances' => []]);
    $this->as();
    $theirs = (string) Person::query()->where('crew_id', $other->id)->value('id');
    $this->api(
        'PUT',
        "/season-plan/people/{$theirs}",
        ['weekdays' => [], 'timeADay' => '0 h'],
        [
            'If-Match' => '"1"',
        ],
    )->assertStatus(404);
    expect(Placement::query()->count())->toBe($step);
});

it('takes the time that somebody tells for a job, and reckons it again when asked', function () {
    $this->as();
    $job = jobOf($this->api('GET', '/season-plan')->json(), 'Hand pull, Japanese stiltgrass');
    $tell = fn(?string $time, int $revision) => $this->api(
        'PUT',
        "/season-plan/jobs/{$job['id']}/time",
        ['time' => $time],
        ['If-Match' => "\"{$revision}\""],
    );
    $told = jobOf($tell('9 1/2 h', $job['revision'])->assertOk()->json(), $job['name']);
    expect([$told['hours']['shown']['us'], $told['hoursTold']])->toBe(['9.5 h', true]);
    $tell('9 h', $job['revision'])->assertStatus(412);
    foreach (['2001 h', '-1 h', '5 gal'] as $bad) {
        $tell($bad, $told['revision'])->assertStatus(422)->assertJsonPath('errors.0.pointer', '/time');
    }
    $again = jobOf($tell(null, $told['revision'])->assertOk()->json(), $job['name']);
    expect([$again['hours'], $again['hoursTold']])->toBe([$job['hours'], false]);
});

it('has a sentence for every reason that a plan can give', function () {
    $resource = app(PlanResource::class);
    $codes = [];
    for ($seed = 1; $seed <= 60; ++$seed) {
        $season = randomSeason($seed, 4 + ($seed % 17), 60 + (($seed * 7) % 120), 1 + ($seed % 4));
        $plan = SeasonPlanner::plan($season);
        $again = SeasonPlanner::plan($season->having(hands: array_slice($season->hands, 1)), $plan->placements);
        foreach ([$plan, $again] as $one) {
            $told = $resource->proposal($one, $season, []);
            foreach ([...$told['placed'], ...$told['leftOut']] as $line) {
                foreach ([...$line['why'], ...$line['room'] ?? []] as $reason) {
                    $codes[$reason['code']] = $reason['text']['us'];
                }
            }
        }
    }
    foreach ($codes as $code => $text) {
        expect($text)->not->toContain('{')->not->toContain('plan.', $code);
    }
    expect(count($codes))->toBeGreaterThan(22);
});
