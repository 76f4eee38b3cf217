<?php

declare(strict_types=1);

namespace Thicket\Methods\Rules;

use Thicket\Methods\Candidate;
use Thicket\Methods\Finding;
use Thicket\Methods\Rule;
use Thicket\Methods\Situation;
use Thicket\Methods\ToolsAtHand;

/** Tools at hand and people cleared for them. A missing tool changes a row, never takes it away (rulings B3). */
final readonly class Reach implements Rule
{
    public function evaluate(Situation $situation, Candidate $candidate): array
    {
        if ($candidate->shed->tools === null) {
            return [];
        }
        $hand = ToolsAtHand::of($situation, $candidate);
        $findings = array_map(
            static fn(string $tool): Finding => Finding::doesNotSuit(
                'tool.missing',
                'shed',
                ['tool' => $tool],
                'change.get-tool',
            ),
            $hand->missing,
        );
        if ($hand->clearance !== null) {
            $findings[] = Finding::withCare(
                'tool.nobody-cleared',
                'handbook-5',
                ['tool' => $hand->clearance],
                'change.clearance',
            );
        }

        return $findings;
    }
}
