<?php

declare(strict_types=1);

namespace App\Seal;

use App\Models\Crew;
use App\Models\Seal;
use App\Models\Sealed;
use Illuminate\Support\Facades\DB;

/** Adds links to a crew's chain, and gives its head to be kept outside. */
final readonly class Chain
{
    public const FORMAT = 'gallant-thicket-seal-head';
    private const NOTHING_BEFORE = '0000000000000000000000000000000000000000000000000000000000000000';

    public function __construct(private SealKey $key) {}

    /** Seals what stands in the database now, in the transaction that put it there. */
    public function add(string $crewId, Sealed $kind, string $subjectId): Seal
    {
        return DB::transaction(function () use ($crewId, $kind, $subjectId): Seal {
            Crew::query()->whereKey($crewId)->lockForUpdate()->value('id');
            $last = $this->last($crewId);
            $content = $kind->digest($subjectId);
            if ($content === null) {
                throw new \LogicException("There is no {$kind->value} {$subjectId} to seal.");
            }
            $link = [
                'crew_id' => $crewId,
                'seq' => ($last->seq ?? 0) + 1,
                'kind' => $kind->value,
                'subject_id' => $subjectId,
                'content' => $content,
                'prev_hash' => $last->hash ?? self::NOTHING_BEFORE,
                'sealed_at' => now()->utc()->format('Y-m-d H:i:s'),
            ];

            return Seal::create($link + ['hash' => $this->key->link($link)]);
        });
    }

    /**
     * The seals of a crew that comes from another installation, linked anew with the key of this one: what was sealed,
     * when, and in which order stays.
     *
     * @param list<array<string, string|int|null>> $seals rows in order
     *
     * @return list<array<string, string|int|null>>
     */
    public function linkedAnew(array $seals): array
    {
        $before = self::NOTHING_BEFORE;
        $linked = [];
        foreach ($seals as $seal) {
            /** @var array<string, string|int> $link */
            $link = ['prev_hash' => $before, 'seq' => (int) $seal['seq']] + array_diff_key($seal, ['hash' => 1]);
            $before = $this->key->link($link);
            $linked[] = $link + ['hash' => $before];
        }

        return $linked;
    }

    /** Whether a link is what was sealed: its own columns, and what it was made of. */
    public function holds(Seal $seal): bool
    {
        $link = array_diff_key($seal->getAttributes(), ['hash' => 1]);

        return hash_equals($this->key->link(['seq' => $seal->seq] + $link), $seal->hash);
    }

    public function follows(Seal $seal, ?Seal $before): bool
    {
        return $seal->seq === ($before->seq ?? 0) + 1 && $seal->prev_hash === ($before->hash ?? self::NOTHING_BEFORE);
    }

    public function last(string $crewId): ?Seal
    {
        return Seal::query()->where('crew_id', $crewId)->latest('seq')->first();
    }

    /**
     * The newest link, signed, to be kept where this database is not: without it nobody could tell that links were
     * taken off the end.
     *
     * @return array{format: string, crew: string, name: string, seq: int, hash: string, at: string|null,
     *     publicKey: string, signature: string}
     */
    public function head(Crew $crew): array
    {
        $last = $this->last($crew->id);
        $head = [
            'format' => self::FORMAT,
            'crew' => $crew->id,
            'name' => $crew->name,
            'seq' => $last->seq ?? 0,
            'hash' => $last->hash ?? self::NOTHING_BEFORE,
            'at' => $last?->sealed_at,
            'publicKey' => $this->key->publicKey(),
        ];

        return $head + ['signature' => $this->key->sign($head)];
    }
}
