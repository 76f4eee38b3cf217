<?php

declare(strict_types=1);

use Thicket\Calendar\Day;
use Thicket\Input\Faults;
use Thicket\Input\Fields;
use Thicket\Input\Refused;
use Thicket\Measure\Dimension;
use Thicket\Measure\Exception\UnitMismatch;
use Thicket\Measure\Quantity;
use Thicket\Measure\Reading;
use Thicket\Measure\Unit;
use Thicket\ThicketRefusal;

/** @return list<string> pointers of the faults of one reading */
function faultsOf(array $data, Closure $read): array
{
    $faults = new Faults();
    $in = Fields::of($data, $faults);
    $read($in);
    $in->noOthers();
    try {
        $faults->throwIfAny();
    } catch (Refused $e) {
        return array_column($e->faults, 'pointer');
    }

    return [];
}

it('collects all faults at once, each at its field', function () {
    $pointers = faultsOf(
        [
            'name' => '',
            'count' => -1,
            'day' => '2026-02-30',
            'size' => '3 gal',
            'inner' => ['list' => ['a', 7]],
            'stray' => 1,
        ],
        function (Fields $in): void {
            $in->text('name');
            $in->int('count', 0, 10);
            $in->day('day');
            $in->quantity('size', Dimension::Length);
            $inner = $in->object('inner');
            $inner->strings('list');
            $inner->noOthers();
        },
    );
    expect($pointers)->toBe(['/name', '/count', '/day', '/size', '/inner/list/1', '/stray']);
});

it('reads a quantity in every form the wire allows, exactly', function (mixed $given) {
    $faults = new Faults();
    $quantity = Fields::of(['size' => $given], $faults)->quantity('size', Dimension::Length);
    expect($faults->any())->toBeFalse()->and($quantity?->equals(Quantity::of('3/2', Unit::Inch)))->toBeTrue();
})->with([
    'typed bare' => ['1 1/2 in'],
    'typed in an object' => [['typed' => '1.5 in']],
    'value and unit' => [['value' => '1.5', 'unit' => 'in']],
    'metric twin' => [['value' => '3.81', 'unit' => 'cm']],
]);

it('refuses a quantity in any other form', function (mixed $given, string $pointer) {
    expect(faultsOf(['size' => $given], fn(Fields $in) => $in->quantity('size', Dimension::Length)))->toBe([$pointer]);
})->with([
    'bare number' => [1.5, '/size'],
    'number inside' => [['value' => 1.5, 'unit' => 'in'], '/size'],
    'exponent' => [['value' => '1e3', 'unit' => 'in'], '/size/value'],
    'code nobody knows' => [['value' => '1', 'unit' => 'cubit'], '/size/unit'],
    'too many members' => [['value' => '1', 'unit' => 'in', 'extra' => 1], '/size'],
    'list' => [['1 in'], '/size'],
    'true' => [true, '/size'],
]);

it('reads moments only with their offset', function (string $given, bool $fine) {
    expect(faultsOf(['at' => $given], fn(Fields $in) => $in->moment('at')) === [])->toBe($fine);
})->with([
    'offset' => ['2026-09-03T09:00:00-05:00', true],
    'zulu' => ['2026-09-03T14:00:00Z', true],
    'no offset' => ['2026-09-03T09:00:00', false],
    'words' => ['this morning', false],
    'hour that is none' => ['2026-09-03T29:00:00Z', false],
]);

it('never falls over whatever is typed: it reads it or refuses it', function () {
    mt_srand(20260903);
    $pieces = [
        '1',
        '2/3',
        ' ',
        '.',
        ',',
        '-',
        'in',
        'gal',
        '/ac',
        '%',
        '½',
        '"',
        "\u{200b}",
        'oz',
        'e',
        ':',
        '(',
        'a.e.',
        '0',
        '99999',
        'per',
        "\n",
        '²',
        'us',
    ];
    for ($i = 0; $i < 4000; ++$i) {
        $typed = implode(
            '',
            array_map(static fn(): string => $pieces[mt_rand(0, count($pieces) - 1)], range(1, mt_rand(1, 7))),
        );
        try {
            $read = Reading::parse($typed);
            expect($read->quantity->isNegative() && $read->quantity->dimension() !== Dimension::Temperature)->toBeFalse(
                $typed,
            );
        } catch (ThicketRefusal $e) {
            expect($e->getMessage())->not->toBe('', $typed);
        }
    }
});

it('gives back from the wire what it put on it', function () {
    foreach (Unit::cases() as $unit) {
        $wire = Quantity::of('12.625', $unit)->toWire();
        expect(
            Quantity::of($wire['value'], Unit::from($wire['unit']))->equals(Quantity::of('12.625', $unit)),
        )->toBeTrue($unit->value);
    }
});

it('compares and adds only what measures the same', function () {
    expect(fn() => quantity('1 gal')->plus(quantity('1 in')))
        ->toThrow(UnitMismatch::class)
        ->and(quantity('1 gal')->equals(quantity('1 in')))
        ->toBeFalse()
        ->and(quantity('1 gal')->plus(quantity('1 qt'))->equals(quantity('5 qt')))
        ->toBeTrue()
        ->and(quantity('1 gal')->minus(quantity('1 qt'))->equals(quantity('3 qt')))
        ->toBeTrue()
        ->and((string) quantity('1 gal')->per(quantity('1 fl oz')))
        ->toBe('128');
});

it('adds calendar months and holds the last day', function (string $day, int $months, string $later) {
    expect(Day::plusMonths(Day::parse($day), $months)->format('Y-m-d'))->toBe($later);
})->with([
    'plain' => ['2026-03-15', 2, '2026-05-15'],
    'into February' => ['2026-08-31', 6, '2027-02-28'],
    'into a leap February' => ['2027-08-31', 6, '2028-02-29'],
    'over the year' => ['2026-12-31', 1, '2027-01-31'],
    'a year from a leap day' => ['2028-02-29', 12, '2029-02-28'],
    'backward' => ['2026-01-31', -2, '2025-11-30'],
]);

it('takes the ids that the database holds, and refuses those of versions that it may not', function (
    string $id,
    array $faults,
) {
    expect(faultsOf(['id' => $id], static fn(Fields $in) => $in->uuid('id')))->toBe($faults);
})->with([
    'by name' => ['9f3ecbeb-3bb0-5713-808e-a1c78a5ba920', []],
    'by time' => ['9f3ecbeb-3bb0-7713-808e-a1c78a5ba920', []],
    'of a kind of its own' => ['9f3ecbeb-3bb0-8713-808e-a1c78a5ba920', ['/id']],
    'of none' => ['9f3ecbeb-3bb0-f713-008e-a1c78a5ba920', ['/id']],
]);
