<?php

declare(strict_types=1);

namespace Thicket\Identify;

/** The answer of the key: who it could be, what to look at next, and what to beware of until it has a name. */
final readonly class Ranking
{
    /** A species is in play while its share is at least this part of the leader's. */
    private const IN_PLAY = 0.05;

    /**
     * @param list<RankedSpecies> $candidates best first, the whole catalogue
     * @param array{character: string, gain: float}|null $next the character that tells most, gain in bits; null when
     *     nothing parts them any more
     * @param list<string> $unsafe handling classes stopped while a burning or poisonous candidate is in play (rulings
     *     J1)
     * @param list<string> $traps known mistakes that what was seen could be
     * @param list<string> $hazards of candidates in play and of traps, before anything is confirmed; empty while
     *     nothing was seen
     * @param array<string, float> $showing character => share of the candidates in play that have it on which it can be
     *     seen today
     */
    public function __construct(
        public array $candidates,
        public ?array $next,
        public array $unsafe,
        public array $traps,
        public array $hazards,
        public array $showing,
    ) {}

    /** @return list<RankedSpecies> */
    public function inPlay(): array
    {
        return self::near($this->candidates);
    }

    /**
     * @param list<RankedSpecies> $candidates best first
     *
     * @return list<RankedSpecies>
     */
    public static function near(array $candidates): array
    {
        $least = self::IN_PLAY * ($candidates[0]->share ?? 0);

        return array_values(array_filter($candidates, static fn(RankedSpecies $c): bool => $c->share >= $least));
    }
}
