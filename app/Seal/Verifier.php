<?php

declare(strict_types=1);

namespace App\Seal;

use App\Models\Crew;
use App\Models\Record;
use App\Models\Seal;
use App\Models\Sealed;
use App\Photos\PhotoStore;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** Looks at every link of a crew's chain, at what each sealed, and at the files of its pictures. */
final readonly class Verifier
{
    public function __construct(private Chain $chain, private SealKey $key, private PhotoStore $photos) {}

    /** @param array<string, mixed>|null $head one that was kept outside */
    public function crew(Crew $crew, ?array $head = null): SealReport
    {
        $report = new SealReport();
        $before = null;
        $sealed = [];
        $photos = [];
        /** @var iterable<Seal> $all */
        $all = Seal::query()->where('crew_id', $crew->id)->orderBy('seq')->lazy(500);
        foreach ($all as $seal) {
            ++$report->links;
            $this->link($seal, $before, $report);
            $kind = Sealed::tryFrom($seal->kind);
            $sealed[$seal->kind][$seal->subject_id] = true;
            if ($kind === Sealed::Photo) {
                $photos[] = $seal;
            } elseif ($kind !== null) {
                $this->content($kind, $seal, $report);
            }
            $before = $seal;
        }
        foreach ($photos as $seal) {
            // one that was taken away since by somebody who may has a link that says so
            isset($sealed[Sealed::PhotoDropped->value][$seal->subject_id]) || $this->photo($seal, $report);
        }
        foreach (Sealed::cases() as $kind) {
            foreach ($this->subjects($kind, $crew)?->orderBy('id')->pluck('id') ?? [] as $id) {
                isset($sealed[$kind->value][$id]) ||
                    $report->add(
                        'unsealed',
                        null,
                        $kind->value,
                        (string) $id,
                        "There is a {$kind->value} that was never sealed.",
                    );
            }
        }
        $head === null || $this->head($crew, $head, $before, $report);

        return $report;
    }

    /** How a record stands: whole, broken (changed since, or its link is), or missing (never sealed). */
    public function record(Record $record): string
    {
        $seal = $record->seal;
        if ($seal === null) {
            return 'missing';
        }
        $same = $this->chain->holds($seal) && Sealed::Record->digest($record->id) === $seal->content;

        return $same && $record->content() !== null ? 'whole' : 'broken';
    }

    private function link(Seal $seal, ?Seal $before, SealReport $report): void
    {
        $last = $before->seq ?? 0;
        $this->chain->follows($seal, $before) ||
            $report->of($seal, 'order', "Link {$seal->seq} does not follow on link {$last}.");
        $this->chain->holds($seal) ||
            $report->of(
                $seal,
                'forged',
                "Link {$seal->seq} was not made with this installation's key, or was changed.",
            );
    }

    private function content(Sealed $kind, Seal $seal, SealReport $report): void
    {
        $now = $kind->digest($seal->subject_id);
        if ($now === null) {
            $report->of($seal, 'gone', "The {$kind->value} of link {$seal->seq} is gone.");
        } elseif ($now !== $seal->content) {
            $report->of($seal, 'changed', "The {$kind->value} of link {$seal->seq} was changed after it was sealed.");
        }
    }

    private function photo(Seal $seal, SealReport $report): void
    {
        $this->content(Sealed::Photo, $seal, $report);
        $row = DB::table('photos')
            ->where('id', $seal->subject_id)
            ->first(['file', 'sha256']);
        $file = $row === null ? null : $this->photos->find((string) $row->file, 'full');
        if ($row !== null && $file === null) {
            $report->of($seal, 'file-gone', "The file of the picture of link {$seal->seq} is gone.");
        } elseif ($row !== null && hash_file('sha256', (string) $file) !== $row->sha256) {
            $report->of($seal, 'file-changed', "The file of the picture of link {$seal->seq} was changed.");
        }
    }

    /** What there is of a kind and should be sealed; null where a kind has no rows of its own. */
    private function subjects(Sealed $kind, Crew $crew): ?Builder
    {
        $own = static fn(string $table): Builder => DB::table($table)->where('crew_id', $crew->id);
        $sightings = DB::table('sightings')->whereIn('ground_id', $own('grounds')->select('id'));

        return match ($kind) {
            Sealed::Sheet => $own('sheets'),
            Sealed::Withdrawal => $own('sheets')->where('withdrawn_at', '!=', null),
            Sealed::Record => $own('records'),
            Sealed::LookBack => DB::table('look_backs')->whereIn('record_id', $own('records')->select('id')),
            Sealed::Amendment => DB::table('record_amendments')->whereIn('record_id', $own('records')->select('id')),
            Sealed::Photo => DB::table('photos')->where(
                static fn(Builder $photos) => $photos
                    ->whereIn('sighting_id', $sightings->select('id'))
                    ->orWhereIn('sheet_id', $own('sheets')->select('id')),
            ),
            Sealed::PhotoDropped => null,
        };
    }

    /** @param array<string, mixed> $head */
    private function head(Crew $crew, array $head, ?Seal $last, SealReport $report): void
    {
        $signature = $head['signature'] ?? null;
        $plain = array_diff_key($head, ['signature' => 1]);
        $seq = $head['seq'] ?? null;
        $ours =
            is_string($signature) && $this->key->signed($plain, $signature) && ($head['crew'] ?? null) === $crew->id;
        if (!$ours || !is_int($seq)) {
            $report->add(
                'head-forged',
                null,
                'head',
                $crew->id,
                'The head that was given is not one of this crew, or was changed.',
            );

            return;
        }
        $ends = $last->seq ?? 0;
        $there = Seal::query()->where('crew_id', $crew->id)->where('seq', $seq)->value('hash');
        if ($seq > $ends) {
            $text =
                "The chain ends at link {$ends}; the head that was kept outside is of link {$seq}: the newest " .
                'links were taken away.';
            $report->add('cut', $seq, 'head', $crew->id, $text);
        } elseif ($seq > 0 && $there !== ($head['hash'] ?? null)) {
            $report->add(
                'other-chain',
                $seq,
                'head',
                $crew->id,
                "Link {$seq} is another than the one that was kept outside.",
            );
        }
    }
}
