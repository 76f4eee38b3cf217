<?php

declare(strict_types=1);

namespace Thicket\Learning;

/** A figure that a plan went by, and how much of the planned amount came of it. */
final readonly class PlannedFigure
{
    /**
     * @param string $path in the table of coefficients
     * @param string $figure as it was when planned, in the unit of the table
     * @param float $share of the planned amount, 0 to 1
     */
    public function __construct(public string $path, public string $figure, public float $share) {}

    /** @return array{path: string, figure: string, share: string} to be kept with a sheet */
    public function told(): array
    {
        return [
            'path' => $this->path,
            'figure' => $this->figure,
            'share' => number_format($this->share, 4, '.', ''),
        ];
    }

    /** @return list<self> as {@see self::told()} told each; what cannot be read is left out */
    public static function kept(mixed $told): array
    {
        $out = [];
        foreach (is_array($told) ? $told : [] as $one) {
            [$path, $figure, $share] = is_array($one)
                ? [$one['path'] ?? null, $one['figure'] ?? null, $one['share'] ?? null]
                : [null, null, null];
            if (is_string($path) && is_string($figure) && is_numeric($figure) && is_numeric($share)) {
                $out[] = new self($path, $figure, (float) $share);
            }
        }

        return $out;
    }
}
