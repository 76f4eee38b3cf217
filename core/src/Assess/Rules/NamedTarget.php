<?php

declare(strict_types=1);

namespace Thicket\Assess\Rules;

use Thicket\Assess\Rule;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;
use Thicket\Verdict\Finding;

/**
 * An unnamed plant is handled as the worst it could be (rulings J25): no product, no trimmer, hand work in full wearing
 * only, and none at all while it could be a plant that is kept or listed.
 */
final readonly class NamedTarget implements Rule
{
    /** Names told before "and others". */
    private const NAMES = 3;

    public function evaluate(Situation $situation, Option $option): array
    {
        if ($situation->target !== null) {
            return [];
        }
        $findings = [];
        $unnamed = $situation->unnamed;
        if ($unnamed === null || $unnamed->holds()) {
            $could = [...$unnamed->listed ?? [], ...$unnamed->kept ?? []];
            $names = array_map(
                static fn(string $id): string => $option->catalogue->species($id)->commonName(),
                array_slice(array_values(array_unique($could)), 0, self::NAMES),
            );
            $findings[] = Finding::unknown('target', 'rulings-J25', true, [
                'could' => implode(', ', $names),
                'more' => max(0, count(array_unique($could)) - self::NAMES),
            ])->told($unnamed->couldBeAny ?? true ? 'unnamed.nothing-seen' : 'unnamed.hold', 'change.tell-apart');
        }

        return [
            ...$findings,
            match (true) {
                $option->method->usesProduct() => Finding::unknown('target', 'rulings-J25', true),
                $option->method->work() === 'hand' => Finding::withCare(
                    'unnamed.full-wearing',
                    'rulings-J25',
                    [],
                    'change.name-it',
                ),
                default => Finding::doesNotSuit('unnamed.no-trimmer', 'rulings-J25', [], 'change.name-it'),
            },
        ];
    }
}
