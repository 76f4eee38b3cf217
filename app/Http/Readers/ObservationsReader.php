<?php

declare(strict_types=1);

namespace App\Http\Readers;

use App\Models\Patch;
use App\Support\JobClock;
use Thicket\Catalogue\Catalogue;

use Thicket\Catalogue\FactName;
use Thicket\Input\Fields;
use Thicket\Situation\SituationReader;

/** Facts as somebody saw them on a patch. */
final readonly class ObservationsReader
{
    public function __construct(private Catalogue $catalogue, private JobClock $clock) {}

    /** @return list<array<string, mixed>> a row of each */
    public function read(Fields $in, \DateTimeImmutable $today): array
    {
        $now = $this->clock->now();
        $rows = [];
        $reader = new SituationReader($this->catalogue);
        $raw = $in->raw('facts');
        foreach ($in->objects('facts', 40, true) as $i => $item) {
            $species = $item->textOrNull('species', 60);
            if ($species !== null && !$this->catalogue->hasSpecies($species)) {
                $item->fault('species', 'This species is not in the catalogue.');
            }
            $fact = $reader->fact($item, $now);
            if ($fact?->at !== null && $fact->at > $now->modify('+5 minutes')) {
                $item->fault('at', 'This lies in the future.');
            }
            if (
                $fact !== null &&
                $fact->name->isDay() &&
                $fact->value instanceof \DateTimeImmutable &&
                $fact->value > $today
            ) {
                $item->fault('value', 'This day is still to come.');
            }
            $body = is_array($raw) && is_array($raw[$i] ?? null) ? $raw[$i] : [];
            unset($body['species']);
            $rows[] = [
                'fact' => $fact?->name->value,
                'species' => $fact?->name === FactName::LeafOut ? $species : null,
                'body' => $body,
                'at' => ($fact->at ?? $now)->setTimezone(new \DateTimeZone('UTC')),
            ];
        }

        return $rows;
    }
}
