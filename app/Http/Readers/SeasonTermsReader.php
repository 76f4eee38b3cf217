<?php

declare(strict_types=1);

namespace App\Http\Readers;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use Thicket\Calendar\Day;
use Thicket\Input\Fields;
use Thicket\Measure\Dimension;
use Thicket\Measure\Unit;
use Thicket\SeasonPlan\Season;

/** Till when a season is planned, with how much money and mix. */
final readonly class SeasonTermsReader
{
    private const MOST_MONEY = '10000000';

    /** @return array{last_on: string|null, money: int|null, litres_a_day: int|null} money in the smallest coin */
    public function read(Fields $in, \DateTimeImmutable $today): array
    {
        $last = $in->day('last');
        if ($last !== null && ($last < $today || Day::between($today, $last) >= Season::MOST_DAYS)) {
            $in->fault('last', 'Give a day from today on, at most ' . Season::MOST_DAYS . ' days ahead.');
        }
        $money = $in->has('money') ? $in->decimal('money', '0', self::MOST_MONEY) : null;
        $in->has('money') || $in->raw('money');

        return [
            'last_on' => $last?->format('Y-m-d'),
            'money' =>
                $money === null
                    ? null
                    : BigDecimal::of($money)->multipliedBy(100)->toScale(0, RoundingMode::DOWN)->toInt(),
            // what can be brought out is never rounded up
            'litres_a_day' => $in
                ->positiveOrNull('mixADay', Dimension::Volume)
                ?->in(Unit::Litre)
                ->toScale(0, RoundingMode::DOWN)
                ->toInt(),
        ];
    }
}
