<?php

declare(strict_types=1);

namespace App\Support;

use Base32\Base32;
use Otp\Otp;

/**
 * Time-based one-time passwords (RFC 6238: SHA-1, six figures, thirty seconds), and codes for the day on which the
 * phone is lost. A code is taken once: its step is kept, and none up to it is taken again.
 */
final class SecondFactor
{
    private const SECRET_BYTES = 20;
    private const PERIOD = 30;
    /** Steps by which a phone's clock may be off. */
    private const DRIFT = 1;
    private const RECOVERY_CODES = 10;
    /** Without letters and figures that look alike. */
    private const LETTERS = 'abcdefghjkmnpqrstuvwxyz23456789';
    private const ISSUER = 'Gallant Thicket';

    private function __construct() {}

    /** In Base32, as phones take it. */
    public static function newSecret(): string
    {
        return rtrim(Base32::encode(random_bytes(self::SECRET_BYTES)), '=');
    }

    /** What a phone reads off the screen. */
    public static function address(string $secret, string $account): string
    {
        return 'otpauth://totp/' .
            rawurlencode(self::ISSUER . ':' . $account) .
            '?' .
            http_build_query(['secret' => $secret, 'issuer' => self::ISSUER], '', '&', PHP_QUERY_RFC3986);
    }

    /**
     * @param int|null $last step of the last code that was taken
     *
     * @return int|null the step of this code; null where it is wrong, or used
     */
    public static function step(string $secret, string $code, int $time, ?int $last): ?int
    {
        $given = preg_replace('/\s/', '', $code) ?? '';
        $otp = new Otp();
        $now = intdiv($time, self::PERIOD);
        $found = null;
        for ($step = $now - self::DRIFT; $step <= $now + self::DRIFT; ++$step) {
            $right = hash_equals((string) $otp->hotp(Base32::decode($secret), $step), $given);
            $found = $right && $step > ($last ?? 0) ? $step : $found;
        }

        return $found;
    }

    /** @return list<string> shown once; only their hashes are kept */
    public static function recoveryCodes(): array
    {
        return array_map(static fn(): string => self::word(5) . '-' . self::word(5), range(1, self::RECOVERY_CODES));
    }

    /** As it is kept: the codes are long and random, so a plain hash holds. */
    public static function hashOf(string $recoveryCode): string
    {
        return hash('sha256', mb_strtolower(preg_replace('/[^a-zA-Z0-9]/', '', $recoveryCode) ?? ''));
    }

    /** Of letters that are easy to read out. */
    public static function word(int $letters): string
    {
        $word = '';
        for ($i = 0; $i < $letters; ++$i) {
            $word .= self::LETTERS[random_int(0, strlen(self::LETTERS) - 1)];
        }

        return $word;
    }
}
