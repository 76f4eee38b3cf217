<?php

declare(strict_types=1);

namespace Thicket\Outlook;

/**
 * Plants of one stand by stage, and what a year makes of them, from one summer to the next: seed bank, seedlings,
 * juveniles, adults, and those that came back from roots whose tops died. Counts are floats; with dice they are thrown
 * plant by plant, without they are the middle (docs/outlook.md).
 */
final class Population
{
    /** A bank that loses less than that in a year has not come to its end yet. */
    private const LEAST_LOSS = 0.02;

    public float $bank;
    public float $seedlings = 0.0;
    public float $juveniles;
    public float $adults;
    /** Came back from weakened roots: no seed this year. */
    public float $weakened = 0.0;

    public function __construct(private readonly World $world, private readonly ?Dice $dice, Start $start)
    {
        $at = $world->at;
        $young = $at['juvenileLives'] > 0 ? $at['youngShare'] : 0.0;
        $this->juveniles = round($start->plants * $young);
        $this->adults = $start->plants - $this->juveniles;
        // a stand of long standing: as much seed comes in a year as goes. What came up this spring stands already, and
        // what will fall has not fallen yet
        $rain = $at['firstFound'] * $start->counted * (1 - $young) * $at['seeds'];
        $this->bank = ($rain * $world->seedKept) / max(self::LEAST_LOSS, 1 - $world->seedKept);
        $this->seedlings = $at['yearsToSeed'] <= 0 ? 0.0 : $rain * $at['comesUp'];
    }

    /** Plants that somebody sees: what is counted, and treated. */
    public function visible(): float
    {
        return $this->juveniles + $this->adults + $this->weakened;
    }

    /** Seed comes up, as far as the year lets it: what is seen a year on. */
    public function spring(float $hectares): void
    {
        $at = $this->world->at;
        $goes = $this->bank * (1 - $this->world->seedKept);
        $good = $this->dice === null ? 1.0 : exp($at['swing'] * $this->dice->bell());
        $this->seedlings = min($goes, $this->some($goes * $at['comesUp'] * $good));
        $this->bank = $this->bank - $goes + $at['arrives'] * $hectares;
        if ($at['yearsToSeed'] <= 0) {
            // who seeds in the year in which it comes up is grown by the time of the work
            $this->adults += $this->part($this->seedlings, $at['seedlingLives'] * $this->roomLeft());
            $this->seedlings = 0.0;
        }
    }

    /**
     * The work of the year, then what is left of it goes on to the next spring.
     *
     * @param float|null $kill share of treated plants that die to the root; null where nobody works
     *
     * @return float plants treated
     */
    public function yearOn(?float $kill): float
    {
        $at = $this->world->at;
        $left = $this->roomLeft();
        $back = $treated = 0.0;
        if ($kill !== null) {
            [$adults, $died] = $this->treat($this->adults, $at['foundAdults'], $kill);
            [$juveniles, $young] = $this->treat($this->juveniles, $at['foundJuveniles'], $kill);
            [$weakened, $weak] = $this->treat(
                $this->weakened,
                $at['foundAdults'],
                1 - (1 - $kill) * (1 - $at['weakens']),
            );
            $treated = $adults + $juveniles + $weakened;
            $back = $this->part($treated - $died - $young - $weak, $at['resprouts']);
            $this->adults -= $adults;
            $this->juveniles -= $juveniles;
            $this->weakened -= $weakened;
            $this->seedlings -= $this->part($this->seedlings, $at['foundSeedlings']);
        }
        // only what nobody treated seeds and creeps on
        $this->bank += $this->adults * $at['seeds'];
        $crept = $this->some(($this->adults + $this->weakened) * $at['offshoots'] * $left);
        $grown = $this->part($this->juveniles, $at['juvenileLives']);
        $seeds = $this->part($grown, 1 / max(1.0, $at['yearsToSeed']));
        $this->adults = $this->part($this->adults + $this->weakened, $at['adultLives']) + $seeds;
        $this->juveniles = $grown - $seeds + $crept + $this->part($this->seedlings, $at['seedlingLives'] * $left);
        $this->weakened = $back;
        $this->seedlings = 0.0;

        return $treated;
    }

    private function roomLeft(): float
    {
        return max(0.0, 1 - $this->visible() / $this->world->room);
    }

    /** @return array{float, float} found and treated, and dead of them to the root */
    private function treat(float $plants, float $found, float $kill): array
    {
        $treated = $this->part($plants, $found);

        return [$treated, $this->part($treated, $kill)];
    }

    private function part(float $many, float $chance): float
    {
        return $this->dice === null ? $many * min(1.0, max(0.0, $chance)) : $this->dice->of($many, $chance);
    }

    private function some(float $mean): float
    {
        return $this->dice === null ? $mean : $this->dice->about($mean);
    }
}
