<?php

declare(strict_types=1);

namespace Thicket\Identify;

use Thicket\Calendar\Day;
use Thicket\Calendar\SeasonShift;
use Thicket\Catalogue\Catalogue;
use Thicket\Catalogue\NameSearch;
use Thicket\Catalogue\Species;

/** Species by name, habit, setting, and by what shows on them in a month at a ground. */
final readonly class SpeciesFilter
{
    public const SHOWING = ['flower', 'fruit', 'leaf'];
    /** A month is judged on these days; one is enough. */
    private const DAYS = [5, 15, 25];

    /** @param array<string, list<string>> $further names of another language, by species */
    public function __construct(private Catalogue $catalogue, private array $further = []) {}

    /**
     * @param int|null $month 1 to 12
     * @param string $showing flower, fruit or leaf: what has to show in that month
     *
     * @return list<Species> in order of name, or of closeness where a name was typed
     */
    public function find(
        ?string $name,
        ?string $habit,
        ?string $setting,
        ?int $month,
        string $showing = 'flower',
        ?SeasonShift $shift = null,
    ): array {
        $all =
            $name === null
                ? $this->catalogue->allSpecies()
                : array_map(
                    fn(array $hit): Species => $this->catalogue->species($hit['species']),
                    (new NameSearch($this->catalogue, $this->further))->find($name),
                );
        $days =
            $month === null
                ? []
                : array_map(
                    static fn(int $day): SeasonalVisibility => new SeasonalVisibility(
                        $shift ?? SeasonShift::none(),
                        Day::of(2001, $month, $day),
                        0,
                    ),
                    self::DAYS,
                );
        $table = $this->catalogue->keyTable();

        return array_values(
            array_filter($all, static function (Species $s) use ($habit, $setting, $days, $showing, $table): bool {
                if (
                    ($habit !== null && $s->habit() !== $habit) ||
                    ($setting !== null && !in_array($setting, $s->settings(), true))
                ) {
                    return false;
                }
                $window = $table[$s->id()]['shows'][$showing] ?? null;
                // a plant that never flowers or whose dates nobody knows is in no month; green all year is in every
                // month
                if ($days !== [] && $window === null && $showing !== 'leaf') {
                    return false;
                }

                return $days === [] ||
                    array_filter($days, static fn(SeasonalVisibility $day): bool => $day->shows($window)) !== [];
            }),
        );
    }
}
