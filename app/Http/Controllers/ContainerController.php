<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\WithdrawStock;
use App\Exceptions\Stopped;
use App\Http\Readers\ContainerReader;
use App\Models\Container;
use App\Models\LabelCard;
use App\Resources\ShedResource;
use App\Support\JobClock;
use Brick\Math\RoundingMode;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Thicket\Measure\Dimension;
use Thicket\Measure\Unit;

/** Containers on the shelf, and what is drawn from them. */
final class ContainerController extends Controller
{
    public function __construct(
        private readonly ContainerReader $reader,
        private readonly ShedResource $resource,
        private readonly WithdrawStock $draw,
        private readonly JobClock $clock,
    ) {}

    public function store(Request $request): JsonResponse
    {
        $user = $this->user($request);
        $in = $this->fields($request);
        $id = $in->uuidOrNull('id');
        $cardId = $in->uuid('cardId');
        $card = $cardId === null ? null : LabelCard::query()->where('crew_id', $user->crew_id)->find($cardId);
        $cardId !== null && $card === null && $in->fault('cardId', 'There is no such label card in your Shed.');
        $size = $this->reader->amount($in, 'size');
        $left = $in->has('left') ? $this->reader->amount($in, 'left') : null;
        $in->has('left') || $in->raw('left');
        $tare = $in->quantityOrNull('tare', Dimension::Mass);
        if ($size !== null && $size->isZero()) {
            $in->fault('size', 'A container holds more than nothing.');
        }
        if (
            $size !== null &&
            $left !== null &&
            ($size->dimension() !== $left->dimension() || $left->isGreaterThan($size))
        ) {
            $in->fault('left', 'What is left is measured like the size, and is not more than it.');
        }
        [$lot, $place, $opened, $expires] = [
            $in->textOrNull('lot', 60),
            $in->textOrNull('place', 120),
            $in->pastDayOrNull('openedOn', $this->clock->today($user->crew->timeZone())),
            $in->dayOrNull('expiresOn'),
        ];
        $this->done($in);
        $this->mustBeNew($id, new Container());
        if ($size === null || $card === null) {
            throw new \LogicException('refused above');
        }
        $unit = $size->dimension() === Dimension::Mass ? Unit::Gram : Unit::Litre;
        Container::create(
            array_filter(['id' => $id]) + [
                'crew_id' => $user->crew_id,
                'label_card_id' => $card->id,
                'size_value' => $size->toWire()['value'],
                'size_unit' => $size->unit->value,
                'lot' => $lot,
                'place' => $place,
                'opened_on' => $opened?->format('Y-m-d'),
                'expires_on' => $expires?->format('Y-m-d'),
                'tare_value' => $tare?->toWire()['value'],
                'tare_unit' => $tare?->unit->value,
                'remaining' => (string) ($left ?? $size)->decimal($unit, 9, RoundingMode::HALF_UP),
            ],
        );

        return $this->json($this->resource->shed($user->crew), 201);
    }

    /** Where it stands and until when it is good; what is left changes by draws only. */
    public function update(Request $request, string $containerId): JsonResponse
    {
        $user = $this->user($request);
        $container = $this->find($request, $containerId);
        $in = $this->fields($request);
        $change = [
            'lot' => $in->textOrNull('lot', 60),
            'place' => $in->textOrNull('place', 120),
            'expires_on' => $in->dayOrNull('expiresOn')?->format('Y-m-d'),
        ];
        $tare = $in->quantityOrNull('tare', Dimension::Mass);
        $this->done($in);
        $this->mustMatch($request, $container->revision, fn(): array => $this->resource->shed($user->crew));
        $container->fill(
            $change +
                ($tare === null ? [] : ['tare_value' => $tare->toWire()['value'], 'tare_unit' => $tare->unit->value]),
        );
        $container->revision++;
        $container->save();

        return $this->json($this->resource->shed($user->crew));
    }

    /**
     * Something spilled or disposed of is taken out; a level or a weight sets what is left. What is mixed is drawn with
     * its batch.
     */
    public function draw(Request $request, string $containerId): JsonResponse
    {
        $user = $this->user($request);
        $container = $this->find($request, $containerId);
        $in = $this->fields($request);
        $kind = $in->choice('kind', ['measured', 'weighed', 'spilled', 'disposed']);
        $amount = in_array($kind, ['measured', 'spilled', 'disposed'], true)
            ? $this->reader->amount($in, 'amount')
            : null;
        $weight = $kind === 'weighed' ? $in->quantity('weight', Dimension::Mass) : null;
        $in->raw('amount');
        $in->raw('weight');
        $reason = $in->textOrNull('reason', 300);
        if ($amount !== null && $amount->dimension() !== $container->size()->dimension()) {
            $in->fault(
                'amount',
                'This container is measured in ' .
                    ($container->size()->dimension() === Dimension::Mass ? 'weight.' : 'volume.'),
            );
        }
        $left = $weight === null ? $amount : $this->reader->leftByWeight($in, $container, $weight);
        $this->done($in);
        if ($left === null || $kind === null) {
            throw new \LogicException('refused above');
        }
        in_array($kind, ['measured', 'weighed'], true)
            ? $this->draw->measured($container->id, $left, $user, $reason)
            : $this->draw->take($container->id, $left, $kind, $user, null, $reason);

        return $this->json($this->resource->shed($user->crew), 201);
    }

    /** Empty, rinsed three times and handed in, or taken to a collection; its draws stay on record. */
    public function destroy(Request $request, string $containerId): JsonResponse
    {
        $user = $this->user($request);
        $container = $this->find($request, $containerId);
        $this->done($this->fields($request));
        if (!$container->left()->isZero()) {
            throw new Stopped(409, 'There is still some in it: say first what became of the rest.');
        }
        $container->gone_at = \Illuminate\Support\Carbon::instance($this->clock->now());
        $container->save();

        return $this->json($this->resource->shed($user->crew));
    }

    private function find(Request $request, string $id): Container
    {
        return Container::query()
            ->where('crew_id', $this->user($request)->crew_id)
            ->with('card.versions')
            ->findOrFail($id);
    }
}
