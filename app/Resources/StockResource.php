<?php

declare(strict_types=1);

namespace App\Resources;

use App\Models\Calibration;
use App\Models\Container;
use App\Models\Crew;
use App\Models\Loan;
use App\Models\Sprayer;
use App\Models\SprayerUse;
use App\Models\StockWithdrawal;
use App\Models\Tool;
use App\Support\Format;
use App\Support\JobClock;
use App\Text\Sentences;
use Brick\Math\RoundingMode;
use Illuminate\Support\Collection;
use Thicket\Measure\Reading;

/**
 * What stands in the Shed besides cards: containers with their draws, sprayers with their calibrations, tools with
 * their loans.
 */
final readonly class StockResource
{
    /** Days before a date of expiry from which it is said. */
    private const EXPIRES_SOON_DAYS = 90;
    private const MOST_DRAWS = 8;

    public function __construct(private Sentences $sentences, private JobClock $clock) {}

    /**
     * @param Collection<int|string, string> $names of users by id
     *
     * @return list<array<string, mixed>>
     */
    public function containers(Crew $crew, Collection $names): array
    {
        $zone = $crew->timeZone();
        $today = $this->clock->today($zone);

        return array_values(
            $crew
                ->containers()
                ->with(['card', 'draws.batch'])
                ->get()
                ->map(
                    fn(Container $c): array => [
                        'id' => $c->id,
                        'revision' => $c->revision,
                        'cardId' => $c->label_card_id,
                        'product' => $c->card->product,
                        'size' => Format::quantity($c->size()),
                        'sold' => Format::asSold($c->size()),
                        'left' => Format::quantity($c->left()),
                        'share' => (string) $c->left()->per($c->size())->toScale(4, RoundingMode::HALF_UP),
                        'lot' => $c->lot,
                        'place' => $c->place,
                        'openedOn' => Format::day($c->opened_on),
                        'expiresOn' => Format::day($c->expires_on),
                        'tare' => Format::quantity($c->tare()),
                        'advice' => $this->advice($c, $today),
                        'draws' => $c->draws
                            ->take(self::MOST_DRAWS)
                            ->map(
                                static fn(StockWithdrawal $d): array => [
                                    'id' => $d->id,
                                    'kind' => $d->kind,
                                    'typed' => $d->typed,
                                    'on' => Format::day(JobClock::dayOf($d->drawn_at, $zone)),
                                    'by' => $names[$d->drawn_by] ?? '',
                                    'reason' => $d->reason,
                                    'batch' => $d->batch?->number,
                                    'recordId' => $d->batch?->record_id,
                                ],
                            )
                            ->values()
                            ->all(),
                    ],
                )
                ->all(),
        );
    }

    /** @return array{code: string, text: string}|null what to do with a container as it is (rulings J10) */
    private function advice(Container $container, \DateTimeImmutable $today): ?array
    {
        $code = match (true) {
            $container->left()->isZero() => 'stock.empty',
            $container->expires_on !== null && $container->expires_on->format('Y-m-d') < $today->format('Y-m-d')
                => 'stock.expired',
            $container->expires_on !== null &&
                $container->expires_on->format('Y-m-d') <
                    $today->modify('+' . self::EXPIRES_SOON_DAYS . ' days')->format('Y-m-d')
                => 'stock.expires-soon',
            $container->place === null => 'stock.no-place',
            default => null,
        };

        return $code === null ? null : ['code' => $code, 'text' => $this->sentences->name($code)];
    }

    /**
     * @param Collection<int|string, string> $names of users by id
     *
     * @return list<array<string, mixed>>
     */
    public function sprayers(Crew $crew, Collection $names): array
    {
        $today = $this->clock->today($crew->timeZone())->format('Y-m-d');

        return array_values(
            $crew
                ->sprayers()
                ->with('calibrations')
                ->withLastUse()
                ->get()
                ->map(
                    static fn(Sprayer $s): array => [
                        'id' => $s->id,
                        'revision' => $s->revision,
                        'name' => $s->name,
                        'kind' => $s->kind,
                        'tank' => Format::quantity($s->tank()),
                        'gives' => Format::quantity($s->gives()),
                        'material' => $s->details['material'] ?? null,
                        'solventProof' => $s->details['solventProof'] ?? null,
                        'nozzle' => $s->details['nozzle'] ?? null,
                        'ratedFlow' => self::typed($s->details['ratedFlow'] ?? null),
                        'calibratedOn' => Format::day($s->calibrated_on),
                        'dueOn' => Format::day($s->dueOn()),
                        'due' => $s->dueOn() === null || $s->dueOn()->format('Y-m-d') < $today,
                        'holds' => self::held($s, $crew->timeZone()),
                        'cleaned' => self::cleaned($s, $crew->timeZone()),
                        'history' => $s->calibrations
                            ->map(
                                static fn(Calibration $c): array => [
                                    'id' => $c->id,
                                    'way' => $c->way,
                                    'on' => Format::day($c->made_on),
                                    'by' => $names[$c->getAttribute('made_by')] ?? '',
                                    'gives' => Format::quantity($c->gives()),
                                    'worn' => is_int($c->body['worn'] ?? null) ? $c->body['worn'] : null,
                                ],
                            )
                            ->values()
                            ->all(),
                    ],
                )
                ->all(),
        );
    }

    /** @return array{on: string|null, by: string, note: string|null}|null where a cleaning was noted last */
    private static function cleaned(Sprayer $sprayer, string $timeZone): ?array
    {
        $last = $sprayer->uses->first();

        return $last?->kind !== SprayerUse::CLEANED
            ? null
            : [
                'on' => Format::day(JobClock::dayOf($last->at, $timeZone)),
                'by' => $last->author->name,
                'note' => $last->note,
            ];
    }

    /** @return array{told: string, carrier: string, since: string|null}|null what nobody noted to be washed out */
    private static function held(Sprayer $sprayer, string $timeZone): ?array
    {
        $held = $sprayer->residue($timeZone);

        return $held === null
            ? null
            : ['told' => $held->told, 'carrier' => $held->carrier, 'since' => Format::day($held->day)];
    }

    /** @return list<array<string, mixed>> */
    public function tools(Crew $crew): array
    {
        $today = $this->clock->today($crew->timeZone())->format('Y-m-d');

        return array_values(
            $crew
                ->tools()
                ->with('loans')
                ->get()
                ->map(function (Tool $tool) use ($today): array {
                    $out = $tool->loans->first(static fn(Loan $l): bool => $l->returned_on === null);

                    return [
                        'id' => $tool->id,
                        'revision' => $tool->revision,
                        'name' => $tool->name,
                        'kind' => $tool->kind,
                        'kindName' => $this->sentences->name("tool.{$tool->kind}"),
                        'measures' => isset($tool->details['graduation']),
                        'jaw' => self::printed($tool->details['jaw'] ?? null),
                        'blade' => self::printed($tool->details['blade'] ?? null),
                        'graduation' => self::printed($tool->details['graduation'] ?? null),
                        'holds' => self::printed($tool->details['holds'] ?? null),
                        'clearance' => $tool->details['clearance'] ?? null,
                        'loan' =>
                            $out === null
                                ? null
                                : [
                                    'id' => $out->id,
                                    'to' => $out->borrower,
                                    'on' => Format::day($out->lent_on),
                                    'dueOn' => Format::day($out->due_on),
                                    'late' => $out->due_on !== null && $out->due_on->format('Y-m-d') < $today,
                                ],
                    ];
                })
                ->all(),
        );
    }

    /** @return array<string, mixed>|null */
    private static function typed(?string $typed): ?array
    {
        return $typed === null ? null : Format::quantity(Reading::parse($typed, null)->quantity);
    }

    /** A size as it is printed on the tool: its marks are what they are, whatever units are looked in. */
    private static function printed(?string $typed): ?string
    {
        return $typed === null ? null : Format::asSold(Reading::parse($typed, null)->quantity);
    }
}
