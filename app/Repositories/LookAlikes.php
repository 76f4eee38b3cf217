<?php

declare(strict_types=1);

namespace App\Repositories;

use App\Models\Stand;
use Thicket\Catalogue\Catalogue;
use Thicket\Catalogue\LookAlike;

/**
 * Which look-alikes of a stand's name are still open: a native, wanted or hazardous one stops the job sheet (handbook
 * 1).
 */
final readonly class LookAlikes
{
    public function __construct(private Catalogue $catalogue) {}

    /** @return list<array{pair: LookAlike, other: string, gated: bool, resolved: bool}> */
    public function of(Stand $stand): array
    {
        if ($stand->species === null) {
            return [];
        }
        $out = [];
        foreach ($this->catalogue->lookAlikesOf($stand->species) as $pair) {
            $other = $pair->otherThan($stand->species);
            $out[] = [
                'pair' => $pair,
                'other' => $other,
                // one that the law of this crew protects stops the work even where the pair is harmless elsewhere
                'gated' =>
                    $pair->danger() !== 'none' ||
                    ($stand->patch->ground->crew->settings['listed'][$other] ?? null) === 'protected',
                'resolved' => $this->isResolved($stand, $pair->id()),
            ];
        }

        return $out;
    }

    /** @return list<string> ids of the look-alikes that stop the sheet */
    public function open(Stand $stand): array
    {
        return array_column(
            array_filter($this->of($stand), static fn(array $l): bool => $l['gated'] && !$l['resolved']),
            'other',
        );
    }

    private function isResolved(Stand $stand, string $pair): bool
    {
        foreach ($stand->sighting->tests ?? [] as $test) {
            if ($test['pair'] === $pair && $test['points'] === $stand->species) {
                return true;
            }
        }

        return false;
    }
}
