<?php

declare(strict_types=1);

namespace App\Repositories;

use App\Models\Container;
use App\Models\Ground;
use App\Models\Invite;
use App\Models\LabelCard;
use App\Models\LabelCardVersion;
use App\Models\Loan;
use App\Models\Patch;
use App\Models\Person;
use App\Models\ProtectedFeature;
use App\Models\Record;
use App\Models\Sheet;
use App\Models\Sighting;
use App\Models\Sprayer;
use App\Models\Stand;
use App\Models\Step;
use App\Models\Tool;
use App\Models\User;
use App\Models\Zone;
use Thicket\Catalogue\Catalogue;

/** What things are called at the moment, for the trail: by parameter of a route, and the name that a body gives. */
final readonly class TrailNames
{
    private const LONGEST = 120;
    /** Fields of a body by which the new thing is called. */
    private const NEW = ['name', 'product', 'item', 'title'];

    public function __construct(private Catalogue $catalogue) {}

    /**
     * @param array<string, mixed> $parameters
     *
     * @return array<string, string>
     */
    public function of(array $parameters, string $body): array
    {
        $names = [];
        foreach ($parameters as $parameter => $id) {
            $name = is_string($id) ? $this->called($parameter, $id) : null;
            $name === null || $name === '' || ($names[$parameter] = mb_substr($name, 0, self::LONGEST));
        }
        $given = strlen($body) > self::READ_BYTES ? null : json_decode($body, true, 16);
        foreach (self::NEW as $field) {
            $new = is_array($given) ? $given[$field] ?? null : null;
            is_string($new) && $new !== '' && ($names['new'] ??= mb_substr($new, 0, self::LONGEST));
        }

        return $names;
    }

    /** A body longer than that is a file or a picture, which no name is read from. */
    private const READ_BYTES = 65_536;

    private function called(string $parameter, string $id): ?string
    {
        return match ($parameter) {
            'ground' => Ground::query()->whereKey($id)->value('name'),
            'patch' => Patch::query()->whereKey($id)->value('name'),
            'stand' => $this->stand(Stand::query()->with('patch')->find($id)),
            'step' => $this->stand(Step::query()->find($id)?->stands()->with('patch')->first()),
            'sheet' => self::number(Sheet::query()->whereKey($id)->value('number')),
            'record' => self::number(Record::query()->whereKey($id)->value('seq')),
            'sighting' => $this->plant(Sighting::query()->whereKey($id)->value('species')),
            'card' => LabelCard::query()->whereKey($id)->value('product'),
            'version' => LabelCardVersion::query()->with('card')->find($id)?->card->product,
            'container' => Container::query()->with('card')->find($id)?->card->product,
            'sprayer' => Sprayer::query()->whereKey($id)->value('name'),
            'tool' => Tool::query()->whereKey($id)->value('name'),
            'loan' => Loan::query()->with('tool')->find($id)?->tool->name,
            'person' => Person::query()->whereKey($id)->value('name'),
            'keeper' => ProtectedFeature::query()->whereKey($id)->value('name'),
            'zone' => Zone::query()->whereKey($id)->value('name'),
            'member' => User::query()->whereKey($id)->value('name'),
            'invite' => Invite::query()->whereKey($id)->value('name'),
            'id' => $this->plant($id),
            default => null,
        };
    }

    private function stand(?Stand $stand): ?string
    {
        return $stand === null ? null : ($this->plant($stand->species) ?? '?') . ", {$stand->patch->name}";
    }

    private function plant(mixed $species): ?string
    {
        return is_string($species) && $this->catalogue->hasSpecies($species)
            ? $this->catalogue->species($species)->commonName()
            : null;
    }

    private static function number(mixed $number): ?string
    {
        return is_int($number) || is_string($number) ? (string) $number : null;
    }
}
