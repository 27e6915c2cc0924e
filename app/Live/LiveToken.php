<?php

namespace App\Live;

use Illuminate\Support\Carbon;

/** Lets a page listen to one session for some hours: the hub knows no people, so what it is shown says enough by itself. */
final readonly class LiveToken
{
    private const HOURS = 12;

    public static function for(int $session): string
    {
        $says = $session.'.'.Carbon::now()->addHours(self::HOURS)->getTimestamp();

        return $says.'.'.self::sign($says);
    }

    /** The session it is for; null when it is not ours, or has run out. */
    public static function read(string $token): ?int
    {
        if (preg_match('/^(\d{1,18})\.(\d{1,12})\.([0-9a-f]{64})$/D', $token, $m) !== 1) {
            return null;
        }

        return hash_equals(self::sign($m[1].'.'.$m[2]), $m[3]) && (int) $m[2] > Carbon::now()->getTimestamp() ? (int) $m[1] : null;
    }

    private static function sign(string $says): string
    {
        $key = config('app.key');

        return hash_hmac('sha256', 'live.'.$says, is_string($key) ? $key : '');
    }
}
