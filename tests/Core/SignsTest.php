<?php

declare(strict_types=1);

use Thicket\Calendar\Day;
use Thicket\Timing\EvaluationDate;
use Thicket\Timing\Signs;

/** @return array<string, array{string|null, string|null}> code => from, to */
function signsOf(array $changes, string $row): array
{
    [$situation, $option] = situated(stand($changes), $row);
    $species = $situation->target ?? throw new LogicException('a target');
    $told = [];
    foreach (
        Signs::of(
            $option,
            $species,
            $situation->shift,
            $situation->day,
            EvaluationDate::day($species, $situation->day, $situation->shift),
        )
        as $sign
    ) {
        $told[$sign['code']] = [$sign['from']?->format('Y-m-d'), $sign['to']?->format('Y-m-d')];
    }

    return $told;
}

it('has slow work show nothing at first, and nobody treat it again', function () {
    // girdled and sprayed on 10 September: its own word is weeks, and the score a year on
    $signs = signsOf(
        ['species' => 'norway-maple', 'date' => '2026-09-10', 'stems' => [['diameter' => '6 in', 'count' => 4]]],
        'hack-and-squirt/imazapyr',
    );
    expect($signs['sign.nothing'][0])
        ->toBe('2026-09-10')
        ->and($signs['sign.shows'][0])
        ->toBe(Day::parse($signs['sign.nothing'][1])->modify('+1 day')->format('Y-m-d'))
        ->and($signs['sign.judge'][0])
        ->toBe('2027-09-10')
        ->and($signs)
        ->toHaveKey('sign.late-sprouts')
        ->not->toHaveKey('sign.browning')
        ->not->toHaveKey('sign.leaf-out');
});

it('says of a tree treated bare that it leafs out once more', function (string $day, bool $leafsOut) {
    $signs = signsOf(
        ['species' => 'norway-maple', 'date' => $day, 'stems' => [['diameter' => '6 in', 'count' => 4]]],
        'hack-and-squirt/glyphosate',
    );
    expect(isset($signs['sign.leaf-out']))->toBe($leafsOut);
})->with([
    'in January' => ['2026-01-20', true],
    'in leaf' => ['2026-08-01', false],
    'in December' => ['2026-12-10', true],
]);

it('says of quick leaf sprays that brown is not dead to the root, of annuals not', function (
    string $species,
    bool $said,
) {
    $signs = signsOf(
        [
            'species' => $species,
            'date' => '2026-08-20',
            'stems' => [],
            'facts' => [seen('setting', 'pasture'), seen('height', '0.4 m')],
        ],
        'foliar-spot/glyphosate',
    );
    expect(isset($signs['sign.browning']))->toBe($said);
})->with(['a creeping thistle' => ['canada-thistle', true], 'a ragweed' => ['common-ragweed', false]]);
