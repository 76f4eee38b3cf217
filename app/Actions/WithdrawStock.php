<?php

declare(strict_types=1);

namespace App\Actions;

use App\Exceptions\Stopped;
use App\Models\Batch;
use App\Models\Container;
use App\Models\StockWithdrawal;
use App\Models\User;
use App\Support\JobClock;
use Brick\Math\RoundingMode;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Support\Facades\DB;
use Thicket\Measure\Quantity;
use Thicket\Measure\Shown;

/**
 * Takes product out of one container. The row is held while it is read and written, so two people who draw at once
 * cannot take what is there only once; what is left never falls below nought.
 */
final readonly class WithdrawStock
{
    public const KINDS = ['mixed', 'measured', 'spilled', 'disposed'];

    public function __construct(private JobClock $clock) {}

    /**
     * @param Quantity $amount taken out
     *
     * @throws Stopped 409 where less is there than is taken, or the container is gone
     */
    public function take(
        string $containerId,
        Quantity $amount,
        string $kind,
        User $user,
        ?Batch $batch = null,
        ?string $reason = null,
    ): Container {
        return DB::transaction(function () use ($containerId, $amount, $kind, $user, $batch, $reason): Container {
            $container = $this->held($containerId, $user);
            $amount->mustMatch($container->size()->dimension());
            if ($amount->isNegative() || $amount->isGreaterThan($container->left())) {
                throw new Stopped(
                    409,
                    'There is only ' . Shown::in($container->left(), $user->system()) . ' left in this container.',
                );
            }

            return $this->write(
                $container,
                $container->left()->minus($amount->to($container->unit())),
                $amount,
                $user,
                ['kind' => $kind, 'typed' => $amount, 'batch' => $batch, 'reason' => $reason],
            );
        });
    }

    /** Sets what is left to what a level or a scale shows; the difference is written down as a draw of its own. */
    public function measured(string $containerId, Quantity $left, User $user, ?string $reason): Container
    {
        return DB::transaction(function () use ($containerId, $left, $user, $reason): Container {
            $container = $this->held($containerId, $user);
            $left->mustMatch($container->size()->dimension());
            if ($left->isNegative() || $left->isGreaterThan($container->size())) {
                throw new Stopped(
                    409,
                    'This container holds no more than ' . Shown::in($container->size(), $user->system()) . '.',
                );
            }

            return $this->write(
                $container,
                $left->to($container->unit()),
                $container->left()->minus($left->to($container->unit())),
                $user,
                ['kind' => 'measured', 'typed' => $left, 'batch' => null, 'reason' => $reason],
            );
        });
    }

    private function held(string $id, User $user): Container
    {
        $container = Container::query()->where('crew_id', $user->crew_id)->lockForUpdate()->find($id);
        if (!($container instanceof Container)) {
            throw (new ModelNotFoundException())->setModel(Container::class, [$id]);
        }
        if ($container->gone_at !== null) {
            throw new Stopped(409, 'This container is gone.');
        }

        return $container;
    }

    /** @param array{kind: string, typed: Quantity, batch: Batch|null, reason: string|null} $told what became of it */
    private function write(Container $container, Quantity $left, Quantity $amount, User $user, array $told): Container
    {
        $decimal = static fn(Quantity $q): string => (string) $q->decimal($container->unit(), 9, RoundingMode::HALF_UP);
        StockWithdrawal::create([
            'container_id' => $container->id,
            'batch_id' => $told['batch']?->id,
            'kind' => $told['kind'],
            'amount' => $decimal($amount),
            'left' => $decimal($left),
            'typed' => Shown::withUnit($told['typed']->amount, $told['typed']->unit),
            'reason' => $told['reason'],
            'drawn_by' => $user->id,
            'drawn_at' => $this->clock->now(),
        ]);
        $container->remaining = $decimal($left);
        $container->opened_on ??= \Illuminate\Support\Carbon::instance($this->clock->today($user->crew->timeZone()));
        $container->revision++;
        $container->save();

        return $container;
    }
}
