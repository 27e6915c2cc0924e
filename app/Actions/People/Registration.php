<?php

namespace App\Actions\People;

use Kettle\Reason\RefusedException;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** Who may make an account here, as whoever looks after the machine has set it. */
enum Registration: string
{
    case Open = 'open';
    case Invited = 'invited';
    case Closed = 'closed';

    /** What is set and not understood lets nobody in. */
    public static function here(): self
    {
        $set = config('kettle.registration');

        return is_string($set) ? self::tryFrom($set) ?? self::Closed : self::Closed;
    }

    /**
     * @param  string  $invitation the secret of one; empty where none was brought
     *
     * @throws RefusedException
     */
    public function admit(string $invitation, Links $links): void
    {
        if ($this === self::Closed) {
            throw new RegistrationException('not_open', 'Accounts are made here by whoever looks after the machine. Ask there.');
        }
        if ($this === self::Invited) {
            try {
                $links->invitation($invitation);
            } catch (NotFoundHttpException) {
                throw new RegistrationException('not_open', 'An account is made here with an invitation. Ask a keeper of a house for one.');
            }
        }
    }
}
