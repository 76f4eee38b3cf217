<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\Rule;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Situation\ToolsAtHand;
use Thicket\Verdict\Finding;

/** Tools at hand and people cleared for them. A missing tool changes a row, never takes it away (rulings B3). */
final readonly class Reach implements Rule
{
    public function evaluate(Situation $situation, Option $option): array
    {
        if ($option->shed->tools === null) {
            return [];
        }
        $hand = ToolsAtHand::of($situation, $option);
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
