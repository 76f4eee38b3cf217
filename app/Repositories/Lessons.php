<?php

declare(strict_types=1);

namespace App\Repositories;

use App\Models\Crew;
use App\Models\RecordLesson;
use Thicket\Catalogue\Catalogue;
use Thicket\Learning\LearnedFigure;
use Thicket\Learning\Lesson;

/** What a crew's records say of the figures it plans with. */
final readonly class Lessons
{
    public function __construct(private Catalogue $catalogue) {}

    /** @return array<string, LearnedFigure> by path of the table */
    public function learned(Crew $crew): array
    {
        $counted = RecordLesson::query()
            ->counted()
            ->where('crew_id', $crew->id)
            ->orderBy('record_id')
            ->orderBy('path')
            ->get();

        return LearnedFigure::all(
            array_values($counted->map(static fn(RecordLesson $one): Lesson => $one->lesson())->all()),
            $this->catalogue->coefficients(),
        );
    }
}
