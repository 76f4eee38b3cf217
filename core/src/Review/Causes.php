<?php

declare(strict_types=1);

namespace Thicket\Review;

/**
 * What a record itself gives as likely causes where the work did worse than expected (handbook 7), each with its
 * evidence; what no record tells (rain after, a cut that dried) is asked.
 */
final readonly class Causes
{
    /** Less than so much of the planned mix, for as many plants, is an under-dose (ours). */
    private const LEAST_DOSE = 0.7;

    /** What is asked, and explains nothing of itself. */
    private const QUESTIONS = ['cause.left', 'cause.ask'];

    private function __construct() {}

    /** Whether the record itself gives something that went wrong. */
    public static function explain(Done $done): bool
    {
        return array_diff(array_column(self::of($done), 'code'), self::QUESTIONS) !== [];
    }

    /** @return list<array{code: string, values: array<string, string|int>}> the strongest evidence first */
    public static function of(Done $done): array
    {
        $causes = [];
        foreach ($done->outside as $limit) {
            $causes[] = ['code' => 'cause.outside-limit', 'values' => ['limit' => $limit]];
        }
        foreach ($done->passes as $pass) {
            $causes[] = ['code' => "cause.passed-{$pass['gate']}", 'values' => ['reason' => $pass['reason']]];
        }
        if ($done->dose !== null && $done->dose < self::LEAST_DOSE) {
            $causes[] = ['code' => 'cause.under-dose', 'values' => ['percent' => (int) round($done->dose * 100)]];
        }
        $done->missed > 0 && ($causes[] = ['code' => 'cause.missed', 'values' => ['n' => $done->missed]]);
        $done->left > 0 && ($causes[] = ['code' => 'cause.left', 'values' => ['n' => $done->left]]);
        $done->incident && ($causes[] = ['code' => 'cause.incident', 'values' => []]);
        $causes[] = ['code' => 'cause.ask', 'values' => []];

        return $causes;
    }
}
