<?php

declare(strict_types=1);

namespace App\Resources;

use App\Support\Format;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Thicket\Review\Account;
use Thicket\Review\Job;
use Thicket\Survey\Exchange\CsvFile;

/** Accounts as they cross the wire, and as a table: openapi Accounts. */
final readonly class AccountResource
{
    private const COLUMNS = [
        'by',
        'heading',
        'records',
        'hours',
        'money',
        'treated',
        'dead',
        'trees released',
        'money per hectare',
        'money per dead plant',
        'records without time',
        'records without money',
    ];

    /**
     * @param list<Job> $jobs
     *
     * @return array<string, mixed>
     */
    public function of(array $jobs, ?int $year, ?string $currency): array
    {
        $by = [];
        foreach (self::headings() as $of => $heading) {
            $by[] = ['of' => $of, 'lines' => array_map(self::line(...), Account::by($jobs, $heading))];
        }

        return [
            'year' => $year,
            'currency' => $currency,
            'all' => $jobs === [] ? null : self::line(Account::by($jobs, static fn(): string => '')[0]),
            'by' => $by,
            'actives' => array_map(
                static fn(array $one): array => ['kilograms' => self::plain($one['kilograms'], 3)] + $one,
                Account::actives($jobs),
            ),
        ];
    }

    /** @param list<Job> $jobs */
    public function csv(array $jobs): string
    {
        $rows = [self::COLUMNS];
        foreach (self::headings() as $of => $heading) {
            foreach (Account::by($jobs, $heading) as $account) {
                $line = self::line($account);
                $rows[] = [
                    $of,
                    $line['heading'],
                    implode(' ', $line['records']),
                    $line['hours'],
                    (string) $line['money'],
                    (string) $line['treated'],
                    (string) $line['dead'],
                    (string) $line['released'],
                    (string) $line['perHectare'],
                    (string) $line['perDead'],
                    implode(' ', $line['withoutTime']),
                    implode(' ', $line['withoutMoney']),
                ];
            }
        }
        foreach (Account::actives($jobs) as $one) {
            $rows[] = [
                "kg {$one['year']}",
                $one['active'],
                '',
                '',
                self::plain($one['kilograms'], 3),
                '',
                '',
                '',
                '',
                '',
                '',
                '',
            ];
        }

        return CsvFile::written($rows);
    }

    /** @return array<string, \Closure(Job): string> */
    private static function headings(): array
    {
        return [
            'patch' => static fn(Job $job): string => $job->patch,
            'method' => static fn(Job $job): string => $job->method,
            'year' => static fn(Job $job): string => $job->year,
        ];
    }

    /**
     * @return array{heading: string, records: list<int>, hours: string, money: string|null, treated: int,
     *     dead: int|null, released: int|null, perHectare: string|null, perDead: string|null, withoutTime: list<int>,
     *     withoutMoney: list<int>, amended: list<int>}
     */
    private static function line(Account $account): array
    {
        return [
            'heading' => $account->heading,
            'records' => $account->records,
            'hours' => self::plain($account->hours, 1),
            'money' =>
                count($account->withoutMoney) === count($account->records) ? null : Format::money($account->money),
            'treated' => $account->treated,
            'dead' => $account->dead,
            'released' => $account->released,
            'perHectare' => Format::money($account->perHectare),
            'perDead' => Format::money($account->perDead),
            'withoutTime' => $account->withoutTime,
            'withoutMoney' => $account->withoutMoney,
            'amended' => $account->amended,
        ];
    }

    private static function plain(BigRational $n, int $places): string
    {
        return (string) $n->toScale($places, RoundingMode::HALF_UP);
    }
}
