<?php

declare(strict_types=1);

namespace App\Http\Readers;

use App\Models\User;
use App\Support\Address;
use App\Support\PasswordStrength;
use Thicket\Input\Fields;

/** Name, address and password of an account, as somebody gives them. */
final class AccountReader
{
    private function __construct() {}

    /** @return string|null folded */
    public static function email(Fields $in, ?User $own = null): ?string
    {
        $email = $in->text('email', 190);
        if ($email === null) {
            return null;
        }
        if (filter_var($email, FILTER_VALIDATE_EMAIL) === false) {
            $in->fault('email', 'Write an address such as ada@trust.example.');

            return null;
        }
        $folded = Address::folded($email);
        $taken = User::query()->where('email', $folded)->first();
        if ($taken !== null && !$taken->is($own)) {
            $in->fault('email', 'Somebody has an account under this address already: sign in, or take another.');
        }

        return $folded;
    }

    /** @param list<string|null> $own words that others know of the person */
    public static function newPassword(Fields $in, array $own): ?string
    {
        $password = $in->secret('password');
        $weak =
            $password === null
                ? null
                : PasswordStrength::fault(
                    $password,
                    array_values(array_filter($own, static fn(?string $w): bool => $w !== null && $w !== '')),
                );
        $weak === null || $in->fault('password', $weak);

        return $password;
    }
}
