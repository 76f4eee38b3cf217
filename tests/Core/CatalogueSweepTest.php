<?php

declare(strict_types=1);

use Thicket\Catalogue\WindowGrade;
use Thicket\Economics\Labour;
use Thicket\Input\Faults;
use Thicket\Input\Fields;
use Thicket\Label\CardDetails;
use Thicket\Mix\RecipeSolver;
use Thicket\Situation\Option;
use Thicket\Situation\Schools;
use Thicket\Situation\Shed;
use Thicket\Situation\Situation;
use Thicket\Situation\SituationReader;
use Thicket\Timing\SeasonWindows;

/* What holds for everything in the catalogue, so that a new entry that breaks it is found here. */

function situationAt(string $species, string $latitude, string $elevation): Situation
{
    return (new SituationReader(catalogue()))->situation(
        Fields::of(
            [
                'date' => '2026-07-01',
                'species' => $species,
                'stems' => [],
                'place' => ['latitude' => $latitude, 'elevationMetres' => $elevation],
            ],
            new Faults(),
        ),
    );
}

it('opens some day of the year for every plant that an active controls, in four climates', function (
    string $latitude,
    string $elevation,
) {
    $shut = [];
    foreach (catalogue()->allSpecies() as $species) {
        if (
            array_filter(
                $species->knownResponses(),
                static fn(string $active): bool => in_array(
                    $species->responseTo($active),
                    ['controls', 'suppresses'],
                    true,
                ),
            ) === []
        ) {
            continue;
        }
        $situation = situationAt($species->id(), $latitude, $elevation);
        foreach (['foliar', 'basal', 'cut-stem'] as $season) {
            $methods = array_filter(
                catalogue()->allMethods(),
                static fn($m): bool => $m->season() === $season && $m->isFor($species),
            );
            if ($methods === []) {
                continue;
            }
            $windows = SeasonWindows::for(
                $situation,
                new Option(reset($methods), null, null, Schools::of(catalogue()), new Shed(), catalogue()),
            );
            if (array_filter($windows->windows ?? [], static fn($w): bool => $w->grade !== WindowGrade::Avoid) === []) {
                $shut[] = "{$species->id()} {$season}";
            }
        }
    }
    expect($shut)->toBe([]);
})->with([
    '25 north' => ['25', '50'],
    '40 north' => ['40', '200'],
    '52 north' => ['52', '50'],
    '38 south' => ['-38', '100'],
]);

it('reads every field of a label card in a rule, a gate, a recipe or the sheet', function () {
    $root = dirname(__DIR__, 2);
    $code = '';
    foreach (
        [
            'core/src/Situation',
            'core/src/Timing',
            'core/src/Economics',
            'core/src/Assess',
            'core/src/Mix',
            'core/src/Safety',
            'core/src/Programmes',
            'app/Actions',
            'app/Repositories',
            'app/Workflow',
            'app/Text',
        ]
        as $folder
    ) {
        foreach (
            new RecursiveIteratorIterator(
                new RecursiveDirectoryIterator("{$root}/{$folder}", FilesystemIterator::SKIP_DOTS),
            )
            as $file
        ) {
            // where a field is taken in or told as changed is not where it is used
            if (!in_array(basename((string) $file), ['CardDetails.php', 'LabelCard.php', 'CardChanges.php'], true)) {
                $code .= file_get_contents((string) $file);
            }
        }
    }
    // words of the label are all printed, by one loop over the texts
    $unread = str_contains($code, '$details->texts as') ? [] : CardDetails::TEXTS;
    foreach ([...CardDetails::DAYS, ...CardDetails::HOURS, ...CardDetails::YES_NO] as $field) {
        preg_match('/\b' . $field . '\b/', $code) === 1 || ($unread[] = $field);
    }
    foreach (
        [
            'buyers',
            'density',
            'exclusion',
            'lawCheckedYear',
            'grassesTolerant',
            'grassesHarmed',
            'plants',
            'incorporation',
            'formerNames',
            'yearlyMaximum',
            'intervalDays',
            'rainfastHours',
            'coldest',
            'hottest',
            'windMost',
            'reentryHours',
            'licensedOnly',
            'surfactantInside',
            'soilActive',
            'wearing',
            'firstAid',
            'leadDays',
            'lastingDays',
            'grazingDays',
            'hayDays',
            'waterBuffer',
            'aquaticAllowed',
        ]
        as $property
    ) {
        preg_match('/->' . $property . '\b/', $code) === 1 || ($unread[] = $property);
    }
    // former names are for the search; whether a concentrate exists is told in the Shed; the card itself weighs its
    // litre and keeps its year's most
    expect(array_values(array_diff($unread, ['formerNames', 'concentrateExists', 'density', 'yearlyMaximum'])))->toBe(
        [],
    );
});

it('counts hours and mix by the stems that a method takes, and by no others', function (
    string $row,
    string $within,
    string $beyond,
) {
    $of = static function (array $stems) use ($row): array {
        [$situation, $option] = situated(
            stand([
                'species' => 'norway-maple',
                'date' => '2026-09-10',
                'area' => '1000 m2',
                'stems' => $stems,
                'facts' => [['fact' => 'bark-texture', 'value' => 'smooth']],
            ]),
            $row,
        );

        return [
            (string) Labour::of($situation, $option)->hands[1]?->amount,
            $option->method->usesProduct()
                ? (string) (new RecipeSolver($situation, $option, $situation->area))->solve(null)->need?->amount
                : '',
        ];
    };
    $taken = ['diameter' => $within, 'count' => 10];
    $alone = $of([$taken]);
    expect($of([$taken, ['diameter' => $beyond, 'count' => 50]]))
        ->toBe($alone)
        ->and($of([['diameter' => $within, 'count' => 11]]))
        ->not->toBe($alone);
})->with([
    'basal bark, too thick' => ['basal-bark/triclopyr-ester', '3 in', '8 in'],
    'cuts, too thick' => ['hack-and-squirt/glyphosate', '3 in', '12 in'],
    'cuts, too thin' => ['hack-and-squirt/glyphosate', '3 in', '0.5 in'],
    'kerf, too thin' => ['girdle-spray/glyphosate', '8 in', '3 in'],
    'brush-cutter, too thick' => ['brush-cut-treat/glyphosate', '1 in', '4 in'],
    'lever, too thin' => ['lever-pull', '1 in', '0.5 in'],
    'lever, too thick' => ['lever-pull', '1 in', '3 in'],
    'girdle, too thin' => ['girdle', '3 in', '1 in'],
]);

it(
    'puts every way that its own page calls suitable on the board, and does not refuse it for setting or form',
    function () {
        $refused = [];
        $byKind = [];
        foreach (catalogue()->allSpecies() as $species) {
            $byKind[$species->habit()] ??= $species;
        }
        foreach (catalogue()->allMethods() as $method) {
            $settings = $method->fits()->settings ?? ['woods'];
            foreach ($method->isOnBoard() ? $byKind : [] as $habit => $species) {
                if (!$method->isFor($species)) {
                    continue;
                }
                foreach ($settings as $setting) {
                    $rows = board(herbs($setting, $species->id(), '2026-07-01'))->rows;
                    $own = array_filter($rows, static fn($r): bool => $r->option->method->id() === $method->id());
                    foreach ($own === [] ? [null] : $own as $one) {
                        $against =
                            $one === null ? ['no row'] : array_intersect(codes($one), ['fit.setting', 'form.not-for']);
                        $against === [] ||
                            ($refused[] = "{$method->id()} {$habit} {$setting}: " . implode(', ', $against));
                    }
                    break;
                }
            }
        }
        expect(array_values(array_unique($refused)))->toBe([]);
    },
);
