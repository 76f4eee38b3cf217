<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\Rule;
use Thicket\Catalogue\Active;
use Thicket\Catalogue\FactName;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Verdict\Finding;

/**
 * Who comes here: schools and playgrounds take no herbicide till the local rule is recorded (rulings J19); children,
 * pets and people on a path keep out till it is dry and the label's hours are over (J9); paraquat never goes near homes
 * and gardens (J26).
 */
final readonly class People implements Rule
{
    public function evaluate(Situation $situation, Option $option): array
    {
        if (!$option->method->usesProduct()) {
            return $situation->isYes(FactName::PublicWay) === true && $option->method->work() === 'fire'
                ? [Finding::withCare('people.path-closed', 'rulings-J9', [])]
                : [];
        }
        $findings = [];
        if (
            $option->anyActive(static fn(Active $a): bool => $a->isNeverAtHomes()) &&
            $situation->word(FactName::Setting) === 'bed-lawn-paving'
        ) {
            $findings[] = Finding::notAllowed('people.never-at-homes', 'rulings-J26', [], 'change.other-active');
        }
        if ($situation->isYes(FactName::SchoolGround) === true) {
            $findings[] =
                $situation->isYes(FactName::LocalRule) === true
                    ? Finding::withCare('people.school-rule-kept', 'rulings-J19', [])
                    : Finding::notAllowed('people.school-ground', 'rulings-J19', [], 'change.record-local-rule');
        }
        $hours = $option->card?->protection->reentryHours;
        if ($situation->isYes(FactName::ChildrenPets) === true) {
            $findings[] = Finding::withCare(
                $hours === null ? 'people.children-till-dry' : 'people.children-hours',
                'rulings-J9',
                $hours === null ? [] : ['hours' => $hours],
            );
        }
        if ($situation->isYes(FactName::PublicWay) === true) {
            $findings[] = Finding::withCare('people.signs-and-look-out', 'rulings-J9', []);
        }

        return $findings;
    }
}
