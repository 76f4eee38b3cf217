<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\LabelCardVersion;
use App\Models\Sheet;
use App\Models\Sprayer;
use App\Models\SprayerUse;
use App\Models\Step;
use App\Models\User;
use App\Support\JobClock;
use Thicket\FieldDay\FieldEvent;
use Thicket\Safety\CleanUp;

/** Keeps the book of a sprayer: what went into it, and that it was cleaned. */
final readonly class NoteSprayer
{
    public function __construct(private JobClock $clock) {}

    /** Now: after all that its book tells. Nothing where nobody said what the step is put out with. */
    public function fills(Step $step, string $carrier, User $user): void
    {
        $step->sprayer === null || $this->filled($step, $carrier, $this->afterAll($step->sprayer), $user);
    }

    /** As a record tells, that may be written long after; no record is of a time that is still ahead. */
    public function wasFilled(Step $step, string $carrier, \DateTimeInterface $at, User $user): void
    {
        $this->filled($step, $carrier, min($at, $this->clock->now()), $user);
    }

    private function filled(Step $step, string $carrier, \DateTimeInterface $at, User $user): void
    {
        if ($step->sprayer_id === null) {
            return;
        }
        $cards = $step->cardVersions();
        SprayerUse::create([
            'sprayer_id' => $step->sprayer_id,
            'kind' => SprayerUse::FILLED,
            'at' => self::utc($at),
            'held' => [
                'cards' => array_map(static fn(LabelCardVersion $v): string => $v->label_card_id, $cards),
                'carrier' => $carrier,
                'told' => implode(', ', array_map(static fn(LabelCardVersion $v): string => $v->card->product, $cards)),
            ],
            'noted_by' => $user->id,
        ]);
    }

    /** Now: it holds nothing, whatever its book tells. */
    public function cleaned(Sprayer $sprayer, ?string $note, User $user): void
    {
        SprayerUse::create([
            'sprayer_id' => $sprayer->id,
            'kind' => SprayerUse::CLEANED,
            'at' => self::utc($this->afterAll($sprayer)),
            'note' => $note,
            'noted_by' => $user->id,
        ]);
    }

    /** As the clean-up list of a field day has it now: ticked by anybody, or taken back. */
    public function fromField(Sheet $sheet, User $user): void
    {
        // sheets of before do not name it
        $sprayer = $sheet->snapshot['sprayer']['id'] ?? ($sheet->steps[0]->sprayer_id ?? null);
        if (!is_string($sprayer)) {
            return;
        }
        $rinsed = array_values(
            array_filter(
                $sheet->load('fieldNotes')->fieldLog()->ticks(),
                static fn(FieldEvent $tick): bool => $tick->text('what') === 'cleanup.' . CleanUp::RINSED,
            ),
        );
        $of = ['sheet_id' => $sheet->id, 'sprayer_id' => $sprayer, 'kind' => SprayerUse::CLEANED];
        $rinsed === []
            ? SprayerUse::query()->where($of)->delete()
            : SprayerUse::query()->updateOrCreate($of, [
                'at' => self::utc($rinsed[count($rinsed) - 1]->at),
                'noted_by' => $user->id,
            ]);
    }

    /** Now, but never before the last line: a phone whose clock runs ahead has written some. */
    private function afterAll(Sprayer $sprayer): \DateTimeInterface
    {
        $last = $sprayer->uses()->first();
        $now = $this->clock->now();

        return $last === null ? $now : max($now, $last->at->toDateTimeImmutable());
    }

    /** As the database holds moments: it keeps no zone. */
    private static function utc(\DateTimeInterface $at): \DateTimeImmutable
    {
        return \DateTimeImmutable::createFromInterface($at)->setTimezone(new \DateTimeZone('UTC'));
    }
}
