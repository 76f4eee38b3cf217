<?php

declare(strict_types=1);

namespace Thicket\FieldDay;

use Thicket\Catalogue\FactName;
use Thicket\Safety\Cautions;
use Thicket\Situation\Option;
use Thicket\Situation\Situation;

/**
 * What is ticked before anybody begins: what each of them has on and has read, and what must stand ready on the spot
 * (rulings J9, J30, J34, J38). Codes: 'wear.CODE' and 'kit.CODE' as the sheet names them, 'brief.CODE' for the rest.
 */
final readonly class Briefing
{
    /**
     * @param list<string> $each ticked by everybody for themselves
     * @param list<string> $once ticked once for the day
     */
    private function __construct(public array $each, public array $once) {}

    /** @param non-empty-list<Option> $tank the product of the step and its partners */
    public static function of(Situation $situation, array $tank): self
    {
        $option = $tank[0];
        $cautions = Cautions::ofTank($situation, $tank);
        $uses = $option->method->usesProduct();
        $once = [
            'brief.plant-shown',
            ...$situation->keepers === [] ? [] : ['brief.keepers-shown'],
            ...$uses ? ['brief.nobody-inside'] : [],
            ...$uses && $situation->isYes(FactName::PublicWay) !== false ? ['brief.look-out'] : [],
            ...$option->method->clearance() === 'saw' ? ['brief.wires-and-escape'] : [],
            ...$option->method->work() === 'fire' ? ['brief.hose-charged'] : [],
            'brief.somebody-waits',
            ...array_map(static fn(string $code): string => "kit.{$code}", $cautions->kit),
        ];
        $each = [
            ...$uses ? ['brief.card-read'] : [],
            ...array_map(static fn(string $code): string => "wear.{$code}", $cautions->wearing),
        ];

        return new self($each, $once);
    }
}
