<?php

declare(strict_types=1);

use Thicket\Position\Nmea;

function sentence(string $body): string
{
    return sprintf('$%s*%02X', $body, Nmea::checksum($body));
}

it('reads a position with its quality, dated by the sentence before', function () {
    $nmea = new Nmea('2026-01-01');
    expect($nmea->read(sentence('GPRMC,140509.00,A,4403.0123,N,07124.4567,W,2.1,88.0,030926,,,A')))->toBe([
        'kind' => 'other',
    ]);
    $read = $nmea->read(sentence('GNGGA,140510.50,4403.0123,N,07124.4567,W,1,09,0.9,210.0,M,-30.0,M,,'));
    // 44 + 3.0123/60 and 71 + 24.4567/60
    expect($read['kind'])
        ->toBe('fix')
        ->and($read['fix']->position)
        ->toEqualWithDelta([-71.40761167, 44.050205], 1e-8)
        ->and($read['fix']->dilution)
        ->toBe(0.9)
        ->and($read['fix']->satellites)
        ->toBe(9)
        ->and($read['fix']->at->format('Y-m-d\TH:i:s.v'))
        ->toBe('2026-09-03T14:05:10.500');
});

it('knows the checksum of a sentence as receivers print it', function () {
    expect(
        (new Nmea('2026-01-01'))->read('$GPGGA,123519,4807.038,N,01131.000,E,1,08,0.9,545.4,M,46.9,M,,*47')['kind'],
    )->toBe('fix');
});

it('takes nothing broken for a place', function (string $line, string $kind) {
    expect((new Nmea('2026-01-01'))->read($line)['kind'])->toBe($kind);
})->with([
    'wrong checksum' => ['$GPGGA,123519,4807.038,N,01131.000,E,1,08,0.9,545.4,M,46.9,M,,*48', 'broken'],
    'cut off' => ['$GPGGA,123519,4807.0', 'broken'],
    'noise' => ["\x00\xffhello", 'broken'],
    'no fix' => [sentence('GPGGA,123519,,,,,0,00,,,M,,M,,'), 'no-fix'],
    'warning' => [sentence('GPRMC,123519,V,,,,,,,030926,,,N'), 'no-fix'],
    'minutes above sixty' => [sentence('GPGGA,123519,4867.038,N,01131.000,E,1,08,0.9,545.4,M,46.9,M,,'), 'broken'],
    'no hemisphere' => [sentence('GPGGA,123519,4807.038,X,01131.000,E,1,08,0.9,545.4,M,46.9,M,,'), 'broken'],
    'beyond the pole' => [sentence('GPGGA,123519,9107.038,N,01131.000,E,1,08,0.9,545.4,M,46.9,M,,'), 'broken'],
    'hour 25' => [sentence('GPGGA,253519,4807.038,N,01131.000,E,1,08,0.9,545.4,M,46.9,M,,'), 'broken'],
    'satellites in view' => [sentence('GPGSV,3,1,11'), 'other'],
]);
