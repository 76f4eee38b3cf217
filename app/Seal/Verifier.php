<?php

declare(strict_types=1);

namespace App\Seal;

use App\Models\Crew;
use App\Models\Record;
use App\Models\Seal;
use App\Photos\PhotoStore;
use Illuminate\Support\Facades\DB;

/** Looks at every link of a crew's chain, at what each sealed, and at the files of its pictures. */
final readonly class Verifier
{
    public function __construct(private Chain $chain, private SealKey $key, private PhotoStore $photos)
    {
    }

    /**
     * @param array<string, mixed>|null $head one that was kept outside
     *
     * @return array{links: int, faults: list<array{code: string, seq: int|null, kind: string, subject: string, text: string}>}
     */
    public function crew(Crew $crew, ?array $head = null): array
    {
        $faults = [];
        $fault = static function (string $code, ?int $seq, string $kind, string $subject, string $text) use (&$faults): void {
            $faults[] = ['code' => $code, 'seq' => $seq, 'kind' => $kind, 'subject' => $subject, 'text' => $text];
        };
        $before = null;
        $sealed = [];
        $dropped = [];
        $photos = [];
        $links = 0;
        /** @var iterable<Seal> $all */
        $all = Seal::query()->where('crew_id', $crew->id)->orderBy('seq')->lazy(500);
        foreach ($all as $seal) {
            ++$links;
            $this->chain->follows($seal, $before) || $fault('order', $seal->seq, $seal->kind, $seal->subject_id, "Link {$seal->seq} does not follow on link " . ($before->seq ?? 0) . '.');
            $this->chain->holds($seal) || $fault('forged', $seal->seq, $seal->kind, $seal->subject_id, "Link {$seal->seq} was not made with this installation's key, or was changed.");
            $kind = Sealed::tryFrom($seal->kind);
            $sealed[$seal->kind][$seal->subject_id] = true;
            $kind === Sealed::PhotoDropped && $dropped[$seal->subject_id] = true;
            if ($kind === Sealed::Photo) {
                $photos[] = $seal;
            } elseif ($kind !== null) {
                $this->content($kind, $seal, $fault);
            }
            $before = $seal;
        }
        foreach ($photos as $seal) {
            isset($dropped[$seal->subject_id]) || $this->photo($seal, $fault);
        }
        foreach ($this->subjects($crew) as [$kind, $id]) {
            isset($sealed[$kind->value][$id]) || $fault('unsealed', null, $kind->value, $id, "There is a {$kind->value} that was never sealed.");
        }
        $head === null || $this->head($crew, $head, $before, $fault);

        return ['links' => $links, 'faults' => $faults];
    }

    /** How a record stands: whole, broken (changed since, or its link is), or missing (never sealed). */
    public function record(Record $record): string
    {
        $seal = $record->seal;

        return match (true) {
            $seal === null => 'missing',
            !$this->chain->holds($seal) || Sealed::Record->digest($record->id) !== $seal->content || $record->content() === null => 'broken',
            default => 'whole',
        };
    }

    /** @param \Closure(string, int|null, string, string, string): void $fault */
    private function content(Sealed $kind, Seal $seal, \Closure $fault): void
    {
        $now = $kind->digest($seal->subject_id);
        if ($now === null) {
            $fault('gone', $seal->seq, $kind->value, $seal->subject_id, "The {$kind->value} of link {$seal->seq} is gone.");
        } elseif ($now !== $seal->content) {
            $fault('changed', $seal->seq, $kind->value, $seal->subject_id, "The {$kind->value} of link {$seal->seq} was changed after it was sealed.");
        }
    }

    /** @param \Closure(string, int|null, string, string, string): void $fault */
    private function photo(Seal $seal, \Closure $fault): void
    {
        $this->content(Sealed::Photo, $seal, $fault);
        $row = DB::table('photos')->where('id', $seal->subject_id)->first(['file', 'sha256']);
        if ($row === null) {
            return;
        }
        $file = $this->photos->find((string) $row->file, 'full');
        if ($file === null) {
            $fault('file-gone', $seal->seq, 'photo', $seal->subject_id, "The file of the picture of link {$seal->seq} is gone.");
        } elseif (hash_file('sha256', $file) !== $row->sha256) {
            $fault('file-changed', $seal->seq, 'photo', $seal->subject_id, "The file of the picture of link {$seal->seq} was changed.");
        }
    }

    /** @return iterable<array{Sealed, string}> what there is and should be sealed */
    private function subjects(Crew $crew): iterable
    {
        $records = DB::table('records')->where('crew_id', $crew->id);
        $queries = [
            [Sealed::Sheet, DB::table('sheets')->where('crew_id', $crew->id)], [Sealed::Withdrawal, DB::table('sheets')->where('crew_id', $crew->id)->where('withdrawn_at', '!=', null)],
            [Sealed::Record, $records], [Sealed::LookBack, DB::table('look_backs')->whereIn('record_id', (clone $records)->select('id'))],
            [Sealed::Photo, DB::table('photos')->whereIn('sighting_id', DB::table('sightings')->whereIn('ground_id', DB::table('grounds')->where('crew_id', $crew->id)->select('id'))->select('id'))],
        ];
        foreach ($queries as [$kind, $query]) {
            foreach ($query->orderBy('id')->pluck('id') as $id) {
                yield [$kind, (string) $id];
            }
        }
    }

    /**
     * @param array<string, mixed> $head
     * @param \Closure(string, int|null, string, string, string): void $fault
     */
    private function head(Crew $crew, array $head, ?Seal $last, \Closure $fault): void
    {
        $signature = $head['signature'] ?? null;
        if (!is_string($signature) || !$this->key->signed(array_diff_key($head, ['signature' => 1]), $signature) || ($head['crew'] ?? null) !== $crew->id || !is_int($head['seq'] ?? null)) {
            $fault('head-forged', null, 'head', $crew->id, 'The head that was given is not one of this crew, or was changed.');

            return;
        }
        $seq = $head['seq'];
        if ($seq > ($last->seq ?? 0)) {
            $fault('cut', $seq, 'head', $crew->id, 'The chain ends at link ' . ($last->seq ?? 0) . "; the head that was kept outside is of link {$seq}: the newest links were taken away.");
        } elseif ($seq > 0 && Seal::query()->where('crew_id', $crew->id)->where('seq', $seq)->value('hash') !== ($head['hash'] ?? null)) {
            $fault('other-chain', $seq, 'head', $crew->id, "Link {$seq} is another than the one that was kept outside.");
        }
    }
}
