<?php

declare(strict_types=1);

namespace App\Http\Readers;

use App\Actions\MixedLoad;
use Thicket\Input\Fields;

/** One load mixed: every addition confirmed once and in order, and where its product came from. */
final readonly class MixedLoadReader
{
    public function read(Fields $in): MixedLoad
    {
        $id = $in->uuidOrNull('id');
        $load = $in->int('load', 0, 100, 0);
        $confirmed = $in->strings('confirmed', null, 20);
        $draws = array_map(
            static fn(Fields $d): array => [
                $d,
                $d->uuid('containerId'),
                $d->has('amount') ? $d->reading('amount', null)?->quantity : null,
            ],
            $in->objects('draws', 6),
        );
        foreach ($draws as [$d]) {
            $d->has('amount') || $d->raw('amount');
            $d->noOthers();
        }

        return new MixedLoad(
            (int) $load,
            $confirmed,
            array_map(static fn(array $d): array => ['containerId' => (string) $d[1], 'amount' => $d[2]], $draws),
            $id,
        );
    }
}
