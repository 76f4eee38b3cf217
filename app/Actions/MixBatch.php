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
use App\Resources\RecipeResource;
use App\Support\Format;
use App\Support\JobClock;
use App\Text\Sentences;
use App\Workflow\RecipeDesk;
use App\Workflow\Washing;
use Illuminate\Support\Facades\DB;
use Thicket\Label\LabelCard;
use Thicket\Measure\Quantity;
use Thicket\Mix\Leftover;
use Thicket\Mix\Load;
use Thicket\Mix\LoadDraws;
use Thicket\Mix\LoadStep;
use Thicket\Mix\MeasuringKit;
use Thicket\Mix\MixedProduct;
use Thicket\Mix\Recipe;
use Thicket\Safety\Cautions;
use Thicket\Situation\Option;

/**
 * Writes down one load as it was mixed: each addition confirmed once, in loading order, so that nothing goes in twice;
 * its product leaves the shelf in the same breath, or the batch is not written at all. The finished mix gets its label.
 */
final readonly class MixBatch
{
    /** More than six: services that are handed in: a batch is checked, drawn, labelled and noted at once. */
    public function __construct(
        private RecipeDesk $desk,
        private RecipeResource $recipes,
        private SituationRepository $situations,
        private WithdrawStock $draw,
        private JobClock $clock,
        private Sentences $sentences,
        private NoteSprayer $sprayers,
        private Washing $washing,
    ) {}

    /**
     * @throws Stopped 409 where the recipe does not stand, 422 where the additions or the draws are not those of the
     *     load
     */
    public function __invoke(Stand $stand, Step $step, MixedLoad $mixed, User $user): Batch
    {
        if ($step->recipe_basis === null || !$this->desk->isFresh($stand, $step)) {
            throw new Stopped(409, 'The recipe is not saved, or has changed since; check it again before you mix.');
        }
        if ($step->records->isNotEmpty()) {
            throw new Stopped(409, 'This work is signed already.');
        }
        $recipe = $this->desk->solve($stand, $step);
        $wash = $this->washing->first($step, $recipe->carrier, $stand->patch->ground->time_zone);
        if ($wash !== null) {
            throw new Stopped(409, $wash['us']);
        }
        $one = $recipe->loads()[$mixed->load] ?? throw self::refused('/load', 'The recipe has no such load.');
        $wanted = array_map(static fn(LoadStep $step): string => $step->what, $one->steps());
        if ($mixed->confirmed !== $wanted) {
            throw self::refused(
                '/confirmed',
                'Confirm each addition once, in this order: ' . implode(', ', $wanted) . '.',
            );
        }
        $draws = $this->checked($mixed->draws, self::products($recipe, $one, $step), $user);

        return DB::transaction(function () use ($step, $user, $recipe, $one, $draws, $mixed, $stand): Batch {
            $number = 1 + (int) Batch::query()->where('crew_id', $user->crew_id)->lockForUpdate()->max('number');
            $batch = Batch::create(
                array_filter(['id' => $mixed->id]) + [
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
            if ($one->carried !== null) {
                $step->update(['recipe' => ['leftover' => null, 'leftoverFrom' => null] + ($step->recipe ?? [])]);
            }
            $this->sprayers->fills($step, $recipe->carrier, $user);
            foreach ($draws as $draw) {
                $this->draw->take($draw['containerId'], $draw['amount'], 'mixed', $user, $batch);
            }

            return $batch;
        });
    }

    /** @return array<string, array{product: string, amount: Quantity}> products of the load by their label card */
    private static function products(Recipe $recipe, Load $load, Step $step): array
    {
        $cards = [];
        foreach ($step->cardVersions() as $version) {
            $cards[$version->id] = $version->label_card_id;
        }
        $out = [];
        foreach ($recipe->products as $one) {
            $card = $cards[$one->option->card->id ?? ''] ?? null;
            $amount = $load->mix->amountOf($one->name);
            if ($card !== null && $amount !== null) {
                $out[$card] = ['product' => $one->option->card->product ?? '', 'amount' => $amount];
            }
        }

        return $out;
    }

    /**
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
        $checked = LoadDraws::check(
            array_map(static fn(array $one): Quantity => $one['amount'], $products),
            array_map(
                static fn(array $draw): array => [
                    'product' => $containers->get($draw['containerId'])?->label_card_id,
                    'amount' => $draw['amount'],
                ],
                $draws,
            ),
        );
        if ($checked->fault !== null) {
            ['draw' => $draw, 'code' => $code, 'product' => $card] = $checked->fault;
            throw match ($code) {
                'other-product' => self::refused(
                    "/draws/{$draw}/containerId",
                    'This container is not of a product of this mix.',
                ),
                'amount' => self::refused("/draws/{$draw}/amount", 'Say how much came from each container.'),
                default => self::refused(
                    '/draws',
                    'What is drawn of ' .
                        ($products[$card ?? '']['product'] ?? '') .
                        ' does not come to what this load takes.',
                ),
            };
        }

        return array_map(
            static fn(array $draw, Quantity $amount): array => [
                'containerId' => $draw['containerId'],
                'amount' => $amount,
            ],
            $draws,
            $checked->amounts,
        );
    }

    /** @return array<string, mixed> all that the record and the label will need, as it stood when it was mixed */
    private function body(Stand $stand, Step $step, Recipe $recipe, Load $load, User $user, int $number): array
    {
        $version = $step->cardVersion;
        $products = array_map(static fn(MixedProduct $one): Option => $one->option, $recipe->products);
        $told = $this->recipes->load($recipe, $load, new MeasuringKit());
        $percent = $recipe->strength?->percent();
        $now = $this->clock->now()->setTimezone(new \DateTimeZone($stand->patch->ground->time_zone));
        $until = Leftover::usableUntil($now, $this->desk->holdingHours($step));
        $taken = self::products($recipe, $load, $step);

        return [
            'finished' => $told['finished'],
            'product' => $told['product'],
            'steps' => $told['steps'],
            'cardVersion' => $version?->version,
            'cardVersionId' => $version?->id,
            'mix' => $recipe->mixId(),
            'products' => array_map(
                static fn(string $id, array $one): array => [
                    'cardId' => $id,
                    'product' => $one['product'],
                    'amount' => Format::quantity($one['amount']),
                ],
                array_keys($taken),
                array_values($taken),
            ),
            'carrier' => $recipe->carrier,
            'percent' => Format::quantity($percent)['value'] ?? null,
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
                                        fn(array $a): string => $this->sentences->called(
                                            $this->situations->activeName($a['active']),
                                        ),
                                        $one->card->contents->actives ?? [],
                                    ),
                                ) .
                                ')',
                            $products,
                        ),
                    ) .
                    ', ' .
                    $this->sentences->name("carrier.{$recipe->carrier}"),
                'registration' => implode(
                    ', ',
                    array_map(static fn(Option $one): string => $one->card->of->registration ?? '', $products),
                ),
                'strength' => Format::quantity($percent)['shown'] ?? null,
                'amount' => Format::quantity($load->finished)['shown'] ?? null,
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
