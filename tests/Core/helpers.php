<?php

declare(strict_types=1);

use Thicket\Assess\Board;
use Thicket\Assess\Row;
use Thicket\Catalogue\Catalogue;
use Thicket\Catalogue\CatalogueFiles;
use Thicket\Input\Faults;
use Thicket\Input\Fields;
use Thicket\Label\LabelLimit;
use Thicket\Measure\Quantity;
use Thicket\Measure\Reading;
use Thicket\Mix\Formula\FormulaSet;
use Thicket\Mix\PriorApplications;
use Thicket\Situation\SituationReader;

function catalogue(): Catalogue
{
    static $catalogue = null;
    if ($catalogue === null) {
        $root = dirname(__DIR__, 2);
        // compiled once for all processes of a run; the compiler's own code is part of the name, so that a change of it
        // is not missed
        $cache =
            "{$root}/var/phpunit/" .
            substr(
                sha1(
                    implode(
                        '',
                        array_map(sha1_file(...), [
                            "{$root}/core/src/Catalogue/CatalogueFiles.php",
                            "{$root}/core/src/Catalogue/KeyTable.php",
                        ]),
                    ),
                ),
                0,
                12,
            );
        is_dir($cache) || @mkdir($cache, 0o775, true);
        $catalogue = (new CatalogueFiles("{$root}/core/data", "{$root}/docs/schemas"))->compile($cache);
    }

    return $catalogue;
}

function quantity(string $typed): Quantity
{
    return Reading::parse($typed)->quantity;
}

/** @param array<string, mixed> $document */
function board(array $document, ?Thicket\Assess\Weights $weights = null): Board
{
    $in = Fields::of($document, $faults = new Faults());
    $reader = new SituationReader(catalogue());
    $schools = $reader->schools($in);
    $board = Board::for($reader->situation($in), catalogue(), $schools, $reader->shed($in), null, $weights);
    $faults->throwIfAny();

    return $board;
}

/** @param array<string, mixed> $document */
function row(array $document, string $id): Row
{
    $in = Fields::of($document, $faults = new Faults());
    $reader = new SituationReader(catalogue());
    $schools = $reader->schools($in);
    [$situation, $shed] = [$reader->situation($in), $reader->shed($in)];
    $faults->throwIfAny();
    // judged alone: the other rows of the board are not asked for
    foreach (Board::options($situation, catalogue(), $schools, $shed) as $option) {
        if ($option->id() === $id) {
            return Board::judge($situation, $option);
        }
    }
    throw new RuntimeException("The board has no row {$id}.");
}

/** @return list<string> */
function codes(Row $row): array
{
    return array_map(static fn($finding): string => $finding->code, $row->findings);
}

/**
 * @param array<string, mixed> $document
 *
 * @return array{values: array<string, mixed>, missing: list<string>}
 */
function sum(array $document): array
{
    $answer = (new FormulaSet(catalogue()))->solve(Fields::of($document, new Faults()));

    return ['values' => $answer->values, 'missing' => $answer->missing];
}

/**
 * A red maple of 4 in on plain ground at 40 N, 200 m, unless told otherwise.
 *
 * @param array<string, mixed> $changes
 *
 * @return array<string, mixed>
 */
function stand(array $changes = []): array
{
    return $changes + [
        'date' => '2026-08-15',
        'species' => 'red-maple',
        'place' => ['latitude' => '40', 'elevationMetres' => '200'],
        'stems' => [['diameter' => '4 in', 'count' => 10]],
    ];
}

/** @return array<string, mixed> */
function esterCard(array $changes = []): array
{
    return $changes + [
        'id' => 'ester',
        'product' => 'triclopyr ester 480 g/L',
        'registration' => 'T-1',
        'confirmed' => true,
        'formulation' => 'oil-soluble-ester',
        'actives' => [['active' => 'triclopyr-ester', 'amount' => '480 g ae/L']],
        'carriers' => ['oil'],
        'sites' => ['woods'],
        'methods' => [
            ['method' => 'basal-bark', 'min' => '10%', 'max' => '30%'],
            ['method' => 'cut-stump', 'max' => '30%'],
        ],
        'yearlyMaximum' => '8 kg ae/ha',
        'waterBuffer' => '10 m',
    ];
}

/** @return array<string, mixed> a granule-like preventer: 30 days before it works, 90 that it lasts */
function preventerCard(array $changes = []): array
{
    return esterCard(
        $changes + [
            'id' => 'preventer',
            'product' => 'pendimethalin 400 g/L',
            'actives' => [['active' => 'pendimethalin', 'amount' => '400 g ai/L']],
            'formulation' => 'emulsifiable',
            'carriers' => ['water'],
            'sites' => ['orchard', 'bed-lawn-paving', 'seedbed'],
            'methods' => [['method' => 'pre-emergent', 'rateMost' => '3 L/ha', 'spray' => '200 L/ha']],
            'leadDays' => 30,
            'lastingDays' => 90,
            'leadInsideLasting' => true,
        ],
    );
}

/** @return array<string, mixed> a leaf spray for beds, pasture and orchard */
function sprayCard(array $changes = []): array
{
    return esterCard(
        $changes + [
            'id' => 'spray',
            'product' => '2,4-D 480 g/L',
            'actives' => [['active' => '2-4-d', 'amount' => '480 g ae/L']],
            'formulation' => 'soluble-liquid',
            'carriers' => ['water'],
            'sites' => ['pasture', 'bed-lawn-paving', 'orchard'],
            'methods' => [
                ['method' => 'foliar-spot', 'max' => '2%'],
                ['method' => 'pasture-broadcast', 'rateMost' => '2 L/ha', 'spray' => '200 L/ha'],
                ['method' => 'lawn-broadcast', 'rateMost' => '2 L/ha'],
                ['method' => 'strip-spray', 'rateMost' => '2 L/ha'],
            ],
        ],
    );
}

/**
 * Leaf spray on a low shrub in September in a west wind, near something kept.
 *
 * @param array<string, mixed> $keeper
 *
 * @return array<string, mixed>
 */
function leafSpray(array $keeper): array
{
    return [
        'species' => 'bush-honeysuckle',
        'date' => '2026-09-20',
        'facts' => [['fact' => 'height', 'value' => '4 ft'], ['fact' => 'wind-from', 'value' => 'west']],
        'keepers' => [$keeper],
    ];
}

/**
 * @param array<string, mixed> $changes
 *
 * @return array<string, mixed>
 */
function waterCard(array $changes = []): array
{
    return $changes + [
        'id' => 'water',
        'product' => 'glyphosate 360 g/L',
        'registration' => 'T-2',
        'confirmed' => true,
        'formulation' => 'soluble-liquid',
        'actives' => [['active' => 'glyphosate', 'amount' => '360 g ae/L']],
        'carriers' => ['water'],
        'sites' => ['woods', 'orchard'],
        'methods' => [
            ['method' => 'cut-stump', 'min' => '25%', 'max' => '100%'],
            ['method' => 'hack-and-squirt', 'min' => '50%', 'max' => '100%'],
            ['method' => 'foliar-spot', 'min' => '0.5%', 'max' => '2%'],
        ],
        'yearlyMaximum' => '8 kg ae/ha',
        'waterBuffer' => '10 m',
    ];
}

/** One earlier application, or several of the same kind added up, in whatever year the card counts. */
function putThere(string $load, int $times = 1): PriorApplications
{
    return new PriorApplications(array_fill_keys(LabelLimit::YEARS, ['loads' => [quantity($load)], 'times' => $times]));
}

/** @return array{Thicket\Situation\Situation, Thicket\Situation\Option} */
function situated(array $document, string $row): array
{
    $in = Fields::of($document, new Faults());

    return [(new SituationReader(catalogue()))->situation($in), row($document, $row)->option];
}

/** @return array<string, mixed> a fact as somebody saw it */
function seen(string $fact, mixed $value): array
{
    return ['fact' => $fact, 'value' => $value];
}

/**
 * A stand of herbs on a ground of which the simple questions are answered: no hives near, nobody picks, whole brown
 * bark. A fact given beats them.
 *
 * @param list<array<string, mixed>> $facts
 * @param array<string, mixed> $more
 *
 * @return array<string, mixed>
 */
function herbs(string $site, string $species, string $date, array $facts = [], array $more = []): array
{
    return $more + [
        'date' => $date,
        'species' => $species,
        'place' => ['latitude' => '40', 'elevationMetres' => '200'],
        'stems' => [],
        'facts' => [
            seen('setting', $site),
            seen('hives-near', false),
            seen('green-bark', false),
            seen('food-taken', false),
            ...$facts,
        ],
    ];
}

/**
 * @param list<array<string, mixed>> $stems
 * @param list<array<string, mixed>> $facts
 * @param array<string, mixed> $more
 *
 * @return array<string, mixed>
 */
function woody(string $site, string $species, string $date, array $stems, array $facts = [], array $more = []): array
{
    return herbs($site, $species, $date, $facts, ['stems' => $stems] + $more);
}

/**
 * What a board must say of some rows, outcome and reason, and what it must never say.
 *
 * @param array<string, mixed> $document
 * @param array<string, array{string, string}> $must row => outcome and code
 * @param array<string, string> $never row => outcome
 */
function expectRows(array $document, array $must, array $never = []): void
{
    $rows = [];
    foreach (board($document)->rows as $row) {
        $rows[$row->option->id()] = $row;
    }
    foreach ($must as $id => [$outcome, $code]) {
        expect(isset($rows[$id]))
            ->toBeTrue("no row {$id}")
            ->and([
                $id,
                $rows[$id]->outcome->value,
                in_array($code, codes($rows[$id]), true) ? $code : codes($rows[$id]),
            ])
            ->toBe([$id, $outcome, $code]);
    }
    foreach ($never as $id => $outcome) {
        expect([$id, ($rows[$id] ?? null)?->outcome->value])->not->toBe([$id, $outcome]);
    }
}

/**
 * Situations worked by hand, of one file of fixtures.
 *
 * @return array<string, array{0: array<string, mixed>, 1: array<string, array{string, string}>, 2?: array<string,
 *     string>}>
 */
function situations(string $file): array
{
    return require __DIR__ . "/fixtures/{$file}.php";
}

/**
 * @param array<string, mixed> $more
 *
 * @return array<string, mixed>
 */
function keeper(string $kind, string $name, string $distance = '0 m', array $more = []): array
{
    return ['kind' => $kind, 'name' => $name, 'distance' => $distance] + $more;
}

/**
 * Velvetleaf in seed leaves on a seedbed.
 *
 * @param list<array<string, mixed>> $facts
 * @param array<string, mixed> $more
 *
 * @return array<string, mixed>
 */
function seedbed(array $facts, array $more = []): array
{
    return herbs('seedbed', 'velvetleaf', '2026-05-10', [seen('stage', 'cotyledon'), ...$facts], $more);
}

/**
 * Four Norway maples in a wood in September.
 *
 * @param list<array<string, mixed>> $facts
 * @param array<string, mixed> $more
 *
 * @return array<string, mixed>
 */
function mapleTrees(string $size, array $facts = [], array $more = []): array
{
    return woody('woods', 'norway-maple', '2026-09-10', [['diameter' => $size, 'count' => 4]], $facts, $more);
}

/**
 * Canada thistle two feet high in a pasture, with one card.
 *
 * @param list<array<string, mixed>> $facts
 * @param array<string, mixed> $card
 * @param array<string, mixed> $more
 *
 * @return array<string, mixed>
 */
function thistlePasture(array $facts, array $card = [], array $more = []): array
{
    return herbs(
        'pasture',
        'canada-thistle',
        '2026-06-10',
        [seen('height', '2 ft'), ...$facts],
        $more + ['cards' => [sprayCard($card)]],
    );
}

/**
 * A plan as a form would have it, all in one row.
 *
 * @param array<string, mixed> $asked water, material, solventProof, firstTime, firstTogether, fuelOilLawful,
 *     additivesForWater
 * @param list<Thicket\Mix\Component> $extras
 */
function mixPlan(
    Thicket\Situation\Situation $situation,
    Thicket\Situation\Option $option,
    string $carrier,
    array $asked = [],
    array $extras = [],
): Thicket\Mix\Advice\MixPlan {
    return new Thicket\Mix\Advice\MixPlan(
        $situation,
        $option,
        $asked['carrier'] ?? $carrier,
        new Thicket\Mix\Advice\Additions($extras, $asked['additivesForWater'] ?? null),
        new Thicket\Mix\Advice\TankAsked(
            $asked['material'] ?? null,
            $asked['solventProof'] ?? null,
            $asked['water'] ?? null,
        ),
        new Thicket\Mix\Advice\CrewPractice(
            $asked['firstTime'] ?? false,
            $asked['firstTogether'] ?? false,
            $asked['fuelOilLawful'] ?? false,
        ),
    );
}
