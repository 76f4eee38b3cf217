<?php

declare(strict_types=1);

namespace App\Seal;

use App\Support\CanonicalJson;

/**
 * The secret of this installation's seals, kept apart from the database: who can write there still cannot make a seal.
 * One secret gives the key of the links (HMAC-SHA-256) and, for heads that are carried outside, an Ed25519 key pair.
 */
final readonly class SealKey
{
    public function __construct(#[\SensitiveParameter] private string $secret) {}

    public static function fromConfig(): self
    {
        $own = config()->string('thicket.seal_key');

        return new self($own !== '' ? $own : config()->string('app.key'));
    }

    /** @param array<string, string|int> $link */
    public function link(array $link): string
    {
        $key = hash_hkdf('sha256', $this->secret, 32, 'thicket seals, links');

        return hash_hmac('sha256', CanonicalJson::of($link), $key);
    }

    /** @param array<string, mixed> $head */
    public function sign(array $head): string
    {
        $secret = sodium_crypto_sign_secretkey($this->pair());

        return base64_encode(sodium_crypto_sign_detached(CanonicalJson::of($head), $secret));
    }

    public function publicKey(): string
    {
        return base64_encode(sodium_crypto_sign_publickey($this->pair()));
    }

    /** @param array<string, mixed> $head */
    public function signed(array $head, string $signature): bool
    {
        $raw = base64_decode($signature, true);

        $public = sodium_crypto_sign_publickey($this->pair());

        return is_string($raw) &&
            strlen($raw) === SODIUM_CRYPTO_SIGN_BYTES &&
            sodium_crypto_sign_verify_detached($raw, CanonicalJson::of($head), $public);
    }

    /** @return non-empty-string */
    private function pair(): string
    {
        $seed = hash_hkdf('sha256', $this->secret, SODIUM_CRYPTO_SIGN_SEEDBYTES, 'thicket seals, heads');

        return sodium_crypto_sign_seed_keypair($seed);
    }
}
