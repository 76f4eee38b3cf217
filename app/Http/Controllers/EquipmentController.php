<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Calibrate;
use App\Exceptions\Stopped;
use App\Http\SecurityLog;
use App\Models\Loan;
use App\Models\Person;
use App\Models\Sprayer;
use App\Models\Tool;
use App\Resources\ShedResource;
use App\Support\JobClock;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Thicket\Catalogue\Catalogue;
use Thicket\Catalogue\SprayerKind;
use Thicket\Catalogue\ToolKind;
use Thicket\Input\Fields;
use Thicket\Measure\Dimension;
use Thicket\Mix\Advice\MixPlan;

/** Sprayers with their calibrations, tools with their loans, people with licence and clearances. */
final class EquipmentController extends Controller
{
    public const MEASURING = ['spoons', 'cup', 'jug', 'syringe', 'cylinder', 'scale'];

    public function __construct(
        private readonly ShedResource $wire,
        private readonly Catalogue $catalogue,
        private readonly JobClock $clock,
    ) {}

    public function storeSprayer(Request $request): JsonResponse
    {
        $user = $this->user($request);
        $in = $this->fields($request);
        $id = $in->uuidOrNull('id');
        $sprayer = $this->sprayer($in);
        $this->done($in);
        $this->mustBeNew($id, new Sprayer());
        Sprayer::create(array_filter(['id' => $id]) + $sprayer + ['crew_id' => $user->crew_id]);

        return $this->json($this->wire->shed($user->crew), 201);
    }

    public function updateSprayer(Request $request, string $sprayerId): JsonResponse
    {
        $user = $this->user($request);
        $row = Sprayer::query()->where('crew_id', $user->crew_id)->findOrFail($sprayerId);
        $in = $this->fields($request);
        $sprayer = $this->sprayer($in);
        $this->done($in);
        $this->mustMatch($request, $row->revision, fn(): array => $this->wire->shed($user->crew));
        // another nozzle puts out another amount: what was measured before says nothing of it (handbook 3)
        if (($row->details['nozzle'] ?? null) !== ($sprayer['details']['nozzle'] ?? null)) {
            $sprayer += ['gives_value' => null, 'gives_unit' => null, 'calibrated_on' => null, 'due_on' => null];
        }
        $row->fill($sprayer);
        $row->revision++;
        $row->save();

        return $this->json($this->wire->shed($user->crew));
    }

    /** One way of handbook 3; answers what it found and which plans have to be looked at again. */
    public function calibrate(Request $request, string $sprayerId, Calibrate $calibrate): JsonResponse
    {
        $user = $this->user($request);
        $row = Sprayer::query()->where('crew_id', $user->crew_id)->findOrFail($sprayerId);
        $in = $this->fields($request);
        $measured = $calibrate->read($in, $row);
        $try = $in->bool('try', false);
        $this->done($in);
        if ($try) {
            return $this->json($calibrate->told($measured, []));
        }

        return $this->json($calibrate->told($measured, $calibrate->keep($row, $measured, $user)), 201);
    }

    public function storeTool(Request $request): JsonResponse
    {
        $user = $this->user($request);
        $in = $this->fields($request);
        $id = $in->uuidOrNull('id');
        $tool = $this->tool($in);
        $this->done($in);
        $this->mustBeNew($id, new Tool());
        Tool::create(array_filter(['id' => $id]) + $tool + ['crew_id' => $user->crew_id]);

        return $this->json($this->wire->shed($user->crew), 201);
    }

    /** A tool that is lost, sold or broken; its loans stay on record. */
    public function dropTool(Request $request, string $toolId): JsonResponse
    {
        $user = $this->user($request);
        $tool = Tool::query()->where('crew_id', $user->crew_id)->where('gone_at', null)->findOrFail($toolId);
        $this->done($this->fields($request));
        $tool->gone_at = \Illuminate\Support\Carbon::instance($this->clock->now());
        $tool->save();

        return $this->json($this->wire->shed($user->crew));
    }

    public function lend(Request $request, string $toolId): JsonResponse
    {
        $user = $this->user($request);
        $tool = Tool::query()
            ->where('crew_id', $user->crew_id)
            ->where('gone_at', null)
            ->with('loans')
            ->findOrFail($toolId);
        $in = $this->fields($request);
        $to = $in->text('to', 120);
        $due = $in->dayOrNull('dueOn');
        $today = $this->clock->today($user->crew->timeZone())->format('Y-m-d');
        if ($due !== null && $due->format('Y-m-d') < $today) {
            $in->fault('dueOn', 'This day is over.');
        }
        $this->done($in);
        if ($tool->isLent()) {
            throw new Stopped(409, 'This tool is out already; take it back first.');
        }
        Loan::create([
            'tool_id' => $tool->id,
            'borrower' => $to,
            'lent_on' => $today,
            'due_on' => $due?->format('Y-m-d'),
            'lent_by' => $user->id,
        ]);

        return $this->json($this->wire->shed($user->crew), 201);
    }

    public function takeBack(Request $request, string $loanId): JsonResponse
    {
        $user = $this->user($request);
        $loan = Loan::query()
            ->whereHas('tool', fn($tool) => $tool->where('crew_id', $user->crew_id))
            ->findOrFail($loanId);
        $this->done($this->fields($request));
        if ($loan->returned_on !== null) {
            throw new Stopped(409, 'This tool is back already.');
        }
        $loan->update(['returned_on' => $this->clock->today($user->crew->timeZone())->format('Y-m-d')]);

        return $this->json($this->wire->shed($user->crew));
    }

    public function storePerson(Request $request): JsonResponse
    {
        Gate::authorize('lead');
        $user = $this->user($request);
        $in = $this->fields($request);
        $id = $in->uuidOrNull('id');
        $person = $this->person($in);
        $this->done($in);
        $this->mustBeNew($id, new Person());
        SecurityLog::note('person added', $request);
        Person::create(array_filter(['id' => $id]) + $person + ['crew_id' => $user->crew_id]);

        return $this->json($this->wire->shed($user->crew), 201);
    }

    public function updatePerson(Request $request, string $personId): JsonResponse
    {
        Gate::authorize('lead');
        $user = $this->user($request);
        $row = Person::query()->where('crew_id', $user->crew_id)->findOrFail($personId);
        $in = $this->fields($request);
        $person = $this->person($in);
        $this->done($in);
        $this->mustMatch($request, $row->revision, fn(): array => $this->wire->shed($user->crew));
        SecurityLog::note('licence or clearance changed', $request, ['person' => $row->id]);
        $row->fill($person);
        $row->revision++;
        $row->save();

        return $this->json($this->wire->shed($user->crew));
    }

    /** @return array<string, mixed> */
    private function sprayer(Fields $in): array
    {
        $tank = $in->quantity('tank', Dimension::Volume);
        if ($tank !== null && ($tank->isZero() || $tank->isNegative())) {
            $in->fault('tank', 'It holds more than nothing.');
        }
        $details = array_filter(
            [
                'material' => $in->choiceOrNull('material', MixPlan::MATERIALS),
                'nozzle' => $in->textOrNull('nozzle', 80),
                'ratedFlow' => $this->typed($in, 'ratedFlow', Dimension::Volume),
            ],
            static fn(mixed $v): bool => $v !== null,
        );
        if ($in->has('solventProof')) {
            $details['solventProof'] = $in->bool('solventProof', false);
        } else {
            $in->raw('solventProof');
        }

        return [
            'name' => $in->text('name', 80),
            'kind' => $in->choice('kind', array_column(SprayerKind::cases(), 'value')),
            'tank_value' => $tank?->toWire()['value'],
            'tank_unit' => $tank?->unit->value,
            'details' => $details,
        ];
    }

    /** @return array<string, mixed> */
    private function tool(Fields $in): array
    {
        $hand = array_map(static fn(ToolKind $kind): string => $kind->id(), $this->catalogue->toolKinds());
        $kind = $in->choice('kind', [...self::MEASURING, ...$hand]);
        $measures = in_array($kind, self::MEASURING, true);
        $dimension = $kind === 'scale' ? Dimension::Mass : Dimension::Volume;
        $details = [
            'jaw' => $this->typed($in, 'jaw', Dimension::Length),
            'blade' => $this->typed($in, 'blade', Dimension::Length),
            'clearance' => $in->choiceOrNull('clearance', $this->catalogue->clearances()),
        ];
        foreach (['graduation', 'holds'] as $name) {
            $details[$name] = $this->typed($in, $name, $dimension);
            if ($measures && $details[$name] === null && !$in->has($name)) {
                $in->fault($name, 'A measuring tool has marks and holds so much: give both.');
            } elseif (!$measures && $in->has($name)) {
                $in->fault($name, 'Only a measuring tool has this.');
            }
        }
        if ($details['graduation'] !== null && $details['holds'] !== null) {
            $read = static fn(string $typed): \Thicket\Measure\Quantity => \Thicket\Measure\Reading::parse(
                $typed,
                $dimension,
            )->quantity;
            $read($details['graduation'])->isZero() &&
                $in->fault('graduation', 'Marks stand further apart than nothing.');
            $read($details['graduation'])->isGreaterThan($read($details['holds'])) &&
                $in->fault('graduation', 'The marks are finer than the whole tool.');
        }

        return [
            'kind' => $kind,
            'name' => $in->text('name', 80),
            'details' => array_filter($details, static fn(mixed $v): bool => $v !== null),
        ];
    }

    /** @return array<string, mixed> */
    private function person(Fields $in): array
    {
        $licence = $in->textOrNull('licence', 60);
        $until = $in->dayOrNull('licenceUntil');
        if ($licence !== null && $until === null) {
            $in->fault('licenceUntil', 'Until which day does the licence hold?');
        }

        return [
            'name' => $in->text('name', 120),
            'licence' => $licence,
            'licence_class' => $in->textOrNull('licenceClass', 80),
            'licence_until' => $until?->format('Y-m-d'),
            'clearances' => $in->strings('clearances', $this->catalogue->clearances()),
        ];
    }

    /** A size kept as it was typed, once it has been read. */
    private function typed(Fields $in, string $name, Dimension $dimension): ?string
    {
        $reading = $in->has($name) ? $in->reading($name, $dimension) : null;
        $in->has($name) || $in->raw($name);

        return $reading === null ? null : $reading->quantity->toWire()['value'] . ' ' . $reading->quantity->unit->value;
    }
}
