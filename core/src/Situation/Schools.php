<?php

declare(strict_types=1);

namespace Thicket\Situation;

use Thicket\Catalogue\Catalogue;
use Thicket\Catalogue\SchoolChoice;

/** The crew's choice for every school; what is not chosen is our default. */
final readonly class Schools
{
    /** @param array<string, string> $chosen school id => choice id, each already known to the catalogue */
    private function __construct(private Catalogue $catalogue, public array $chosen) {}

    /**
     * @param array<string, string> $chosen
     *
     * @throws \Thicket\Catalogue\Exception\UnknownEntry for an unknown school or choice
     */
    public static function of(Catalogue $catalogue, array $chosen = []): self
    {
        foreach ($chosen as $school => $choice) {
            $catalogue->school($school)->choice($choice);
        }

        return new self($catalogue, $chosen);
    }

    public function choice(string $school): string
    {
        return $this->chosen[$school] ?? $this->catalogue->school($school)->default();
    }

    /** The working values that come with the choice. */
    public function values(string $school): SchoolChoice
    {
        return $this->catalogue->school($school)->choice($this->choice($school));
    }

    public function with(string $school, string $choice): self
    {
        $this->catalogue->school($school)->choice($choice);

        return new self($this->catalogue, [$school => $choice] + $this->chosen);
    }

    /** @return list<string> the other choices of one school */
    public function alternatives(string $school): array
    {
        return array_values(
            array_filter(
                $this->catalogue->school($school)->choices(),
                fn(string $id): bool => $id !== $this->choice($school),
            ),
        );
    }
}
