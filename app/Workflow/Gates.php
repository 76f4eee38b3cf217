<?php

declare(strict_types=1);

namespace App\Workflow;

use App\Models\LabelCardVersion;
use App\Models\Person;
use App\Models\Stand;
use App\Models\Step;
use App\Repositories\LookAlikes;
use App\Repositories\PriorApplicationsRepository;
use App\Repositories\SituationRepository;
use App\Support\JobClock;
use App\Text\Sentences;
use Thicket\Assess\Board;
use Thicket\Catalogue\Catalogue;
use Thicket\Label\LabelCard;
use Thicket\Measure\Quantity;
use Thicket\Measure\System;
use Thicket\Mix\MixedProduct;
use Thicket\Mix\TankTerms;
use Thicket\Situation\Option;
use Thicket\Situation\ToolsAtHand;
use Thicket\Survey\StemGroup;
use Thicket\Verdict\Outcome;

/**
 * What stops a job sheet (rulings B2), each with what opens it. Label, law, licence, look-alike and cannot-tell are
 * never passed; effect, calibration and estimate may be passed by a lead with a written reason.
 */
final readonly class Gates
{
    private const PASSABLE = ['not-now', 'does-not-suit', 'estimated-tally', 'calibration'];

    /** More than six: services that are handed in: each gate asks another. */
    public function __construct(
        private Catalogue $catalogue,
        private SituationRepository $situations,
        private LookAlikes $lookAlikes,
        private RecipeDesk $recipes,
        private Sentences $sentences,
        private JobClock $clock,
        private PriorApplicationsRepository $ceilings,
    ) {}

    /**
     * @return list<array{code: string, text: array{us: string, metric: string}, opens: string, station: string,
     * passable: bool}> shut gates; empty means ready
     */
    public function of(Stand $stand, ?Step $step): array
    {
        $shut = [];
        // a plant marked unknown is judged by the board as the worst it could be (rulings J25)
        if (!$stand->marked_unknown && ($stand->species === null || $stand->sighting?->confirmed_by === null)) {
            $shut[] = $this->gate('named', 'scout');
        }
        foreach ($this->lookAlikes->open($stand) as $other) {
            $shut[] = $this->gate('look-alike', 'scout', ['other' => $this->catalogue->species($other)->commonName()]);
        }
        if ($step === null) {
            return [...$shut, $this->gate('chosen', 'methods')];
        }

        return [
            ...$shut,
            ...$this->ofBoard($stand, $step),
            ...$this->ofProduct($stand, $step),
            ...$this->ofCount($stand),
        ];
    }

    /**
     * @return list<array{code: string, text: array{us: string, metric: string}, opens: string, station: string,
     * passable: bool}>
     */
    private function ofBoard(Stand $stand, Step $step): array
    {
        $crew = $stand->patch->ground->crew;
        $option = $this->situations->option($step, $crew);
        $situation = $this->situations->situation($stand);
        $shut = [];
        // every product of the tank is judged by the same board: the strictest decides (rulings J16)
        $findings = array_merge(
            ...array_map(static fn(Option $one): array => Board::judge($situation, $one)->findings, [
                $option,
                ...$this->situations->partners($step, $crew),
            ]),
        );
        foreach ($findings as $finding) {
            $gate = match ($finding->outcome) {
                Outcome::NotAllowed => 'not-allowed',
                Outcome::CannotTell => 'cannot-tell',
                Outcome::NotNow => 'not-now',
                Outcome::DoesNotSuit => 'does-not-suit',
                default => null,
            };
            if ($gate !== null && !isset($shut[$gate])) {
                $missing =
                    $finding->missing === null
                        ? ''
                        : $this->sentences->in(
                            "fact.{$finding->missing}",
                            ['keeper' => $finding->values['keeper'] ?? ''],
                            System::Us,
                        );
                $shut[$gate] = $this->gate($gate, $gate === 'cannot-tell' ? 'scout' : 'methods', [
                    'missing' => $missing,
                ]);
            }
        }
        $clearance = ToolsAtHand::of($situation, $option)->clearance;
        if ($clearance !== null) {
            $shut['clearance'] = $this->gate('clearance', 'shed', ['tool' => $clearance]);
        }

        return array_values($shut);
    }

    /**
     * @return list<array{code: string, text: array{us: string, metric: string}, opens: string, station: string,
     * passable: bool}>
     */
    private function ofProduct(Stand $stand, Step $step): array
    {
        if ($step->active === null) {
            return [];
        }
        if ($step->cardVersion === null) {
            return [$this->gate('no-card', 'shed')];
        }
        $shut = [];
        $versions = $step->cardVersions();
        if (array_filter($versions, static fn(LabelCardVersion $v): bool => $v->confirmed_at === null) !== []) {
            $shut[] = $this->gate('card-unconfirmed', 'shed');
        }
        if (array_filter($versions, static fn(LabelCardVersion $v): bool => $v->newer() !== null) !== []) {
            $shut[] = $this->gate('card-newer', 'mix');
        }
        if ($step->recipe === null || !$this->recipes->isFresh($stand, $step)) {
            $shut[] = $this->gate('recipe', 'mix');
        }
        $recipe = $this->recipes->solve($stand, $step);
        foreach ($recipe->products as $one) {
            $one->ceiling?->kept === true || ($shut['ceiling'] ??= $this->ceiling($one));
        }
        $shut = array_values($shut);
        $cards = array_map($this->situations->card(...), $versions);
        $terms = new TankTerms($cards);
        $interval = $this->interval($stand, $cards, $terms);
        $interval === null || ($shut[] = $interval);
        $today = $this->clock->today($stand->patch->ground->time_zone);
        $licensed = $stand->patch->ground->crew->people->contains(
            static fn(Person $p): bool => $p->isLicensedOn($today),
        );
        if ($terms->licensedOnly() && !$licensed) {
            $shut[] = $this->gate('licence', 'shed');
        }
        $due = $step->sprayer?->dueOn();
        if ($step->sprayer !== null && ($due === null || $due->format('Y-m-d') < $today->format('Y-m-d'))) {
            $shut[] = $this->gate('calibration', 'shed');
        }

        return $shut;
    }

    /**
     * @return array{code: string, text: array{us: string, metric: string}, opens: string, station: string,
     *     passable: bool} which limit of the card is passed, and what it still leaves
     */
    private function ceiling(MixedProduct $one): array
    {
        $ceiling = $one->ceiling;
        $values = ['product' => $one->option->card->product ?? ''];

        return match (true) {
            $ceiling === null || $ceiling->kept === null => $this->gate('ceiling', 'mix'),
            $ceiling->by === 'times' => $this->gate('ceiling-times', 'mix', $values + ['most' => $ceiling->most ?? '']),
            $ceiling->by === 'application' => $this->gate(
                'ceiling-application',
                'mix',
                $values + ['planned' => $ceiling->planned ?? '', 'most' => $ceiling->most ?? ''],
            ),
            $ceiling->left === null => $this->gate('ceiling', 'mix'),
            default => $this->gate('ceiling-left', 'mix', $values + ['left' => $ceiling->left]),
        };
    }

    /**
     * The wait that the cards of the tank ask for, or that one of them cannot tell.
     *
     * @param list<LabelCard> $cards
     *
     * @return array{code: string, text: array{us: string, metric: string}, opens: string, station: string,
     *     passable: bool}|null
     */
    private function interval(Stand $stand, array $cards, TankTerms $terms): ?array
    {
        $last = [];
        foreach (
            array_unique(
                array_merge(
                    ...array_map(
                        static fn(LabelCard $card): array => array_column($card->contents->actives, 'active'),
                        $cards,
                    ),
                ),
            )
            as $active
        ) {
            $last[$active] = $this->ceilings->lastDay($stand, $active);
        }
        ['opens' => $opens, 'silent' => $silent, 'since' => $since] = $terms->wait(
            array_filter($last),
            $stand->patch->setting,
            $this->clock->today($stand->patch->ground->time_zone),
        );
        if ($silent !== null && $since !== null) {
            return $this->gate('interval-unknown', 'shed', [
                'product' => $silent->product,
                'last' => $this->sentences->day($since),
            ]);
        }

        return $opens === null ? null : $this->gate('interval', 'when', ['opens' => $this->sentences->day($opens)]);
    }

    /**
     * @return list<array{code: string, text: array{us: string, metric: string}, opens: string, station: string,
     * passable: bool}>
     */
    private function ofCount(Stand $stand): array
    {
        $estimated = array_filter($this->situations->stems($stand), static fn(StemGroup $g): bool => $g->estimated);

        return $estimated === [] ? [] : [$this->gate('estimated-tally', 'scout')];
    }

    /**
     * @param array<string, string|Quantity> $values
     *
     * @return array{code: string, text: array{us: string, metric: string}, opens: string, station: string,
     *     passable: bool}
     */
    private function gate(string $code, string $station, array $values = []): array
    {
        return [
            'code' => $code,
            'text' => $this->sentences->both("gate.{$code}", $values),
            'opens' => $this->sentences->in("gate.opens.{$code}", $values, System::Us),
            'station' => $station,
            'passable' => in_array($code, self::PASSABLE, true),
        ];
    }
}
