<?php

declare(strict_types=1);

namespace Thicket\Survey\Exchange;

use Thicket\Input\Refused;
use Thicket\Survey\Shape;

/**
 * GPX 1.1: waypoints are points, routes and track segments lines; a track whose segments all end where they began is an
 * outline with holes. GPX has no fields of one's own, so ours stand under <extensions>, one <property name=""> each.
 */
final class GpxFile
{
    private const PROPERTY_NAMESPACE = 'https://gallant-thicket.example/gpx/1';
    private const PLAIN = ['cmt', 'desc', 'src', 'type', 'sym', 'time', 'ele'];

    private function __construct()
    {
    }

    /** @return list<Entry> */
    public static function read(string $text): array
    {
        $out = [];
        $row = 0;
        foreach (XmlFile::elements($text, 'gpx', ['wpt', 'rte', 'trk']) as $element) {
            $out = [...$out, ...self::element(++$row, $element)];
        }

        return $out;
    }

    /** @param list<Entry> $entries */
    public static function write(array $entries): string
    {
        $xml = new \XMLWriter();
        $xml->openMemory();
        $xml->startDocument('1.0', 'UTF-8');
        $xml->startElementNs(null, 'gpx', 'http://www.topografix.com/GPX/1/1');
        $xml->writeAttribute('version', '1.1');
        $xml->writeAttribute('creator', 'Gallant Thicket');
        $xml->writeAttribute('xmlns:thicket', self::PROPERTY_NAMESPACE);
        // the schema wants waypoints before tracks
        foreach (['Point', 'LineString', 'Polygon'] as $type) {
            foreach ($entries as $entry) {
                $entry->shape?->type === $type && self::entry($xml, $entry, $entry->shape);
            }
        }
        $xml->endDocument();

        return $xml->outputMemory();
    }

    private static function entry(\XMLWriter $xml, Entry $entry, Shape $shape): void
    {
        $xml->startElement($shape->type === 'Point' ? 'wpt' : 'trk');
        $shape->type !== 'Point' || self::position($xml, $shape->parts[0][0]);
        $xml->writeElement('name', XmlFile::carried($entry->name));
        foreach (self::PLAIN as $plain) {
            $shape->type !== 'Point' && in_array($plain, ['time', 'ele', 'sym'], true) || !isset($entry->properties[$plain]) || $xml->writeElement($plain, XmlFile::carried($entry->properties[$plain]));
        }
        $rest = array_diff_key($entry->all(), array_flip($shape->type === 'Point' ? self::PLAIN : array_diff(self::PLAIN, ['time', 'ele', 'sym'])));
        if ($rest !== []) {
            $xml->startElement('extensions');
            foreach ($rest as $key => $value) {
                $xml->startElement('thicket:property');
                $xml->writeAttribute('name', XmlFile::carried((string) $key));
                $xml->text(XmlFile::carried($value));
                $xml->endElement();
            }
            $xml->endElement();
        }
        foreach ($shape->type === 'Point' ? [] : $shape->parts as $part) {
            $xml->startElement('trkseg');
            foreach ($part as $position) {
                $xml->startElement('trkpt');
                self::position($xml, $position);
                $xml->endElement();
            }
            $xml->endElement();
        }
        $xml->endElement();
    }

    /** @param array{float, float} $position */
    private static function position(\XMLWriter $xml, array $position): void
    {
        $xml->writeAttribute('lat', (string) json_encode($position[1]));
        $xml->writeAttribute('lon', (string) json_encode($position[0]));
    }

    /** @return list<Entry> */
    private static function element(int $row, \DOMElement $element): array
    {
        $name = XmlFile::textOf($element, 'name') ?? '';
        $properties = [];
        foreach (self::PLAIN as $plain) {
            $text = XmlFile::textOf($element, $plain);
            $text === null || $properties[$plain] = $text;
        }
        foreach (XmlFile::all($element, 'property') as $property) {
            $properties[$property->getAttribute('name')] = $property->textContent;
        }
        try {
            $lines = match ($element->localName) {
                'wpt' => [[self::read1($element, 1)]],
                'rte' => [self::line(XmlFile::all($element, 'rtept'))],
                default => array_map(static fn (\DOMElement $segment): array => self::line(XmlFile::all($segment, 'trkpt')), XmlFile::all($element, 'trkseg')),
            };

            return self::entries($row, $name, $element->localName === 'wpt', $lines, $properties);
        } catch (Refused $e) {
            return [Entry::bad($row, $name, $e->faults[0]['message'], $properties)];
        }
    }

    /**
     * @param list<list<array{float, float}>> $lines
     * @param array<string, string> $properties
     *
     * @return list<Entry>
     */
    private static function entries(int $row, string $name, bool $point, array $lines, array $properties): array
    {
        $lines = array_values(array_filter($lines));
        if ($lines === []) {
            return [Entry::bad($row, $name, 'It has no positions.', $properties)];
        }
        if ($point) {
            return [Entry::of($row, $name, Shape::fromGeoJson(['type' => 'Point', 'coordinates' => $lines[0][0]]), $properties)];
        }
        if (array_filter($lines, static fn (array $l): bool => count($l) < 4 || $l[0] !== $l[count($l) - 1]) === []) {
            return [Entry::of($row, $name, Shape::fromGeoJson(['type' => 'Polygon', 'coordinates' => $lines]), $properties)];
        }
        $out = [];
        foreach ($lines as $i => $line) {
            $out[] = Entry::of($row, count($lines) > 1 ? trim($name . ' ' . ($i + 1)) : $name, Shape::fromGeoJson(['type' => 'LineString', 'coordinates' => $line]), $properties);
        }

        return $out;
    }

    /**
     * @param list<\DOMElement> $points
     *
     * @return list<array{float, float}>
     */
    private static function line(array $points): array
    {
        $out = [];
        foreach ($points as $i => $point) {
            $out[] = self::read1($point, $i + 1);
        }

        return $out;
    }

    /** @return array{float, float} */
    private static function read1(\DOMElement $point, int $n): array
    {
        [$lat, $lon] = [$point->getAttribute('lat'), $point->getAttribute('lon')];
        if (!is_numeric($lat) || !is_numeric($lon)) {
            throw Refused::at('', "Position {$n} has no readable lat and lon.");
        }

        return [(float) $lon, (float) $lat];
    }
}
