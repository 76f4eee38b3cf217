<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Stopped;
use App\Models\Sighting;
use App\Models\Stand;
use App\Wire\KeyWire;
use App\Wire\StandWire;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Thicket\Knowledge\Catalogue;
use Thicket\Plants\Key;

/** Scouting one stand: what it is, what it could be taken for, and how much of it there is. */
final class StandController extends Controller
{
    public function __construct(private readonly Catalogue $catalogue, private readonly StandWire $wire)
    {
    }

    public function show(Request $request, string $standId): JsonResponse
    {
        return $this->answer($this->find($request, $standId));
    }

    public function identify(Request $request, KeyWire $wire): JsonResponse
    {
        $in = $this->fields($request);
        $seen = $in->map('seen');
        $this->done($in);

        return $this->json($wire->result((new Key($this->catalogue))->rank($seen)));
    }

    public function storeSighting(Request $request, string $standId, KeyWire $keyWire): JsonResponse
    {
        $stand = $this->find($request, $standId);
        $in = $this->fields($request);
        $id = $in->uuidOrNull('id');
        $seen = $in->map('seen');
        $species = $in->textOrNull('species', 60);
        $unknown = $in->bool('unknown', false);
        $tests = [];
        foreach ($in->objects('tests', 20) as $item) {
            $tests[] = $this->test($item);
        }
        if ($species !== null && !$this->catalogue->hasSpecies($species)) {
            $in->fault('species', 'This species is not in the catalogue.');
        }
        if (($species === null) === !$unknown) {
            $in->fault('species', 'Name the species, or say that it stays unknown.');
        }
        $this->done($in);
        $this->mustBeNew($id, new Sighting());
        // tests made for the same name hold on: one look-alike may be ruled out today, another tomorrow
        $tests = array_values(array_filter($tests));
        if ($species !== null && $species === $stand->species) {
            $again = array_column($tests, 'pair');
            $tests = [...array_values(array_filter($stand->sighting->tests ?? [], static fn (array $t): bool => !in_array($t['pair'], $again, true))), ...$tests];
        }
        $ranked = $keyWire->result((new Key($this->catalogue))->rank($seen))['candidates'];
        DB::transaction(function () use ($request, $stand, $id, $seen, $species, $unknown, $tests, $ranked): void {
            Sighting::create(array_filter(['id' => $id]) + [
                'stand_id' => $stand->id, 'seen' => $seen, 'ranked' => is_array($ranked) ? array_slice($ranked, 0, 8) : [], 'tests' => $tests, 'species' => $species,
                'confirmed_by' => $species === null ? null : $this->user($request)->id,
            ]);
            $stand->species = $species;
            $stand->marked_unknown = $unknown;
            $stand->revision++;
            $stand->save();
        });

        return $this->answer($this->find($request, $standId), 201);
    }

    public function close(Request $request, string $standId): JsonResponse
    {
        $stand = $this->find($request, $standId);
        $in = $this->fields($request);
        $reason = $in->text('reason', 300);
        $this->done($in);
        $this->mustMatch($request, $stand->revision, fn (): array => ['id' => $stand->id]);
        if ($stand->closed_at !== null) {
            throw new Stopped(409, 'This stand is closed already.');
        }
        $stand->forceFill(['closed_at' => now(), 'closed_reason' => $reason, 'revision' => $stand->revision + 1])->save();

        return $this->answer($this->find($request, $standId));
    }

    /** @return array{pair: string, test: string, points: string}|null */
    private function test(\Thicket\Input\Fields $item): ?array
    {
        $pairId = $item->text('pair', 130);
        $testId = $item->text('test', 60);
        $answer = $item->choice('answer', ['yes', 'no']);
        $item->noOthers();
        $ids = explode('--', (string) $pairId);
        foreach ($this->catalogue->hasSpecies($ids[0]) ? $this->catalogue->lookAlikesOf($ids[0]) : [] as $pair) {
            foreach (implode('--', $pair->strings('pair')) === $pairId ? $pair->nodes('tests') : [] as $test) {
                if ($test->string('id') === $testId && $answer !== null) {
                    return ['pair' => (string) $pairId, 'test' => $testId, 'points' => $test->node('points')->string($answer)];
                }
            }
        }

        return $item->fault('test', 'There is no such test for this pair.');
    }

    private function find(Request $request, string $id): Stand
    {
        return Stand::query()->ofCrew($this->user($request))->withTrail()->findOrFail($id);
    }

    private function answer(Stand $stand, int $status = 200): JsonResponse
    {
        return $this->json($this->wire->stand($stand), $status, $stand->revision);
    }
}
