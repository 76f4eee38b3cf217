<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\User;
use App\Support\SecondFactor;
use Illuminate\Support\Facades\DB;

/** Takes the code of a phone, or one of those kept for the day on which it is lost, each once. */
final readonly class TakeSecondFactor
{
    public function took(User $user, #[\SensitiveParameter] string $code): bool
    {
        return DB::transaction(static function () use ($user, $code): bool {
            // held while it is judged, so that one code sent twice at once is taken once
            /** @var User $row */
            $row = User::query()->whereKey($user->id)->lockForUpdate()->firstOrFail();
            $step = SecondFactor::step((string) $row->second_factor, $code, time(), $row->second_factor_step);
            if ($step !== null) {
                return $row->update(['second_factor_step' => $step]);
            }
            $hash = SecondFactor::hashOf($code);
            $left = array_values(
                array_filter($row->recovery_codes ?? [], static fn(string $kept): bool => !hash_equals($kept, $hash)),
            );

            return count($left) < count($row->recovery_codes ?? []) && $row->update(['recovery_codes' => $left]);
        });
    }
}
