<?php

declare(strict_types=1);

use Symfony\Component\Yaml\Yaml;
use Thicket\Catalogue\Carrier;
use Thicket\Catalogue\SprayerKind;
use Thicket\Catalogue\WindowGrade;
use Thicket\FieldDay\EventKind;
use Thicket\FieldDay\RecordFields;
use Thicket\Measure\Unit;
use Thicket\Mix\Advice\Advisory;
use Thicket\Mix\Advice\MixPlan;
use Thicket\Practice\GateKind;
use Thicket\Review\LookSigns;
use Thicket\Review\Patrols;
use Thicket\Safety\DutyKind;
use Thicket\Safety\Settled;
use Thicket\Situation\Option;
use Thicket\Situation\ProtectedFeature;
use Thicket\Verdict\Certainty;
use Thicket\Verdict\Outcome;

require_once dirname(__DIR__, 2) . '/bin/lib/vocabulary.php';

it('has the closed sets of the core in TypeScript as they are', function () {
    expect(file_get_contents(dirname(__DIR__, 2) . '/web/src/api/vocabulary.ts'))->toBe(
        vocabularyFile(catalogue()),
        'Make it anew: php bin/lib/vocabulary.php > web/src/api/vocabulary.ts',
    );
});

it('has them in the contract as they are', function (string $where, array $words) {
    $at = Yaml::parseFile(dirname(__DIR__, 2) . '/openapi.yaml');
    foreach (explode(' ', $where) as $step) {
        $at = $at[$step] ?? throw new InvalidArgumentException("nothing at {$where}");
    }
    expect($at['enum'])->toEqualCanonicalizing($words);
})->with([
    'outcomes' => ['components schemas Finding properties outcome', array_column(Outcome::cases(), 'value')],
    'outcomes of a row' => ['components schemas BoardRow properties outcome', array_column(Outcome::cases(), 'value')],
    'units' => ['components schemas Unit', Unit::codes()],
    'keepers' => ['components schemas GivenKeeper properties kind', ProtectedFeature::KINDS],
    'certainties that a person may give' => [
        'components schemas GivenFact properties certainty',
        array_values(array_diff(array_column(Certainty::cases(), 'value'), ['unknown'])),
    ],
    'effects' => [
        'components schemas SideBySide properties columns items properties others items properties effect',
        [...Option::EFFECTS, 'unknown'],
    ],
    'grades of windows that are shown' => [
        'components schemas Year properties lanes items properties windows items properties grade',
        array_values(array_diff(array_column(WindowGrade::cases(), 'value'), ['avoid'])),
    ],
    'levels of a word on a mix' => [
        'components schemas Recipe properties words items properties level',
        [Advisory::BLOCKS, Advisory::ASKS, Advisory::CARE],
    ],
    'waters' => [
        'paths /steps/{step}/recipe put requestBody content application/json schema properties water',
        MixPlan::WATERS,
    ],
    'parts of a record' => ['components schemas RecordField', RecordFields::AMENDED],
    'kinds of notes' => ['components schemas FieldNote properties kind', array_column(EventKind::cases(), 'value')],
    'droplets' => [
        'paths /sheets/{sheet}/records post requestBody content application/json schema properties droplets',
        RecordFields::DROPLETS,
    ],
    'what is settled with others' => ['components schemas DutyKind', array_column(DutyKind::cases(), 'value')],
    'how that stands' => ['components schemas SettledDuty properties state', Settled::STATES],
    'what a patrol finds' => [
        'paths /stands/{stand}/patrols post requestBody content application/json schema properties found',
        Patrols::FOUND,
    ],
    'injury to what is kept' => [
        'paths /records/{record}/look-backs post requestBody content application/json schema properties injury',
        LookSigns::INJURIES,
    ],
    'gates of a job sheet' => ['components schemas Gate properties code', array_column(GateKind::cases(), 'value')],
    'sprayers' => [
        'paths /shed/sprayers post requestBody content application/json schema properties kind',
        array_column(SprayerKind::cases(), 'value'),
    ],
    'carriers' => [
        'paths /steps/{step}/recipe put requestBody content application/json schema properties carrier',
        Carrier::ALL,
    ],
]);
