<?php

declare(strict_types=1);

namespace App\Http\Readers;

use App\Support\Format;
use Thicket\Assess\Weights;
use Thicket\Catalogue\Catalogue;
use Thicket\Input\Fields;
use Thicket\Situation\CrewCoefficients;
use Thicket\Situation\Prices;
use Thicket\Situation\SituationReader;

/** How a crew works: schools, stance, weights, prices, limits, its own figures. What is not said stays. */
final readonly class ChoicesReader
{
    public function __construct(private Catalogue $catalogue) {}

    /**
     * @param array<string, mixed> $settings of the crew till now
     *
     * @return array<string, mixed> the same with what was said
     */
    public function read(Fields $in, \DateTimeImmutable $today, array $settings): array
    {
        $schools = (new SituationReader($this->catalogue))->schools($in)->chosen;
        $stance = $in->choiceOrNull('stance', ['any', 'least-hazard', 'none']);
        $fuelOil = $in->has('fuelOil') ? $in->bool('fuelOil', false) : null;
        $in->has('fuelOil') || $in->raw('fuelOil');
        $weights = $in->has('weights') ? Weights::read($in) : null;
        $prices = $in->has('prices') ? $in->raw('prices') : null;
        if ($in->has('prices')) {
            Prices::read(
                is_array($prices) ? Fields::of($prices, $in->faults, pointer: '/prices') : $in->object('prices'),
                $this->catalogue,
                $today,
            );
        }
        $kit = [];
        foreach ($in->objects('kit', 40) as $item) {
            $kit[] = [
                'item' => $item->text('item', 80) ?? '',
                'amount' => $item->decimal('amount', '0', '1000000') ?? '0',
                'on' => $item->pastDayOrNull('on', $today)?->format('Y-m-d'),
            ];
            $item->noOthers();
        }
        $limits = $in->has('stemLimits') ? SituationReader::stemLimits($in) : null;
        $in->has('stemLimits') || $in->raw('stemLimits');
        $figures = $in->has('figures')
            ? CrewCoefficients::read($in, 'figures', $this->catalogue->coefficients())
            : null;

        $settings['schools'] = $schools + ($settings['schools'] ?? []);
        $settings['stance'] = $stance ?? ($settings['stance'] ?? 'any');
        if ($fuelOil !== null) {
            $settings['fuelOil'] = $fuelOil;
        }
        if ($weights !== null) {
            $settings['weights'] = $weights->parts;
        }
        if (is_array($prices)) {
            /** @var array<string, mixed> $prices read without a fault above */
            $settings['prices'] = $prices;
        }
        if ($in->has('kit')) {
            $settings['kit'] = $kit;
        }
        if ($limits !== null) {
            $settings['stemLimits'] = array_map(Format::kept(...), $limits);
        }
        if ($figures !== null) {
            $settings['figures'] = $figures->own;
        }

        return $settings;
    }
}
