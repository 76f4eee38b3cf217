<?php

declare(strict_types=1);

use App\Exceptions\Stopped;
use App\Http\Middleware\BodyLimit;
use App\Models\Ground;
use App\Models\Paper;
use App\Models\Patch;
use App\Models\User;
use App\Support\Address;
use App\Support\PasswordStrength;
use App\Support\Tries;
use Illuminate\Contracts\Debug\ExceptionHandler;
use Illuminate\Support\Facades\Route;
use Symfony\Component\Process\Process;
use Thicket\Input\Refused;

it('folds an address to one form, and leaves letters with an accent alone', function (string $typed, string $kept) {
    expect(Address::folded($typed))->toBe($kept);
})->with([
    'capitals' => ['Ada@Alderbrook.Example', 'ada@alderbrook.example'],
    'spaces' => ["  ada@alderbrook.example\t", 'ada@alderbrook.example'],
    'wide letters' => ["\u{FF21}da@alderbrook.example", 'ada@alderbrook.example'],
    'an accent in two parts' => ["bra\u{0300}m@alderbrook.example", "br\u{00E0}m@alderbrook.example"],
    'an accent' => ["br\u{00E0}m@alderbrook.example", "br\u{00E0}m@alderbrook.example"],
    'a kelvin sign' => ["\u{212A}it@alderbrook.example", 'kit@alderbrook.example'],
]);

it('takes a password that is hard to guess', function (string $password) {
    expect(
        PasswordStrength::fault($password, ['Ada Thornbury', 'ada@alderbrook.example', 'Alderbrook Trust']),
    )->toBeNull();
})->with([
    'nine grey barrows',
    'Zk4-vu9Qp!2mW',
    'heron ladle quartz',
    'ada keeps nine grey barrows',
    str_repeat('wobbly larch ', 9),
]);

it('refuses one that is short, long, common, a pattern or the person\'s own, and says what would do', function (
    string $password,
) {
    expect(
        PasswordStrength::fault($password, ['Ada Thornbury', 'ada@alderbrook.example', 'Alderbrook Trust']),
    )->toContain('words');
})->with([
    'eleven letters' => ['nine barrow'],
    '129 letters' => [str_repeat('ab cd ef!', 15)],
    'ten equal letters' => ['aaaaaaaaaa'],
    'twelve equal letters' => ['aaaaaaaaaaaa'],
    'two letters' => ['abababababab'],
    'an alphabet' => ['abcdefghijklm'],
    'a keyboard row back' => ['poiuytrewqpoiu'],
    'figures' => ['123456789012'],
    'common' => ['Password1234'],
    'common in disguise' => ['P4$$w0rd!!!!'],
    'common twice' => ['dragondragon'],
    'made of common ones' => ['summer-dragon-2026'],
    'the old example' => ['correcthorsebatterystaple'],
    'own name' => ['thornbury123'],
    'own crew' => ['Alderbrook 1'],
    'the demo\'s' => ['gallant-thicket'],
]);

it('reads the whole of a long password', function () {
    $long = str_repeat('wobbly larch ', 8);
    $hash = Illuminate\Support\Facades\Hash::make("{$long}one");
    expect(strlen($long))
        ->toBeGreaterThan(72)
        ->and(Illuminate\Support\Facades\Hash::check("{$long}two", $hash))
        ->toBeFalse()
        ->and(Illuminate\Support\Facades\Hash::check("{$long}one", $hash))
        ->toBeTrue();
});

it('leaves nothing of a write whose process died, neither half of it nor its key', function () {
    $this->as();
    $user = User::query()->where('email', 'ada@alderbrook.example')->firstOrFail();
    $body = [
        'name' => 'Keyfield',
        'latitude' => '44.1',
        'longitude' => '-71.2',
        'elevation' => '690 ft',
        'timeZone' => 'Etc/GMT+5',
    ];
    $key = 'died-' . bin2hex(random_bytes(6));
    $dying = new Process(['php', __DIR__ . '/fixtures/write-and-die.php', $user->id, $key, json_encode($body)]);
    $dying->start();
    $dying->waitUntil(static fn(string $type, string $text): bool => str_contains($text, 'half done'));
    $dying->signal(SIGKILL);
    $dying->wait();
    expect(Ground::query()->where('name', 'Half kept')->exists())->toBeFalse();
    $first = $this->api('POST', '/grounds', $body, ['Idempotency-Key' => $key])->assertCreated();
    expect($first->headers->get('Idempotent-Replay'))->toBeNull();
    $again = $this->api('POST', '/grounds', $body, ['Idempotency-Key' => $key])->assertCreated();
    expect($again->headers->get('Idempotent-Replay'))
        ->toBe('true')
        ->and($again->json('id'))
        ->toBe($first->json('id'))
        ->and($again->headers->get('ETag'))
        ->toBe($first->headers->get('ETag'));
});

it('takes a tag that came back weak, or among others, for the same version', function (string $form, int $status) {
    $this->as();
    $patch = (string) Patch::query()->value('id');
    $revision = $this->api('GET', "/patches/{$patch}")->json('revision');
    $this->api(
        'PATCH',
        "/patches/{$patch}",
        ['name' => 'Named again'],
        ['If-Match' => str_replace('N', (string) $revision, $form)],
    )->assertStatus($status);
})->with([
    'as sent' => ['"N"', 200],
    'weak' => ['W/"N"', 200],
    'one of several' => ['"999", W/"N"', 200],
    'another' => ['"999"', 412],
    'bare' => ['N', 412],
    'any' => ['*', 412],
]);

it('believes what a proxy says of where somebody is only if it is one of ours', function (
    ?string $trusted,
    string $from,
) {
    config(['trustedproxy.proxies' => $trusted]);
    $seen = null;
    Route::get('api/v1/where', static function (Illuminate\Http\Request $request) use (&$seen): string {
        $seen = $request->ip();

        return '';
    });
    $this->call(
        'GET',
        '/api/v1/where',
        [],
        [],
        [],
        ['REMOTE_ADDR' => '10.0.0.7', 'HTTP_X_FORWARDED_FOR' => '203.0.113.9'],
    );
    expect($seen)->toBe($from);
})->with([
    'none trusted' => [null, '10.0.0.7'],
    'another trusted' => ['10.0.0.8', '10.0.0.7'],
    'this one' => ['10.0.0.7', '203.0.113.9'],
    'one of two' => ['10.0.0.6,10.0.0.7', '203.0.113.9'],
]);

it('counts an account over all addresses, but not against an address it is known from', function () {
    config(['thicket.sign_in_tries_per_account' => 4]);
    $tries = new Tries();
    $wrong = static fn(string $from): int => tried(
        static fn() => $tries->signIn('ida@alderbrook.example', $from, static fn(): ?string => null),
    );
    $right = static fn(string $from): int => tried(
        static fn() => $tries->signIn('ida@alderbrook.example', $from, static fn(): string => 'in'),
    );
    expect($right('192.0.2.1'))
        ->toBe(200)
        ->and([$wrong('192.0.2.2'), $wrong('192.0.2.3'), $wrong('192.0.2.4'), $wrong('192.0.2.5')])
        ->toBe([422, 422, 422, 422])
        ->and($right('192.0.2.6'))
        ->toBe(429)
        ->and($right('192.0.2.1'))
        ->toBe(200);
});

it('writes down who came in, was refused, changed a right or carried something out, and no secret', function () {
    @unlink($file = storage_path('logs/security-' . date('Y-m-d') . '.log'));
    $this->api('POST', '/session', ['email' => 'Ada@alderbrook.example', 'password' => 'no such secret'])->assertStatus(
        422,
    );
    $this->as('cleo')
        ->api('PATCH', '/shed/choices', ['stance' => 'any'])
        ->assertStatus(403);
    $this->as();
    $this->api('POST', '/shed/people', ['name' => 'Wren Mossgrove'])->assertCreated();
    $this->api('GET', '/sightings.csv')->assertOk();
    $lines = array_map(
        static fn(string $l): array => json_decode($l, true, 16, JSON_THROW_ON_ERROR),
        file($file) ?: [],
    );
    expect(array_column($lines, 'message'))
        ->toBe(['sign-in refused', 'refused', 'person added', 'exported'])
        ->and($lines[0]['context']['account'])
        ->toBe('ada@alderbrook.example')
        ->and($lines[1]['context'])
        ->toMatchArray(['status' => 403, 'asked' => 'PATCH api/v1/shed/choices'])
        ->and((string) file_get_contents($file))
        ->not->toContain('no such secret')
        ->not->toContain('Wren');
    expect(decoct(fileperms($file) & 0o777))->toBe('600');
});

it('keeps what was refused as it should be out of the log of our own faults', function () {
    $handler = app(ExceptionHandler::class);
    foreach (
        [
            new Stopped(409, 'x'),
            Refused::at('/x', 'x'),
            new Illuminate\Auth\AuthenticationException(),
            new Illuminate\Database\DeadlockException('x'),
        ]
        as $expected
    ) {
        expect($handler->shouldReport($expected))->toBeFalse();
    }
    expect($handler->shouldReport(new RuntimeException('a fault of ours')))
        ->toBeTrue()
        ->and(config('logging.default'))
        ->toBe('daily');
});

it('begins no queue of PDFs that nobody would wait for, and never gives up on one for what died', function () {
    $this->as();
    $user = User::query()->where('email', 'ada@alderbrook.example')->firstOrFail();
    [$first, $second] = App\Models\Sheet::query()->orderBy('number')->pluck('id')->all();
    $waiting = static fn(int $n): Paper => Paper::create([
        'crew_id' => $user->crew_id,
        'asked_by' => $user->id,
        'kind' => 'sheet',
        'name' => 'x.pdf',
        'digest' => str_pad((string) $n, 64, '0'),
        'state' => 'waiting',
    ]);
    array_map($waiting, range(1, 4));
    $this->api('POST', '/papers', ['kind' => 'sheet', 'of' => $first])->assertStatus(202);
    $waiting(5);
    $late = $this->api('POST', '/papers', ['kind' => 'sheet', 'of' => $second])->assertStatus(429);
    expect($late->headers->get('Retry-After'))->toBe('5');
    // what was made already is given at once, however many wait
    $this->api('POST', '/papers', ['kind' => 'sheet', 'of' => $first])
        ->assertStatus(202)
        ->assertJsonPath('state', 'ready');
    // those that a worker died over have failed after ten minutes, and hold nobody up
    Paper::query()
        ->where('state', 'waiting')
        ->update(['created_at' => now()->subMinutes(11)]);
    $this->api('POST', '/papers', ['kind' => 'sheet', 'of' => $second])->assertStatus(202);
    expect(Paper::query()->where('state', 'failed')->count())->toBe(5);
});

it('has nginx hold the same limits as the application', function () {
    $template = (string) file_get_contents(base_path('deploy/nginx.conf.template'));
    $bytes = static fn(string $size): int => (int) $size * (str_ends_with($size, 'k') ? 1024 : 1_000_000);
    preg_match('/^    client_max_body_size (\d+[km]);/m', $template, $all);
    expect($bytes($all[1]))->toBe(config('thicket.body_limit_bytes'));
    preg_match_all('/location ~ \^\/(\S+)\$ \{ client_max_body_size (\d+[km]);/', $template, $found, PREG_SET_ORDER);
    foreach (
        [
            'api/v1/sightings/x/photos',
            'api/v1/grounds/x/imports',
            'api/v1/grounds/x/imports/preview',
            'api/v1/outlines',
            'api/v1/stands/x/tally/csv',
        ]
        as $path
    ) {
        $here = array_values(array_filter($found, static fn(array $f): bool => preg_match("#^{$f[1]}$#", $path) === 1));
        // nginx stops at the first that fits, and never before the application would
        expect($here)
            ->not->toBe([], $path)
            ->and($bytes($here[0][2]))
            ->toBeGreaterThanOrEqual(BodyLimit::most($path), $path);
    }
});

/** The status that an attempt would be answered with. */
function tried(Closure $attempt): int
{
    try {
        return $attempt() === null ? 422 : 200;
    } catch (Stopped $e) {
        return $e->status;
    }
}
