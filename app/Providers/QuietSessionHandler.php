<?php

namespace App\Providers;

use Illuminate\Session\DatabaseSessionHandler;

/** Sessions in the database, written only where something in them changed, or where they have been told as used for long. */
final class QuietSessionHandler extends DatabaseSessionHandler
{
    /** A session ends at the most so many seconds sooner than its lifetime after it was last used. */
    private const TOLD_EVERY_S = 300;

    /** @var array{string, string, int}|null of which session, what was read, and when it was told as used */
    private ?array $read = null;

    /** @param  string  $sessionId */
    public function read($sessionId): string
    {
        $session = $this->getQuery()->find($sessionId);
        $this->read = null;
        if (! ($session instanceof \stdClass)) {
            return '';
        }
        if ($this->expired($session)) {
            $this->exists = true;

            return '';
        }
        if (! is_string($session->payload ?? null) || ! is_int($session->last_activity ?? null)) {
            return '';
        }
        $this->exists = true;
        $payload = (string) base64_decode($session->payload);
        $this->read = [(string) $sessionId, $payload, $session->last_activity];

        return $payload;
    }

    /**
     * @param  string  $sessionId
     * @param  string  $data
     */
    public function write($sessionId, $data): bool
    {
        if (
            $this->read !== null &&
            [$this->read[0], $this->read[1]] === [(string) $sessionId, (string) $data] &&
            abs($this->currentTime() - $this->read[2]) < self::TOLD_EVERY_S
        ) {
            return true;
        }

        return parent::write($sessionId, $data);
    }

    /** @param  string  $sessionId */
    public function destroy($sessionId): bool
    {
        $this->read = null;

        return parent::destroy($sessionId);
    }
}
