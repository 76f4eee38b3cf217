<?php

declare(strict_types=1);

use Thicket\Measure\Unit;

/*
 * The figures rows are ordered by (handbook 9): minutes with hands on the plants, expected control, harm.
 */

it('reckons minutes by method and size', function (string $id, array $stems, string $minutes) {
    $measured = row(stand(['stems' => $stems]), $id)->measures->minutes;
    expect((string) $measured?->in(Unit::Minute)->toScale(2, Brick\Math\RoundingMode::HALF_UP))->toBe($minutes);
})->with([
    'basal, thin' => ['basal-bark/triclopyr-ester', [['diameter' => '4.9 cm', 'count' => 10]], '2.50'],
    'basal, from 5 cm' => ['basal-bark/triclopyr-ester', [['diameter' => '5 cm', 'count' => 10]], '5.00'],
    'basal, from 10 cm' => ['basal-bark/triclopyr-ester', [['diameter' => '10 cm', 'count' => 10]], '8.00'],
    'class by its middle' => [
        'basal-bark/triclopyr-ester',
        [['from' => '4 cm', 'below' => '6 cm', 'count' => 10]],
        '5.00',
    ],
    'stumps, loppers' => ['cut-stump/glyphosate', [['diameter' => '3 cm', 'count' => 5]], '2.00'],
    'stumps, saw' => ['cut-stump/glyphosate', [['diameter' => '12 cm', 'count' => 5]], '10.00'],
    'pulling two sizes' => [
        'hand-pull',
        [['diameter' => '0.5 cm', 'count' => 4], ['diameter' => '1.5 cm', 'count' => 2]],
        '5.00',
    ],
]);

it('says nothing of minutes beyond its table', function () {
    expect(row(stand(['stems' => [['diameter' => '40 cm', 'count' => 1]]]), 'cut-stump/glyphosate')->measures->minutes)
        ->toBeNull()
        ->and(row(stand(['stems' => []]), 'basal-bark/triclopyr-ester')->measures->minutes)
        ->toBeNull();
});

it('expects by active, season and root', function (string $id, array $changes, array $control) {
    $measures = row(stand($changes), $id)->measures;
    expect([$measures->controlLow, $measures->controlUse, $measures->controlHigh])->toBe($control);
})->with([
    'injection, imazapyr' => ['hack-and-squirt/imazapyr', [], [85, 93, 98]],
    'injection, glyphosate' => ['hack-and-squirt/glyphosate', ['species' => 'norway-maple'], [70, 85, 95]],
    // what is only held back has no figure: nobody knows how much less to expect
    'an active that only holds it back' => ['hack-and-squirt/glyphosate', [], [null, null, null]],
    'leaf spray late' => [
        'foliar-spot/glyphosate',
        ['species' => 'norway-maple', 'date' => '2026-08-20'],
        [65, 80, 90],
    ],
    'leaf spray in spring' => [
        'foliar-spot/glyphosate',
        ['species' => 'norway-maple', 'date' => '2026-06-10'],
        [20, 40, 60],
    ],
    'rosettes' => [
        'rosette-spray/glyphosate',
        ['species' => 'poison-hemlock', 'date' => '2026-02-10', 'stems' => []],
        [85, 92, 97],
    ],
    'pulled with the root' => ['hand-pull', ['stems' => [['diameter' => '0.5 in', 'count' => 1]]], [85, 95, 99]],
    'pulled, root left' => ['hand-pull', ['species' => 'quackgrass', 'stems' => []], [10, 25, 50]],
    'mown once' => ['mow', ['species' => 'canada-thistle', 'stems' => []], [0, 5, 15]],
]);

it('digs cactus by the clump, and guesses no minutes for brush', function (string $species, ?string $minutes) {
    $labour = Thicket\Economics\Labour::of(
        ...situated(stand(['species' => $species, 'stems' => [['diameter' => '2 in', 'count' => 6]]]), 'dig'),
    );
    expect($labour->hands === null ? null : (string) $labour->hands[1]->amount)->toBe($minutes);
})->with(['six clumps of cactus' => ['prickly-pear', '60'], 'six shrubs' => ['autumn-olive', null]]);

it(
    'takes longer in dry soil, for deep roots, further stems and hand tools, and less for seedlings (handbook 9)',
    function (array $changes, string $row, string $minutes) {
        $labour = Thicket\Economics\Labour::of(...situated(stand($changes), $row));
        expect((string) $labour->hands[1]->in(Unit::Minute)->toScale(2, Brick\Math\RoundingMode::HALF_UP))->toBe(
            $minutes,
        );
    },
)->with(static function (): Generator {
    $woods = seen('setting', 'woods');
    $thumbs = [['diameter' => '1.5 cm', 'count' => 10]];
    yield 'pulled from moist soil' => [
        ['stems' => $thumbs, 'facts' => [$woods, seen('soil-moisture', 'moist')]],
        'hand-pull',
        '15.00',
    ];
    yield 'pulled from dry soil' => [
        ['stems' => $thumbs, 'facts' => [$woods, seen('soil-moisture', 'dry')]],
        'hand-pull',
        '30.00',
    ];
    yield 'seedlings pulled' => [
        ['stems' => $thumbs, 'facts' => [$woods, seen('stage', 'seedling')]],
        'hand-pull',
        '2.00',
    ];
    yield 'levered, shallow roots' => [
        ['species' => 'bush-honeysuckle', 'stems' => [['diameter' => '3 cm', 'count' => 4]]],
        'lever-pull',
        '12.00',
    ];
    yield 'levered, two clumps of three' => [
        ['species' => 'bush-honeysuckle', 'stems' => [['diameter' => '3 cm', 'count' => 6, 'stemsPerClump' => 3]]],
        'lever-pull',
        '10.00',
    ];
    yield 'levered, deep roots' => [
        ['species' => 'autumn-olive', 'stems' => [['diameter' => '3 cm', 'count' => 4]]],
        'lever-pull',
        '24.00',
    ];
    $maples = ['species' => 'norway-maple', 'date' => '2026-09-10', 'stems' => [['diameter' => '20 cm', 'count' => 2]]];
    yield 'girdled by saw' => [$maples + ['tools' => ['saw'], 'clearances' => ['saw']], 'girdle', '6.00'];
    yield 'girdled by hand saw' => [$maples + ['tools' => ['hand-saw'], 'clearances' => []], 'girdle', '15.00'];
    yield 'a saw that nobody may use, and a hand saw' => [
        $maples + ['tools' => ['saw', 'hand-saw'], 'clearances' => []],
        'girdle',
        '15.00',
    ];
    $planted = [
        'species' => 'quackgrass',
        'date' => '2026-05-20',
        'stems' => [],
        'facts' => [seen('setting', 'new-planting'), seen('planted-trees', '200')],
    ];
    yield 'two hundred trees released by hand' => [$planted, 'hand-release', '800.00'];
    yield 'and over the top' => [$planted, 'over-the-top/fluazifop', '40.00'];
});

it('mows through a season what lives on from its root, once what does not', function (string $species, int $passes) {
    expect(
        row(herbs('pasture', $species, '2026-06-01', [seen('stock-kind', 'none')], ['area' => '1 ha']), 'mow')->measures
            ->passes->count,
    )->toBe($passes);
})->with(['a knapweed' => ['spotted-knapweed', 4], 'a ragweed' => ['common-ragweed', 1]]);

it('shares the hours of a method among its rows only where each row alone has the same', function (string $document) {
    $read = static fn(): Thicket\Input\Fields => Thicket\Input\Fields::of(
        json_decode((string) file_get_contents(dirname(__DIR__, 2) . "/docs/examples/{$document}.json"), true),
        new Thicket\Input\Faults(),
    );
    $reader = new Thicket\Situation\SituationReader(catalogue());
    $in = $read();
    [$situation, $schools, $shed] = [$reader->situation($in), $reader->schools($in), $reader->shed($in)];
    $hours = static fn(Thicket\Situation\Situation $on, Thicket\Situation\Option $row): array => array_map(
        static fn(Thicket\Measure\Quantity $q): string => (string) $q->amount,
        Thicket\Economics\Labour::of($on, $row)->range() ?? [],
    );
    $rows = Thicket\Assess\Board::options($situation, catalogue(), $schools, $shed);
    expect(count($rows))->toBeGreaterThan(30);
    foreach ($rows as $row) {
        expect($hours($situation, $row))->toBe($hours($reader->situation($read()), $row), $row->id());
    }
})->with(['hedge-ailanthus', 'pasture-bramble', 'orchard-quackgrass', 'bed-bindweed-no-herbicide']);
