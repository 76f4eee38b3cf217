<?php

declare(strict_types=1);

namespace App\Http\Readers;

use Thicket\Catalogue\Catalogue;
use Thicket\Catalogue\ToolKind;
use Thicket\Input\Fields;
use Thicket\Measure\Dimension;
use Thicket\Mix\MeasuringKind;
use Thicket\Mix\MeasuringTool;

/** A tool as somebody gives it, to be kept. */
final readonly class ToolReader
{
    public function __construct(private Catalogue $catalogue) {}

    /** @return array{kind: string|null, name: string|null, details: array<string, string>} */
    public function read(Fields $in): array
    {
        $hand = array_map(static fn(ToolKind $kind): string => $kind->id(), $this->catalogue->toolKinds());
        $kind = $in->choice('kind', [...array_column(MeasuringKind::cases(), 'value'), ...$hand]);
        $name = $in->text('name', 80);
        $measuring = MeasuringKind::tryFrom((string) $kind);
        $measures = $measuring === null ? null : MeasuringTool::read($in, (string) $name, $measuring);
        foreach ($measuring === null ? ['graduation', 'holds'] : [] as $field) {
            $in->has($field) ? $in->fault($field, 'Only a measuring tool has this.') : $in->raw($field);
        }
        $details = [
            'jaw' => $in->quantityOrNull('jaw', Dimension::Length)?->asText(),
            'blade' => $in->quantityOrNull('blade', Dimension::Length)?->asText(),
            'clearance' => $in->choiceOrNull('clearance', $this->catalogue->clearances()),
            'graduation' => $measures?->graduation->asText(),
            'holds' => $measures?->holds->asText(),
        ];

        return [
            'kind' => $kind,
            'name' => $name,
            'details' => array_filter($details, static fn(?string $v): bool => $v !== null),
        ];
    }
}
