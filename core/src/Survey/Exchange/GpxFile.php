<?php

declare(strict_types=1);

namespace Thicket\Survey\Exchange;

use Thicket\Survey\Shape;

/**
 * GPX 1.1: waypoints are points, routes and track segments lines; a track whose segments all end where they began is an
 * outline with holes. GPX has no fields of one's own, so ours stand under <extensions>, one <property name=""> each.
 */
final class GpxFile
{
    private const PROPERTY_NAMESPACE = 'https://gallant-thicket.example/gpx/1';
    public const PLAIN = ['cmt', 'desc', 'src', 'type', 'sym', 'time', 'ele'];

    private function __construct() {}

    /**
     * Read node by node: a track of a whole day is never unfolded as a tree.
     *
     * @return \Generator<int, Entry>
     */
    public static function read(string $text, FileBudget $budget): \Generator
    {
        $row = 0;
        $mark = null;
        foreach (XmlFile::nodes($text, 'gpx') as $node) {
            if (
                $node->nodeType === \XMLReader::ELEMENT &&
                $mark === null &&
                in_array($node->localName, ['wpt', 'rte', 'trk'], true)
            ) {
                $mark = new GpxMark(++$row, $node->localName, $node->depth);
                $mark->begin($node, $budget);
            } elseif ($node->nodeType === \XMLReader::ELEMENT) {
                $mark?->take($node, $budget);
            }
            $ends =
                $node->nodeType === \XMLReader::END_ELEMENT ||
                ($node->nodeType === \XMLReader::ELEMENT && $node->isEmptyElement);
            if ($mark !== null && $ends && $node->depth === $mark->depth) {
                yield from $mark->entries();
                $mark = null;
            }
        }
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
            ($shape->type !== 'Point' && in_array($plain, ['time', 'ele', 'sym'], true)) ||
                !isset($entry->properties[$plain]) ||
                $xml->writeElement($plain, XmlFile::carried($entry->properties[$plain]));
        }
        $rest = array_diff_key(
            $entry->all(),
            array_flip($shape->type === 'Point' ? self::PLAIN : array_diff(self::PLAIN, ['time', 'ele', 'sym'])),
        );
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
}
