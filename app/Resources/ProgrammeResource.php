<?php

declare(strict_types=1);

namespace App\Resources;

use App\Models\Stand;
use App\Models\Step;
use App\Support\Format;
use App\Text\Sentences;
use Thicket\Catalogue\Catalogue;
use Thicket\Programmes\Offer;
use Thicket\Programmes\PlannedStep;

/** Programmes as they cross the wire: offered ones laid out, and the one a stand follows. */
final readonly class ProgrammeResource
{
    public function __construct(
        private Sentences $sentences,
        private Catalogue $catalogue,
        private BoardResource $board,
    ) {}

    /**
     * @param list<Offer> $offers
     *
     * @return array<string, mixed>
     */
    public function offers(array $offers): array
    {
        return ['offers' => array_map($this->offer(...), $offers)];
    }

    /** @return array<string, mixed> */
    private function offer(Offer $offer): array
    {
        $hours = $offer->hours();

        return [
            'id' => $offer->programme->id(),
            'name' => $this->sentences->name("programme.{$offer->programme->id()}"),
            'usesProduct' => $offer->programme->usesProduct(),
            'outcome' => $offer->outcome->value,
            'outcomeName' => $this->sentences->name("outcome.{$offer->outcome->value}"),
            'canBeDone' => $offer->canBeDone(),
            'years' => ['from' => $offer->years[0], 'to' => $offer->years[1], 'openEnded' => $offer->openEnded],
            'hours' => [
                'low' => Format::hours($hours['low']),
                'use' => Format::hours($hours['use']),
                'high' => Format::hours($hours['high']),
                'unreckoned' => $hours['unreckoned'],
            ],
            'source' => [
                'code' => $offer->programme->source(),
                'name' => $this->sentences->source($offer->programme->source()),
            ],
            'steps' => array_map($this->step(...), $offer->steps),
        ];
    }

    /** @return array<string, mixed> */
    private function step(PlannedStep $step): array
    {
        $option = $step->row->option;

        return [
            'method' => [
                'id' => $option->method->id(),
                'name' => $this->sentences->name("method.{$option->method->id()}"),
            ],
            'active' => $option->active?->name(),
            'typical' => $option->active !== null && $option->card === null,
            'from' => Format::day($step->from),
            'to' => Format::day($step->to),
            'when' => $this->when($step->from, $step->to),
            'note' => $this->sentences->name("plan.{$step->note}"),
            'outcome' => $step->outcome->value,
            'outcomeName' => $this->sentences->name("outcome.{$step->outcome->value}"),
            'hours' => Format::range($step->hours),
            'optional' => $step->optional,
            'afterwards' => $step->afterwards,
            'against' => array_map($this->board->finding(...), $step->against),
        ];
    }

    /** @return array<string, mixed>|null the jobs of the programme that this stand follows, done ones too */
    public function plan(Stand $stand, ?Step $current): ?array
    {
        $run = $current?->run;
        if ($current === null || $run === null || $current->programme === null) {
            return null;
        }
        $steps = $stand->steps->filter(static fn(Step $s): bool => $s->run === $run)->values();

        return [
            'id' => $current->programme,
            'name' => $this->sentences->name("programme.{$current->programme}"),
            'steps' => $steps
                ->map(
                    fn(Step $s): array => [
                        'id' => $s->id,
                        'method' => ['id' => $s->method, 'name' => $this->sentences->name("method.{$s->method}")],
                        'active' =>
                            $s->active === null
                                ? null
                                : $this->sentences->called($this->catalogue->active($s->active)->name()),
                        'from' => Format::day($s->due_from),
                        'to' => Format::day($s->due_to),
                        'when' => $s->due_from === null ? '' : $this->when($s->due_from, $s->due_to),
                        'note' => $s->note === null ? '' : $this->sentences->name("plan.{$s->note}"),
                        'state' => match (true) {
                            $s->records->isNotEmpty() => 'done',
                            $s->issuedSheet() !== null => 'issued',
                            $s->id === $current->id => 'next',
                            default => 'later',
                        },
                    ],
                )
                ->all(),
        ];
    }

    private function when(\DateTimeInterface $from, ?\DateTimeInterface $to): string
    {
        $day = fn(\DateTimeInterface $d): string => $this->sentences->day(\DateTimeImmutable::createFromInterface($d));

        return $to === null || $to->format('Y-m-d') === $from->format('Y-m-d')
            ? $day($from)
            : $day($from) . ' – ' . $day($to);
    }
}
