<?php

declare(strict_types=1);

namespace App\Http\Readers;

use App\Models\Ground;
use Thicket\Input\Fields;
use Thicket\Input\Refused;
use Thicket\Measure\Dimension;
use Thicket\Measure\Quantity;
use Thicket\Position\Fix;
use Thicket\Survey\Exchange\FileFormat;
use Thicket\Survey\Mending;
use Thicket\Survey\Outline;
use Thicket\Survey\Positions;
use Thicket\Survey\Shape;
use Thicket\Survey\Tracing;

/** A shape as it was drawn, measured, paced or walked. */
final readonly class TraceReader
{
    private const MOST_FIXES = 20_000;
    /** @param list<array{string, array<string, mixed>}> $notes */
    public function read(string $way, Fields $in, Ground $ground, array &$notes): ?Shape
    {
        if ($way === 'line') {
            return $ground->shapes()->shape($in, 'line');
        }
        if ($way === 'polygon') {
            $mended = Mending::outline($in->raw('polygon'), $ground->position(), '/polygon');
            $notes = array_map(static fn(string $code): array => [$code, []], $mended->mended);

            return Shape::ofOutline($mended->outline);
        }
        $outline = match ($way) {
            'circle' => $this->circle($in->object('circle')),
            'rectangle' => $this->rectangle($in->object('rectangle')),
            'legs' => $this->legs($in->object('legs'), $notes),
            'walk' => $this->walk($this->fixes($in), $notes),
            default => $this->walk($this->track($in), $notes),
        };
        $outline === null || Mending::mustBeNear($outline->rings[0][0], $ground->position(), "/{$way}");

        return $outline === null ? null : Shape::ofOutline($outline);
    }

    private function circle(Fields $in): ?Outline
    {
        $centre = Positions::read($in, 'centre');
        $radius = $this->length($in, 'radius');
        $in->noOthers();

        return $centre === null || $radius === null ? null : Tracing::circle($centre, $radius);
    }

    private function rectangle(Fields $in): ?Outline
    {
        $corner = Positions::read($in, 'corner');
        $pace = $in->quantityOrNull('pace', Dimension::Length);
        [$length, $width] = [$this->length($in, 'length', $pace), $this->length($in, 'width', $pace)];
        $bearing = $in->decimal('bearing', '0', '360');
        $in->noOthers();

        return $corner === null || $length === null || $width === null || $bearing === null
            ? null
            : Tracing::rectangle($corner, $length, $width, (float) $bearing);
    }

    /** @param list<array{string, array<string, mixed>}> $notes */
    private function legs(Fields $in, array &$notes): Outline
    {
        $start = Positions::read($in, 'start');
        $pace = $in->quantityOrNull('pace', Dimension::Length);
        $legs = [];
        foreach ($in->objects('legs', 100, true) as $leg) {
            $length = $this->length($leg, 'length', $pace);
            $bearing = $leg->decimal('bearing', '0', '360');
            $leg->noOthers();
            $length === null || $bearing === null || ($legs[] = ['length' => $length, 'bearing' => (float) $bearing]);
        }
        $in->noOthers();
        $in->faults->throwIfAny();
        $round = Tracing::legs($start ?? throw new \LogicException('refused above'), $legs);
        $notes[] = ['misclosure', ['missed' => $round['misclosure']]];

        return $round['outline'];
    }

    /** A length, or a number of paces where a pace is given. */
    private function length(Fields $in, string $name, ?Quantity $pace = null): ?Quantity
    {
        $raw = $pace === null ? null : $in->raw($name);
        $length =
            ($pace !== null && is_string($raw) ? Tracing::paced($raw, $pace) : null) ??
            $in->quantity($name, Dimension::Length);
        if (
            $length !== null &&
            ($length->isZero() ||
                $length->isNegative() ||
                $length->in(\Thicket\Measure\Unit::Kilometre)->isGreaterThan(20))
        ) {
            return $in->fault($name, 'A length is more than nothing and at most 20 km.');
        }

        return $length;
    }

    /** @return list<Fix> */
    private function fixes(Fields $in): array
    {
        $out = [];
        foreach ($in->objects('walk', self::MOST_FIXES, true) as $item) {
            $position = Positions::read($item, 'position');
            $at = $item->moment('at');
            $dilution = $item->has('dilution') ? $item->decimal('dilution', '0', '100') : $item->raw('dilution');
            $item->noOthers();
            $at === null ||
                $position === null ||
                ($out[] = new Fix($position, $at, is_string($dilution) ? (float) $dilution : null));
        }
        $in->faults->throwIfAny();

        return $out;
    }

    /** @return list<Fix> the first track of a GPX file, as if walked one metre a second */
    private function track(Fields $in): array
    {
        $text = $in->document('gpx', FileFormat::MOST_BYTES) ?? '';
        $in->faults->throwIfAny();
        foreach (FileFormat::Gpx->read($text) as $entry) {
            if ($entry->shape !== null && $entry->shape->type !== 'Point') {
                // a file has been looked through by whoever recorded it: order counts, times may be missing
                return array_map(
                    static fn(array $p, int $i): Fix => new Fix(
                        $p,
                        (new \DateTimeImmutable('@0'))->modify('+' . $i * 60 . ' seconds'),
                    ),
                    $entry->shape->parts[0],
                    array_keys($entry->shape->parts[0]),
                );
            }
        }
        throw Refused::at('/gpx', 'This file has no track; record the walk as a track.');
    }

    /**
     * @param list<Fix> $fixes
     * @param list<array{string, array<string, mixed>}> $notes
     */
    private function walk(array $fixes, array &$notes): Outline
    {
        $walk = Tracing::walk($fixes);
        $notes[] = ['walked', ['used' => $walk['used'], 'weak' => $walk['weak'], 'jumps' => $walk['jumps']]];

        return $walk['outline'];
    }
}
