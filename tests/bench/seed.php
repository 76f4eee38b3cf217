<?php

declare(strict_types=1);

use App\Models\Ground;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/*
 * A ground of 5,000 patches with 100 corners each, one stand and 40 tallied stems a patch (200,000 stems), for the
 * benches. Prints its id. Run with THICKET_VAR of the bench database.
 */

use Thicket\Survey\LocalPlane;
use Thicket\Survey\Outline;

require dirname(__DIR__, 2) . '/vendor/autoload.php';
$app = require dirname(__DIR__, 2) . '/bootstrap/app.php';
$app->make(Illuminate\Contracts\Console\Kernel::class)->bootstrap();

const PATCHES = 5000;
const CORNERS = 100;
$user = User::query()->where('email', 'ada@alderbrook.example')->firstOrFail();
$ground = Ground::create([
    'crew_id' => $user->crew_id,
    'name' => 'Bench valley',
    'latitude' => '44.2',
    'longitude' => '-71.9',
    'elevation_m' => '210',
    'time_zone' => 'Etc/GMT+5',
]);
$plane = new LocalPlane([-71.9, 44.2]);
mt_srand(7);
$settings = ['woods', 'pasture', 'orchard', 'water-edge'];
$now = date('Y-m-d H:i:s');
$rows = ['patches' => [], 'patch_outlines' => [], 'stands' => [], 'tallies' => []];
for ($i = 0; $i < PATCHES; ++$i) {
    [$x, $y] = [($i % 80) * 130.0, intdiv($i, 80) * 130.0];
    $ring = [];
    for ($c = 0; $c < CORNERS; ++$c) {
        $turn = (2 * M_PI * $c) / CORNERS;
        $far = 35 + 12 * sin(3 * $turn + $i) + (2 * mt_rand()) / mt_getrandmax();
        $ring[] = $plane->position([$x + $far * sin($turn), $y + $far * cos($turn)]);
    }
    $outline = Outline::trusted([[...$ring, $ring[0]]]);
    $box = array_combine(['west', 'south', 'east', 'north'], $outline->box());
    $area = $outline->area()->toWire()['value'];
    [$patch, $stand] = [(string) Str::uuid7(), (string) Str::uuid7()];
    $rows['patches'][] = $box + [
        'id' => $patch,
        'ground_id' => $ground->id,
        'name' => sprintf('Patch %04d', $i),
        'setting' => $settings[$i % 4],
        'area_m2' => $area,
        'created_at' => $now,
        'updated_at' => $now,
    ];
    $rows['patch_outlines'][] = $box + [
        'id' => (string) Str::uuid7(),
        'patch_id' => $patch,
        'valid_from' => '2026-01-01',
        'outline' => json_encode($outline->toGeoJson()),
        'coarse' => json_encode($outline->coarse()->toGeoJson()),
        'area_m2' => $area,
        'created_at' => $now,
    ];
    $rows['stands'][] = [
        'id' => $stand,
        'patch_id' => $patch,
        'species' => 'common-privet',
        'created_at' => $now,
        'updated_at' => $now,
    ];
    $rows['tallies'][] = [
        'id' => (string) Str::uuid7(),
        'stand_id' => $stand,
        'visited_on' => '2026-08-20',
        'rows' => json_encode([['from' => '1 in', 'below' => '2 in', 'count' => 40]]),
        'made_by' => $user->id,
        'created_at' => $now,
        'updated_at' => $now,
    ];
    if (count($rows['patches']) === 250) {
        DB::transaction(static function () use ($rows): void {
            foreach ($rows as $table => $all) {
                DB::table($table)->insert($all);
            }
        });
        $rows = array_map(static fn(): array => [], $rows);
    }
}
echo $ground->id, "\n";
