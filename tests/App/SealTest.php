<?php

declare(strict_types=1);

use App\Support\CanonicalJson;
use App\Support\JobClock;

it('writes one canonical form, whatever the order it was given in', function () {
    $one = CanonicalJson::of(['b' => 1, 'a' => ['z' => null, 'y' => [true, 'é/"']], 'empty' => [], 'object' => new stdClass()]);
    expect($one)->toBe('{"a":{"y":[true,"é/\""],"z":null},"b":1,"empty":[],"object":{}}')
        ->and(CanonicalJson::of(['object' => new stdClass(), 'empty' => [], 'a' => ['y' => [true, 'é/"'], 'z' => null], 'b' => 1]))->toBe($one);
});

it('orders keys by UTF-16 as the standard asks, not by bytes', function () {
    // U+FB33 sorts after U+1F600 in UTF-16 (surrogates D83D), before it in UTF-8
    expect(CanonicalJson::of(["\u{FB33}" => 1, "\u{1F600}" => 2]))->toBe("{\"\u{1F600}\":2,\"\u{FB33}\":1}");
});

it('runs the job clock ahead of the real one by the offset, and stands still when frozen', function () {
    $clock = new JobClock(3600);
    expect($clock->now()->getTimestamp() - time())->toBeBetween(3599, 3601);
    $clock->freezeAt('2026-09-03T23:30:00-05:00');
    expect($clock->today('Etc/GMT+5')->format('Y-m-d'))->toBe('2026-09-03')->and($clock->today('UTC')->format('Y-m-d'))->toBe('2026-09-04');
    $clock->thaw();
    expect($clock->now()->getTimestamp())->not->toBe(strtotime('2026-09-03T23:30:00-05:00'));
});
