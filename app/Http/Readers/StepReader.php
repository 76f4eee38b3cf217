<?php

declare(strict_types=1);

namespace App\Http\Readers;

use App\Models\LabelCardVersion;
use App\Models\User;
use App\Repositories\SituationRepository;
use Thicket\Catalogue\Catalogue;
use Thicket\Input\Fields;
use Thicket\Situation\SituationReader;

/** A way of working as somebody chooses it: method, active, card, schools. */
final readonly class StepReader
{
    public function __construct(private Catalogue $catalogue, private SituationRepository $situations) {}

    /**
     * @return array{method: string|null, active: string|null, version: LabelCardVersion|null,
     *     schools: array<string, string>, why: string|null}
     */
    public function read(Fields $in, User $user): array
    {
        $method = $in->text('method', 60);
        $active = $in->textOrNull('active', 60);
        $versionId = $in->uuidOrNull('cardVersionId');
        $schools = (new SituationReader($this->catalogue))->schools($in)->chosen;
        $why = $in->textOrNull('why', 500);
        if ($method !== null && !$this->catalogue->hasMethod($method)) {
            $in->fault('method', 'This method is not in the catalogue.');
        } elseif ($method !== null && $this->catalogue->method($method)->usesProduct() !== ($active !== null)) {
            $in->fault('active', $active === null ? 'This method needs an active.' : 'This method uses no product.');
        } elseif (
            $method !== null &&
            $active !== null &&
            !in_array($active, $this->catalogue->method($method)->actives(), true)
        ) {
            $in->fault('active', 'This method does not go with that active.');
        }
        $version =
            $versionId === null
                ? null
                : LabelCardVersion::query()
                    ->whereHas('card', fn($card) => $card->where('crew_id', $user->crew_id))
                    ->find($versionId);
        if (
            $versionId !== null &&
            ($version === null || $active === null || !$this->situations->card($version)->holds($active))
        ) {
            $in->fault('cardVersionId', 'There is no such card with that active in your Shed.');
        }

        return ['method' => $method, 'active' => $active, 'version' => $version, 'schools' => $schools, 'why' => $why];
    }
}
