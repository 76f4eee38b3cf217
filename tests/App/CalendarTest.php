<?php

declare(strict_types=1);

use App\Models\Person;
use App\Models\Stand;
use Illuminate\Support\Facades\DB;
use Sabre\VObject\Reader;
use Symfony\Component\Process\Process;

/*
 * One person's days: what is in them, that other readers read them, and that the private address can be taken back.
 */

it('writes the days that are this person\'s or nobody\'s, as other readers read them', function () {
    $this->as();
    $text = (string) $this->get('/api/v1/calendar.ics')->assertOk()->getContent();
    $calendar = Reader::read($text);
    $events = [];
    foreach ($calendar->getComponents() as $event) {
        [$title, $day] = array_map(static fn(string $n): string => (string) ($event->select($n)[0] ?? ''), [
            'SUMMARY',
            'DTSTART',
        ]);
        $events[$title] = $day;
    }
    expect($events)->toBe([
        'Look back: Bush honeysuckle' => '20260902',
        'Look for seedlings: Scotch broom' => '20260910',
        'Last day: Hand pull, Japanese stiltgrass' => '20260913',
        'Last day: Basal bark, Oriental bittersweet' => '20260921',
        'Season opens: Hand pull, Common teasel' => '20260927',
        'Last day: Hack and squirt, Common buckthorn' => '20261013',
        'Last day: Shielded spot spray, Canada thistle' => '20261013',
        'Last day: Foliar spot spray, Quackgrass' => '20261108',
        'Calibrate: Blue backpack' => '20270512',
        'Licence of Ada Thornbury runs out' => '20280331',
    ]);
    // lines end with CRLF and hold at most 75 octets (RFC 5545)
    expect(max(array_map(strlen(...), explode("\r\n", $text))))->toBeLessThanOrEqual(75);
    expect(preg_match('/(?<!\r)\n/', $text))->toBe(0);

    $other = new Process([
        '/usr/bin/python3',
        '-c',
        <<<'PY'
        import sys
        from icalendar import Calendar
        for e in Calendar.from_ical(sys.stdin.buffer.read()).walk('VEVENT'):
            print(e.decoded('dtstart').strftime('%Y%m%d'), str(e['summary']), sep='\t')
        PY
    ,
    ]);
    $other->setInput($text)->mustRun();
    $read = [];
    foreach (explode("\n", trim($other->getOutput())) as $line) {
        [$day, $title] = explode("\t", $line);
        $read[$title] = $day;
    }
    expect($read)->toEqual($events);

    // a job that another has taken is theirs
    Stand::query()
        ->where('species', 'quackgrass')
        ->update(['person_id' => Person::query()->where('name', 'Bram Quillfeather')->value('id')]);
    expect((string) $this->get('/api/v1/calendar.ics')->getContent())->not->toContain('Quackgrass');
});

it('gives a private address, a new one in its place, and takes it back', function () {
    $this->as();
    $this->api('GET', '/session/calendar')
        ->assertOk()
        ->assertExactJson(['given' => null, 'read' => null]);
    $path = fn(): string => (string) parse_url(
        (string) $this->api('POST', '/session/calendar')->assertCreated()->json('address'),
        PHP_URL_PATH,
    );
    [$first, $second] = [$path(), $path()];
    $this->flushSession();
    app('auth')->forgetGuards();
    $this->get($first)->assertNotFound();
    $read = $this->get($second)->assertOk()->assertHeader('Content-Type', 'text/calendar; charset=utf-8');
    expect((string) $read->getContent())->toContain('SUMMARY:Look back: Bush honeysuckle');
    expect(
        DB::table('calendar_feeds')
            ->where('token_hash', 'like', '%' . basename($second, '.ics') . '%')
            ->exists(),
    )->toBeFalse();
    $this->as();
    expect($this->api('GET', '/session/calendar')->json('read'))->not->toBeNull();
    $this->api('DELETE', '/session/calendar')->assertOk();
    $this->get($second)->assertNotFound();
});
