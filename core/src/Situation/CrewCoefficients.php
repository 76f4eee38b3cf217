<?php

declare(strict_types=1);

namespace Thicket\Situation;

use Thicket\Catalogue\Node;
use Thicket\Input\Fields;
use Thicket\Measure\Quantity;

/**
 * The crew's own coefficients over the shipped table (handbook 9, rulings B10): minutes, hectares an hour and volumes
 * with low, use and high. Only figures that the table has may be replaced, so a new name never enters by the way of a
 * setting.
 */
final readonly class CrewCoefficients
{
    private const MOST = '100000';
    /** Tables of three figures by method, and their unit. */
    private const BY_METHOD = [
        'minutesPerTree' => 'min',
        'minutesPerSquareMetre' => 'min',
        'minutesPerHectare' => 'min',
        'seedlingMinutes' => 'min',
        'furtherStemMinutes' => 'min',
        'hectaresPerHour' => 'ha/h',
    ];

    /**
     * @param array<string, array{string, string, string}> $own path in the table => low, use, high in the unit of the
     * shipped figure
     */
    private function __construct(public array $own) {}

    /**
     * Every figure of the table that a crew may replace, in order of the table.
     *
     * @return array<string, array{unit: string, below: Quantity|null, figures: array{string, string, string}}> by path;
     *     unit is a unit code; below is the size a class reaches up to
     */
    public static function of(Node $table): array
    {
        $out = [];
        foreach ($table->nodes('minutesPerStem') as $method => $classes) {
            foreach ($classes->data as $i => $class) {
                $class = new Node(is_array($class) ? $class : [], "{$classes->where}/{$i}");
                $out["minutesPerStem/{$method}/{$i}"] = [
                    'unit' => 'min',
                    'below' => $class->quantity('below'),
                    'figures' => self::three($class->strings('minutes')),
                ];
            }
        }
        foreach (array_keys($table->node('minutesPerCut')->data) as $method) {
            $out["minutesPerCut/{$method}"] = [
                'unit' => 'min',
                'below' => null,
                'figures' => self::three($table->node('minutesPerCut')->node((string) $method)->strings('perCut')),
            ];
        }
        foreach (self::BY_METHOD as $group => $unit) {
            foreach (array_keys($table->node($group)->data) as $method) {
                $out["{$group}/{$method}"] = [
                    'unit' => $unit,
                    'below' => null,
                    'figures' => self::three($table->node($group)->strings((string) $method)),
                ];
            }
        }
        $out['setUpMinutes'] = [
            'unit' => 'min',
            'below' => null,
            'figures' => self::three($table->strings('setUpMinutes')),
        ];
        foreach (['cut', 'kerfPerTenCentimetres', 'wick'] as $path) {
            $out[$path] = self::volume($table->node($path));
        }
        foreach (['film', 'foliar', 'crown'] as $group) {
            foreach ($table->nodes($group) as $name => $node) {
                $out["{$group}/{$name}"] = self::volume($node);
            }
        }

        return $out;
    }

    /** Reads {path: [low, use, high]}; faults are noted at their paths. */
    public static function read(Fields $in, string $field, Node $table): self
    {
        $given = $in->raw($field);
        if (!is_array($given) || ($given !== [] && array_is_list($given))) {
            $in->fault($field, 'Give an object: figure to [low, use, high].');
            $given = [];
        }
        $known = self::of($table);
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

    /** The table with the crew's figures in it. */
    public function over(Node $table): Node
    {
        $data = $table->data;
        foreach ($this->own as $path => $three) {
            $group = explode('/', $path)[0];
            $put = match (true) {
                $group === 'minutesPerStem' => ['minutes' => $three],
                $group === 'minutesPerCut' => ['perCut' => $three],
                isset(self::BY_METHOD[$group]), $group === 'setUpMinutes' => $three,
                default => [
                    'low' => ['value' => $three[0]],
                    'use' => ['value' => $three[1]],
                    'high' => ['value' => $three[2]],
                ],
            };
            foreach (array_reverse(explode('/', $path)) as $key) {
                $put = [$key => $put];
            }
            $data = array_replace_recursive($data, $put);
        }

        return new Node($data, $table->where);
    }

    /** @return array{unit: string, below: null, figures: array{string, string, string}} */
    private static function volume(Node $node): array
    {
        return [
            'unit' => $node->node('use')->string('unit'),
            'below' => null,
            'figures' => [
                $node->node('low')->string('value'),
                $node->node('use')->string('value'),
                $node->node('high')->string('value'),
            ],
        ];
    }

    /**
     * @param list<string> $figures
     *
     * @return array{string, string, string}
     */
    private static function three(array $figures): array
    {
        return count($figures) === 3
            ? [$figures[0], $figures[1], $figures[2]]
            : throw new \LogicException('a coefficient has low, use and high.');
    }
}
