<?php

declare(strict_types=1);

namespace App\Seal;

use App\Models\Seal;

/** What a verifier found of one crew's chain. */
final class SealReport
{
    public int $links = 0;

    /** @var list<array{code: string, seq: int|null, kind: string, subject: string, text: string}> */
    public array $faults = [];

    /** Something is wrong with a link, or with what it sealed. */
    public function of(Seal $seal, string $code, string $text): void
    {
        $this->add($code, $seal->seq, $seal->kind, $seal->subject_id, $text);
    }

    public function add(string $code, ?int $seq, string $kind, string $subject, string $text): void
    {
        $this->faults[] = ['code' => $code, 'seq' => $seq, 'kind' => $kind, 'subject' => $subject, 'text' => $text];
    }
}
