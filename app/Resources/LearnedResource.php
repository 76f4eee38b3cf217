<?php

declare(strict_types=1);

namespace App\Resources;

use App\Text\Sentences;
use Thicket\Situation\Option;

/** Which figures of a plan the crew's own records have moved, and from what to what. */
final readonly class LearnedResource
{
    public function __construct(private Sentences $sentences) {}

    /**
     * @param list<string> $restsOn paths of the figures that the plan goes by
     *
     * @return list<array{us: string, metric: string}> one sentence for each that was moved
     */
    public function of(Option $option, array $restsOn): array
    {
        $said = [];
        foreach ($restsOn as $path) {
            $figure = $option->shed->figures?->learnedInForce($path);
            if ($figure !== null && $figure->three[1] !== $figure->usual[1]) {
                $said[] = $this->sentences->sentence('learned.says', [
                    'n' => $figure->records,
                    'ours' => $figure->three[1],
                    'usual' => $figure->usual[1],
                    'unit' => $this->sentences->unit($option->catalogue->coefficients()->changeable()[$path]['unit']),
                    'name' => $this->sentences->coefficient($path),
                ]);
            }
        }

        return $said;
    }
}
