<?php

declare(strict_types=1);

namespace App\Resources;

use App\Models\Crew;
use App\Models\LabelCardVersion;
use App\Models\Person;
use App\Models\RecordLesson;
use App\Models\User;
use App\Repositories\SituationRepository;
use App\Support\Format;
use App\Support\JobClock;
use App\Text\CardChanges;
use App\Text\Sentences;
use Thicket\Catalogue\Catalogue;
use Thicket\Label\CardUse;
use Thicket\Label\LabelCard;
use Thicket\Measure\Reading;
use Thicket\Situation\Prices;

final readonly class ShedResource
{
    private const MOST_LESSONS = 100;

    public function __construct(
        private SituationRepository $situations,
        private JobClock $clock,
        private Catalogue $catalogue,
        private Sentences $sentences,
        private CardChanges $changes,
        private StockResource $stock,
    ) {}

    /** @return array<string, mixed> */
    public function shed(Crew $crew): array
    {
        $today = $this->clock->today($crew->timeZone());
        $names = User::query()->where('crew_id', $crew->id)->pluck('name', 'id');

        return [
            'revision' => $crew->revision,
            'cards' => $crew
                ->labelCards()
                ->with('versions')
                ->get()
                ->map(
                    fn($card): array => [
                        'id' => $card->id,
                        'product' => $card->product,
                        'packs' => array_map(
                            static fn(array $p): array => [
                                'size' => Format::quantity($size = Reading::parse($p['size'], null)->quantity),
                                'sold' => Format::asSold($size),
                                'price' => $p['price'],
                                'on' => $p['on'],
                                'stale' => Prices::isStale(
                                    $p['on'] === null ? null : new \DateTimeImmutable($p['on']),
                                    $today,
                                ),
                            ],
                            $card->packs ?? [],
                        ),
                        'versions' => $card->versions
                            ->map(
                                fn(LabelCardVersion $v, int $i): array => $this->version(
                                    $v,
                                    $this->situations->card($v),
                                    $card->versions[$i + 1] ?? null,
                                ) + [
                                    'enteredBy' => $names[$v->entered_by] ?? '',
                                    'confirmedBy' => $v->confirmed_by === null ? null : $names[$v->confirmed_by] ?? '',
                                    'confirmedOn' =>
                                        $v->confirmed_at === null
                                            ? null
                                            : Format::day(JobClock::dayOf($v->confirmed_at, $crew->timeZone())),
                                ],
                            )
                            ->values()
                            ->all(),
                    ],
                )
                ->values()
                ->all(),
            'sprayers' => $this->stock->sprayers($crew, $names),
            'stock' => $this->stock->containers($crew, $names),
            'people' => $crew
                ->people()
                ->get()
                ->map(
                    static fn(Person $p): array => [
                        'id' => $p->id,
                        'revision' => $p->revision,
                        'name' => $p->name,
                        'licence' => $p->licence,
                        'licenceClass' => $p->licence_class,
                        'licensed' => $p->isLicensedOn($today),
                        'licenceUntil' => Format::day($p->licence_until),
                        'clearances' => $p->clearances,
                    ],
                )
                ->values()
                ->all(),
            'tools' => $this->stock->tools($crew),
            'kit' => array_map(
                static fn(array $k): array => $k + [
                    'stale' => Prices::isStale($k['on'] === null ? null : new \DateTimeImmutable($k['on']), $today),
                ],
                $crew->settings['kit'] ?? [],
            ),
            'stance' => $crew->settings['stance'] ?? 'any',
            'weights' => $this->situations->weights($crew)->parts,
            'schools' => (object) ($crew->settings['schools'] ?? []),
            'prices' => $this->prices($crew),
            'figures' => $this->figures($crew),
            'lessons' => $this->lessons($crew),
            'fuelOil' => $crew->settings['fuelOil'] ?? false,
            'stemLimits' => [
                'least' => $crew->settings['stemLimits']['stemLeast'] ?? null,
                'most' => $crew->settings['stemLimits']['stemMost'] ?? null,
            ],
            'poisonCentre' => $crew->settings['poisonCentre'] ?? null,
        ];
    }

    /** @return list<array<string, mixed>> each coefficient as it ships, as records draw it, and as it was put in */
    private function figures(Crew $crew): array
    {
        $figures = $this->situations->figures($crew);
        $out = [];
        foreach ($this->catalogue->coefficients()->changeable() as $path => $figure) {
            $drawn = $figures->learned[$path] ?? null;
            $out[] = [
                'path' => $path,
                'group' => explode('/', $path)[0],
                'name' => $this->sentences->coefficient($path),
                'below' => Format::quantity($figure['below']),
                'unit' => $this->sentences->unit($figure['unit']),
                'shipped' => $figure['figures'],
                'drawn' => $drawn === null ? null : ['figures' => $drawn->three, 'records' => $drawn->records],
                'own' => $figures->own[$path] ?? null,
            ];
        }

        return $out;
    }

    /**
     * @return list<array<string, mixed>> what records say of the mix and of the time they took: what is asked about,
     * then the newest
     */
    private function lessons(Crew $crew): array
    {
        $changeable = $this->catalogue->coefficients()->changeable();
        /** @var list<RecordLesson> $lessons */
        $lessons = RecordLesson::query()
            ->with(['record.patch', 'answerer'])
            ->where('crew_id', $crew->id)
            ->whereIn('path', array_keys($changeable))
            ->orderBy('path')
            ->get()
            ->all();
        usort(
            $lessons,
            static fn(RecordLesson $a, RecordLesson $b): int => [self::isOpen($b), $b->record->seq, $a->of] <=> [
                self::isOpen($a),
                $a->record->seq,
                $b->of,
            ],
        );
        $told = [];
        foreach ($lessons as $one) {
            $told["{$one->record_id} {$one->of}"] ??= [
                'id' => $one->id,
                'of' => $one->of,
                'record' => $one->record->seq,
                'workedOn' => Format::day($one->record->worked_on),
                'patch' => $one->record->patch->name,
                'figures' => [],
                'asked' => $one->asked,
                'counted' => $one->isCounted(),
                'answered' => $one->counts !== null,
                'why' => $one->why,
                'by' => $one->answerer?->name,
            ];
            $told["{$one->record_id} {$one->of}"]['figures'][] = [
                'path' => $one->path,
                'name' => $this->sentences->coefficient($one->path),
                'below' => Format::quantity($changeable[$one->path]['below']),
                'unit' => $this->sentences->unit($changeable[$one->path]['unit']),
                'planned' => $one->planned,
                'seen' => $one->seen,
            ];
        }

        return array_slice(array_values($told), 0, self::MOST_LESSONS);
    }

    private static function isOpen(RecordLesson $one): bool
    {
        return $one->asked !== null && $one->counts === null;
    }

    /** @return array<string, mixed>|null */
    private function prices(Crew $crew): ?array
    {
        $prices = $this->situations->prices($crew);
        if ($prices === null) {
            return null;
        }
        $today = $this->clock->today($crew->timeZone());

        return [
            'currency' => $prices->currency,
            'wage' =>
                $prices->wage === null
                    ? null
                    : [
                        'amount' => Format::money($prices->wage['amount']),
                        'on' => Format::day($prices->wage['on']),
                        'stale' => Prices::isStale($prices->wage['on'], $today),
                    ],
            'products' => array_map(
                static fn(string $active, array $p): array => [
                    'active' => $active,
                    'amount' => Format::money($p['amount']),
                    'per' => $p['per']->toWire(),
                    'on' => Format::day($p['on']),
                    'stale' => Prices::isStale($p['on'], $today),
                ],
                array_keys($prices->products),
                array_values($prices->products),
            ),
        ];
    }

    /** @return array<string, mixed> */
    private function version(LabelCardVersion $version, LabelCard $card, ?LabelCardVersion $before): array
    {
        return [
            'id' => $version->id,
            'version' => $version->version,
            'confirmed' => $card->confirmed,
            'template' => $version->template,
            'registration' => $card->of->registration,
            'formulation' => $card->contents->formulation,
            'actives' => array_map(
                static fn(array $a): array => ['active' => $a['active'], 'amount' => Format::quantity($a['amount'])],
                $card->contents->actives,
            ),
            'carriers' => $card->directions->carriers,
            'sites' => $card->directions->sites,
            'methods' => array_map(
                static fn(CardUse $u): array => [
                    'method' => $u->method,
                    'min' => Format::quantity($u->min?->percent()),
                    'max' => Format::quantity($u->max?->percent()),
                    'perStem' => Format::quantity($u->perStem),
                    'rateMost' => Format::quantity($u->rateMost),
                    'spray' => Format::quantity($u->spray),
                    'stages' => $u->stages,
                    'from' => $u->from === null ? null : (string) $u->from,
                    'to' => $u->to === null ? null : (string) $u->to,
                    'toWater' => $u->toWater,
                ],
                $card->directions->uses,
            ),
            'waterBuffer' => Format::quantity($card->start->waterBuffer),
            'yearlyMaximum' => Format::quantity($card->directions->ceilings[0]->perYear),
            'aquaticAllowed' => $card->start->aquaticAllowed,
            'licensedOnly' => $card->protection->licensedOnly,
            'reentryHours' => $card->protection->reentryHours,
            'rainfastHours' => $card->start->rainfastHours,
            'wearing' => $card->protection->wearing,
            'firstAid' => $card->protection->firstAid,
            'body' => $version->body,
            'changes' => $before === null ? [] : $this->changes->between($before->body, $version->body),
        ];
    }
}
