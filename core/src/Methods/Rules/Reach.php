<?php

declare(strict_types=1);

namespace Thicket\Methods\Rules;

use Thicket\Methods\Candidate;
use Thicket\Methods\Finding;
use Thicket\Methods\Rule;
use Thicket\Methods\Situation;

/** Tools at hand and people cleared for them. A missing tool changes a row, never takes it away (rulings B3). */
final readonly class Reach implements Rule
{
    /** Tools anybody has, not listed in a shed. */
    private const COMMON = ['gloves', 'spade', 'sprayer', 'squirt-bottle', 'low-pressure-sprayer', 'hand-blade', 'hoe', 'shield', 'seed', 'trimmer', 'guards', 'mulch'];

    public function evaluate(Situation $situation, Candidate $candidate): array
    {
        $findings = [];
        foreach ($candidate->method->tools() as $tool) {
            if ($candidate->shed->tools !== null && !in_array($tool, self::COMMON, true) && !in_array($tool, $candidate->shed->tools, true)) {
                $findings[] = Finding::doesNotSuit('tool.missing', 'shed', ['tool' => $tool], 'change.get-tool');
            }
        }
        $clearance = $candidate->method->clearance();
        if ($clearance !== 'none' && $candidate->shed->tools !== null && !in_array($clearance, $candidate->shed->clearances, true)) {
            $findings[] = Finding::withCare('tool.nobody-cleared', 'handbook-5', ['tool' => $clearance], 'change.clearance');
        }

        return $findings;
    }
}
