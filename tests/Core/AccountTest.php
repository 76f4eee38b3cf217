<?php

declare(strict_types=1);

use Brick\Math\BigRational;
use Thicket\Review\Account;
use Thicket\Review\Job;

/* Accounts over signed records, worked by hand. */

/** @param array<string, mixed> $changes */
function job(int $record, array $changes = []): Job
{
    $of = $changes + [
        'year' => '2026',
        'patch' => 'Hedge',
        'method' => 'Basal bark',
        'minutes' => 90,
        'money' => '45',
        'treated' => 40,
        'hectares' => '0.2',
        'dead' => null,
        'kilograms' => [],
        'released' => null,
    ];
    $number = static fn(?string $n): ?BigRational => $n === null ? null : BigRational::of($n);

    return new Job(
        $record,
        $of['year'],
        $of['patch'],
        $of['method'],
        $of['minutes'],
        $number($of['money']),
        $of['treated'],
        $number($of['hectares']),
        $of['dead'],
        array_map(BigRational::of(...), $of['kilograms']),
        $of['released'],
    );
}

it('sums hours, money and plants under a heading, and leaves out what nobody told', function () {
    $jobs = [
        job(1, ['dead' => 30.0, 'released' => 14]),
        job(2, ['minutes' => 45, 'money' => null, 'dead' => 10.0, 'released' => 0]),
        job(3, ['minutes' => null, 'money' => null]),
        job(4, ['patch' => 'Creek', 'money' => '30', 'hectares' => null, 'treated' => 10]),
    ];
    $told = Account::by($jobs, static fn(Job $j): string => $j->patch);
    [$creek, $hedge] = $told;
    expect([$creek->heading, $hedge->heading, $hedge->records])->toBe(['Creek', 'Hedge', [1, 2, 3]]);
    // 90 + 45 minutes; record 3 tells none
    expect((string) $hedge->hours->toScale(2))
        ->toBe('2.25')
        ->and($hedge->withoutTime)
        ->toBe([3])
        ->and($hedge->withoutMoney)
        ->toBe([2, 3]);
    // 45 for 0.2 ha, and for the 30 dead of record 1: record 2 tells its dead but not its money
    expect((string) $hedge->perHectare?->toScale(2))
        ->toBe('225.00')
        ->and((string) $hedge->perDead?->toScale(2))
        ->toBe('1.50')
        ->and($hedge->dead)
        ->toBe(40);
    expect([$creek->perHectare, $creek->perDead, $creek->dead, $creek->released])->toBe([null, null, null, null]);
    expect($hedge->released)->toBe(14);
});

it('adds up active by the year, each by its basis', function () {
    $told = Account::actives([
        job(1, ['kilograms' => ['glyphosate (a.e.)' => '0.12', 'triclopyr (a.e.)' => '0.3']]),
        job(2, ['kilograms' => ['glyphosate (a.e.)' => '0.08']]),
        job(3, ['year' => '2025', 'kilograms' => ['glyphosate (a.e.)' => '1']]),
    ]);
    expect(
        array_map(
            static fn(array $one): string => "{$one['year']} {$one['active']} {$one['kilograms']->toScale(2)}",
            $told,
        ),
    )->toBe(['2025 glyphosate (a.e.) 1.00', '2026 glyphosate (a.e.) 0.20', '2026 triclopyr (a.e.) 0.30']);
});
