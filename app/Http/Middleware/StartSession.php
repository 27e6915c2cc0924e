<?php

namespace App\Http\Middleware;

use Illuminate\Contracts\Session\Session;
use Illuminate\Http\Request;
use Illuminate\Session\Middleware\StartSession as Middleware;
use Illuminate\Support\Carbon;

/**
 * The framework's, but for three things. The address last read is not kept: nobody is sent back to it, and it would write the
 * session at every read. And who only looks in at the door has no session kept: its token is made of its number and of
 * this house's key, so that a sign-in is held to it all the same. And none is kept for longer than its days, however often
 * it is used.
 */
final class StartSession extends Middleware
{
    /** What every session holds, be it kept or not. */
    private const NOTHING = ['_token', '_flash'];

    /** When somebody signed in, seconds. */
    public const BEGAN = 'began';

    /**
     * @param  Session  $session
     * @return Session
     */
    protected function startSession(Request $request, $session)
    {
        $started = parent::startSession($request, $session);
        $this->endOld($started);
        $isNew = self::isEmpty($started);
        if ($isNew) {
            $started->put('_token', hash_hmac('sha256', 'token '.$started->getId(), config()->string('app.key')));
        }
        $request->attributes->set(self::class, $isNew);

        return $started;
    }

    private function endOld(Session $session): void
    {
        if (self::isEmpty($session)) {
            return;
        }
        $began = $session->get(self::BEGAN);
        if (! is_int($began)) {
            $session->put(self::BEGAN, Carbon::now()->getTimestamp());
        } elseif ($began < Carbon::now()->subDays(config()->integer('kettle.session_days'))->getTimestamp()) {
            $session->invalidate();
        }
    }

    /** @param  Request  $request */
    protected function saveSession($request): void
    {
        $wasKept = $request->attributes->get(self::class) === false;
        if ($wasKept || ! self::isEmpty($request->session())) {
            parent::saveSession($request);
        }
    }

    /** @param  Session  $session */
    protected function storeCurrentUrl(Request $request, $session): void {}

    private static function isEmpty(Session $session): bool
    {
        return array_diff(array_keys($session->all()), self::NOTHING) === [];
    }
}
