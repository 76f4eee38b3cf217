<?php

declare(strict_types=1);

use App\Models\Crew;
use App\Models\Photo;
use App\Models\Record;
use App\Models\Seal;
use App\Models\Sealed;
use App\Photos\PhotoStore;
use App\Seal\Chain;
use App\Seal\SealKey;
use App\Seal\Verifier;
use App\Support\CanonicalJson;
use App\Support\JobClock;
use Illuminate\Support\Facades\DB;

it('writes one canonical form, whatever the order it was given in', function () {
    $one = CanonicalJson::of([
        'b' => 1,
        'a' => ['z' => null, 'y' => [true, 'é/"']],
        'empty' => [],
        'object' => new stdClass(),
    ]);
    expect($one)
        ->toBe('{"a":{"y":[true,"é/\""],"z":null},"b":1,"empty":[],"object":{}}')
        ->and(
            CanonicalJson::of([
                'object' => new stdClass(),
                'empty' => [],
                'a' => ['y' => [true, 'é/"'], 'z' => null],
                'b' => 1,
            ]),
        )
        ->toBe($one);
});

it('orders keys by UTF-16 as the standard asks, not by bytes', function () {
    // U+FB33 sorts after U+1F600 in UTF-16 (surrogates D83D), before it in UTF-8
    expect(CanonicalJson::of(["\u{FB33}" => 1, "\u{1F600}" => 2]))->toBe("{\"\u{1F600}\":2,\"\u{FB33}\":1}");
});

it('runs the job clock ahead of the real one by the offset, and stands still when frozen', function () {
    $clock = new JobClock(3600);
    expect($clock->now()->getTimestamp() - time())->toBeBetween(3599, 3601);
    $clock->freezeAt('2026-09-03T23:30:00-05:00');
    expect($clock->today('Etc/GMT+5')->format('Y-m-d'))
        ->toBe('2026-09-03')
        ->and($clock->today('UTC')->format('Y-m-d'))
        ->toBe('2026-09-04');
    $clock->thaw();
    expect($clock->now()->getTimestamp())->not->toBe(strtotime('2026-09-03T23:30:00-05:00'));
});

/** @return list<string> codes of what the verifier finds */
function brokenSeals(?array $head = null): array
{
    return array_column(app(Verifier::class)->crew(Crew::query()->firstOrFail(), $head)->faults, 'code');
}

it('finds every link whole, and what was sealed in it', function () {
    expect(brokenSeals())
        ->toBe([])
        ->and(Seal::query()->pluck('kind')->unique()->sort()->values()->all())
        ->toBe(['look-back', 'photo', 'record', 'sheet']);
    $seqs = Seal::query()->orderBy('seq')->pluck('seq')->all();
    expect($seqs)->toBe(range(1, count($seqs)));
});

it('lets the application\'s account neither change nor delete what is sealed, nor take the guard off', function (
    string $statement,
) {
    expect(fn() => DB::statement($statement))->toThrow(Illuminate\Database\QueryException::class);
})->with([
    'a record changed' => ["UPDATE records SET body = '{}'"],
    'a record dated' => ["UPDATE records SET worked_on = '2020-01-01'"],
    'a record deleted' => ['DELETE FROM records'],
    'a look-back' => ['UPDATE look_backs SET scored = 0'],
    'a look-back deleted' => ['DELETE FROM look_backs'],
    'a sheet' => ["UPDATE sheets SET snapshot = '{}'"],
    'a sheet deleted' => ['DELETE FROM sheets'],
    'a link' => ["UPDATE seals SET content = REPEAT('0', 64)"],
    'the newest link' => ['DELETE FROM seals ORDER BY seq DESC LIMIT 1'],
    'a picture' => ["UPDATE photos SET sha256 = REPEAT('0', 64)"],
    'the guard' => ['DROP TRIGGER records_sealed_update'],
    'the table' => ['DROP TABLE look_backs'],
    'all at once' => ['TRUNCATE TABLE seals'],
]);

it('lets a sheet be withdrawn once, and seals that', function () {
    $this->as();
    [, $sheet] = issuedTrees($this);
    $this->api('POST', "/sheets/{$sheet}/withdraw", ['reason' => 'wind'])->assertOk();
    expect(Seal::query()->where('kind', 'withdrawal')->where('subject_id', $sheet)->exists())
        ->toBeTrue()
        ->and(brokenSeals())
        ->toBe([])
        ->and(
            fn() => DB::table('sheets')
                ->where('id', $sheet)
                ->update(['withdrawn_at' => null]),
        )
        ->toThrow(Illuminate\Database\QueryException::class);
});

it('seals all that people see of a record: who, when, where, sheet, step, number', function () {
    $id = (string) Record::query()->value('id');
    $columns = [
        'crew_id',
        'seq',
        'sheet_id',
        'step_id',
        'patch_id',
        'worked_on',
        'judge_after',
        'body',
        'signed_by',
        'signed_at',
    ];
    expect(Sealed::Record->columns())->toBe(['id', ...$columns]);
    $row = (array) DB::table('records')->where('id', $id)->first(Sealed::Record->columns());
    $digest = fn(array $of): string => hash('sha256', CanonicalJson::of(array_map(strval(...), $of)));
    expect(Sealed::Record->digest($id))
        ->toBe($digest($row))
        ->and(Sealed::Record->digest($id))
        ->toBe(Seal::query()->where('kind', 'record')->where('subject_id', $id)->value('content'));
    foreach ($columns as $column) {
        expect($digest([$column => 'x'] + $row))->not->toBe($digest($row), $column);
    }
});

it('tells a link that was made without the key, and one that does not follow on the one before', function () {
    $crew = Crew::query()->firstOrFail();
    $last = app(Chain::class)->last($crew->id);
    $link = [
        'crew_id' => $crew->id,
        'seq' => $last->seq + 2,
        'kind' => 'photo-dropped',
        'subject_id' => '0198c1d2-7e4a-7b3c-8f10-2a9b6d5e4c31',
        'content' => str_repeat('0', 64),
        'prev_hash' => $last->hash,
        'sealed_at' => '2026-09-03 10:00:00',
    ];
    Seal::create($link + ['hash' => (new SealKey('another secret'))->link($link)]);
    expect(array_unique(brokenSeals()))->toEqualCanonicalizing(['order', 'forged', 'changed']);
});

it('tells a record, a look-back and a picture that were put in by hand', function () {
    $record = Record::query()->firstOrFail();
    $copy = $record->replicate(['id']);
    $copy
        ->fill([
            'id' => '0198c1d2-7e4a-7b3c-8f10-2a9b6d5e4c31',
            'seq' => 990,
            'patch_id' => DB::table('patches')->where('id', '!=', $record->patch_id)->value('id'),
        ])
        ->save();
    DB::table('look_backs')->insert([
        'id' => '0198c1d2-7e4a-7b3c-8f10-2a9b6d5e4c32',
        'record_id' => $record->id,
        'looked_on' => '2026-09-01',
        'scored' => 1,
        'body' => '{}',
        'made_by' => App\Models\User::query()->value('id'),
    ]);
    expect(brokenSeals())->toBe(['unsealed', 'unsealed']);
    $this->as();
    expect(
        $this->api('GET', "/records/{$copy->id}")
            ->assertOk()
            ->json('seal.state'),
    )->toBe('missing');
});

it('shows a body that cannot be read as broken, everywhere, and takes it as anything put there', function () {
    $this->as();
    $record = Record::query()->firstOrFail();
    $copy = $record->replicate(['id']);
    $copy
        ->fill([
            'id' => '0198c1d2-7e4a-7b3c-8f10-2a9b6d5e4c31',
            'seq' => 990,
            'patch_id' => Record::query()->where('id', '!=', $record->id)->value('patch_id'),
            'body' => '{"activesPerArea": [{"active"',
        ])
        ->save();
    app(Chain::class)->add($record->crew_id, Sealed::Record, $copy->id);
    $this->api('GET', "/records/{$copy->id}")
        ->assertOk()
        ->assertJsonPath('seal.state', 'broken')
        ->assertJsonPath('body', []);
    $this->api('GET', '/today')->assertOk();
    // nobody knows what it put on this ground: the ceiling of a step there cannot be told, and that blocks
    $step = maples($this);
    $copy2 = $copy->replicate(['id']);
    $copy2
        ->fill([
            'id' => '0198c1d2-7e4a-7b3c-8f10-2a9b6d5e4c33',
            'seq' => 991,
            'patch_id' => $step->patch_id,
            'worked_on' => '2026-05-05',
        ])
        ->save();
    expect(
        array_column(
            $this->api('GET', '/stands/' . $this->standId('norway-maple') . '/gates')
                ->assertOk()
                ->json('gates'),
            'code',
        ),
    )->toContain('ceiling');
});

it('tells a picture whose file was changed or is gone, and lets one be taken away by who may', function () {
    $this->as();
    $photo = Photo::query()->firstOrFail();
    $file = app(PhotoStore::class)->path($photo->file, 'full');
    $kept = file_get_contents($file);
    try {
        file_put_contents($file, 'x', FILE_APPEND);
        expect(brokenSeals())->toBe(['file-changed']);
        rename($file, "{$file}.away");
        expect(brokenSeals())->toBe(['file-gone']);
    } finally {
        @unlink("{$file}.away");
        file_put_contents($file, $kept);
    }
    $thumb = app(PhotoStore::class)->path($photo->file, 'thumb');
    $small = file_get_contents($thumb);
    $this->api('DELETE', "/photos/{$photo->id}")->assertOk();
    expect(brokenSeals())
        ->toBe([])
        ->and(Seal::query()->where('kind', 'photo-dropped')->where('subject_id', $photo->id)->exists())
        ->toBeTrue();
    expect(is_file($file))->toBeFalse();
    // the row comes back when the test is over, so its files do too
    file_put_contents($file, $kept);
    file_put_contents($thumb, $small);
});

it('gives a head to be kept outside, by which newest links that were taken away are missed', function () {
    $this->as();
    $head = $this->api('GET', '/seal')->assertOk()->json();
    expect(brokenSeals($head))
        ->toBe([])
        ->and(brokenSeals(['seq' => $head['seq'] - 1] + $head))
        ->toBe(['head-forged'])
        ->and(brokenSeals(['signature' => 'x'] + $head))
        ->toBe(['head-forged']);
    $key = app(SealKey::class);
    $later = array_diff_key(['seq' => $head['seq'] + 1, 'hash' => str_repeat('a', 64)] + $head, ['signature' => 1]);
    expect(brokenSeals($later + ['signature' => $key->sign($later)]))->toBe(['cut']);
    $other = array_diff_key(['hash' => str_repeat('a', 64)] + $head, ['signature' => 1]);
    expect(brokenSeals($other + ['signature' => $key->sign($other)]))->toBe(['other-chain']);
    // anybody can check it with the public key alone
    $plain = array_diff_key($head, ['signature' => 1]);
    expect(
        sodium_crypto_sign_verify_detached(
            base64_decode($head['signature']),
            CanonicalJson::of($plain),
            base64_decode($head['publicKey']),
        ),
    )->toBeTrue();
});

it('verifies on the console: 0 where all is whole, 1 where not, 2 for a head nobody can read', function () {
    $this->artisan('thicket:verify')->expectsOutputToContain('all whole')->assertExitCode(0);
    $file = tempnam(sys_get_temp_dir(), 'head');
    file_put_contents($file, 'x');
    $this->artisan("thicket:verify --head={$file}")->assertExitCode(2);
    file_put_contents($file, json_encode(app(Chain::class)->head(Crew::query()->firstOrFail())));
    $this->artisan("thicket:verify --head={$file}")->assertExitCode(0);
    DB::table('look_backs')->insert([
        'id' => '0198c1d2-7e4a-7b3c-8f10-2a9b6d5e4c32',
        'record_id' => Record::query()->value('id'),
        'looked_on' => '2026-09-01',
        'scored' => 1,
        'body' => '{}',
        'made_by' => App\Models\User::query()->value('id'),
    ]);
    $this->artisan('thicket:verify')->expectsOutputToContain('never sealed')->assertExitCode(1);
    unlink($file);
});
