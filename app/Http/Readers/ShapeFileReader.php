<?php

declare(strict_types=1);

namespace App\Http\Readers;

use Thicket\Input\Fields;
use Thicket\Survey\Exchange\FileFormat;

/** A file of shapes: its text, its format, and which column is what. */
final readonly class ShapeFileReader
{
    /** @return array{FileFormat|null, string|null, array<string, string>} */
    public function read(Fields $in): array
    {
        $text = $in->document('text', FileFormat::MOST_BYTES);
        $named = $in->choiceOrNull('format', array_column(FileFormat::cases(), 'value'));
        $format = $named !== null ? FileFormat::from($named) : ($text === null ? null : FileFormat::detect($text));
        if ($text !== null && $format === null) {
            $in->fault('text', 'This is neither GeoJSON, GPX, KML nor a CSV table with a header.');
        }

        return [$format, $text, array_filter($in->map('columns'))];
    }
}
