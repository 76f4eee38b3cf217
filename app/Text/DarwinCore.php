<?php

declare(strict_types=1);

namespace App\Text;

use App\Models\Sighting;
use Illuminate\Support\Collection;
use Thicket\Catalogue\Catalogue;
use Thicket\Survey\Ellipsoid;
use Thicket\Survey\Exchange\CsvFile;

/**
 * Sightings as a table of Darwin Core occurrence terms (the open biodiversity standard): one row a sighting, the place
 * as decimal degrees on WGS 84. A sighting known by its patch only is put in the middle of the patch, with half its
 * diagonal as uncertainty.
 */
final readonly class DarwinCore
{
    private const TERMS = [
        'occurrenceID',
        'basisOfRecord',
        'eventDate',
        'recordedBy',
        'scientificName',
        'vernacularName',
        'kingdom',
        'family',
        'taxonRank',
        'identificationQualifier',
        'identifiedBy',
        'dateIdentified',
        'identificationVerificationStatus',
        'identificationRemarks',
        'decimalLatitude',
        'decimalLongitude',
        'geodeticDatum',
        'coordinateUncertaintyInMeters',
        'georeferenceRemarks',
        'locality',
        'habitat',
        'occurrenceStatus',
        'occurrenceRemarks',
    ];

    public function __construct(private Catalogue $catalogue, private Sentences $sentences) {}

    /** @param Collection<int, Sighting> $sightings */
    public function of(Collection $sightings): string
    {
        $rows = [self::TERMS];
        foreach ($sightings as $sighting) {
            $row = $this->row($sighting);
            $rows[] = array_map(static fn(string $term): string => $row[$term] ?? '', self::TERMS);
        }

        return CsvFile::written($rows);
    }

    /** @return array<string, string> term => value */
    private function row(Sighting $sighting): array
    {
        $species =
            $sighting->species !== null && $this->catalogue->hasSpecies($sighting->species)
                ? $this->catalogue->species($sighting->species)
                : null;
        $seen = [];
        foreach ($sighting->seen as $character => $states) {
            $seen[] = "{$character}: " . implode(' + ', (array) $states);
        }
        $text = [
            'recordedBy' => $sighting->observer ?? $sighting->maker->name,
            'identifiedBy' => $species === null ? '' : $sighting->confirmer ?? $sighting->maker->name,
            'identificationRemarks' => implode('; ', $seen),
            'locality' => ($sighting->patch === null ? '' : "{$sighting->patch->name}, ") . $sighting->ground->name,
            'habitat' => $sighting->patch === null ? '' : $this->sentences->name("site.{$sighting->patch->setting}"),
            'occurrenceRemarks' => (string) $sighting->remarks,
        ];

        return $text +
            $this->place($sighting) + [
                'occurrenceID' => "urn:uuid:{$sighting->id}",
                'basisOfRecord' => 'HumanObservation',
                'kingdom' => 'Plantae',
                'occurrenceStatus' => 'present',
                'geodeticDatum' => 'EPSG:4326',
                'eventDate' => \DateTimeImmutable::createFromInterface($sighting->seen_at)
                    ->setTimezone(new \DateTimeZone($sighting->ground->time_zone))
                    ->format(\DATE_RFC3339),
                'scientificName' => $species?->scientificName() ?? 'Plantae',
                'vernacularName' => $species?->commonName() ?? '',
                'family' => $species?->family() ?? '',
                'taxonRank' => $species === null ? 'kingdom' : 'species',
                // open nomenclature: 'cf.' where the one who named it was not certain and nobody confirmed it
                'identificationQualifier' =>
                    $species !== null && $sighting->confidence !== 'certain' && $sighting->confirmer === null
                        ? 'cf.'
                        : '',
                'identificationVerificationStatus' => $sighting->confirmer === null ? 'unverified' : 'verified',
                'dateIdentified' => $sighting->confirmed_on?->format('Y-m-d') ?? '',
            ];
    }

    /** @return array<string, string> */
    private function place(Sighting $sighting): array
    {
        if ($sighting->latitude !== null && $sighting->longitude !== null) {
            return [
                'decimalLatitude' => $sighting->latitude,
                'decimalLongitude' => $sighting->longitude,
                'coordinateUncertaintyInMeters' => $sighting->accuracy_m ?? '',
            ];
        }
        $box = $sighting->patch?->box();
        if ($box === null) {
            return [
                'decimalLatitude' => $sighting->ground->latitude,
                'decimalLongitude' => $sighting->ground->longitude,
                'georeferenceRemarks' => 'position of the ground',
            ];
        }
        [$west, $south, $east, $north] = $box;

        return [
            'decimalLatitude' => number_format(($south + $north) / 2, 7, '.', ''),
            'decimalLongitude' => number_format(($west + $east) / 2, 7, '.', ''),
            'coordinateUncertaintyInMeters' => (string) (int) ceil(
                Ellipsoid::length([[$west, $south], [$east, $north]]) / 2,
            ),
            'georeferenceRemarks' => 'middle of the patch',
        ];
    }
}
