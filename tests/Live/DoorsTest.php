<?php

declare(strict_types=1);

use Tests\Live\Field;
use Tests\Live\Visitor;

/* The doors of the running application: in, out, and what is turned away before anybody looks into it. */

it('signs out, and ends the session for good', function () {
    $ada = Visitor::signedIn();
    expect($ada->must(200, 'DELETE', '/session')->json('user'))
        ->toBeNull()
        ->and($ada->call('GET', '/today')->status)
        ->toBe(401)
        ->and($ada->must(200, 'GET', '/session')->json('user'))
        ->toBeNull();
});

it('forgets a confirmed password when somebody signs in, the same person or the next', function (string $next) {
    $browser = Visitor::signedIn();
    $field = Field::ready($browser);
    $browser->must(200, 'POST', '/session', ['email' => "{$next}@alderbrook.example", 'password' => 'thicket-demo']);
    expect($browser->call('POST', "/stands/{$field->stand}/sheets")->json('needs'))->toBe('password');
})->with(['ada', 'bram']);

it(
    'counts wrong tries at an account however its address is written, wherever else it stands, and lets nobody ' .
        'in by it',
    function () {
        $visitor = Visitor::here();
        $guess = static fn(string $email, string $query = '', string $password = 'guess'): int => $visitor->call(
            'POST',
            "/session{$query}",
            ['email' => $email, 'password' => $password],
        )->status;
        expect([
            $guess('cleo@alderbrook.example'),
            $guess('CLEO@alderbrook.example'),
            $guess(' Cleo@Alderbrook.Example '),
            $guess('cleo@alderbrook.example', '?email=x1'),
            $guess('cleo@alderbrook.example', '?email[]=x2'),
            $guess("\u{FF43}leo@alderbrook.example"),
        ])
            ->toBe(array_fill(0, 6, 422))
            ->and($guess('cleo@alderbrook.example', '?email=x3'))
            ->toBe(429)
            ->and($guess('cLEO@alderbrook.example', '', 'thicket-demo'))
            ->toBe(429);
        $late = $visitor->call('POST', '/session', ['email' => 'cleo@alderbrook.example', 'password' => 'guess']);
        expect((int) $late->headers['retry-after'])
            ->toBeBetween(1, 60)
            // another content type is not another count: it is not read at all
            ->and(
                $visitor->call('POST', '/session', 'email=cleo@alderbrook.example&password=guess', [
                    'Content-Type' => 'application/x-www-form-urlencoded',
                ])->status,
            )
            ->toBe(415)
            ->and(
                $visitor->call('POST', '/session', '{"email":"cleo@alderbrook.example","password":"guess"}', [
                    'Content-Type' => 'text/plain',
                ])->status,
            )
            ->toBe(415)
            // a letter with an accent is another letter, so this is nobody
            ->and($guess('bràm@alderbrook.example', '', 'thicket-demo'))
            ->toBe(422);
    },
);

it('shuts nobody out of confirming a password by what others send without one', function () {
    $bram = Visitor::signedIn('bram');
    $stranger = Visitor::here();
    for ($i = 0; $i < 12; ++$i) {
        $stranger->call('POST', '/session', [[], ['email' => ''], ['password' => 'x'], '', '[]'][$i % 5]);
    }
    $bram->must(200, 'POST', '/session/password', ['password' => 'thicket-demo']);
    $tries = array_map(
        static fn(): int => $bram->call('POST', '/session/password', ['password' => 'guess'])->status,
        range(1, 7),
    );
    expect($tries)
        ->toBe([422, 422, 422, 422, 422, 422, 429])
        ->and(Visitor::signedIn()->call('POST', '/session/password', ['password' => 'thicket-demo'])->status)
        ->toBe(200);
});

it('counts many wrong tries sent at once', function () {
    $visitor = Visitor::here();
    $answers = $visitor->together(
        array_fill(0, 12, [
            'POST',
            '/session',
            ['email' => 'nobody.here@alderbrook.example', 'password' => 'guess'],
            [],
        ]),
    );
    $codes = array_count_values(array_map(static fn($a): int => $a->status, $answers));
    expect($codes)->toEqual([422 => 6, 429 => 6]);
});

it('takes as long to turn down an account that is there as one that is not', function () {
    $visitor = Visitor::here();
    $time = static function (string $email) use ($visitor): float {
        $times = [];
        for ($i = 0; $i < 5; ++$i) {
            $times[] = $visitor->call('POST', '/session', ['email' => $email, 'password' => 'guess'])->seconds;
        }

        // the shortest of five: what else the machine does only ever adds
        return min($times);
    };
    $time('warm@alderbrook.example');
    $ratio = $time('bram@alderbrook.example') / $time('nobody.at.all@alderbrook.example');
    expect($ratio)->toBeBetween(0.5, 2.0);
});

it('turns a large body away before it is read, everywhere but where files are brought', function () {
    $visitor = Visitor::here();
    $list = '[' . str_repeat('0,', 2_250_000) . '0]';
    foreach (['/session', '/nowhere/at/all', '/health', '/readings', '/setup'] as $path) {
        $answer = $visitor->call('POST', $path, $list);
        expect([$answer->status, $answer->headers['content-type']])
            ->toBe([413, 'application/problem+json'], $path)
            ->and($answer->seconds)
            ->toBeLessThan(1.0);
    }
    // where files are brought nobody unknown is waited for either
    expect($visitor->call('POST', '/grounds/x/imports', $list)->status)->toBe(401);
    // nor is what they send unfolded: this would take more memory than a worker has
    $folded = $visitor->call('POST', '/grounds/x/imports', '[' . str_repeat('[1],', 3_200_000) . '0]');
    expect([$folded->status, $folded->seconds < 1.0])->toBe([401, true]);
    expect(Visitor::signedIn()->call('POST', '/outlines', '[' . str_repeat('[1],', 3_200_000) . '0]')->status)->toBe(
        413,
    );
    $huge = $visitor->call('POST', '/grounds/x/imports', str_repeat('0', 15_000_000));
    expect([$huge->status, $huge->headers['content-type']])->toBe([413, 'application/problem+json']);
});

it('says of an address or heads that are too long what it says of a body', function () {
    foreach (
        [['/grounds?q=' . str_repeat('x', 40_000), []], ['/grounds', ['X-Long' => str_repeat('x', 40_000)]]]
        as [$path, $heads]
    ) {
        $answer = Visitor::here()->call('GET', $path, null, $heads);
        expect([$answer->status, $answer->headers['content-type'], $answer->json('status')])->toBe([
            400,
            'application/problem+json',
            400,
        ]);
    }
});

it('takes a token that is none for nobody, and another crew\'s or no referer for no fault of ours', function () {
    $visitor = Visitor::here();
    foreach (['Bearer x', 'Bearer 1|x', 'Bearer ', 'Basic eDp4', 'Bearer ' . str_repeat('y', 4000)] as $given) {
        expect($visitor->call('GET', '/today', null, ['Authorization' => $given])->status)->toBe(401, $given);
    }
    $answer = $visitor->call(
        'POST',
        '/session',
        ['email' => 'ada@alderbrook.example', 'password' => 'thicket-demo'],
        ['Referer' => ''],
    );
    expect($answer->status)->toBe(400)->and($answer->headers['content-type'])->toBe('application/problem+json');
});

it('sends every page with the heads that keep it apart', function () {
    foreach (['!/', '/health', '/session'] as $path) {
        $heads = Visitor::here()->call('GET', $path)->headers;
        expect($heads)
            ->toHaveKeys([
                'content-security-policy',
                'permissions-policy',
                'x-content-type-options',
                'cross-origin-opener-policy',
                'referrer-policy',
            ])
            ->and($heads)
            ->not->toHaveKey('x-powered-by')
            ->and($heads['server'] ?? '')
            ->toBe('nginx')
            // told over TLS only, also where a proxy ends it
            ->and($heads)
            ->not->toHaveKey('strict-transport-security')
            ->and(Visitor::here()->call('GET', $path, null, ['X-Forwarded-Proto' => 'https'])->headers)
            ->toHaveKey('strict-transport-security');
    }
});

it('keeps pictures and files out of shared stores', function () {
    $ada = Visitor::signedIn();
    $photos = array_merge(
        ...array_map(static fn(array $s): array => $s['photos'], $ada->must(200, 'GET', '/sightings')->json('data')),
    );
    expect($photos)->not->toBeEmpty();
    $picture = $ada->must(200, 'GET', "/photos/{$photos[0]['id']}/thumb");
    expect($picture->headers['cache-control'])
        ->toContain('private')
        ->not->toContain('public')
        ->and($picture->headers['content-type'])
        ->toBe('image/jpeg')
        ->and(Visitor::here()->call('GET', "/photos/{$photos[0]['id']}/thumb")->status)
        ->toBe(401);
});
