<?php

declare(strict_types=1);

namespace Thicket\Outlook;

use Thicket\Catalogue\LifeTable;
use Thicket\Catalogue\Species;

/** All that an outlook assumes, each with its range and who says so; any of them may be given otherwise. */
final readonly class Assumptions
{
    /** How much the way that is taken kills, and the best one without product. */
    public const CONTROL = ['control', 'controlByHand'];
    /** Every figure that may be given otherwise. */
    public const NAMES = [
        ...self::CONTROL,
        'seeds',
        'comesUp',
        'seedlingLives',
        'juvenileLives',
        'adultLives',
        'yearsToSeed',
        'offshoots',
        'most',
        'seedYears',
        'seedLeft',
        'foundAdults',
        'foundJuveniles',
        'foundSeedlings',
        'resprouts',
        'weakens',
        'swing',
        'youngShare',
        'firstFound',
        'arrives',
        'jobsAlike',
        'patrol',
        'livesFree',
        'livesUnder',
        'yearsToCrop',
        'slows',
    ];
    private const ROOTED = ['root-suckers', 'rhizomes', 'layering', 'fragments', 'tubers', 'bulblets', 'pads'];
    /** Where the species file does not say how long seed lasts. */
    private const SEED_YEARS_UNKNOWN = [1.0, 3.0, 10.0];
    /** Figures of which 1 is the most. */
    private const SHARES = [
        ...self::CONTROL,
        'comesUp',
        'seedlingLives',
        'juvenileLives',
        'adultLives',
        'seedLeft',
        'foundAdults',
        'foundJuveniles',
        'foundSeedlings',
        'resprouts',
        'weakens',
        'youngShare',
        'firstFound',
        'jobsAlike',
        'livesFree',
        'livesUnder',
        'slows',
    ];
    private const MOST = 10_000_000.0;

    /** @param array<string, Span> $spans by name */
    private function __construct(public array $spans) {}

    /**
     * @param bool $isFirstFind this plant was never found here before, so little seed can lie in the soil (handbook 7)
     * @param bool $keeps something is kept or planted among them
     */
    public static function of(Species $species, LifeTable $life, bool $isFirstFind, bool $keeps): self
    {
        $figures = $life->kind(LifeTable::kindOf($species)) + $life->all() + ($keeps ? $life->kept() : []);
        $resprouts = match ($species->resprouts()) {
            true => 'resproutsYes',
            false => 'resproutsNo',
            null => 'resproutsUnknown',
        };
        $figures['resprouts'] = $figures[$resprouts];
        unset($figures['resproutsYes'], $figures['resproutsNo'], $figures['resproutsUnknown']);
        $seeds = in_array('seed', $species->spread(), true);
        $creeps = array_intersect(self::ROOTED, $species->spread()) !== [];
        $spans = array_map(Span::of(...), $figures);
        foreach ($species->life() as $name => $three) {
            $spans[$name] = Span::of($three, Span::SPECIES_GUESS);
        }
        $isFirstFind || ($spans['firstFound'] = new Span(1, 1, 1));
        $seeds || ($spans['seeds'] = new Span(0, 0, 0, Span::SPECIES));
        $creeps || ($spans['offshoots'] = new Span(0, 0, 0, Span::SPECIES));
        $years = $species->seedBankYears();
        $spans['seedYears'] =
            $years === null
                ? Span::of(self::SEED_YEARS_UNKNOWN)
                : new Span($years['min'], $years['typical'], $years['max'], Span::SPECIES);

        return new self($spans);
    }

    /**
     * With what somebody says instead.
     *
     * @param array<string, array{float, float, float}> $given by name; those this stand has not are left aside
     */
    public function with(array $given): self
    {
        $spans = $this->spans;
        foreach ($given as $name => $three) {
            isset($spans[$name]) && ($spans[$name] = Span::of($three, Span::GIVEN));
        }

        return new self($spans);
    }

    /** The most that a figure can be. */
    public static function mostOf(string $name): float
    {
        return match (true) {
            in_array($name, self::SHARES, true) => 1.0,
            $name === 'seedYears', $name === 'yearsToSeed', $name === 'yearsToCrop' => 100.0,
            $name === 'swing' => 3.0,
            default => self::MOST,
        };
    }
}
