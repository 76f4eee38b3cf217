<?php

declare(strict_types=1);

namespace App\Workflow;

use App\Models\LookBack;
use App\Models\Stand;
use App\Repositories\CrewSettings;
use App\Repositories\SituationRepository;
use Thicket\Assess\Board;
use Thicket\Catalogue\Catalogue;
use Thicket\Input\Faults;
use Thicket\Input\Fields;
use Thicket\Outlook\StandOutlook;
use Thicket\Outlook\Terms;
use Thicket\Review\Retreat;

/** The years ahead of a stand, by the way that is chosen for it. */
final readonly class OutlookDesk
{
    /** Newest first: what a crew saw long ago tells less of what it does now. */
    private const MOST_LOOKS = 400;

    public function __construct(private Catalogue $catalogue, private SituationRepository $situations) {}

    /** Told, or what it lacks: name, way, figures. */
    public function of(Stand $stand): StandOutlook|string
    {
        $step = Workflow::current($stand);
        if ($stand->species === null || $step === null) {
            return $stand->species === null ? 'name' : 'way';
        }
        $crew = $stand->patch->ground->crew;
        $situation = $this->situations->situation($stand);
        $board = Board::for(
            $situation,
            $this->catalogue,
            $this->situations->schools($crew),
            $this->situations->shed($crew),
            null,
            $this->situations->weights($crew, $stand),
        );

        return StandOutlook::of(
            $situation,
            Board::judge($situation, $this->situations->option($step, $crew)),
            $board->rows,
            $this->looks($crew->id),
            self::terms($stand, (float) CrewSettings::of($crew)['doneBelow'] / 100),
            self::since($stand)['left'],
        ) ?? 'figures';
    }

    /**
     * What it begins with: the newest count, or what a score says is left of the count before it.
     *
     * @return array{code: string, day: \DateTimeImmutable|null, worked: \DateTimeImmutable|null, left: float} code:
     *     count, count-before-work, look-back
     */
    public static function since(Stand $stand): array
    {
        $counted = $stand->tally?->visited_on->toDateTimeImmutable();
        $record = Workflow::current($stand)?->records->first();
        $look = $record?->scored();
        $from = ['code' => 'count', 'day' => $counted, 'worked' => null, 'left' => 1.0];
        if ($record === null || ($counted !== null && $counted > $record->worked_on->toDateTimeImmutable())) {
            return $from;
        }
        if ($look === null) {
            return ['code' => 'count-before-work', 'worked' => $record->worked_on->toDateTimeImmutable()] + $from;
        }

        return [
            'code' => 'look-back',
            'day' => $look->looked_on->toDateTimeImmutable(),
            'worked' => $record->worked_on->toDateTimeImmutable(),
            'left' => Retreat::alive((int) $look->body['dead'], (int) $look->body['counted']),
        ];
    }

    public static function terms(Stand $stand, float $doneBelow = Terms::DONE_BELOW): Terms
    {
        return Terms::read(Fields::of($stand->outlook ?? [], new Faults()), $doneBelow);
    }

    /** @return list<array{method: string, active: string|null, species: string, dead: int, counted: int}> */
    private function looks(string $crewId): array
    {
        $out = [];
        $seen = [];
        $looks = LookBack::query()
            ->where('scored', true)
            ->join('records', 'records.id', '=', 'look_backs.record_id')
            ->where('records.crew_id', $crewId)
            ->join('steps', 'steps.id', '=', 'records.step_id')
            ->join('stand_step', 'stand_step.step_id', '=', 'steps.id')
            ->join('stands', 'stands.id', '=', 'stand_step.stand_id')
            ->orderByDesc('looked_on')
            ->orderByDesc('look_backs.id')
            ->limit(self::MOST_LOOKS);
        /** @var LookBack $look */
        foreach ($looks->get(['look_backs.*', 'steps.method', 'steps.active', 'stands.species']) as $look) {
            [$method, $active, $species] = array_map($look->getAttribute(...), ['method', 'active', 'species']);
            // of one record its newest score holds
            if (!is_string($method) || !is_string($species) || isset($seen[$look->record_id])) {
                continue;
            }
            $seen[$look->record_id] = true;
            $out[] = [
                'method' => $method,
                'active' => is_string($active) ? $active : null,
                'species' => $species,
                'dead' => (int) $look->body['dead'],
                'counted' => (int) $look->body['counted'],
            ];
        }

        return $out;
    }
}
