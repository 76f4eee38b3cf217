<?php

declare(strict_types=1);

namespace App\Actions;

use App\Exceptions\Stopped;
use App\Models\Batch;
use App\Models\Container;
use App\Models\Stand;
use App\Models\Step;
use App\Models\User;
use App\Repositories\SituationRepository;
use App\Resources\StandResource;
use App\Support\Format;
use App\Support\JobClock;
use App\Text\Sentences;
use App\Workflow\RecipeDesk;
use Illuminate\Support\Facades\DB;
use Thicket\Label\LabelCard;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Mix\Leftover;
use Thicket\Safety\Cautions;
use Thicket\Situation\Option;

/**
 * Writes down one load as it was mixed: each addition confirmed once, in loading order, so that nothing goes in twice;
 * its product leaves the shelf in the same breath, or the batch is not written at all. The finished mix gets its label.
 */
final readonly class MixBatch
{
    /** How far the product drawn may be off the product of the load: measuring is no finer. */
    private const DRAWN_OFF = '0.02';

    public function __construct(
        private RecipeDesk $desk,
        private StandResource $wire,
        private SituationRepository $situations,
        private WithdrawStock $draw,
        private JobClock $clock,
        private Sentences $sentences,
    ) {}

    /**
     * @param list<string> $confirmed what went in, by the codes of the load's steps, in order
     * @param list<array{containerId: string, amount: Quantity|null}> $draws where the product came from; an amount may
     *     be left out where there is one container
     *
     * @throws Stopped 409 where the recipe does not stand, 422 where the additions or the draws are not those of the
     *     load
     */
    public function __invoke(
        Stand $stand,
        Step $step,
        int $load,
        array $confirmed,
        array $draws,
        User $user,
        ?string $id,
    ): Batch {
        if ($step->recipe_basis === null || !$this->desk->isFresh($stand, $step)) {
            throw new Stopped(409, 'The recipe is not saved, or has changed since; check it again before you mix.');
        }
        if ($step->records->isNotEmpty()) {
            throw new Stopped(409, 'This work is signed already.');
        }
        $recipe = $this->wire->recipe($stand, $step, $this->desk->solve($stand, $step));
        $loads = is_array($recipe['loads'] ?? null) ? $recipe['loads'] : [];
        $one = $loads[$load] ?? null;
        if (!is_array($one)) {
            throw self::refused('/load', 'The recipe has no such load.');
        }
        $wanted = array_column($one['steps'], 'what');
        if ($confirmed !== $wanted) {
            throw self::refused(
                '/confirmed',
                'Confirm each addition once, in this order: ' . implode(', ', $wanted) . '.',
            );
        }
        $draws = $this->checked($draws, $this->products($step, $one), $user);

        return DB::transaction(function () use ($step, $user, $recipe, $one, $draws, $id, $stand): Batch {
            $number = 1 + (int) Batch::query()->where('crew_id', $user->crew_id)->lockForUpdate()->max('number');
            $batch = Batch::create(
                array_filter(['id' => $id]) + [
                    'crew_id' => $user->crew_id,
                    'step_id' => $step->id,
                    'number' => $number,
                    'body' => $this->body($stand, $step, $recipe, $one, $user, $number),
                    'mixed_by' => $user->id,
                    'mixed_at' => $this->clock->now(),
                ],
            );
            // in one order for everybody, so that two who mix from the same two jugs never wait for each other
            usort($draws, static fn(array $a, array $b): int => $a['containerId'] <=> $b['containerId']);
            // what was poured in from before is used up, and not reckoned with again
            if (in_array('leftover', array_column($one['steps'], 'what'), true)) {
                $step->update(['recipe' => ['leftover' => null, 'leftoverFrom' => null] + ($step->recipe ?? [])]);
            }
            foreach ($draws as $draw) {
                $this->draw->take($draw['containerId'], $draw['amount'], 'mixed', $user, $batch);
            }

            return $batch;
        });
    }

    /** @return array<string, mixed> */
    public function told(Batch $batch): array
    {
        return [
            'id' => $batch->id,
            'number' => $batch->number,
            'mixedAt' => Format::moment($batch->mixed_at),
            'recordId' => $batch->record_id,
            'label' => $batch->body['label'] ?? null,
            'finished' => $batch->body['finished'] ?? null,
        ];
    }

    /**
     * Products of the load by their label card.
     *
     * @param array<string, mixed> $load
     *
     * @return array<string, array{product: string, amount: Quantity}>
     */
    private function products(Step $step, array $load): array
    {
        $cards = [];
        foreach ($step->cardVersions() as $version) {
            $cards[$version->id] = $version->label_card_id;
        }
        $out = [];
        foreach (is_array($load['products'] ?? null) ? $load['products'] : [] as $one) {
            $card = is_array($one) ? $cards[$one['versionId'] ?? ''] ?? null : null;
            if ($card !== null && is_array($one['amount'] ?? null)) {
                $out[$card] = [
                    'product' => (string) $one['product'],
                    'amount' => Quantity::of($one['amount']['value'], Unit::from($one['amount']['unit'])),
                ];
            }
        }

        return $out;
    }

    /**
     * Each draw is of a product of the load, and what is drawn of a product comes to what the load takes; a product
     * that nothing is drawn of came from elsewhere.
     *
     * @param list<array{containerId: string, amount: Quantity|null}> $draws
     * @param array<string, array{product: string, amount: Quantity}> $products by label card
     *
     * @return list<array{containerId: string, amount: Quantity}>
     */
    private function checked(array $draws, array $products, User $user): array
    {
        $containers = Container::query()
            ->where('crew_id', $user->crew_id)
            ->findMany(array_column($draws, 'containerId'))
            ->keyBy('id');
        $cards = array_map(
            static fn(array $draw): ?string => $containers->get($draw['containerId'])?->label_card_id,
            $draws,
        );
        $out = [];
        $sums = [];
        foreach ($draws as $i => $draw) {
            $product =
                $products[$cards[$i] ?? ''] ??
                throw self::refused("/draws/{$i}/containerId", 'This container is not of a product of this mix.');
            $amount =
                $draw['amount'] ?? (count(array_keys($cards, $cards[$i], true)) === 1 ? $product['amount'] : null);
            if ($amount === null || $amount->dimension() !== $product['amount']->dimension() || $amount->isNegative()) {
                throw self::refused("/draws/{$i}/amount", 'Say how much came from each container.');
            }
            $out[] = ['containerId' => $draw['containerId'], 'amount' => $amount];
            $sums[$cards[$i]] = ($sums[$cards[$i]] ?? Quantity::zero($product['amount']->unit))->plus(
                $amount->to($product['amount']->unit),
            );
        }
        foreach ($sums as $card => $sum) {
            $off = $sum->minus($products[$card]['amount']);
            if (
                ($off->isNegative() ? $off->times(-1) : $off)->isGreaterThan(
                    $products[$card]['amount']->times(self::DRAWN_OFF),
                )
            ) {
                throw self::refused(
                    '/draws',
                    "What is drawn of {$products[$card]['product']} does not come to what this load takes.",
                );
            }
        }

        return $out;
    }

    /**
     * All that the record and the label will need, as it stood when it was mixed.
     *
     * @param array<string, mixed> $recipe
     * @param array<string, mixed> $load
     *
     * @return array<string, mixed>
     */
    private function body(Stand $stand, Step $step, array $recipe, array $load, User $user, int $number): array
    {
        $version = $step->cardVersion;
        $products = [$this->situations->option($step, $user->crew), ...$this->situations->partners($step, $user->crew)];
        $solved = $this->desk->solve($stand, $step);
        $now = $this->clock->now()->setTimezone(new \DateTimeZone($stand->patch->ground->time_zone));
        $until = Leftover::usableUntil($now, $this->desk->holdingHours($step));

        return [
            'finished' => $load['finished'],
            'product' => $load['product'],
            'steps' => $load['steps'],
            'cardVersion' => $version?->version,
            'cardVersionId' => $version?->id,
            'mix' => $solved->mixId(),
            'products' => array_map(
                static fn(string $id, array $one): array => [
                    'cardId' => $id,
                    'product' => $one['product'],
                    'amount' => Format::quantity($one['amount']),
                ],
                array_keys($of = $this->products($step, $load)),
                array_values($of),
            ),
            'carrier' => is_array($recipe['carrier'] ?? null) ? $recipe['carrier']['id'] : null,
            'percent' => is_array($recipe['strength'] ?? null) ? $recipe['strength']['percent']['value'] : null,
            'label' => [
                'title' => $this->sentences->in('batch.title', ['number' => $number], $user->system()),
                'contents' =>
                    implode(
                        ', ',
                        array_map(
                            fn(Option $one): string => ($one->card->product ?? '') .
                                ' (' .
                                implode(
                                    ', ',
                                    array_map(
                                        fn(array $a): string => $this->situations->activeName($a['active']),
                                        $one->card->contents->actives ?? [],
                                    ),
                                ) .
                                ')',
                            $products,
                        ),
                    ) .
                    ', ' .
                    (is_array($recipe['carrier'] ?? null) ? $recipe['carrier']['name'] : ''),
                'registration' => implode(
                    ', ',
                    array_map(static fn(Option $one): string => $one->card->of->registration ?? '', $products),
                ),
                'strength' => is_array($recipe['strength'] ?? null) ? $recipe['strength']['percent']['shown'] : null,
                'amount' => is_array($load['finished']) ? $load['finished']['shown'] : null,
                'mixed' => $this->sentences->in(
                    'batch.mixed',
                    ['who' => $user->name, 'day' => $now->format('Y-m-d'), 'time' => $now->format('H:i')],
                    $user->system(),
                ),
                'useBy' => $this->sentences->in(
                    'batch.use-by',
                    ['day' => $until->format('Y-m-d'), 'time' => $until->format('H:i')],
                    $user->system(),
                ),
                'hazards' => array_map(
                    fn(string $c): string => $this->sentences->name("caution.{$c}"),
                    Cautions::ofJug($products),
                ),
                'wearing' => self::each($products, static fn(LabelCard $card): string => $card->protection->wearing),
                'firstAid' => self::each($products, static fn(LabelCard $card): string => $card->protection->firstAid),
                'keep' => $this->sentences->name('batch.keep'),
            ],
        ];
    }

    /**
     * @param list<Option> $products
     * @param \Closure(LabelCard): string $said
     */
    private static function each(array $products, \Closure $said): string
    {
        return implode(
            ' ',
            array_unique(
                array_filter(
                    array_map(
                        static fn(Option $one): string => $one->card === null ? '' : $said($one->card),
                        $products,
                    ),
                ),
            ),
        );
    }

    private static function refused(string $pointer, string $message): Stopped
    {
        return new Stopped(422, $message, ['errors' => [['pointer' => $pointer, 'message' => $message]]]);
    }
}
