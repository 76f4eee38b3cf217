<?php

declare(strict_types=1);

use App\Print\SheetMap;
use Symfony\Component\Process\Process;
use Thicket\Measure\System;
use Thicket\Measure\Unit;
use Thicket\Position\Nmea;
use Thicket\Survey\Ellipsoid;
use Thicket\Survey\Tracing;

it(
    'walks a field as a receiver does: wavering, losing its fix, garbling a line, and the outline comes out of it',
    function () {
        $port = random_int(20000, 40000);
        $receiver = new Process(['php', base_path('stand-ins/gps/serve.php'), (string) $port, '400']);
        $receiver->start();
        try {
            for ($try = 0, $line = false; $line === false && $try < 150; ++$try) {
                usleep(100_000);
                $line = @stream_socket_client("tcp://127.0.0.1:{$port}", $code, $message, 1);
            }
            expect($line)->not->toBeFalse();
            fwrite($line, "START -71.2 44.1\n");
            $nmea = new Nmea('2026-09-03');
            $kinds = ['fix' => 0, 'no-fix' => 0, 'broken' => 0, 'other' => 0];
            $fixes = [];
            stream_set_timeout($line, 5);
            while (($sentence = fgets($line)) !== false) {
                $read = $nmea->read($sentence);
                ++$kinds[$read['kind']];
                isset($read['fix']) && ($fixes[] = $read['fix']);
            }
        } finally {
            $receiver->stop();
        }
        // six seconds without a fix, said by both sentences, one of them garbled; five with a poor dilution; one jump
        expect($kinds['no-fix'])
            ->toBe(11)
            ->and($kinds['broken'])
            ->toBeGreaterThanOrEqual(5)
            ->and($kinds['fix'])
            ->toBeGreaterThan(120);
        $walk = Tracing::walk($fixes);
        expect($walk['weak'])
            ->toBe(5)
            ->and($walk['jumps'])
            ->toBe(1)
            // the corners in stand-ins/gps/serve.php by the plane formula: 2,107 m2
            ->and($walk['outline']->area()->float(Unit::SquareMetre))
            ->toEqualWithDelta(2107, 45)
            ->and(Ellipsoid::inverse([-71.2, 44.1], $walk['outline']->rings[0][0])['distance'])
            ->toBeLessThan(3);
    },
);

it('draws the map page from the sheet alone, to scale, in both systems', function () {
    // 40 x 30 m at 44 N
    $ring = (new Thicket\Survey\LocalPlane([-71.2, 44.1]))->allPositions([
        [0.0, 0.0],
        [40.0, 0.0],
        [40.0, 30.0],
        [0.0, 30.0],
        [0.0, 0.0],
    ]);
    $near = (new Thicket\Survey\LocalPlane([-71.2, 44.1]))->allPositions([[-30.0, -20.0], [70.0, -20.0]]);
    $map = [
        'patch' => ['name' => 'Corner <field>', 'shape' => ['type' => 'Polygon', 'coordinates' => [$ring]]],
        'near' => [
            ['name' => 'cold beck', 'kind' => 'stream', 'shape' => ['type' => 'LineString', 'coordinates' => $near]],
            ['name' => 'far oak', 'kind' => 'tree', 'shape' => ['type' => 'Point', 'coordinates' => [-71.0, 44.1]]],
        ],
    ];
    $metric = SheetMap::svg($map, System::Metric);
    expect(simplexml_load_string($metric))
        ->not->toBeFalse()
        ->and($metric)
        ->toContain('Corner &lt;field&gt;')
        ->toContain('cold beck')
        ->not->toContain('far oak')
        ->toContain('20 m')
        ->and(SheetMap::svg($map, System::Us))
        ->toContain('50 ft');
    // 3 tenths of the width for 40 m: 5.25 pixels a metre, so the 20 m bar is 105 long
    expect($metric)->toMatch('/v6h105\.\dv-6/');
});
