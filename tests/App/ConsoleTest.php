<?php

declare(strict_types=1);

use App\Resources\BoardResource;
use App\Text\Sentences;
use Opis\JsonSchema\Validator;
use Symfony\Component\Process\Process;
use Thicket\Input\Faults;
use Thicket\Input\Fields;
use Thicket\Situation\SituationReader;

function twin(string $command, string $input): Process
{
    $process = new Process(
        ['php', 'artisan', $command, '-'],
        dirname(__DIR__, 2),
        ['THICKET_VAR' => sys_get_temp_dir() . '/thicket-console', 'DB_PORT' => '1'],
        $input,
    );
    $process->run();

    return $process;
}

it('answers every shipped example, without a database, as its schema says', function () {
    foreach (glob(dirname(__DIR__, 2) . '/docs/examples/*.json') ?: [] as $file) {
        $kind =
            preg_match('/^(mix|identify|hours|plan|outlook)-/', basename($file), $named) === 1 ? $named[1] : 'advise';
        $text = (string) file_get_contents($file);
        $validator = new Validator();
        $validator
            ->resolver()
            ?->registerPrefix('https://gallant-thicket.example/schemas/', dirname(__DIR__, 2) . '/docs/schemas');
        expect(
            $validator
                ->validate(json_decode($text), "https://gallant-thicket.example/schemas/{$kind}.schema.json")
                ->isValid(),
        )->toBeTrue(basename($file));
        $process = twin("thicket:{$kind}", $text);
        expect($process->getExitCode())->toBe(0, basename($file) . $process->getErrorOutput());
        $answer = json_decode($process->getOutput(), true, 64, JSON_THROW_ON_ERROR);
        expect(
            match ($kind) {
                'mix' => $answer['outcome'],
                'identify' => $answer['candidates'],
                'hours' => $answer['best'],
                'outlook' => $answer['courses'][0]['years'][5]['plants'],
                'plan' => $answer['placed'][0]['why'],
                default => $answer['rows'][0]['findings'],
            },
        )->not->toBeEmpty();
    }
});

it('names the oil of poison ivy at once for a vine of three leaflets, and stops all cutting', function () {
    $answer = json_decode(
        twin(
            'thicket:identify',
            (string) file_get_contents(dirname(__DIR__, 2) . '/docs/examples/identify-three-leaflets.json'),
        )->getOutput(),
        true,
    );
    $names = array_column(array_slice($answer['candidates'], 0, 3), 'id');
    expect($names)
        ->toContain('poison-ivy')
        ->and($answer['unsafe'])
        ->toBe(['cut'])
        ->and(implode(' ', array_merge(...array_column($answer['candidates'], 'hazards'))))
        ->not->toBe('');
});

it('mixes a row of the board for a stand, loads and hands and all, as the board judged it', function () {
    $answer = json_decode(
        twin(
            'thicket:mix',
            (string) file_get_contents(dirname(__DIR__, 2) . '/docs/examples/mix-of-a-stand.json'),
        )->getOutput(),
        true,
    );
    // 120 faces of 1.5 in: 0.1368 m2, at 0.5 L/m2 and a tenth more 75.25 mL, half of it product; two people with a load
    // each
    expect([
        $answer['outcome'],
        $answer['verdict'],
        $answer['recipe']['strength']['percent']['value'],
        $answer['recipe']['loads'][0]['times'],
    ])
        ->toBe(['solved', 'withCare', '50', 2])
        ->and((float) $answer['recipe']['need']['value'])
        ->toEqualWithDelta(0.07525, 5e-6)
        ->and((float) $answer['recipe']['product']['value'])
        ->toEqualWithDelta(0.03762, 5e-6);
});

it('lists the same units in the contract as the core knows', function () {
    $contract = Symfony\Component\Yaml\Yaml::parseFile(dirname(__DIR__, 2) . '/openapi.yaml');
    expect($contract['components']['schemas']['Unit']['enum'])->toBe(Thicket\Measure\Unit::codes());
});

it('exits 1 with pointers on refused input', function (string $command, string $input, string $pointer) {
    $process = twin($command, $input);
    expect($process->getExitCode())
        ->toBe(1)
        ->and(array_column(json_decode($process->getOutput(), true)['refused'], 'pointer'))
        ->toContain($pointer);
})->with([
    'no JSON' => ['thicket:mix', 'three gallons', ''],
    'a list' => ['thicket:mix', '[]', '/sum'],
    'wrong unit' => ['thicket:mix', '{"sum":"loads","total":"3 in","tank":"1 gal"}', '/total'],
    'no such character' => ['thicket:identify', '{"seen":{"colour-of-soul":"blue"}}', '/seen/colour-of-soul'],
    'no such state' => ['thicket:identify', '{"seen":{"habit":"cloud"}}', '/seen/habit'],
    'no such row' => [
        'thicket:mix',
        '{"row":"wishing","stand":{"date":"2026-09-03","place":{"latitude":"44","elevationMetres":"1"},' .
        '"species":"common-privet"}}',
        '/row',
    ],
    'a row of no stand' => ['thicket:mix', '{"row":"cut-stump/glyphosate"}', '/stand'],
    'a tank in inches' => [
        'thicket:mix',
        '{"row":"cut-stump/glyphosate","tank":"3 ' .
        'in","stand":{"date":"2026-09-03","place":{"latitude":"44","elevationMetres":"1"},' .
        '"species":"common-privet"}}',
        '/tank',
    ],
    'hours without a row' => ['thicket:hours', '{"place":{}}', '/row'],
    'weather of no hour' => [
        'thicket:hours',
        '{"row":"hand-pull","place":{"latitude":"40","longitude":"-75","elevationMetres":"1","timeZone":"UTC"},' .
        '"stand":{"date":"2026-05-01","species":"garlic-mustard","place":{"latitude":"40",' .
        '"elevationMetres":"1"}},"weather":{"issued":"2026-05-01T06:00:00Z","hours":[]}}',
        '/weather/hours',
    ],
    'an outlook by no row' => ['thicket:outlook', '{"stand":{}}', '/row'],
    'more dead than counted' => [
        'thicket:outlook',
        '{"row":"hand-pull","stand":{},"looks":[{"method":"hand-pull","species":"garlic-mustard","dead":4,' .
        '"counted":3}]}',
        '/looks/0/dead',
    ],
    'a job that waits for itself' => [
        'thicket:plan',
        '{"first":"2026-03-01","last":"2026-03-09","shed":{"latitude":"44","longitude":"-71"},"people":[{"id":"a"}],' .
        '"patches":[{"id":"p","latitude":"44","longitude":"-71"}],"jobs":[{"id":"j","patch":"p","needs":{},' .
        '"open":[{"first":"2026-03-01","last":"2026-03-02"}],"after":[{"job":"j"}]}]}',
        '/jobs/0/after/0/job',
    ],
    'a season that ends before it begins' => ['thicket:plan', '{"first":"2026-03-02","last":"2026-03-01"}', '/last'],
    'no date' => ['thicket:advise', '{"place":{"latitude":"44","elevationMetres":"1"}}', '/date'],
    'stray' => [
        'thicket:advise',
        '{"date":"2026-09-03","place":{"latitude":"44","elevationMetres":"1"},"glug":1}',
        '/glug',
    ],
]);

it('has a sentence in every language for all that the catalogue names', function () {
    foreach (glob(base_path('lang/*'), GLOB_ONLYDIR) ?: [] as $language) {
        $sentences = new Sentences(base_path('lang'), basename($language));
        expect((new Thicket\Assess\Gaps(catalogue(), $sentences->has(...)))->all())->toBe([], basename($language));
    }
});

it('renders every row of many boards in both unit systems without a gap', function () {
    // each species on two days of five, by turns
    foreach (catalogue()->allSpecies() as $n => $species) {
        foreach (
            array_slice(
                [...($days = ['2026-02-10', '2026-05-10', '2026-07-20', '2026-09-03', '2026-12-20']), ...$days],
                $n % 5,
                2,
            )
            as $date
        ) {
            $document = stand([
                'species' => $species->id(),
                'date' => $date,
                'facts' => [['fact' => 'setting', 'value' => 'woods']],
                'cards' => [esterCard()],
                'keepers' => [
                    [
                        'kind' => 'tree',
                        'name' => 'oak',
                        'distance' => '5 m',
                        'species' => $species->id(),
                        'crownRadius' => '4 m',
                        'height' => '9 m',
                    ],
                    ['kind' => 'stock', 'name' => 'horses'],
                    ['kind' => 'stream', 'name' => 'beck', 'distance' => '9 m'],
                ],
            ]);
            $in = Fields::of($document, new Faults());
            $wire = app(BoardResource::class)->whole(
                board($document),
                (new SituationReader(catalogue()))->situation($in),
            );
            foreach ($wire['rows'] as $row) {
                foreach ($row['findings'] as $finding) {
                    foreach (['us', 'metric'] as $system) {
                        expect($finding['text'][$system])->not->toMatch('/[{}]|^\s*$/');
                    }
                }
            }
        }
    }
});
