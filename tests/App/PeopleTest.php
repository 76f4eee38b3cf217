<?php

declare(strict_types=1);

use App\Models\Crew;
use App\Models\Invite;
use App\Models\PasswordReset;
use App\Models\Person;
use App\Models\User;
use App\Repositories\OpenSessions;
use App\Resources\TrailResource;
use App\Support\SecondFactor;
use Base32\Base32;
use Illuminate\Mail\Transport\ArrayTransport;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use Otp\Otp;
use Symfony\Component\Mailer\SentMessage;
use Symfony\Component\Mime\Email;

/** As somebody whom the browser does not know. */
function nobody(Tests\AppTestCase $t): void
{
    $t->flushSession();
    app('auth')->forgetGuards();
}

/** @return Illuminate\Support\Collection<int, Email> what was mailed */
function letters(): Illuminate\Support\Collection
{
    $transport = app('mail.manager')->mailer('array')->getSymfonyTransport();
    assert($transport instanceof ArrayTransport);

    return collect($transport->messages())->map(
        static fn(SentMessage $sent): Email => Email::class === $sent->getOriginalMessage()::class
            ? $sent->getOriginalMessage()
            : throw new LogicException('no letter'),
    );
}

function ada(): User
{
    return User::query()->where('email', 'ada@alderbrook.example')->firstOrFail();
}

/** What a phone with that secret shows, so many steps from now. */
function shown(string $secret, int $step = 0): string
{
    return (string) (new Otp())->hotp(Base32::decode($secret), intdiv(time(), 30) + $step);
}

it('takes the codes of RFC 6238, a step early or late, and none twice', function () {
    // appendix B, SHA-1: the last six of eight figures
    $secret = Base32::encode('12345678901234567890');
    expect(SecondFactor::step($secret, '287082', 59, null))
        ->toBe(1)
        ->and(SecondFactor::step($secret, '081 804', 1111111109, null))
        ->toBe(37037036)
        ->and(SecondFactor::step($secret, '287082', 59 + 30, null))
        ->toBe(1)
        ->and(SecondFactor::step($secret, '287082', 59 + 60, null))
        ->toBeNull()
        ->and(SecondFactor::step($secret, '287082', 59, 1))
        ->toBeNull()
        ->and(SecondFactor::step($secret, '287083', 59, null))
        ->toBeNull();
});

it('asks a code beside the password once a phone is set up, and takes a recovery code once', function () {
    $this->as();
    $this->api('PUT', '/me/second-factor', ['code' => '123456'])->assertStatus(409);
    $secret = $this->api('POST', '/me/second-factor')->assertCreated()->json('secret');
    // not asked before the phone has shown that it knows it
    expect($this->api('GET', '/me')->json('secondFactor.on'))->toBeFalse();
    $this->api('PUT', '/me/second-factor', ['code' => '000000'])
        ->assertStatus(422)
        ->assertJsonPath('errors.0.pointer', '/code');
    $codes = $this->api('PUT', '/me/second-factor', ['code' => shown($secret)])
        ->assertOk()
        ->json('codes');
    expect($codes)->toHaveCount(10);
    $this->api('POST', '/me/second-factor')->assertStatus(409);

    $come = function (?string $code) {
        nobody($this);

        return $this->api(
            'POST',
            '/session',
            ['email' => 'ada@alderbrook.example', 'password' => 'thicket-demo'] +
                ($code === null ? [] : ['code' => $code]),
        );
    };
    $come(null)->assertStatus(422)->assertJsonPath('errors.0.pointer', '/code');
    // the code of setting up was taken: its step is over
    $come(shown($secret))->assertStatus(422);
    $come(shown($secret, 1))->assertOk()->assertJsonPath('user.name', 'Ada Thornbury');
    $come(shown($secret, 1))->assertStatus(422);
    $come(strtoupper(strtr($codes[3], ['-' => ' '])))->assertOk();
    $come($codes[3])->assertStatus(422);
    // a wrong password is told as one, code or not
    nobody($this);
    $this->api('POST', '/session', [
        'email' => 'ada@alderbrook.example',
        'password' => 'no such secret',
        'code' => $codes[4],
    ])->assertJsonPath('errors.0.pointer', '/password');

    $this->as();
    expect($this->api('GET', '/me')->json('secondFactor.recoveryCodes'))->toBe(9);
    $new = $this->api('POST', '/me/recovery-codes')->assertCreated()->json('codes');
    $come($codes[5])->assertStatus(422);
    $come($new[0])->assertOk();
    $this->as();
    expect($this->api('DELETE', '/me/second-factor')->assertOk()->json('secondFactor.on'))->toBeFalse();
    $come(null)->assertOk();
    // kept so that who reads the database has neither secret nor code
    expect(DB::table('users')->whereNotNull('second_factor')->count())->toBe(0);
});

it('tells by letter that what guards an account was changed, an address at the one of before', function () {
    config(['mail.default' => 'array']);
    $this->as();
    $told = static function (string ...$parts): void {
        $letter = letters()->last();
        expect(letters()->count())
            ->toBe(1)
            ->and($letter?->getTo()[0]->getAddress())
            ->toBe(array_shift($parts))
            ->and($letter?->getTextBody())
            ->toContain(...$parts);
        app('mail.manager')->mailer('array')->getSymfonyTransport()->flush();
    };
    $this->api('PATCH', '/me', ['name' => 'Ada T.', 'email' => 'ada@alderbrook.example'])->assertOk();
    expect(letters())->toHaveCount(0);
    $this->api('PATCH', '/me', ['name' => 'Ada T.', 'email' => 'ada@elsewhere.example'])->assertOk();
    $told('ada@alderbrook.example', 'Ada T.', 'the e-mail address of your account', 'tell a lead of your crew now');
    $this->api('PUT', '/me/password', ['current' => 'thicket-demo', 'password' => 'nine grey barrows'])->assertOk();
    $told('ada@elsewhere.example', 'the password of your account', config('app.url') . '/forgotten.');
    $this->api('PATCH', '/session', ['locale' => 'es'])->assertOk();
    $secret = $this->api('POST', '/me/second-factor')->json('secret');
    expect(letters())->toHaveCount(0);
    $this->api('PUT', '/me/second-factor', ['code' => shown($secret)])->assertOk();
    $told('ada@elsewhere.example', 'se activó un segundo factor', '/forgotten.');
    $this->api('POST', '/me/recovery-codes')->assertCreated();
    $told('ada@elsewhere.example', 'códigos de respaldo');
    $this->api('DELETE', '/me/second-factor')->assertOk();
    $told('ada@elsewhere.example', 'se quitó el segundo factor');
    // nothing is taken off where nothing was on
    $this->api('DELETE', '/me/second-factor')->assertOk();
    expect(letters())->toHaveCount(0);
});

it('lists where one is signed in, and ends one or all but this', function () {
    $this->as();
    foreach (['a phone', 'an old laptop'] as $agent) {
        DB::table('sessions')->insert([
            'id' => "secret of {$agent}",
            'user_id' => ada()->id,
            'user_agent' => $agent,
            'ip_address' => '192.0.2.7',
            'payload' => '',
            'last_activity' => time(),
        ]);
    }
    DB::table('sessions')->insert([
        'id' => 'of another',
        'user_id' => User::query()->where('email', 'bram@alderbrook.example')->value('id'),
        'payload' => '',
        'last_activity' => time(),
    ]);
    $sessions = collect($this->api('GET', '/me')->json('sessions'));
    expect($sessions->pluck('agent')->all())
        ->toContain('a phone', 'an old laptop')
        // the id of a session is its secret
        ->and($sessions->pluck('id')->implode(' '))
        ->not->toContain('secret of');
    $this->api('DELETE', '/me/sessions/' . $sessions->firstWhere('agent', 'a phone')['id'])->assertOk();
    expect(DB::table('sessions')->pluck('id')->all())
        ->not->toContain('secret of a phone')
        ->toContain('secret of an old laptop');
    $this->api('DELETE', '/me/sessions/' . str_repeat('0', 32))->assertNotFound();
    $this->api('DELETE', '/me/sessions')->assertOk();
    expect(DB::table('sessions')->pluck('id')->all())
        ->not->toContain('secret of an old laptop')
        ->toContain('of another');
});

it('changes name, address and password, and ends all other sessions with the password', function () {
    $this->as();
    $this->api('PATCH', '/me', ['name' => 'Ada T.', 'email' => 'bram@alderbrook.example'])
        ->assertStatus(422)
        ->assertJsonPath('errors.0.pointer', '/email');
    $this->api('PATCH', '/me', ['name' => 'Ada T.', 'email' => 'Ada@Elsewhere.example'])
        ->assertOk()
        ->assertJsonPath('email', 'ada@elsewhere.example');
    $this->flushSession();
    $this->actingAs(User::query()->where('email', 'ada@elsewhere.example')->firstOrFail(), 'web');
    // without the password given a moment ago no other address
    $this->api('PATCH', '/me', ['name' => 'Ada', 'email' => 'ada@alderbrook.example'])
        ->assertStatus(403)
        ->assertJsonPath('needs', 'password');
    $this->api('PATCH', '/me', ['name' => 'Ada', 'email' => 'ada@elsewhere.example'])->assertOk();
    DB::table('sessions')->insert([
        'id' => 'whoever had the old one',
        'user_id' => User::query()->where('email', 'ada@elsewhere.example')->value('id'),
        'payload' => '',
        'last_activity' => time(),
    ]);
    $put = fn(string $current, string $new) => $this->api('PUT', '/me/password', [
        'current' => $current,
        'password' => $new,
    ]);
    $put('not it at all', 'nine grey barrows')->assertStatus(422)->assertJsonPath('errors.0.pointer', '/current');
    $put('thicket-demo', 'password1234')->assertStatus(422)->assertJsonPath('errors.0.pointer', '/password');
    $put('thicket-demo', 'nine grey barrows')->assertOk();
    expect(DB::table('sessions')->where('id', 'whoever had the old one')->exists())->toBeFalse();
});

it('gives tokens that read, or write within their owner\'s role, and manage nobody', function () {
    $this->as();
    $give = fn(array $body) => $this->api('POST', '/me/tokens', $body);
    $reads = $give(['name' => 'a table'])
        ->assertCreated()
        ->json();
    $writes = $give(['name' => 'a logger', 'writes' => true, 'days' => 30])
        ->assertCreated()
        ->json('token');
    expect($reads['tokens'][0])
        ->toMatchArray(['name' => 'a table', 'writes' => false])
        ->and($this->api('GET', '/me')->json())
        ->not->toHaveKey('token');
    $by = function (string $token, string $method, string $path, array $body = []) {
        nobody($this);
        $answer = $this->call(
            $method,
            "/api/v1{$path}",
            [],
            [],
            [],
            [
                'HTTP_AUTHORIZATION' => "Bearer {$token}",
                'HTTP_ACCEPT' => 'application/json',
                'CONTENT_TYPE' => 'application/json',
                'HTTP_REFERER' => '',
            ],
            (string) json_encode((object) $body),
        );
        app('auth')->forgetGuards();

        return $answer->getStatusCode();
    };
    $ground = [
        'name' => 'By script',
        'latitude' => '44.1',
        'longitude' => '-71.2',
        'elevation' => '690 ft',
        'timeZone' => 'Etc/GMT+5',
    ];
    expect([
        $by($reads['token'], 'GET', '/today'),
        $by($reads['token'], 'POST', '/grounds', $ground),
        $by($writes, 'POST', '/grounds', $ground),
        $by($writes, 'GET', '/me'),
        $by($writes, 'PATCH', '/crew', []),
        $by($writes, 'DELETE', '/session'),
        $by('1|no such token at all', 'GET', '/today'),
    ])->toBe([200, 403, 201, 403, 403, 403, 401]);
    $this->as('cleo');
    $give(['name' => 'more than I may', 'writes' => true])
        ->assertStatus(422)
        ->assertJsonPath('errors.0.pointer', '/writes');
    $this->as();
    $this->api('DELETE', '/me/tokens/' . $reads['tokens'][0]['id'])->assertOk();
    expect($by($reads['token'], 'GET', '/today'))->toBe(401);
    // what a script did stands on the trail under its owner's name
    $this->as();
    expect($this->api('GET', '/crew/acts')->json('acts.0'))->toMatchArray([
        'who' => 'Ada Thornbury',
        'text' => 'made a ground: By script',
    ]);
});

it('takes somebody in by a link that works once, and mails it where it is told to', function () {
    config(['mail.default' => 'array']);
    $this->as();
    $sage =
        Person::query()->whereNull('user_id')->first() ??
        Person::create(['crew_id' => ada()->crew_id, 'name' => 'Sage Linnet', 'clearances' => ['chainsaw']]);
    $asked = $this->api('POST', '/crew/invites', [
        'role' => 'member',
        'name' => 'Sage',
        'email' => 'sage@alderbrook.example',
        'personId' => $sage->id,
    ])->assertCreated();
    $link = $asked->json('link');
    $token = substr((string) strrchr($link, '/'), 1);
    $letter = letters()->first();
    expect($asked->json('sent'))
        ->toBeTrue()
        ->and($letter?->getSubject())
        ->toBe('Join Alderbrook Valley Trust')
        ->and($letter?->getTextBody())
        ->toContain($link)
        ->and(
            DB::table('invites')
                ->where('token_hash', 'like', "%{$token}%")
                ->exists(),
        )
        ->toBeFalse();
    nobody($this);
    expect(
        $this->api('GET', "/invites/{$token}")
            ->assertOk()
            ->json(),
    )->toBe([
        'crew' => 'Alderbrook Valley Trust',
        'by' => 'Ada Thornbury',
        'role' => 'member',
        'name' => 'Sage',
        'email' => 'sage@alderbrook.example',
    ]);
    $join = fn(string $password, string $email = 'sage@alderbrook.example') => $this->api('POST', "/invites/{$token}", [
        'name' => 'Sage Linnet',
        'email' => $email,
        'password' => $password,
        'locale' => 'es',
    ]);
    $join('alderbrook trust')->assertStatus(422)->assertJsonPath('errors.0.pointer', '/password');
    $join('nine grey barrows', 'ada@alderbrook.example')->assertJsonPath('errors.0.pointer', '/email');
    expect($join('nine grey barrows')->assertCreated()->json('user'))->toMatchArray([
        'name' => 'Sage Linnet',
        'role' => 'member',
        'locale' => 'es',
    ]);
    // the very person of the Shed
    expect($sage->refresh()->user_id)->toBe(User::query()->where('name', 'Sage Linnet')->value('id'));
    nobody($this);
    $join('nine grey barrows', 'other@alderbrook.example')->assertNotFound();
    $this->api('GET', "/invites/{$token}")->assertNotFound();
});

it('takes an invitation back, and lets none in that is over', function () {
    $this->as();
    $first = $this->api('POST', '/crew/invites', ['role' => 'viewer'])->json();
    $second = $this->api('POST', '/crew/invites', ['role' => 'lead'])->json('link');
    $this->api('DELETE', "/crew/invites/{$first['invites'][0]['id']}")->assertOk();
    Invite::query()->update(['expires_at' => now()->subSecond()]);
    nobody($this);
    foreach ([$first['link'], $second] as $link) {
        $this->api('GET', '/invites/' . substr((string) strrchr($link, '/'), 1))->assertNotFound();
    }
});

it('keeps the last lead, changes roles, and lets who leaves see nothing any more', function () {
    $this->as();
    $bram = User::query()->where('email', 'bram@alderbrook.example')->firstOrFail();
    $this->api('PATCH', "/crew/members/{$bram->id}", ['role' => 'member'])->assertOk();
    $this->api('PATCH', '/crew/members/' . ada()->id, ['role' => 'viewer'])->assertStatus(409);
    $this->api('DELETE', '/crew/members/' . ada()->id)->assertStatus(409);
    $bram->createToken('script');
    DB::table('sessions')->insert([
        'id' => 'of bram',
        'user_id' => $bram->id,
        'payload' => '',
        'last_activity' => time(),
    ]);
    $left = $this->api('DELETE', "/crew/members/{$bram->id}")
        ->assertOk()
        ->json('members');
    expect(array_column($left, 'name'))->not->toContain('Bram Quillfeather');
    expect(OpenSessions::of($bram, ''))
        ->toBe([])
        ->and($bram->tokens()->count())
        ->toBe(0)
        // the name stays with what they did
        ->and($bram->refresh()->name)
        ->toBe('Bram Quillfeather')
        ->and($bram->email)
        ->toBeNull();
    nobody($this);
    $this->api('POST', '/session', ['email' => 'bram@alderbrook.example', 'password' => 'thicket-demo'])->assertStatus(
        422,
    );
    $this->as();
    $this->api('PATCH', "/crew/members/{$bram->id}", ['role' => 'lead'])->assertNotFound();
});

it('lets back in who forgot the password, by a letter or by a code that a lead reads out', function () {
    config(['mail.default' => 'array']);
    nobody($this);
    $ask = fn(string $email) => $this->api('POST', '/password-reset', ['email' => $email]);
    // alike whether there is such an account or not
    expect($ask('nobody@alderbrook.example')->assertStatus(202)->json())->toBe($ask('Cleo@alderbrook.example')->json());
    $letters = letters();
    expect($letters)->toHaveCount(1);
    preg_match('#/forgotten/(\w{43})#', (string) $letters->first()?->getTextBody(), $found);
    $put = fn(array $body) => $this->api('PUT', '/password-reset', $body + ['password' => 'nine grey barrows']);
    $put(['token' => str_repeat('x', 43)])
        ->assertStatus(422)
        ->assertJsonPath('errors.0.pointer', '/token');
    $put(['token' => $found[1], 'password' => 'short'])->assertJsonPath('errors.0.pointer', '/password');
    $put(['token' => $found[1]])->assertOk();
    $put(['token' => $found[1]])->assertStatus(422);
    $enter = fn(string $password) => $this->api('POST', '/session', [
        'email' => 'cleo@alderbrook.example',
        'password' => $password,
    ]);
    $enter('nine grey barrows')->assertOk();
    expect(letters())
        ->toHaveCount(2)
        ->and(letters()->last()?->getTextBody())
        ->toContain('the password of your account');

    $this->as();
    $cleo = User::query()->where('email', 'cleo@alderbrook.example')->firstOrFail();
    $code = $this->api('POST', "/crew/members/{$cleo->id}/reset-code")
        ->assertCreated()
        ->json('code');
    nobody($this);
    // only with the address it was given for
    $put(['email' => 'bram@alderbrook.example', 'code' => $code])->assertJsonPath('errors.0.pointer', '/code');
    $put([
        'email' => 'cleo@alderbrook.example',
        'code' => strtoupper($code),
        'password' => 'heron ladle quartz',
    ])->assertOk();
    $enter('heron ladle quartz')->assertOk();
    PasswordReset::create([
        'user_id' => $cleo->id,
        'token_hash' => PasswordReset::hashOfCode('cleo@alderbrook.example', 'abcd-efgh-ijkl'),
        'expires_at' => now()->subSecond(),
    ]);
    nobody($this);
    $put(['email' => 'cleo@alderbrook.example', 'code' => 'abcd-efgh-ijkl'])->assertStatus(422);
});

it('sets the crew, and says what each setting changes and who changed it', function () {
    $this->as();
    $crew = $this->api('GET', '/crew')->assertOk();
    $put = fn(array $body, ?string $match = null) => $this->api('PATCH', '/crew', $body, [
        'If-Match' => $match ?? $this->api('GET', '/crew')->headers->get('ETag'),
    ]);
    $put(['keepYears' => 9], '"0"')->assertStatus(412);
    foreach (
        [
            'keepYears' => 6,
            'doneBelow' => '51',
            'currency' => 'dollars',
            'units' => 'cubits',
            'locale' => 'tlh',
        ]
        as $name => $wrong
    ) {
        $put([$name => $wrong])
            ->assertStatus(422)
            ->assertJsonPath('errors.0.pointer', "/{$name}");
    }
    $told = collect(
        $put([
            'keepYears' => 9,
            'jurisdiction' => 'Rules of the county; ask its weed officer.',
            'doneBelow' => '5',
            'fuelOil' => true,
        ])
            ->assertOk()
            ->json('settings'),
    )->keyBy('name');
    expect($told['keepYears'])
        ->toMatchArray(['value' => '9', 'by' => 'Ada Thornbury'])
        ->and($told['fuelOil']['value'])
        ->toBe('yes')
        ->and($told['units']['by'])
        ->toBeNull()
        ->and($told['jurisdiction']['does'])
        ->toContain('job sheet');
    expect($this->api('GET', '/crew/acts')->json('acts.0'))->toMatchArray([
        'who' => 'Ada Thornbury',
        'text' => 'changed the settings of the crew',
    ]);
    expect(
        collect($this->api('GET', '/crew/acts')->json('acts.0.changes'))->firstWhere(
            'setting',
            'Years that records are kept',
        ),
    )->toBe(['setting' => 'Years that records are kept', 'from' => '7', 'to' => '9']);
    $put(['jurisdiction' => ''])->assertOk();
    expect(Crew::query()->findOrFail($crew->json('id'))->settings)->not->toHaveKey('jurisdiction');
    // printed on the sheet, and reckoned with in the years ahead
    $put(['jurisdiction' => 'Rules of the county; ask its weed officer.'])->assertOk();
    [$stand, $sheet] = issuedTrees($this);
    expect($this->api('GET', "/sheets/{$sheet}")->json('snapshot.jurisdiction'))->toStartWith('Rules of the county');
    $maples = $this->standId('norway-maple');
    $five = $this->api('GET', "/stands/{$maples}/outlook")->json('threshold');
    $put(['doneBelow' => '10'])->assertOk();
    expect($this->api('GET', "/stands/{$maples}/outlook")->json('threshold'))->toBeGreaterThan($five);
});

it('asks for a second hand in crews of three and more', function () {
    $this->as();
    [, $sheet] = issuedTrees($this);
    $sign = fn() => $this->api('POST', "/sheets/{$sheet}/records", [
        'workedOn' => '2026-09-03',
        'start' => '08:00',
        'stop' => '08:40',
        'people' => ['Ada Thornbury'],
        'treated' => 12,
        'mixUsed' => '0.3 L',
        'weather' => 'dry',
        'wind' => '3 mph',
        'temperature' => '68 F',
    ]);
    DB::table('label_card_versions')->update(['confirmed_by' => ada()->id]);
    User::query()
        ->where('email', 'cleo@alderbrook.example')
        ->update(['role' => 'member']);
    $sign()->assertStatus(409);
    $this->api(
        'PATCH',
        '/crew',
        ['oneAlone' => true],
        [
            'If-Match' => $this->api('GET', '/crew')->headers->get('ETag'),
        ],
    )->assertOk();
    $sign()->assertCreated();
});

it('has a sentence for every act that is written down', function () {
    $missing = [];
    foreach (Route::getRoutes()->getRoutes() as $route) {
        $kept = array_intersect(['writes', App\Http\Middleware\KeepsTrail::class], $route->gatherMiddleware()) !== [];
        foreach ($kept ? array_diff($route->methods(), ['HEAD']) : [] as $method) {
            $code = TrailResource::code("{$method} " . substr($route->uri(), strlen('api/v1/')));
            app(App\Text\Sentences::class)->has($code) || ($missing[] = $code);
        }
    }
    expect($missing)->toBe([]);
});

it('pages the trail, and shows nothing of another crew on it', function () {
    $this->as();
    for ($i = 0; $i < 3; ++$i) {
        $this->api('POST', '/shed/tools', ['kind' => 'loppers', 'name' => "Loppers {$i}"])->assertCreated();
    }
    $first = $this->api('GET', '/crew/acts')->json('acts');
    $older = $this->api('GET', "/crew/acts?before={$first[0]['id']}")->json('acts');
    expect($first[0]['text'])
        ->toBe('put a tool into the Shed: Loppers 2')
        ->and($older[0]['text'])
        ->toEndWith('Loppers 1');
    $this->api('GET', '/crew/acts?before=x')->assertStatus(422);
    $other = Crew::create(['name' => 'Elsewhere', 'settings' => []]);
    $odo = User::create([
        'crew_id' => $other->id,
        'role' => 'lead',
        'name' => 'Odo Farrow',
        'email' => 'odo@elsewhere.example',
        'password' => 'nine grey barrows',
    ])->refresh();
    nobody($this);
    $this->actingAs($odo, 'web');
    expect($this->api('GET', '/crew/acts')->json('acts'))->toBe([]);
});

it('gives one all that is kept of oneself, and no secret', function () {
    $this->as();
    $this->api('POST', '/me/second-factor')->assertCreated();
    $this->api('POST', '/shed/tools', ['kind' => 'loppers', 'name' => 'Own loppers'])->assertCreated();
    $data = $this->get('/api/v1/me/data')->assertOk()->json();
    expect($data['account']['email'])
        ->toBe('ada@alderbrook.example')
        ->and(end($data['acts'])['names'])
        ->toBe(['new' => 'Own loppers'])
        ->and(collect($data['hands'])->firstWhere('table', 'records')['as'])
        ->toBe('signed_by')
        ->and((string) json_encode($data))
        ->not->toContain(substr(ada()->password, 0, 20))
        ->not->toContain((string) ada()->second_factor);
});

it('closes a crew: nobody comes in, names and records stay', function () {
    $this->as();
    $records = DB::table('records')->count();
    $crew = ada()->crew;
    $this->api('POST', '/crew/close', ['name' => 'alderbrook'])->assertStatus(422);
    $this->api('POST', '/crew/close', ['name' => $crew->name])
        ->assertOk()
        ->assertJsonPath('user', null);
    expect($crew->refresh()->closed_at)
        ->not->toBeNull()
        ->and(User::query()->here()->where('crew_id', $crew->id)->count())
        ->toBe(0)
        ->and(DB::table('records')->count())
        ->toBe($records)
        ->and(User::query()->where('name', 'Ada Thornbury')->exists())
        ->toBeTrue();
    nobody($this);
    $this->api('POST', '/session', ['email' => 'ada@alderbrook.example', 'password' => 'thicket-demo'])->assertStatus(
        422,
    );
});
