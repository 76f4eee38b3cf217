<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Thicket\Measure\Dimension;
use Thicket\Measure\Reading;
use Thicket\Measure\Strength;

/** An amount as it is understood. */
final class ReadingController extends Controller
{
    public function store(Request $request): JsonResponse
    {
        $in = $this->fields($request);
        $typed = $in->text('typed', 64);
        $wanted = $in->choiceOrNull(
            'dimension',
            array_map(static fn(Dimension $d): string => $d->value, Dimension::cases()),
        );
        $this->done($in);
        $dimension = $wanted === null ? null : Dimension::from($wanted);
        try {
            $quantity = str_contains((string) $typed, ':')
                ? Strength::parse((string) $typed)->percent()
                : Reading::parse((string) $typed, $dimension)->quantity;
        } catch (\Thicket\ThicketRefusal $e) {
            throw new \Thicket\Input\Refused([['pointer' => '/typed', 'message' => $e->getMessage()]]);
        }

        return $this->json(\App\Support\Format::quantity($quantity) ?? []);
    }
}
