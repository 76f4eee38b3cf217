<?php

declare(strict_types=1);

namespace App\Support;

use App\Exceptions\Stopped;
use Illuminate\Contracts\Cache\Repository;
use Illuminate\Support\Facades\Cache;

/**
 * How far an import is, and the wish to stop it: kept outside of the write that it tells of, so that others see it
 * before that write is done. Named by the Idempotency-Key of the import, and by the id of who asked for it.
 */
final class ImportProgress
{
    private const KEPT_SECONDS = 600;
    private const ROWS_A_WORD = 20;

    private ?string $told = null;
    private int $of = 0;

    public function begin(string $by, string $key, int $rows): void
    {
        $this->told = self::name($by, $key);
        $this->of = $rows;
        self::store()->forget("{$this->told}.stop");
        $this->say(0);
    }

    /** @throws Stopped where somebody wished it stopped; what was kept so far goes with its transaction */
    public function at(int $row): void
    {
        if ($this->told === null || ($row % self::ROWS_A_WORD !== 0 && $row !== $this->of)) {
            return;
        }
        if (self::store()->get("{$this->told}.stop") === true) {
            self::store()->forget($this->told);
            throw new Stopped(409, 'The import was stopped; nothing of the file is kept.');
        }
        $this->say($row);
    }

    /** @return array{done: int, of: int}|null null where no such import is known */
    public static function of(string $by, string $key): ?array
    {
        return self::store()->get(self::name($by, $key));
    }

    public static function stop(string $by, string $key): void
    {
        self::store()->put(self::name($by, $key) . '.stop', true, self::KEPT_SECONDS);
    }

    private function say(int $done): void
    {
        self::store()->put((string) $this->told, ['done' => $done, 'of' => $this->of], self::KEPT_SECONDS);
    }

    private static function name(string $by, string $key): string
    {
        return "import.{$by}.{$key}";
    }

    private static function store(): Repository
    {
        return Cache::store('progress');
    }
}
