<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Readers\TraceReader;
use App\Repositories\CrewRows;
use App\Support\Format;
use App\Text\Sentences;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Thicket\Input\Refused;
use Thicket\Survey\Outline;
use Thicket\Survey\PlaceText;

/** Works out an outline from what was drawn, measured, paced or walked, with its area: nothing is kept. */
final class OutlineController extends Controller
{
    private const WAYS = ['polygon', 'circle', 'rectangle', 'legs', 'walk', 'gpx', 'line'];

    public function __construct(private readonly TraceReader $reader, private readonly Sentences $sentences) {}

    /** Where a place is, as somebody pasted it, or the middle of the shapes of a file. */
    public function place(Request $request): JsonResponse
    {
        $in = $this->fields($request);
        $text = $in->raw('text');
        (is_string($text) && trim($text) !== '') || $in->fault('text', 'Paste latitude and longitude, or give a file.');
        $this->done($in);
        $place = PlaceText::read(is_string($text) ? $text : '');

        return $this->json([
            'latitude' => (string) $place->position[1],
            'longitude' => (string) $place->position[0],
            'shapes' => $place->shapes,
        ]);
    }

    public function trace(Request $request): JsonResponse
    {
        $in = $this->fields($request);
        $groundId = $in->uuid('ground');
        $ground = $groundId === null ? null : CrewRows::ground($this->user($request), $groundId);
        $given = array_values(array_filter(self::WAYS, $in->has(...)));
        count($given) === 1 || $in->fault('polygon', 'Give one of: ' . implode(', ', self::WAYS) . '.');
        if ($ground === null || count($given) !== 1) {
            $in->faults->throwIfAny();
            throw new \LogicException('A trace without ground or way passed the checks.');
        }
        $notes = [];
        try {
            $shape = $this->reader->read($given[0], $in, $ground, $notes);
        } catch (Refused $e) {
            foreach ($e->faults as $fault) {
                // a file within this body is its own document to its reader
                $in->faults->add(
                    in_array($fault['pointer'], ['', '/text'], true) ? "/{$given[0]}" : $fault['pointer'],
                    $fault['message'],
                );
            }
            $shape = null;
        }
        $this->done($in);
        $shape ??= throw new \LogicException('A traced shape without fault or form.');

        return $this->json([
            'shape' => $shape->toGeoJson(),
            'area' => $shape->type === 'Polygon' ? Format::ground(Outline::trusted($shape->parts)->area()) : null,
            'length' => Format::quantity($shape->length()),
            'notes' => array_map(
                fn(array $n): array => ['code' => $n[0], 'text' => $this->sentences->both("trace.{$n[0]}", $n[1])],
                $notes,
            ),
        ]);
    }
}
