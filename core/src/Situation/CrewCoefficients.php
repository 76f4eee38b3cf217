<?php

declare(strict_types=1);

namespace Thicket\Situation;

use Thicket\Catalogue\Coefficients;
use Thicket\Input\Fields;
use Thicket\Learning\LearnedFigure;

/**
 * The crew's own coefficients over the shipped table (handbook 9, rulings B10): minutes, hectares an hour and volumes
 * with low, use and high. Only figures that the table has may be replaced, so a new name never enters by the way of a
 * setting.
 */
final readonly class CrewCoefficients
{
    private const MOST = '100000';

    /**
     * @param array<string, array{string, string, string}> $own path in the table => low, use, high in the unit of the
     *     shipped figure, as somebody put them in
     * @param array<string, LearnedFigure> $learned by path, as the crew's records draw them
     */
    private function __construct(public array $own, public array $learned = []) {}

    /** @param array<string, LearnedFigure> $learned */
    public function drawnBy(array $learned): self
    {
        return new self($this->own, $learned);
    }

    /**
     * What is reckoned with: what somebody put in holds over what records say, and that over what ships.
     *
     * @return array<string, array{string, string, string}>
     */
    public function inForce(): array
    {
        return $this->own + array_map(static fn(LearnedFigure $f): array => $f->three, $this->learned);
    }

    /** The figure as records draw it, where it is one that is reckoned with. */
    public function learnedInForce(string $path): ?LearnedFigure
    {
        return isset($this->own[$path]) ? null : $this->learned[$path] ?? null;
    }

    /** Reads {path: [low, use, high]}; faults are noted at their paths. */
    public static function read(Fields $in, string $field, Coefficients $table): self
    {
        $given = $in->raw($field);
        if (!is_array($given) || ($given !== [] && array_is_list($given))) {
            $in->fault($field, 'Give an object: figure to [low, use, high].');
            $given = [];
        }
        $known = $table->changeable();
        $own = [];
        foreach ($given as $path => $three) {
            if (!isset($known[$path])) {
                $in->fault($field, "There is no figure {$path} in the table.");
                continue;
            }
            $three = is_array($three) ? array_values($three) : [];
            $numbers = array_filter(
                $three,
                static fn(mixed $n): bool => is_string($n) &&
                    preg_match('/^\d{1,6}(\.\d{1,4})?$/D', $n) === 1 &&
                    (float) $n > 0 &&
                    (float) $n <= (float) self::MOST,
            );
            if (count($three) !== 3 || count($numbers) !== 3) {
                $in->fault("{$field}/{$path}", 'Give three decimals above nought as quoted texts: low, use, high.');
                continue;
            }
            /** @var array{string, string, string} $three */
            if ((float) $three[0] > (float) $three[1] || (float) $three[1] > (float) $three[2]) {
                $in->fault("{$field}/{$path}", 'Low must not be above use, nor use above high.');
                continue;
            }
            $own[(string) $path] = $three;
        }

        return new self($own);
    }

    public static function none(): self
    {
        return new self([]);
    }
}
