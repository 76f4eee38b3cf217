<?php

declare(strict_types=1);

namespace Thicket\Methods\Rules;

use Thicket\Methods\Candidate;
use Thicket\Methods\FactName;
use Thicket\Methods\Finding;
use Thicket\Methods\Rule;
use Thicket\Methods\Situation;
use Thicket\Timing\Day;
use Thicket\Timing\MonthDay;

/** Stock as helpers: never on what poisons them (rulings J4); on new native grass at most a day a week, not after mid-August (handbook 2, 6). */
final readonly class Grazing implements Rule
{
    private const TOXIC = ['poisonous', 'toxic-to-stock', 'toxic-when-wilted', 'nitrate-former', 'cyanide-former'];
    private const LAST = '08-15';

    public function evaluate(Situation $situation, Candidate $candidate): array
    {
        $target = $situation->target;
        if (!$candidate->is('flash-graze') || $target === null) {
            return [];
        }
        $findings = [Finding::withCare($target->isWoody() ? 'graze.seedlings-only' : 'graze.check-first', 'handbook-2')];
        if ($target->hasHazard(...self::TOXIC)) {
            $findings[] = Finding::doesNotSuit('graze.toxic', 'rulings-J4', [], 'change.other-helpers');
        }
        if ($situation->word(FactName::Setting) === 'new-native-grass') {
            $last = $situation->shift->local(MonthDay::parse(self::LAST), Day::year($situation->day));
            $findings[] = $situation->day > $last
                ? Finding::notNow('graze.first-winter', 'handbook-2', ['last' => $last], null, 'change.hand-work')
                : Finding::withCare('graze.first-winter', 'handbook-2', ['last' => $last]);
        }

        return $findings;
    }
}
