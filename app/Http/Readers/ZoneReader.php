<?php

declare(strict_types=1);

namespace App\Http\Readers;

use App\Models\Stand;
use App\Models\Zone;
use Thicket\Input\Fields;

/** The zone of a patch that a count or a plan is for. */
final readonly class ZoneReader
{
    public function read(Fields $in, Stand $stand): ?Zone
    {
        $id = $in->uuidOrNull('zoneId');
        $zone =
            $id === null
                ? null
                : Zone::query()->where('patch_id', $stand->patch_id)->where('archived_at', null)->find($id);
        if ($id !== null && $zone === null) {
            $in->fault('zoneId', 'This patch has no such zone.');
        }

        return $zone;
    }
}
