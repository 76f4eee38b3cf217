<?php

declare(strict_types=1);

namespace App\Actions;

use App\Http\Stopped;
use App\Models\Batch;
use App\Models\Stand;
use App\Models\Step;
use App\Models\User;
use App\Support\JobClock;
use App\Text\Sentences;
use App\Trail\Assembler;
use App\Trail\RecipeDesk;
use App\Wire\StandWire;
use App\Wire\Wire;
use Illuminate\Support\Facades\DB;
use Thicket\Measure\Quantity;
use Thicket\Measure\Unit;
use Thicket\Mix\Leftover;

/**
 * Writes down one load as it was mixed: each addition confirmed once, in loading order, so that nothing goes in twice; its product leaves the shelf in the
 * same breath, or the batch is not written at all. The finished mix gets its label.
 */
final readonly class MixBatch
{
    /** How far the product drawn may be off the product of the load: measuring is no finer. */
    private const DRAWN_OFF = '0.02';

    public function __construct(private RecipeDesk $desk, private StandWire $wire, private Assembler $assembler, private DrawStock $draw, private JobClock $clock, private Sentences $sentences)
    {
    }

    /**
     * @param list<string> $confirmed what went in, by the codes of the load's steps, in order
     * @param list<array{containerId: string, amount: Quantity|null}> $draws where the product came from; an amount may be left out where there is one container
     *
     * @throws Stopped 409 where the recipe does not stand, 422 where the additions or the draws are not those of the load
     */
    public function __invoke(Stand $stand, Step $step, int $load, array $confirmed, array $draws, User $user, ?string $id): Batch
    {
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
            throw self::refused('/confirmed', 'Confirm each addition once, in this order: ' . implode(', ', $wanted) . '.');
        }
        $product = is_array($one['product']) ? Quantity::of($one['product']['value'], Unit::from($one['product']['unit'])) : null;
        $draws = $this->checked($draws, $product);

        return DB::transaction(function () use ($step, $user, $recipe, $one, $draws, $id, $stand): Batch {
            $number = 1 + (int) Batch::query()->where('crew_id', $user->crew_id)->lockForUpdate()->max('number');
            $batch = Batch::create(array_filter(['id' => $id]) + ['crew_id' => $user->crew_id, 'step_id' => $step->id, 'number' => $number, 'body' => $this->body($stand, $step, $recipe, $one, $user, $number), 'mixed_by' => $user->id, 'mixed_at' => $this->clock->now()]);
            // in one order for everybody, so that two who mix from the same two jugs never wait for each other
            usort($draws, static fn (array $a, array $b): int => $a['containerId'] <=> $b['containerId']);
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
        return ['id' => $batch->id, 'number' => $batch->number, 'mixedAt' => Wire::moment($batch->mixed_at), 'recordId' => $batch->record_id, 'label' => $batch->body['label'] ?? null, 'finished' => $batch->body['finished'] ?? null];
    }

    /**
     * @param list<array{containerId: string, amount: Quantity|null}> $draws
     *
     * @return list<array{containerId: string, amount: Quantity}>
     */
    private function checked(array $draws, ?Quantity $product): array
    {
        if ($draws === [] || $product === null) {
            return [];
        }
        $out = [];
        $sum = Quantity::zero($product->unit);
        foreach ($draws as $i => $draw) {
            $amount = $draw['amount'] ?? (count($draws) === 1 ? $product : null);
            if ($amount === null || $amount->dimension() !== $product->dimension() || $amount->isNegative()) {
                throw self::refused("/draws/{$i}/amount", 'Say how much came from each container.');
            }
            $out[] = ['containerId' => $draw['containerId'], 'amount' => $amount];
            $sum = $sum->plus($amount->to($product->unit));
        }
        $off = $sum->minus($product);
        if (($off->isNegative() ? $off->times(-1) : $off)->isGreaterThan($product->times(self::DRAWN_OFF))) {
            throw self::refused('/draws', 'What is drawn does not come to the product of this load.');
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
        $card = $version === null ? null : $this->assembler->card($version);
        $candidate = $this->assembler->candidate($step, $user->crew);
        $now = $this->clock->now()->setTimezone(new \DateTimeZone($stand->patch->ground->time_zone));
        $until = Leftover::usableUntil($now, $card?->details?->holdingHours());

        return [
            'finished' => $load['finished'], 'product' => $load['product'], 'steps' => $load['steps'], 'cardVersion' => $version?->version, 'cardVersionId' => $version?->id,
            'carrier' => is_array($recipe['carrier'] ?? null) ? $recipe['carrier']['id'] : null, 'percent' => is_array($recipe['strength'] ?? null) ? $recipe['strength']['percent']['value'] : null,
            'label' => [
                'title' => $this->sentences->in('batch.title', ['number' => $number], $user->system()),
                'contents' => ($card->product ?? '') . ' (' . implode(', ', array_map(fn (array $a): string => $this->assembler->activeName($a['active']), $card->actives ?? [])) . '), ' . (is_array($recipe['carrier'] ?? null) ? $recipe['carrier']['name'] : ''),
                'registration' => $card->registration ?? '',
                'strength' => is_array($recipe['strength'] ?? null) ? $recipe['strength']['percent']['shown'] : null,
                'amount' => is_array($load['finished']) ? $load['finished']['shown'] : null,
                'mixed' => $this->sentences->in('batch.mixed', ['who' => $user->name, 'day' => $now->format('Y-m-d'), 'time' => $now->format('H:i')], $user->system()),
                'useBy' => $this->sentences->in('batch.use-by', ['day' => $until->format('Y-m-d'), 'time' => $until->format('H:i')], $user->system()),
                'hazards' => array_map(fn (string $c): string => $this->sentences->name("caution.active-{$c}"), $candidate->active?->data->strings('cautions') ?? []),
                'wearing' => $card->wearing ?? '', 'firstAid' => $card->firstAid ?? '',
                'keep' => $this->sentences->name('batch.keep'),
            ],
        ];
    }

    private static function refused(string $pointer, string $message): Stopped
    {
        return new Stopped(422, $message, ['errors' => [['pointer' => $pointer, 'message' => $message]]]);
    }
}
