<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Learn;
use App\Models\Amendment;
use App\Models\Sealed;
use App\Repositories\CrewRows;
use App\Resources\RecordResource;
use App\Seal\Chain;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use Thicket\FieldDay\RecordFields;

/** Corrections of signed records: added, never written over (rulings B17). */
final class AmendmentController extends Controller
{
    public function store(
        Request $request,
        string $recordId,
        RecordResource $resource,
        Chain $chain,
        Learn $learn,
    ): JsonResponse {
        $user = $this->user($request);
        $record = CrewRows::record($user, $recordId);
        Gate::authorize('write');
        $in = $this->fields($request);
        $id = $in->uuidOrNull('id');
        $given = [
            'field' => $in->choice('field', RecordFields::AMENDED),
            'text' => $in->text('text', 2000),
            'why' => $in->text('why', 500),
        ];
        $this->done($in);
        $this->passwordAgain($request);
        $this->mustBeNew($id, new Amendment());
        DB::transaction(static function () use ($chain, $learn, $id, $record, $given, $user): void {
            $amendment = Amendment::create(
                array_filter(['id' => $id]) + $given + ['record_id' => $record->id, 'made_by' => $user->id],
            );
            $chain->add($record->crew_id, Sealed::Amendment, $amendment->id);
            $learn->fromAmendment($record, $amendment->field);
        });

        return $this->json($resource->record(CrewRows::record($user, $recordId)), 201);
    }
}
