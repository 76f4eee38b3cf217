<?php

declare(strict_types=1);

use App\Models\Ground;
use App\Models\Patch;
use App\Models\Photo;
use App\Models\Sighting;
use App\Models\Stand;
use App\Models\User;
use App\Photos\ExifPlace;
use Illuminate\Http\UploadedFile;

beforeEach(function () {
    $this->as();
    $this->ground = Ground::query()->where('name', 'Hollin Hedge and oak wood')->firstOrFail();
    $this->patch = Patch::query()->where('name', 'Oak wood')->firstOrFail();
});

/** A small JPEG whose camera wrote a place, a time and a quarter turn into it: TIFF, little end first. */
function cameraPicture(): string
{
    $rational = static fn(int ...$n): string => implode(
        '',
        array_map(static fn(int $x): string => pack('VV', $x, 1), $n),
    );
    $entry = static fn(int $tag, int $type, int $count, string $value): string => pack('vvV', $tag, $type, $count) .
        str_pad($value, 4, "\0");
    // IFD0 with 3 entries begins at 8, ends at 50; EXIF IFD with 1 entry at 50, its text at 68; GPS IFD with 4 entries
    // at 88, its numbers at 142
    $ifd0 =
        pack('v', 3) .
        $entry(0x0112, 3, 1, pack('v', 6)) .
        $entry(0x8769, 4, 1, pack('V', 50)) .
        $entry(0x8825, 4, 1, pack('V', 88)) .
        pack('V', 0);
    $exif = pack('v', 1) . $entry(0x9003, 2, 20, pack('V', 68)) . pack('V', 0) . "2026:08:20 11:20:30\0";
    $gps =
        pack('v', 4) .
        $entry(1, 2, 2, "N\0") .
        $entry(2, 5, 3, pack('V', 142)) .
        $entry(3, 2, 2, "W\0") .
        $entry(4, 5, 3, pack('V', 166)) .
        pack('V', 0);
    $tiff = "II*\0" . pack('V', 8) . $ifd0 . $exif . $gps . $rational(44, 3, 18) . $rational(71, 22, 48);
    $segment = "Exif\0\0{$tiff}";
    $image = imagecreatetruecolor(640, 320);
    ob_start();
    imagejpeg($image, null, 80);
    $jpeg = (string) ob_get_clean();
    $path = tempnam(sys_get_temp_dir(), 'cam');
    file_put_contents(
        $path,
        substr($jpeg, 0, 2) . "\xFF\xE1" . pack('n', strlen($segment) + 2) . $segment . substr($jpeg, 2),
    );

    return $path;
}

/** @return Illuminate\Testing\TestResponse<Symfony\Component\HttpFoundation\Response> */
function sendPhoto(
    Tests\AppTestCase $test,
    string $sighting,
    string $path,
    string $name = 'leaf.jpg',
    array $headers = [],
) {
    return $test->call(
        'POST',
        "/api/v1/sightings/{$sighting}/photos",
        [],
        [],
        ['photo' => new UploadedFile($path, $name, null, null, true)],
        $headers + ['HTTP_ACCEPT' => 'application/json', 'HTTP_REFERER' => config('app.url')],
    );
}

it('keeps a sighting at a point with who, when, how sure and who confirmed, and its ranking as it was', function () {
    $sighting = $this->api('POST', '/sightings', [
        'ground' => $this->ground->id,
        'point' => ['type' => 'Point', 'coordinates' => [-71.3788, 44.0505]],
        'accuracyMetres' => '4.5',
        'at' => '2026-09-02T15:00:00-05:00',
        'seen' => ['habit' => 'woody-vine', 'fruit' => ['orange-capsule', 'red-berry']],
        'species' => 'oriental-bittersweet',
        'confidence' => 'certain',
        'observer' => 'Visitor with a dog',
        'confirmer' => 'County extension',
        'confirmedOn' => '2026-09-03',
        'remarks' => '=Wound three times',
        'tests' => [
            ['pair' => 'american-bittersweet--oriental-bittersweet', 'test' => 'leaf-round', 'answer' => 'yes'],
        ],
    ])
        ->assertCreated()
        ->assertJsonPath('observer', 'Visitor with a dog')
        ->assertJsonPath('confidence', 'certain')
        ->assertJsonPath('confirmer', 'County extension')
        ->assertJsonPath('patch', null)
        ->assertJsonPath('standId', null)
        ->assertJsonPath('at', '2026-09-02T15:00:00-05:00')
        ->assertJsonPath('point.coordinates', [-71.3788, 44.0505])
        ->assertJsonPath('tests.0.other', 'American bittersweet')
        ->assertJsonPath('seen.1.states', ['case that opens on orange or red', 'red berry']);
    expect(array_column($sighting->json('couldBe'), 'name'))->toContain('Oriental bittersweet');
    $listed = $this->api('GET', "/sightings?ground={$this->ground->id}&species=oriental-bittersweet")
        ->assertOk()
        ->json('data');
    expect(array_column($listed, 'id'))->toBe([$sighting->json('id')]);
    // cell by cell: text is guarded against formulas, negative degrees stay numbers
    $rows = array_map(
        static fn(string $line): array => str_getcsv($line, ',', '"', ''),
        explode("\n", trim($this->call('GET', "/api/v1/sightings.csv?ground={$this->ground->id}")->getContent())),
    );
    $row = array_combine(
        $rows[0],
        array_values(array_filter($rows, static fn(array $r): bool => $r[0] === "urn:uuid:{$sighting->json('id')}"))[0],
    );
    expect($row)->toMatchArray([
        'basisOfRecord' => 'HumanObservation',
        'eventDate' => '2026-09-02T15:00:00-05:00',
        'recordedBy' => 'Visitor with a dog',
        'scientificName' => 'Celastrus orbiculatus',
        'family' => 'Celastraceae',
        'identificationQualifier' => '',
        'identifiedBy' => 'County extension',
        'dateIdentified' => '2026-09-03',
        'identificationVerificationStatus' => 'verified',
        'decimalLatitude' => '44.0505000',
        'decimalLongitude' => '-71.3788000',
        'geodeticDatum' => 'EPSG:4326',
        'coordinateUncertaintyInMeters' => '4.5',
        'occurrenceRemarks' => "'=Wound three times",
        'identificationRemarks' => 'habit: woody-vine; fruit: orange-capsule + red-berry',
    ]);
});

it('puts a sighting known by its patch in the middle of it, and an unsure name under cf.', function () {
    $id = $this->api('POST', '/sightings', [
        'patch' => $this->patch->id,
        'seen' => ['habit' => 'tree'],
        'species' => 'red-maple',
        'confidence' => 'guess',
    ])
        ->assertCreated()
        ->json('id');
    $rows = array_map(
        static fn(string $line): array => str_getcsv($line, ',', '"', ''),
        explode("\n", trim($this->call('GET', '/api/v1/sightings.csv')->getContent())),
    );
    $row = array_combine(
        $rows[0],
        array_values(array_filter($rows, static fn(array $r): bool => $r[0] === "urn:uuid:{$id}"))[0],
    );
    [$west, $south, $east, $north] = $this->patch->box();
    expect((float) $row['decimalLatitude'])
        ->toEqualWithDelta(($south + $north) / 2, 1e-6)
        ->and((float) $row['decimalLongitude'])
        ->toEqualWithDelta(($west + $east) / 2, 1e-6)
        ->and((int) $row['coordinateUncertaintyInMeters'])
        ->toBeBetween(60, 80)
        ->and($row['georeferenceRemarks'])
        ->toBe('middle of the patch')
        ->and($row['identificationQualifier'])
        ->toBe('cf.');
});

it('founds a stand on the patch when asked, and is put right later with the version that was read', function () {
    $made = $this->api('POST', '/sightings', [
        'ground' => $this->ground->id,
        'patch' => $this->patch->id,
        'seen' => [],
        'unknown' => true,
        'foundStand' => true,
    ])->assertCreated();
    $stand = Stand::query()->findOrFail($made->json('standId'));
    expect($stand->marked_unknown)->toBeTrue()->and($stand->patch_id)->toBe($this->patch->id);
    $this->api('PUT', "/sightings/{$made->json('id')}", ['confidence' => 'likely'])->assertStatus(428);
    $this->api(
        'PUT',
        "/sightings/{$made->json('id')}",
        ['confidence' => 'likely', 'confirmer' => 'Forester of the trust', 'remarks' => 'Twelve stems'],
        ['If-Match' => '"1"'],
    )
        ->assertOk()
        ->assertJsonPath('confirmedOn', '2026-09-03')
        ->assertJsonPath('revision', 2);
    $this->api('PUT', "/sightings/{$made->json('id')}", ['confidence' => 'guess'], ['If-Match' => '"1"'])
        ->assertStatus(412)
        ->assertJsonPath('current.remarks', 'Twelve stems');
});

it('refuses a sighting that is nowhere, far off, still to come, or names nothing', function (
    array $body,
    string $pointer,
) {
    $count = Sighting::query()->count();
    $given = array_map(
        fn(mixed $v): mixed => $v === ':ground' ? $this->ground->id : ($v === ':patch' ? $this->patch->id : $v),
        $body,
    );
    $errors = $this->api('POST', '/sightings', $given)->assertStatus(422)->json('errors');
    expect(array_column($errors, 'pointer'))
        ->toContain($pointer)
        ->and(Sighting::query()->count())
        ->toBe($count);
})->with([
    'no place' => [['seen' => [], 'unknown' => true], '/ground'],
    'a ground without a point' => [['seen' => [], 'unknown' => true, 'ground' => ':ground'], '/point'],
    'a point across the sea' => [
        [
            'seen' => [],
            'unknown' => true,
            'ground' => ':ground',
            'point' => ['type' => 'Point', 'coordinates' => [10.0, 50.0]],
        ],
        '/point',
    ],
    'an outline for a point' => [
        [
            'seen' => [],
            'unknown' => true,
            'ground' => ':ground',
            'point' => ['type' => 'LineString', 'coordinates' => [[-71.38, 44.05], [-71.381, 44.05]]],
        ],
        '/point',
    ],
    'tomorrow' => [['seen' => [], 'unknown' => true, 'patch' => ':patch', 'at' => '2026-09-04T09:00:00-05:00'], '/at'],
    'a patch of another ground' => [
        ['seen' => [], 'unknown' => true, 'patch' => ':patch', 'ground' => '01a20a36-c432-7217-8ea2-5cdade2ef8bc'],
        '/ground',
    ],
    'a stand without a patch' => [
        [
            'seen' => [],
            'unknown' => true,
            'ground' => ':ground',
            'point' => ['type' => 'Point', 'coordinates' => [-71.3788, 44.0505]],
            'foundStand' => true,
        ],
        '/foundStand',
    ],
    'a name and no name' => [
        ['seen' => [], 'unknown' => true, 'species' => 'red-maple', 'patch' => ':patch'],
        '/species',
    ],
    'no such state' => [['seen' => ['habit' => 'dragon'], 'unknown' => true, 'patch' => ':patch'], '/seen/habit'],
    'confirmed for another pair' => [
        [
            'seen' => [],
            'species' => 'red-maple',
            'patch' => ':patch',
            'tests' => [['pair' => 'kudzu--poison-ivy', 'confirmedBy' => 'somebody']],
        ],
        '/tests/0/pair',
    ],
    'accuracy of the moon' => [
        [
            'seen' => [],
            'unknown' => true,
            'patch' => ':patch',
            'point' => ['type' => 'Point', 'coordinates' => [-71.3788, 44.0505]],
            'accuracyMetres' => '400000',
        ],
        '/accuracyMetres',
    ],
    'how sure in no word of ours' => [
        ['seen' => [], 'unknown' => true, 'patch' => ':patch', 'confidence' => 'very'],
        '/confidence',
    ],
]);

it('takes a picture upright and small, offers its place, and keeps nothing that the camera wrote', function () {
    $id = $this->api('POST', '/sightings', ['patch' => $this->patch->id, 'seen' => [], 'unknown' => true])->json('id');
    $answer = sendPhoto($this, $id, cameraPicture())->assertCreated();
    // 44 degrees 3' 18" N, 71 degrees 22' 48" W
    $answer
        ->assertJsonPath('offeredPlace', ['latitude' => '44.0550000', 'longitude' => '-71.3800000'])
        ->assertJsonPath('sighting.photos.0.takenAt', '2026-08-20 11:20')
        ->assertJsonPath('sighting.photos.0.width', 320)
        ->assertJsonPath('sighting.photos.0.height', 640)
        ->assertJsonPath('sighting.point', null);
    $photo = Photo::query()->findOrFail($answer->json('photo'));
    $path = storage_path("app/photos/{$photo->file}.full.jpg");
    expect((string) file_get_contents($path))
        ->not->toContain('Exif')
        ->and(hash_file('sha256', $path))
        ->toBe($photo->sha256)
        ->and(str_contains($path, public_path()))
        ->toBeFalse();
    $this->get("/api/v1/photos/{$photo->id}/thumb")
        ->assertOk()
        ->assertHeader('Content-Type', 'image/jpeg');
    // a viewer looks and takes nothing away; another crew is told that there is nothing
    $this->as('cleo')
        ->get("/api/v1/photos/{$photo->id}/full")
        ->assertOk();
    $this->api('DELETE', "/photos/{$photo->id}")->assertForbidden();
    $crew = App\Models\Crew::create(['name' => 'Another crew', 'settings' => []]);
    $stranger = User::forceCreate([
        'crew_id' => $crew->id,
        'role' => 'lead',
        'name' => 'Dag Nordby',
        'email' => 'dag@elsewhere.example',
        'password' => 'x',
    ]);
    foreach (['view', 'delete'] as $ability) {
        expect(Illuminate\Support\Facades\Gate::forUser($stranger)->inspect($ability, $photo)->status())->toBe(404);
    }
    expect(Sighting::query()->ofCrew($stranger)->count())->toBe(0);
    $this->as()
        ->api('DELETE', "/photos/{$photo->id}")
        ->assertOk()
        ->assertJsonPath('photos', []);
    expect(is_file($path))->toBeFalse();
});

it('refuses what is no picture, is broken, too many, or too large', function () {
    $id = $this->api('POST', '/sightings', ['patch' => $this->patch->id, 'seen' => [], 'unknown' => true])->json('id');
    $file = static function (string $content): string {
        $path = tempnam(sys_get_temp_dir(), 'pic');
        file_put_contents($path, $content);

        return $path;
    };
    $says = fn(string $path, string $name = 'x.jpg'): string => sendPhoto($this, $id, $path, $name)
        ->assertStatus(422)
        ->json('errors.0.message');
    expect($says($file('<?php echo 1;')))
        ->toContain('JPEG, PNG or WebP')
        ->and(
            $says(
                $file(
                    "GIF89a\x01\x00\x01\x00\x80\x00\x00\x00\x00\x00\xff\xff\xff!\xf9\x04\x01\x00\x00\x00\x00," .
                        "\x00\x00\x00\x00\x01\x00\x01\x00\x00\x02\x02D\x01\x00;",
                ),
            ),
        )
        ->toContain('JPEG, PNG or WebP')
        // a header that promises 60,000 by 60,000 pixels
        ->and(
            $says(
                $file(
                    "\x89PNG\r\n\x1a\n" .
                        pack('N', 13) .
                        'IHDR' .
                        pack('NN', 60000, 60000) .
                        "\x08\x02\x00\x00\x00" .
                        pack('N', 0),
                ),
                'bomb.png',
            ),
        )
        ->toContain('50 million')
        ->and($says($file(substr((string) file_get_contents(cameraPicture()), 0, 700))))
        ->toContain('broken')
        ->and($says($file(str_repeat("\0", 12_000_001))))
        ->toContain('12 MB');
    expect(Photo::query()->where('sighting_id', $id)->count())
        ->toBe(0)
        ->and(glob(storage_path('app/photos/new*')))
        ->toBe([]);
    // a form without a picture names the field; what is no form is the wrong kind of body
    $this->call(
        'POST',
        "/api/v1/sightings/{$id}/photos",
        [],
        [],
        [],
        ['CONTENT_TYPE' => 'multipart/form-data; boundary=x', 'HTTP_ACCEPT' => 'application/json'],
    )
        ->assertStatus(422)
        ->assertJsonPath('errors.0.pointer', '/photo');
    $this->api('POST', "/sightings/{$id}/photos")->assertStatus(415);
});

it('takes a picture once under one key, and refuses another under it', function () {
    $id = $this->api('POST', '/sightings', ['patch' => $this->patch->id, 'seen' => [], 'unknown' => true])->json('id');
    $key = ['HTTP_IDEMPOTENCY_KEY' => 'photo-of-a-leaf-1'];
    $picture = cameraPicture();
    $first = sendPhoto($this, $id, $picture, headers: $key)->assertCreated()->json('photo');
    expect(sendPhoto($this, $id, $picture, headers: $key)->assertCreated()->json('photo'))->toBe($first);
    sendPhoto($this, $id, base_path('database/seeders/photos/vine.jpg'), headers: $key)
        ->assertStatus(422)
        ->assertJsonPath('errors.0.pointer', '/Idempotency-Key');
    expect(Photo::query()->where('sighting_id', $id)->count())->toBe(1);
});

it('reads a camera\'s place, and nothing out of what is none', function (array $exif, ?array $place) {
    expect(ExifPlace::of($exif))->toBe($place);
})->with([
    'south and east' => [
        [
            'GPSLatitude' => ['33/1', '30/1', '0/1'],
            'GPSLatitudeRef' => 'S',
            'GPSLongitude' => ['151/1', '0/1', '36000/1000'],
            'GPSLongitudeRef' => 'E',
        ],
        ['latitude' => '-33.5000000', 'longitude' => '151.0100000'],
    ],
    'no fix writes noughts' => [
        [
            'GPSLatitude' => ['0/1', '0/1', '0/1'],
            'GPSLatitudeRef' => 'N',
            'GPSLongitude' => ['0/1', '0/1', '0/1'],
            'GPSLongitudeRef' => 'E',
        ],
        null,
    ],
    'nothing' => [[], null],
    'divided by nought' => [
        [
            'GPSLatitude' => ['33/0', '30/1', '0/1'],
            'GPSLatitudeRef' => 'S',
            'GPSLongitude' => ['151/1', '0/1', '0/1'],
            'GPSLongitudeRef' => 'E',
        ],
        null,
    ],
    'beyond the pole' => [
        [
            'GPSLatitude' => ['93/1', '0/1', '0/1'],
            'GPSLatitudeRef' => 'N',
            'GPSLongitude' => ['1/1', '0/1', '0/1'],
            'GPSLongitudeRef' => 'E',
        ],
        null,
    ],
]);

it(
    'handles an unnamed stand as the worst it could be, says what a name would open, and lets hand work through ' .
        'only when nothing kept is in play',
    function () {
        $stand = $this->api('POST', '/sightings', [
            'patch' => $this->patch->id,
            'seen' => ['habit' => 'woody-vine', 'leaf-type' => 'trifoliate'],
            'unknown' => true,
            'foundStand' => true,
        ])->json('standId');
        $prospects = $this->api('GET', "/stands/{$stand}/prospects")->assertOk();
        expect($prospects->json('holds'))
            ->toBeTrue()
            ->and($prospects->json('kept'))
            ->toBe(["Virgin's bower", 'Virginia creeper'])
            ->and(array_column($prospects->json('unlocks'), 'name'))
            ->toContain('Poison ivy', 'Kudzu');
        $rows = $this->api('GET', "/stands/{$stand}/board")->json('rows');
        expect(array_intersect(['fits', 'withCare', 'notNow'], array_column($rows, 'outcome')))->toBe([]);
        $this->api(
            'PUT',
            "/stands/{$stand}/step",
            ['method' => 'hand-pull'],
            ['If-Match' => (string) $this->api('GET', "/stands/{$stand}")->headers->get('ETag')],
        )->assertSuccessful();
        $gates = array_column($this->api('GET', "/stands/{$stand}/gates")->json('gates'), 'passable', 'code');
        expect($gates)->toBe(['cannot-tell' => false]);
        // seen better: hemlock or hogweed, which nobody keeps
        $this->api('POST', "/stands/{$stand}/sightings", [
            'seen' => [
                'flower-form' => 'umbel',
                'flower-colour' => 'white',
                'habit' => 'broadleaf-herb',
                'leaf-type' => 'pinnate',
                'stem-marks' => 'purple-blotches',
            ],
            'unknown' => true,
        ])->assertCreated();
        expect($this->api('GET', "/stands/{$stand}/prospects")->json('holds'))
            ->toBeFalse()
            ->and($this->api('GET', "/stands/{$stand}/gates")->json('gates'))
            ->toBe([]);
        // and the law of the place shuts it again
        $page = $this->api('GET', '/handbook/species/poison-hemlock')->assertJsonPath('listing', null);
        $this->api(
            'PUT',
            '/handbook/species/poison-hemlock/listing',
            ['listing' => 'protected'],
            ['If-Match' => (string) $page->headers->get('ETag')],
        )
            ->assertOk()
            ->assertJsonPath('listing', 'protected');
        expect($this->api('GET', "/stands/{$stand}/prospects")->json('listed'))
            ->toBe(['Poison hemlock'])
            ->and(array_column($this->api('GET', "/stands/{$stand}/gates")->json('gates'), 'code'))
            ->toBe(['cannot-tell']);
        $this->as('bram')
            ->api('PUT', '/handbook/species/poison-hemlock/listing', ['listing' => 'none'], ['If-Match' => '"1"'])
            ->assertStatus(412);
        $this->as('cleo')
            ->api('PUT', '/handbook/species/poison-hemlock/listing', ['listing' => 'none'])
            ->assertForbidden();
    },
);

it('takes the word of somebody who knows for a look-alike, on the same sighting', function () {
    $stand = $this->standId('norway-maple');
    $seen = $this->api('GET', "/stands/{$stand}")->json('seen');
    $before = Sighting::query()->where('stand_id', $stand)->count();
    foreach (['norway-maple--red-maple', 'norway-maple--sugar-maple'] as $pair) {
        $this->api('POST', "/stands/{$stand}/sightings", [
            'seen' => $seen,
            'species' => 'norway-maple',
            'tests' => [['pair' => $pair, 'confirmedBy' => 'County forester']],
        ])->assertCreated();
    }
    expect(Sighting::query()->where('stand_id', $stand)->count())
        ->toBe($before)
        ->and(array_column($this->api('GET', "/stands/{$stand}/gates")->json('gates'), 'code'))
        ->not->toContain('look-alike');
    $sighting = $this->api('GET', '/sightings/' . $this->api('GET', "/stands/{$stand}")->json('sightingId'));
    expect(array_column($sighting->json('tests'), 'by'))->toBe(['County forester', 'County forester']);
});

it('finds plants by what shows in a month at the ground, and puts two side by side', function () {
    $names = fn(string $query): array => array_column(
        $this->api('GET', "/handbook/species?{$query}")
            ->assertOk()
            ->json('data'),
        'id',
    );
    expect($names('name=tall%20buttercup&month=5'))
        ->toBe(['tall-buttercup'])
        ->and($names("name=tall%20buttercup&month=5&ground={$this->ground->id}"))
        ->toBe([])
        ->and($names("name=tall%20buttercup&month=6&ground={$this->ground->id}"))
        ->toBe(['tall-buttercup']);
    foreach (
        [
            'month=13' => '/month',
            'month=1.5' => '/month',
            'habit=dragon' => '/habit',
            'setting=moon' => '/setting',
            'showing=bark' => '/showing',
            'colour=red' => '/colour',
        ]
        as $query => $pointer
    ) {
        $this->api('GET', "/handbook/species?{$query}")
            ->assertStatus(422)
            ->assertJsonPath('errors.0.pointer', $pointer);
    }
    $pair = $this->api('GET', '/handbook/comparison?species=poison-ivy,virginia-creeper')->assertOk();
    expect($pair->json('tests'))
        ->toHaveCount(2)
        ->and((float) $pair->json('rows.0.parts'))
        ->toBeGreaterThan(0.5)
        ->and(array_column($pair->json('species'), 'name'))
        ->toBe(['Poison ivy', 'Virginia creeper']);
    $this->api('GET', '/handbook/comparison?species=poison-ivy')->assertStatus(422);
});

it('finds a way of working by whatever people call it', function (string $typed, string $first) {
    $this->as();
    $hit = collect(
        $this->api('GET', '/search?q=' . rawurlencode($typed))
            ->assertOk()
            ->json('data'),
    )->firstWhere('kind', 'method');
    expect($hit['id'] ?? null)->toBe($first);
})->with([
    'injection' => ['injection', 'hack-and-squirt'],
    'frill' => ['frill', 'hack-and-squirt'],
    'its own name' => ['drill and fill', 'drill-fill'],
    'a slip of the pen' => ['stump paintng', 'cut-stump'],
    'ring barking' => ['ring barking', 'girdle'],
    'leaves' => ['leaf spray', 'foliar-spot'],
    'goats' => ['goats', 'flash-graze'],
]);

it(
    'finds a plant and a product by the names of the language spoken, with accents or without, and in English',
    function () {
        $this->as();
        $first = fn(string $typed, string $kind): ?string => collect(
            $this->api('GET', '/search?q=' . rawurlencode($typed))->json('data'),
        )->firstWhere('kind', $kind)['name'] ?? null;
        expect($first('tascate', 'species'))->toBeNull()->and($first('glifosato', 'card'))->toBeNull();
        $this->api('PATCH', '/session', ['locale' => 'es'])->assertOk();
        foreach (['táscate de ashe', 'tascate', 'tascite', 'Ashe juniper', 'Juniperus ashei'] as $typed) {
            expect($first($typed, 'species'))->toBe('Táscate de Ashe', $typed);
        }
        expect($this->api('GET', '/handbook/species?name=tascate')->json('data.0.id'))
            ->toBe('ashe-juniper')
            ->and($first('glifosato', 'card'))
            ->toBe($first('glyphosate', 'card'))
            ->not->toBeNull()
            ->and(array_column($this->api('GET', '/handbook')->json('actives'), 'name'))
            ->toContain('glifosato')
            ->and($first('glifosat', 'active'))
            ->toBe('glifosato')
            ->and($first('metodos', 'station'))
            ->toBe('Métodos')
            // an Á stands with the A
            ->and(array_slice(array_column($this->api('GET', '/handbook')->json('species'), 'name'), 5, 4))
            ->toBe(['Agridulce americano', 'Agridulce oriental', 'Álamo temblón', 'Algodoncillo común']);
    },
);

it('says every other name of a way of working on its page', function () {
    $this->as();
    $named = array_filter(
        $this->api('GET', '/handbook')->json('methods'),
        static fn(array $m): bool => $m['also'] !== [],
    );
    expect($named)
        ->toHaveCount(count(app(Thicket\Catalogue\Catalogue::class)->allMethods()))
        ->and($this->api('GET', '/search?q=bittersweet')->json('data.0.kind'))
        ->not->toBe('method');
});
