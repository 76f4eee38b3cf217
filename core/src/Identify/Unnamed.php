<?php

declare(strict_types=1);

namespace Thicket\Identify;

use Thicket\Catalogue\Catalogue;

/**
 * A plant without a name, as the worst it could still be (rulings J25): what burns or poisons among the candidates in
 * play, and which of them people keep or the law protects. With one of those in play nothing is done to it at all.
 */
final readonly class Unnamed
{
    /**
     * @param list<string> $hazards of all candidates in play
     * @param list<string> $kept species in play that people keep, likeliest first
     * @param list<string> $listed species in play that the crew's law protects or regulates
     * @param bool $couldBeAny true while nothing that was noted rules any plant out
     */
    private function __construct(
        public array $hazards,
        public array $kept,
        public array $listed,
        public bool $couldBeAny,
    ) {}

    /** @param array<string, string> $listed species => 'protected' or 'regulated', as the crew has noted its law */
    public static function of(Ranking $ranking, Catalogue $catalogue, array $listed = []): self
    {
        $hazards = $ranking->hazards;
        $kept = $lawful = [];
        foreach ($ranking->inPlay() as $candidate) {
            $species = $catalogue->species($candidate->speciesId);
            $hazards = [...$hazards, ...$species->hazards()];
            $species->keptAs() === null || ($kept[] = $species->id());
            isset($listed[$species->id()]) && ($lawful[] = $species->id());
        }

        return new self(
            array_values(array_unique($hazards)),
            $kept,
            $lawful,
            count($ranking->inPlay()) === count($ranking->candidates),
        );
    }

    /** True while it could be a plant that is kept or listed: hold only. */
    public function holds(): bool
    {
        return $this->kept !== [] || $this->listed !== [];
    }
}
