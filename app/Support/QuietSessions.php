<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Session\DatabaseSessionHandler;

/**
 * Sessions in the database, written when something changed or a minute has passed, not at every reading: a page asks
 * several things at once, and each write waits for the disk.
 */
final class QuietSessions extends DatabaseSessionHandler
{
    private const SECONDS = 60;

    /** @var array{id: string, data: string}|null as it was read */
    private ?array $read = null;

    private int $lastActivity = 0;

    /** @param string $sessionId */
    public function read($sessionId): string|false
    {
        $this->lastActivity = 0;
        $data = parent::read($sessionId);
        $this->read = ['id' => $sessionId, 'data' => (string) $data];

        return $data;
    }

    /**
     * @param string $sessionId
     * @param string $data
     */
    public function write($sessionId, $data): bool
    {
        $data = self::settled($data);

        return ($this->exists &&
            $this->read === ['id' => $sessionId, 'data' => $data] &&
            $this->currentTime() - $this->lastActivity < self::SECONDS) ||
            parent::write($sessionId, $data);
    }

    /** @param \stdClass $session */
    protected function expired($session): bool
    {
        $this->lastActivity = (int) ($session->last_activity ?? 0);

        return (bool) parent::expired($session);
    }

    /** Without the last address read, which nobody of this application is ever sent back to. */
    private static function settled(string $data): string
    {
        $attributes = @unserialize($data, ['allowed_classes' => false]);
        if (!is_array($attributes)) {
            return $data;
        }
        unset($attributes['_previous']);

        return serialize($attributes);
    }
}
