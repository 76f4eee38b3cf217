<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Readers\PersonReader;
use App\Http\SecurityLog;
use App\Models\Person;
use App\Resources\ShedResource;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

/** People of the crew, with licence and clearances. */
final class PersonController extends Controller
{
    public function __construct(private readonly PersonReader $reader, private readonly ShedResource $resource) {}

    public function store(Request $request): JsonResponse
    {
        Gate::authorize('lead');
        $user = $this->user($request);
        $in = $this->fields($request);
        $id = $in->uuidOrNull('id');
        $person = $this->reader->read($in);
        $this->done($in);
        $this->mustBeNew($id, new Person());
        SecurityLog::note('person added', $request);
        Person::create(array_filter(['id' => $id]) + $person + ['crew_id' => $user->crew_id]);

        return $this->json($this->resource->shed($user->crew), 201);
    }

    public function update(Request $request, string $personId): JsonResponse
    {
        Gate::authorize('lead');
        $user = $this->user($request);
        $row = Person::query()->where('crew_id', $user->crew_id)->findOrFail($personId);
        $in = $this->fields($request);
        $person = $this->reader->read($in);
        $this->done($in);
        $this->mustMatch($request, $row->revision, fn(): array => $this->resource->shed($user->crew));
        SecurityLog::note('licence or clearance changed', $request, ['person' => $row->id]);
        $row->fill($person);
        $row->revision++;
        $row->save();

        return $this->json($this->resource->shed($user->crew));
    }
}
