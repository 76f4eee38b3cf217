<?php

declare(strict_types=1);

namespace App\Support;

use App\Exceptions\Stopped;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

/**
 * Counts wrong tries at a secret. A try counts before it is judged, so that many at once are counted too, and is given
 * back when it was right: a crew behind one address signs in and out all day. Counted are what was read from the body
 * and the address it came from, never what stands beside the body.
 */
final readonly class Tries
{
    private const MINUTE = 60;
    private const HOUR = 3600;

    /** Days for which an address that signed in to an account is not shut out by what others try on that account. */
    private const KNOWN_DAYS = 30;

    /**
     * @template T
     *
     * @param \Closure(): (T|null) $attempt null where the secret was wrong
     *
     * @return T|null
     *
     * @throws Stopped 429 with the seconds to wait
     */
    public function signIn(string $account, string $from, \Closure $attempt): mixed
    {
        $known = 'signed-in-from.' . hash('sha256', "{$account}|{$from}");
        $limits = [
            "sign-in.{$from}|{$account}" => [config()->integer('thicket.sign_in_tries_per_minute'), self::MINUTE],
            "sign-in.{$from}" => [config()->integer('thicket.sign_in_tries_per_address'), self::MINUTE * 10],
        ];
        if (!Cache::has($known)) {
            $limits["sign-in.{$account}"] = [config()->integer('thicket.sign_in_tries_per_account'), self::HOUR];
        }
        $found = self::counted($limits, $attempt);
        $found === null || Cache::put($known, true, now()->addDays(self::KNOWN_DAYS));

        return $found;
    }

    /** A letter to somebody: as many as an address may ask for, and as many as an account may get. */
    public function asked(string $from, string $account): void
    {
        self::counted(
            [
                "asked.{$from}" => [config()->integer('thicket.sign_in_tries_per_account'), self::HOUR],
                "asked.{$account}" => [config()->integer('thicket.sign_in_tries_per_minute'), self::HOUR],
            ],
            static fn(): mixed => null,
        );
    }

    /**
     * The password again, by somebody who is signed in: nobody else's tries count.
     *
     * @param \Closure(): (true|null) $attempt
     */
    public function confirm(string $userId, \Closure $attempt): bool
    {
        $most = config()->integer('thicket.sign_in_tries_per_minute');

        return self::counted(["confirm.{$userId}" => [$most, self::MINUTE]], $attempt) !== null;
    }

    /**
     * @template T
     *
     * @param \Closure(): (T|null) $attempt
     *
     * @return T|null
     */
    public function setup(string $from, \Closure $attempt): mixed
    {
        return self::counted(
            [
                "setup.{$from}" => [config()->integer('thicket.sign_in_tries_per_minute'), self::MINUTE],
                'setup' => [config()->integer('thicket.sign_in_tries_per_address'), self::HOUR],
            ],
            $attempt,
        );
    }

    /**
     * @template T
     *
     * @param array<string, array{int, int}> $limits by key: most wrong tries, in how many seconds
     * @param \Closure(): (T|null) $attempt
     *
     * @return T|null
     */
    private static function counted(array $limits, \Closure $attempt): mixed
    {
        $keys = [];
        foreach ($limits as $name => [$most, $seconds]) {
            // hashed: a key of the store is short, and an address may be as long as it likes
            $key = hash('sha256', $name);
            [$count, $wait] = self::add($key, $seconds);
            if ($count > $most) {
                throw new Stopped(429, 'Too many wrong tries; wait a little and try again.', ['retryAfter' => $wait]);
            }
            $keys[] = $key;
        }
        $found = $attempt();
        $found === null || DB::table('tries')->whereIn('key', $keys)->where('count', '>', 0)->decrement('count');

        return $found;
    }

    /**
     * One more, exactly: the row is held while it is read and written, so that many at once are many.
     *
     * @return array{int, int} how many there are now, and in how many seconds they are forgotten
     */
    private static function add(string $key, int $seconds): array
    {
        return DB::transaction(static function () use ($key, $seconds): array {
            $tries = DB::table('tries');
            (clone $tries)
                ->where('until', '<', time() - self::HOUR)
                ->limit(100)
                ->delete();
            (clone $tries)->insertOrIgnore(['key' => $key, 'count' => 0, 'until' => time() + $seconds]);
            $row = (clone $tries)->where('key', $key)->lockForUpdate()->first();
            $over = $row === null || $row->until <= time();
            [$count, $until] = $over ? [1, time() + $seconds] : [$row->count + 1, (int) $row->until];
            $tries->where('key', $key)->update(['count' => $count, 'until' => $until]);

            return [$count, max(1, $until - time())];
        }, 5);
    }
}
