<?php

declare(strict_types=1);

use App\Models\User;
use App\Repositories\KeptWork;
use Illuminate\Support\Facades\DB;
use Tests\AppTestCase;

/** @return int queries of a reading, the session's and the sign-in's left out */
function queriesOf(AppTestCase $t, string $path, array $headers = []): int
{
    DB::flushQueryLog();
    DB::enableQueryLog();
    $t->api('GET', $path, [], $headers)->assertOk();
    $log = array_filter(
        DB::getQueryLog(),
        static fn(array $one): bool => preg_match('/(from|into|update) `(sessions|users)`/', $one['query']) === 0,
    );
    DB::disableQueryLog();

    return count($log);
}

beforeEach(fn() => config(['cache.stores.answers' => ['driver' => 'array']]));

it('judges a board with at most ten queries, and answers again without any but the turn of the crew', function () {
    $this->as();
    $stand = $this->standId('norway-maple');
    // the first look of the minute reads the Shed too
    $this->api('GET', "/stands/{$stand}/board")->assertOk();
    expect(queriesOf($this, "/stands/{$stand}/board", ['Cache-Control' => 'no-cache']))
        ->toBeLessThanOrEqual(10)
        ->and(queriesOf($this, "/stands/{$stand}/board"))
        ->toBeLessThanOrEqual(1)
        ->and(queriesOf($this, '/today', ['Cache-Control' => 'no-cache']))
        ->toBeLessThanOrEqual(29);
});

it('says 304 to who has the answer, and works it out anew once somebody of the crew has written', function () {
    $this->as();
    $stand = $this->standId('norway-maple');
    $board = "/stands/{$stand}/board";
    $first = $this->api('GET', $board)->assertOk();
    $tag = (string) $first->headers->get('ETag');
    expect($tag)->toStartWith('W/"');
    $this->api('GET', $board, [], ['If-None-Match' => $tag])
        ->assertStatus(304)
        ->assertContent('');
    // asked so that nothing kept is taken
    $this->api('GET', $board, [], ['If-None-Match' => $tag, 'Cache-Control' => 'no-cache'])->assertOk();
    // a refused write changes nothing, a kept one does
    $this->api('PUT', "/stands/{$stand}/tally", ['rows' => [['diameter' => 'thick', 'count' => 5]]])->assertStatus(422);
    $this->api('GET', $board, [], ['If-None-Match' => $tag])->assertStatus(304);
    $hours = static fn($answer): array => array_column(array_column($answer->json('rows'), 'measures'), 'hours');
    $this->api('PUT', "/stands/{$stand}/tally", ['rows' => [['diameter' => '2 in', 'count' => 7]]])->assertOk();
    $after = $this->api('GET', $board, [], ['If-None-Match' => $tag])->assertOk();
    expect($after->headers->get('ETag'))->not->toBe($tag)->and($hours($after))->not->toBe($hours($first));
    // a look at another day, or by another school, is another answer
    expect($this->api('GET', "{$board}?date=2027-05-10")->json('date'))->toBe('2027-05-10');
});

it('keeps answers for who asked alone', function () {
    $this->as('cleo');
    $stand = $this->standId('norway-maple');
    $tag = (string) $this->api('GET', "/stands/{$stand}/board")
        ->assertOk()
        ->headers->get('ETag');
    $this->as();
    $this->api('GET', "/stands/{$stand}/board", [], ['If-None-Match' => $tag])->assertOk();
});

it('neither keeps nor takes anything while it writes', function () {
    $this->as();
    $crew = User::query()->where('email', 'ada@alderbrook.example')->firstOrFail()->crew;
    $kept = app(KeptWork::class);
    $made = 0;
    $work = function () use (&$made): stdClass {
        ++$made;

        return new stdClass();
    };
    $kept->of('a', $crew, $work);
    $kept->of('a', $crew, $work);
    expect($made)->toBe(1);
    // as a write does: what it sees may never be committed
    $kept->pause();
    $kept->of('a', $crew, $work);
    $kept->of('b', $crew, $work);
    expect($made)->toBe(3);
    app()->forgetScopedInstances();
    $after = app(KeptWork::class);
    $after->of('a', $crew, $work);
    $after->of('b', $crew, $work);
    expect($made)->toBe(4);
    // and every write does so
    $this->api('PUT', '/stands/' . $this->standId('norway-maple') . '/tally', [
        'rows' => [['diameter' => '2 in', 'count' => 4]],
    ])->assertOk();
    app(KeptWork::class)->of('c', $crew, $work);
    app(KeptWork::class)->of('c', $crew, $work);
    expect($made)->toBe(6);
});
