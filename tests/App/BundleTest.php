<?php

declare(strict_types=1);

use App\Bundle\BundleReader;
use App\Bundle\Tables;
use App\Exceptions\Stopped;
use App\Models\Crew;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/*
 * What a bundle holds; that it comes back equal in an empty installation is tested with two of them
 * (tests/start/run.sh).
 */

it('forgets no table of the schema', function () {
    $there = DB::table('information_schema.TABLES')
        ->where('TABLE_SCHEMA', DB::connection()->getDatabaseName())
        ->where('TABLE_TYPE', 'BASE TABLE')
        ->pluck('TABLE_NAME')
        ->all();
    expect([...array_keys(Tables::OF_CREW), ...array_keys(Tables::LEFT_OUT)])->toEqualCanonicalizing($there);
    // each row finds those it points to before it
    $place = array_flip(array_keys(Tables::OF_CREW));
    $late = [];
    $columns = DB::table('information_schema.KEY_COLUMN_USAGE')
        ->where('TABLE_SCHEMA', DB::connection()->getDatabaseName())
        ->whereNotNull('REFERENCED_TABLE_NAME')
        ->get(['TABLE_NAME as of', 'REFERENCED_TABLE_NAME as to']);
    foreach ($columns as $one) {
        isset($place[$one->of], $place[$one->to]) &&
            $place[$one->to] > $place[$one->of] &&
            ($late[] = "{$one->of} before {$one->to}");
    }
    expect($late)->toBe([]);
});

it('holds all of one crew and nothing of another, and no secret', function () {
    $this->as();
    $other = Crew::create(['name' => 'Elsewhere', 'settings' => []]);
    User::create([
        'crew_id' => $other->id,
        'role' => 'lead',
        'name' => 'Odo Farrow',
        'email' => 'odo@elsewhere.example',
        'password' => 'nine grey barrows',
    ]);
    $this->api('POST', '/me/second-factor')->assertCreated();
    $file = tempnam(sys_get_temp_dir(), 'bundle');
    file_put_contents($file, $this->get('/api/v1/crew/bundle')->assertOk()->streamedContent());
    $zip = new ZipArchive();
    expect($zip->open($file))->toBeTrue();
    $all = '';
    for ($i = 0; $i < $zip->numFiles; ++$i) {
        $all .= str_ends_with((string) $zip->getNameIndex($i), '.jpg') ? '' : $zip->getFromIndex($i);
    }
    $head = json_decode((string) $zip->getFromName('bundle.json'), true);
    $rows = array_column($head['tables'], 'rows', 'table');
    expect($rows['users'])
        ->toBe(3)
        ->and($rows['records'])
        ->toBe(DB::table('records')->count())
        ->and($head['seals']['whole'])
        ->toBeTrue()
        ->and($all)
        ->toContain('Ada Thornbury')
        ->not->toContain('Odo Farrow')
        ->not->toContain('$2y$')
        ->not->toContain('argon')
        ->not->toContain('second_factor');
    // into an installation where somebody is already it does not go
    expect(fn() => app(BundleReader::class)->takeIn($file))->toThrow(Stopped::class, 'an empty installation');
    unlink($file);
});

it('says why a file is no bundle', function (string $content, string $said) {
    $file = (string) tempnam(sys_get_temp_dir(), 'bundle');
    if ($content === 'zip') {
        $zip = new ZipArchive();
        $zip->open($file, ZipArchive::OVERWRITE);
        $zip->addFromString('other.json', '{}');
        $zip->close();
    } else {
        file_put_contents($file, $content);
    }
    expect(fn() => app(BundleReader::class)->takeIn($file))->toThrow(Stopped::class, $said);
    unlink($file);
})->with(['a letter' => ['Dear crew', 'no ZIP file'], 'another ZIP' => ['zip', 'bundle.json is missing']]);
