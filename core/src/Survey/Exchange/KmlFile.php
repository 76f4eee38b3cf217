<?php

declare(strict_types=1);

namespace Thicket\Survey\Exchange;

use Thicket\Input\Refused;
use Thicket\Survey\Shape;

/** KML 2.2 placemarks with a point, line or polygon; extended data are the properties. */
final class KmlFile
{
    private function __construct() {}

    /** @return \Generator<int, Entry> */
    public static function read(string $text, FileBudget $budget): \Generator
    {
        $row = 0;
        foreach (XmlFile::elements($text, 'kml', ['Placemark']) as $mark) {
            yield from self::placemark(++$row, $mark, $budget);
        }
    }

    /** @param list<Entry> $entries */
    public static function write(array $entries): string
    {
        $xml = new \XMLWriter();
        $xml->openMemory();
        $xml->startDocument('1.0', 'UTF-8');
        $xml->startElementNs(null, 'kml', 'http://www.opengis.net/kml/2.2');
        $xml->startElement('Document');
        foreach ($entries as $entry) {
            $xml->startElement('Placemark');
            $xml->writeElement('name', XmlFile::carried($entry->name));
            if ($entry->all() !== []) {
                $xml->startElement('ExtendedData');
                foreach ($entry->all() as $key => $value) {
                    $xml->startElement('Data');
                    $xml->writeAttribute('name', XmlFile::carried((string) $key));
                    $xml->writeElement('value', XmlFile::carried($value));
                    $xml->endElement();
                }
                $xml->endElement();
            }
            $entry->shape === null || self::shape($xml, $entry->shape);
            $xml->endElement();
        }
        $xml->endDocument();

        return $xml->outputMemory();
    }

    /** @return \Generator<int, Entry> */
    private static function placemark(int $row, \DOMElement $mark, FileBudget $budget): \Generator
    {
        $name = XmlFile::textOf($mark, 'name') ?? '';
        $properties = self::properties($mark);
        $pieces = XmlFile::all($mark, 'Point', 'LineString', 'Polygon');
        if ($pieces === []) {
            yield Entry::bad($row, $name, 'It has no point, line or polygon.', $properties);
        }
        foreach ($pieces as $i => $piece) {
            $called = count($pieces) > 1 ? trim($name . ' ' . ($i + 1)) : $name;
            try {
                $geometry = self::geometry($piece, $budget);
            } catch (Refused $e) {
                // too much for the whole file is no fault of this placemark
                yield $e->faults[0]['pointer'] === ''
                    ? Entry::bad($row, $called, $e->faults[0]['message'], $properties)
                    : throw $e;
                continue;
            }
            yield Entry::read($row, $called, $geometry, $properties);
        }
    }

    /** @return array{type: string, coordinates: mixed} GeoJSON */
    private static function geometry(\DOMElement $piece, FileBudget $budget): array
    {
        if ($piece->localName === 'Polygon') {
            $rings = [];
            foreach (['outerBoundaryIs', 'innerBoundaryIs'] as $side) {
                foreach (XmlFile::all($piece, $side) as $boundary) {
                    $rings[] = self::coordinates($boundary, $budget);
                }
            }

            return ['type' => 'Polygon', 'coordinates' => $rings];
        }
        $line = self::coordinates($piece, $budget);

        return [
            'type' => (string) $piece->localName,
            'coordinates' => $piece->localName === 'Point' ? $line[0] ?? null : $line,
        ];
    }

    /** @return list<array{float, float}> */
    private static function coordinates(\DOMElement $parent, FileBudget $budget): array
    {
        $text = XmlFile::all($parent, 'coordinates')[0]->textContent ?? '';
        // counted before it is taken apart
        $budget->positions((int) preg_match_all('/\S+/', $text));
        $out = [];
        foreach (preg_split('/\s+/', trim($text), -1, PREG_SPLIT_NO_EMPTY) ?: [] as $i => $tuple) {
            $parts = explode(',', $tuple);
            if (!is_numeric($parts[0]) || !is_numeric($parts[1] ?? null)) {
                throw Refused::at(
                    '',
                    'Position ' .
                        ($i + 1) .
                        " reads '" .
                        mb_strimwidth($tuple, 0, 40, '...') .
                        "'; it must read longitude,latitude.",
                );
            }
            $out[] = [(float) $parts[0], (float) $parts[1]];
        }

        return $out;
    }

    /** @return array<string, string> */
    private static function properties(\DOMElement $mark): array
    {
        $out = [];
        $about = XmlFile::textOf($mark, 'description');
        if ($about !== null) {
            $out['description'] = $about;
        }
        foreach (XmlFile::all($mark, 'Data') as $data) {
            $out[$data->getAttribute('name')] = XmlFile::textOf($data, 'value') ?? '';
        }
        foreach (XmlFile::all($mark, 'SimpleData') as $data) {
            $out[$data->getAttribute('name')] = $data->textContent;
        }

        return $out;
    }

    private static function shape(\XMLWriter $xml, Shape $shape): void
    {
        $xml->startElement($shape->type);
        foreach ($shape->parts as $i => $part) {
            if ($shape->type === 'Polygon') {
                $xml->startElement($i === 0 ? 'outerBoundaryIs' : 'innerBoundaryIs');
                $xml->startElement('LinearRing');
            }
            $xml->writeElement(
                'coordinates',
                implode(
                    ' ',
                    array_map(static fn(array $p): string => json_encode($p[0]) . ',' . json_encode($p[1]), $part),
                ),
            );
            if ($shape->type === 'Polygon') {
                $xml->endElement();
                $xml->endElement();
            }
        }
        $xml->endElement();
    }
}
