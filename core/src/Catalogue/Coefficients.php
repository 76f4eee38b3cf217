<?php

declare(strict_types=1);

namespace Thicket\Catalogue;

use Thicket\Measure\Quantity;

/**
 * The one reviewed table of coefficients (rulings B10, handbook 9). Low, use and high where it gives a range; a crew
 * may put its own figures in.
 *
 * @phpstan-type Figure array{unit: string, below: Quantity|null, figures: array{string, string, string}}
 */
final readonly class Coefficients
{
    /** Tables of three figures by method, and what they are measured in. */
    private const BY_METHOD = [
        'minutesPerTree' => 'min',
        'minutesPerSquareMetre' => 'min',
        'minutesPerHectare' => 'min',
        'seedlingMinutes' => 'min',
        'furtherStemMinutes' => 'min',
        'hectaresPerHour' => 'ha/h',
        'kilometresPerHour' => 'km/h',
    ];

    public function __construct(private Node $data) {}

    public function labour(): LabourTable
    {
        return new LabourTable($this->data);
    }

    /** Mix for one cut. */
    public function perCut(): Quantity
    {
        return $this->use('cut');
    }

    /** Mix for ten centimetres of kerf. */
    public function perTenCentimetresOfKerf(): Quantity
    {
        return $this->use('kerfPerTenCentimetres');
    }

    /** Mix that a plant takes off a wick. */
    public function perWipedPlant(): Quantity
    {
        return $this->use('wick');
    }

    /** @param string $use basal or stump: mix per wetted area */
    public function film(string $use): Quantity
    {
        return $this->use('film', $use);
    }

    /** Spray per area of a height class. */
    public function foliar(string $class): Quantity
    {
        return $this->use('foliar', $class);
    }

    /** Ground that one plant of a height class covers. */
    public function crown(string $class): Quantity
    {
        return $this->use('crown', $class);
    }

    /** @return array{from: Quantity, width: Quantity} stumps from so thick are treated on an outer ring so wide */
    public function stumpRing(): array
    {
        $ring = $this->data->node('stumpRing');

        return ['from' => self::must($ring, 'from'), 'width' => self::must($ring, 'width')];
    }

    /** What every plan gets more. */
    public function allowancePercent(): string
    {
        return $this->data->string('allowancePercent');
    }

    /** @return Quantity|null of dye or surfactant in a litre of mix; null where none is common */
    public function additive(string $material): ?Quantity
    {
        return $this->data->node('additives')->quantity($material);
    }

    /**
     * How a crew's records move its figures.
     *
     * @return array{worth: float, wholeFrom: float, askBeyond: float} records that a shipped figure is worth; plants
     *     from which a record says all it can; how many times beyond low and high somebody is asked
     */
    public function learning(): array
    {
        $terms = $this->data->node('learning');

        return [
            'worth' => (float) $terms->string('worth'),
            'wholeFrom' => (float) $terms->string('wholeFrom'),
            'askBeyond' => (float) $terms->string('askBeyond'),
        ];
    }

    /** Stems from which a clump has many. */
    public function manyStems(): int
    {
        return $this->data->node('manyStems')->int('value');
    }

    /** Depth within which feeder roots lie. */
    public function feederRoots(): Quantity
    {
        return self::must($this->data->node('feederRoots'), 'value');
    }

    /** @return list<array{word: string, from: Quantity}> words for how thick a stand is; each reaches up to the next */
    public function densities(): array
    {
        return array_map(
            static fn(Node $class): array => ['word' => $class->string('word'), 'from' => self::must($class, 'from')],
            array_values($this->data->node('density')->nodes('classes')),
        );
    }

    /** @return list<CoverClass> */
    public function coverClasses(): array
    {
        return array_map(
            static fn(Node $class): CoverClass => new CoverClass(
                $class->string('id'),
                $class->string('from'),
                $class->string('below'),
            ),
            array_values($this->data->node('cover')->nodes('classes')),
        );
    }

    /** @param string $kind frost or nesting */
    public function season(string $kind): DaySpan
    {
        return DaySpan::read($this->data->node('seasons')->node($kind));
    }

    /** @return list<array{stemsTimes: string, centimetres: string}> a year of a stand left alone: low, use, high */
    public function waiting(): array
    {
        $growth = $this->data->node('waiting');

        return array_map(
            static fn(string $stems, string $thicker): array => ['stemsTimes' => $stems, 'centimetres' => $thicker],
            $growth->strings('stemsTimesPerYear'),
            $growth->strings('centimetresPerYear'),
        );
    }

    /** @return array{from: int, to: int}|null weeks of grazing lost by an injury; null where nobody gives a figure */
    public function grazingWeeksLost(string $injury): ?array
    {
        $weeks = $this->data->node('grazingWeeksLost');

        return $weeks->has($injury)
            ? ['from' => $weeks->node($injury)->int('from'), 'to' => $weeks->node($injury)->int('to')]
            : null;
    }

    /**
     * Every figure that a crew may replace, in order of the table.
     *
     * @return array<string, Figure> by path; unit is a unit code; below is the size a class reaches up to
     */
    public function changeable(): array
    {
        $out = [];
        foreach ($this->data->nodes('minutesPerStem') as $method => $classes) {
            foreach (array_values($this->data->node('minutesPerStem')->nodes((string) $method)) as $i => $class) {
                $out["minutesPerStem/{$method}/{$i}"] = self::figure('min', $class->strings('minutes'), $class);
            }
        }
        foreach ($this->data->nodes('minutesPerCut') as $method => $row) {
            $out["minutesPerCut/{$method}"] = self::figure('min', $row->strings('perCut'));
        }
        foreach (self::BY_METHOD as $group => $unit) {
            foreach (array_keys($this->data->node($group)->data) as $method) {
                $out["{$group}/{$method}"] = self::figure($unit, $this->data->node($group)->strings((string) $method));
            }
        }
        $out['setUpMinutes'] = self::figure('min', $this->data->strings('setUpMinutes'));
        foreach (['cut', 'kerfPerTenCentimetres', 'wick'] as $path) {
            $out[$path] = self::volume($this->data->node($path));
        }
        foreach (['film', 'foliar', 'crown'] as $group) {
            foreach ($this->data->nodes($group) as $name => $node) {
                $out["{$group}/{$name}"] = self::volume($node);
            }
        }

        return $out;
    }

    /**
     * The table with the crew's figures in it.
     *
     * @param array<string, array{string, string, string}> $own by path of {@see self::changeable()}
     */
    public function with(array $own): self
    {
        $data = $this->data->data;
        foreach ($own as $path => $three) {
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

        return new self(new Node($data, $this->data->where));
    }

    private function use(string ...$path): Quantity
    {
        return self::must(
            array_reduce($path, static fn(Node $at, string $key): Node => $at->node($key), $this->data),
            'use',
        );
    }

    private static function must(Node $node, string $key): Quantity
    {
        return $node->quantity($key) ?? throw new \LogicException("{$node->where} has no {$key}.");
    }

    /**
     * @param list<string> $figures
     *
     * @return Figure
     */
    private static function figure(string $unit, array $figures, ?Node $class = null): array
    {
        return [
            'unit' => $unit,
            'below' => $class?->quantity('below'),
            'figures' => [$figures[0], $figures[1], $figures[2]],
        ];
    }

    /** @return Figure */
    private static function volume(Node $node): array
    {
        return self::figure(
            $node->node('use')->string('unit'),
            array_map(static fn(string $of): string => $node->node($of)->string('value'), ['low', 'use', 'high']),
        );
    }
}
