<?php

declare(strict_types=1);

use App\Models\Stand;
use Illuminate\Support\Facades\DB;
use Symfony\Component\Yaml\Yaml;
use Thicket\Input\Bounds;
use Thicket\Input\Faults;
use Thicket\Input\Fields;
use Thicket\Input\Refused;
use Thicket\Measure\Dimension;
use Thicket\Measure\Shown;

/*
 * The table of bounds x fields: whatever openapi.yaml lets a write carry is sent what it cannot be, field by field, and
 * refused at that field. A field added to the contract is tested by being there.
 */

const BEYOND = [
    'quantity' => [
        '-900 F',
        '99999 mph',
        '-1 in',
        '999999 km',
        '99999999999 gal',
        '99999999999 kg',
        '99999999 ha',
        'a glug',
        ['value' => '-1', 'unit' => 'in'],
        7,
        ['x' => 1],
    ],
    'date' => ['1899-12-31', '9999-12-31', '2026-02-30', "2026-09-03\n", 'soon', 20260903],
    'date-time' => ['2026-09-03', '2026-13-03T10:00:00Z', 'now', 5],
    'uuid' => ['x', "0198c1d2-7e4a-7b3c-8f10-2a9b6d5e4c31\n", 7],
    'text' => [null, "a\u{0000}b", ['x'], true],
    'integer' => [-1, PHP_INT_MAX, 1.5, 'x', '٣'],
    'boolean' => ['yes', 1, []],
    'array' => ['x', ['a' => 1], null],
];

/** @return array<string, mixed> */
function contractNode(array $contract, array $schema): array
{
    while (isset($schema['$ref'])) {
        $node = $contract;
        foreach (explode('/', substr((string) $schema['$ref'], 2)) as $key) {
            $node = $node[$key];
        }
        $schema = $node + ['called' => basename((string) $schema['$ref'])];
    }

    return $schema;
}

/** @return iterable<array{list<string>, string}> path to each field of a body, and its kind */
function fieldsOf(array $contract, array $schema, array $path = [], int $depth = 3): iterable
{
    foreach (contractNode($contract, $schema)['properties'] ?? [] as $name => $property) {
        $node = contractNode($contract, $property);
        $at = [...$path, (string) $name];
        $type = is_array($node['type'] ?? null) ? $node['type'][0] : $node['type'] ?? '';
        if (($node['called'] ?? '') === 'GivenQuantity') {
            yield [$at, 'quantity'];
        } elseif ($type === 'array' && $depth > 0) {
            yield [$at, 'array'];
            yield from fieldsOf($contract, $node['items'] ?? [], [...$at, '0'], $depth - 1);
        } elseif ($type === 'object' && isset($node['properties']) && $depth > 0) {
            yield from fieldsOf($contract, $node, $at, $depth - 1);
        } elseif ($type === 'string' || isset($node['enum'])) {
            yield [
                $at,
                in_array($node['format'] ?? '', ['date', 'date-time', 'uuid'], true) ? $node['format'] : 'text',
            ];
        } elseif ($type === 'integer' || $type === 'boolean') {
            yield [$at, $type];
        }
    }
}

it('refuses at its field whatever a field of a write cannot be', function () {
    $this->as();
    [$stand, $sheet] = issuedTrees($this);
    $row = Stand::query()
        ->with(['patch', 'steps'])
        ->findOrFail($stand);
    $record = DB::table('records')->value('id');
    $ids = [
        'stand' => $stand,
        'sheet' => $sheet,
        'step' => $row->steps[0]->id,
        'patch' => $row->patch_id,
        'ground' => $row->patch->ground_id,
        'record' => $record,
        'id' => 'tree-of-heaven',
    ];
    $ids['duty'] = App\Models\SettledDuty::query()->firstOrFail()->id;
    $ids['standing'] = App\Models\StandingTree::create([
        'crew_id' => $row->patch->ground->crew_id,
        'record_id' => $record,
        'patch_id' => $row->patch_id,
        'count' => 3,
        'snags' => false,
        'since' => '2025-09-02',
    ])->id;
    foreach (
        [
            'card' => 'label_cards',
            'version' => 'label_card_versions',
            'sprayer' => 'sprayers',
            'tool' => 'tools',
            'person' => 'people',
            'container' => 'containers',
            'keeper' => 'keepers',
            'sighting' => 'sightings',
            'lesson' => 'record_lessons',
            'member' => 'users',
        ]
        as $name => $table
    ) {
        $ids[$name] = (string) DB::table($table)->value('id');
    }
    $contract = Yaml::parseFile(base_path('openapi.yaml'));
    // files and pictures have their own tests; shapes and observed characters their own readers; who is signed in is
    // DoorsTest's
    $apart = [
        '/session',
        '/session/password',
        '/me/password',
        '/setup',
        '/sightings/{sighting}/photos',
        '/stands/{stand}/tally/csv',
        '/grounds/{ground}/imports',
        '/grounds/{ground}/imports/preview',
    ];
    // what else is said, where a field is only read beside it
    $beside = [
        '/shed/containers/{container}/draws /amount' => ['kind' => 'spilled'],
        '/shed/containers/{container}/draws /weight' => ['kind' => 'weighed'],
        '/outlines' => ['ground' => $ids['ground']],
    ];
    $missed = [];
    $asked = 0;
    foreach ($contract['paths'] as $path => $operations) {
        foreach (array_intersect_key($operations, ['post' => 1, 'put' => 1, 'patch' => 1]) as $method => $operation) {
            $schema = $operation['requestBody']['content']['application/json']['schema'] ?? null;
            if ($schema === null || in_array($path, $apart, true)) {
                continue;
            }
            $url = (string) preg_replace_callback(
                '/\{(\w+)\}/',
                static fn(array $m): string => $m[1] === 'id' && str_starts_with((string) $path, '/sightings')
                    ? $ids['sighting']
                    : $ids[$m[1]] ?? 'none',
                (string) $path,
            );
            foreach (fieldsOf($contract, $schema) as [$at, $kind]) {
                foreach (BEYOND[$kind] as $value) {
                    if ($value === null) {
                        $value = $kind === 'array' ? array_fill(0, 5001, 'x') : str_repeat('x', 5001);
                    }
                    $body = array_reduce(
                        array_reverse($at),
                        static fn(mixed $inner, string $key): array => $key === '0' ? [$inner] : [$key => $inner],
                        $value,
                    );
                    $body += $beside["{$path} /" . implode('/', $at)] ?? ($beside[$path] ?? []);
                    $answer = $this->call(
                        strtoupper($method),
                        "/api/v1{$url}",
                        [],
                        [],
                        [],
                        [
                            'CONTENT_TYPE' => 'application/json',
                            'HTTP_ACCEPT' => 'application/json',
                            'HTTP_REFERER' => config('app.url'),
                            'HTTP_IF_MATCH' => '"999"',
                        ],
                        json_encode($body, JSON_THROW_ON_ERROR),
                    );
                    ++$asked;
                    $pointer = '/' . implode('/', $at);
                    $told = array_filter(
                        array_column($answer->json('errors') ?? [], 'pointer'),
                        static fn(string $p): bool => str_starts_with($p, $pointer) ||
                            str_starts_with($pointer, "{$p}/"),
                    );
                    if ($answer->getStatusCode() !== 422 || $told === []) {
                        $missed[] =
                            strtoupper($method) .
                            " {$path} {$pointer} = " .
                            mb_substr(json_encode($value), 0, 40) .
                            " -> {$answer->getStatusCode()} " .
                            mb_substr((string) $answer->getContent(), 0, 160);
                    }
                }
            }
        }
    }
    expect($missed)->toBe([])->and($asked)->toBeGreaterThan(500);
});

it('holds both ends of a bound and nothing beyond', function (string $field) {
    $dimension = array_values(
        array_filter(
            Dimension::cases(),
            static fn(Dimension $d): bool => Bounds::of($field, $d) != Bounds::of('of no field', $d),
        ),
    )[0];
    $read = static function (string $typed) use ($field, $dimension): ?string {
        $in = Fields::of([$field => $typed], $faults = new Faults());
        $in->quantity($field, $dimension);
        try {
            $faults->throwIfAny();
        } catch (Refused $e) {
            return $e->faults[0]['message'];
        }

        return null;
    };
    foreach (Bounds::of($field, $dimension) as $i => $end) {
        $just = $end->plus(Thicket\Measure\Quantity::of($i === 0 ? '-0.001' : '0.001', $end->unit));
        expect($read(Shown::withUnit($end->amount, $end->unit)))
            ->toBeNull()
            ->and(
                $read("{$just->amount->toBigDecimal()} " . explode(' ', Shown::withUnit($end->amount, $end->unit))[1]),
            )
            ->not->toBeNull();
    }
})->with(Bounds::fields());

it('names the field and says what would be right', function (array $body, Closure $read, string $message) {
    $in = Fields::of($body, $faults = new Faults());
    $read($in);
    try {
        $faults->throwIfAny();
        $got = null;
    } catch (Refused $e) {
        $got = $e->faults[0]['message'];
    }
    expect($got)->toBe($message);
})->with([
    'a name left out' => [[], fn(Fields $in) => $in->text('name', 120), 'Name is needed: write 1 to 120 letters.'],
    'a name of spaces' => [
        ['name' => ' '],
        fn(Fields $in) => $in->text('name', 120),
        'Name is needed: write 1 to 120 letters.',
    ],
    'a name that is a number' => [
        ['name' => 7],
        fn(Fields $in) => $in->text('name', 120),
        'Name is a text: write 1 to 120 letters.',
    ],
    'a long name' => [
        ['name' => str_repeat('x', 121)],
        fn(Fields $in) => $in->text('name', 120),
        'Name has 121 letters; keep it to 120.',
    ],
    'a name turned round' => [
        ['name' => "a\u{202E}b"],
        fn(Fields $in) => $in->text('name', 120),
        'Name holds signs that cannot be shown; write letters, figures and marks.',
    ],
    'a field of two words' => [
        [],
        fn(Fields $in) => $in->text('licenceClass', 80),
        'Licence class is needed: write 1 to 80 letters.',
    ],
    'one of a list' => [
        ['people' => ['Ada', '']],
        fn(Fields $in) => $in->strings('people', null, 60, 120),
        'People is needed: write 1 to 120 letters.',
    ],
    'no day' => [
        [],
        fn(Fields $in) => $in->day('workedOn'),
        'Worked on is needed. Write the day as 2026-09-03; got "".',
    ],
    'no amount' => [
        [],
        fn(Fields $in) => $in->quantity('tank', Dimension::Volume),
        'Tank is needed, with its unit: {"typed": "2 qt/ac"} or {"value": "2", "unit": "qt_us/ac"}.',
    ],
    'a count' => [
        ['treated' => -1],
        fn(Fields $in) => $in->int('treated', 0, 9),
        'Treated: give a whole number from 0 to 9.',
    ],
    'a cold day' => [
        ['temperature' => '-900 F'],
        fn(Fields $in) => $in->quantity('temperature', Dimension::Temperature),
        'Temperature can be from -40 °C to 55 °C (-40 °F to 131 °F); look at the unit.',
    ],
    'a storm' => [
        ['wind' => '99999 mph'],
        fn(Fields $in) => $in->quantity('wind', Dimension::Speed),
        'Wind can be from 0 m/s to 40 m/s (0 mph to 89.48 mph); look at the unit.',
    ],
]);
