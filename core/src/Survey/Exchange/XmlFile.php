<?php

declare(strict_types=1);

namespace Thicket\Survey\Exchange;

use Thicket\Input\Refused;

/**
 * Walks an XML file one element of interest at a time. Document types are refused outright, so no entity is ever
 * defined, fetched or unfolded; nothing is loaded from anywhere.
 *
 * @internal
 */
final class XmlFile
{
    private const DEEPEST = 60;

    private function __construct() {}

    /**
     * @param list<string> $wanted local names; an element inside a wanted one is not visited again
     *
     * @return \Generator<int, \DOMElement>
     *
     * @throws Refused where it is not well-formed, declares a document type or nests too deep
     */
    public static function elements(string $text, string $root, array $wanted): \Generator
    {
        $within = -1;
        foreach (self::nodes($text, $root) as $reader) {
            if ($within >= 0 && $reader->depth > $within) {
                continue;
            }
            $within = -1;
            if ($reader->nodeType === \XMLReader::ELEMENT && in_array($reader->localName, $wanted, true)) {
                $within = $reader->depth;
                $element = $reader->expand(new \DOMDocument());
                if ($element instanceof \DOMElement) {
                    yield $element;
                }
            }
        }
    }

    /**
     * The file node by node, never as a whole.
     *
     * @return \Generator<int, \XMLReader> the reader, standing on the next node
     *
     * @throws Refused where it is not well-formed, declares a document type or nests too deep
     */
    public static function nodes(string $text, string $root): \Generator
    {
        // looked for before any parser sees the text
        if (stripos($text, '<!DOCTYPE') !== false || stripos($text, '<!ENTITY') !== false) {
            throw Refused::at('/text', 'This file declares a document type or entities; such files are not read.');
        }
        $before = libxml_use_internal_errors(true);
        try {
            $reader = \XMLReader::XML($text, 'UTF-8', LIBXML_NONET | LIBXML_COMPACT | LIBXML_PARSEHUGE);
            if (!($reader instanceof \XMLReader)) {
                throw Refused::at('/text', 'This is not readable XML.');
            }
            $first = true;
            while ($reader->read()) {
                if ($reader->depth > self::DEEPEST) {
                    throw Refused::at('/text', 'This file nests deeper than any map does.');
                }
                if ($reader->nodeType === \XMLReader::ELEMENT && $first) {
                    $first = false;
                    if ($reader->localName !== $root) {
                        throw Refused::at('/text', "This file begins with <{$reader->localName}>, not with <{$root}>.");
                    }
                }
                yield $reader;
            }
            $fault = libxml_get_last_error();
            if ($fault !== false || $first) {
                throw Refused::at(
                    '/text',
                    'This XML breaks off or is not well-formed' .
                        ($fault === false ? '.' : " (line {$fault->line}).") .
                        ' Export it again.',
                );
            }
        } finally {
            libxml_clear_errors();
            libxml_use_internal_errors($before);
        }
    }

    public static function textOf(\DOMElement $parent, string $localName): ?string
    {
        foreach ($parent->childNodes as $child) {
            if ($child instanceof \DOMElement && $child->localName === $localName) {
                return $child->textContent;
            }
        }

        return null;
    }

    /**
     * Elements below the parent with one of the names, in the order of the names, then of the file; walked node by
     * node, since the library's own lists are counted anew at every step.
     *
     * @return list<\DOMElement>
     */
    public static function all(\DOMElement $parent, string ...$localNames): array
    {
        $found = array_fill_keys($localNames, []);
        $node = $parent->firstChild;
        while ($node !== null) {
            if ($node instanceof \DOMElement && isset($found[$node->localName])) {
                $found[$node->localName][] = $node;
            }
            $next = $node->firstChild ?? $node->nextSibling;
            while ($next === null && ($node = $node->parentNode) !== null && $node !== $parent) {
                $next = $node->nextSibling;
            }
            $node = $next;
        }

        return array_merge(...array_values($found));
    }

    /** Characters that XML cannot carry are left out. */
    public static function carried(mixed $value): string
    {
        $text = is_string($value)
            ? $value
            : (is_scalar($value) && !is_bool($value)
                ? (string) $value
                : json_encode($value, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES));

        return (string) preg_replace(
            '/[^\x{9}\x{A}\x{D}\x{20}-\x{D7FF}\x{E000}-\x{FFFD}\x{10000}-\x{10FFFF}]/u',
            '',
            $text,
        );
    }
}
