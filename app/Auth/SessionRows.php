<?php

namespace App\Auth;

use Illuminate\Session\DatabaseSessionHandler;

/**
 * Sessions in the database, of which a row is written when something in it has changed, or has not been written for a
 * minute: an act at the bench changes nothing in it.
 */
class SessionRows extends DatabaseSessionHandler
{
    private const EVERY_S = 60;

    /** @var array<string, array{string, int}> what was read: payload, and when somebody was active last */
    private array $read = [];

    public function read($sessionId): string|false
    {
        $row = (object) $this->getQuery()->find($sessionId);
        if (! isset($row->payload) || $this->expired($row)) {
            $this->exists = isset($row->payload);

            return '';
        }
        $this->exists = true;
        $payload = (string) base64_decode($row->payload);
        $this->read[$sessionId] = [$payload, (int) $row->last_activity];

        return $payload;
    }

    public function write($sessionId, $data): bool
    {
        [$payload, $active] = $this->read[$sessionId] ?? ['', 0];
        if ($payload === $data && $this->currentTime() - $active < self::EVERY_S) {
            return true;
        }
        $this->read[$sessionId] = [$data, $this->currentTime()];

        return parent::write($sessionId, $data);
    }

    public function destroy($sessionId): bool
    {
        unset($this->read[$sessionId]);

        return parent::destroy($sessionId);
    }
}
