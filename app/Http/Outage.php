<?php

namespace App\Http;

/** What is wrong with the machine and not with the question: the database is away, or nothing more can be written. */
final class Outage
{
    /** Seconds after which it is worth asking again: what watches over the database starts it anew within a few. */
    public const RETRY_S = 5;

    /** MariaDB's client and server errors of a server that is not there, is going, or takes nobody more. */
    private const AWAY = [1040, 1053, 1203, 1927, 2002, 2003, 2006, 2013];

    /** Of a disk, or a table's file, that is full; 1030 with the system's own 28 says so too. */
    private const FULL = [1021, 1114, 3, 28];

    public static function isAway(\Throwable $thrown): bool
    {
        return in_array(self::code($thrown), self::AWAY, true);
    }

    public static function isFull(\Throwable $thrown): bool
    {
        return ($thrown instanceof \PDOException && in_array(self::code($thrown), self::FULL, true)) ||
            str_contains($thrown->getMessage(), 'No space left on device');
    }

    public static function is(\Throwable $thrown): bool
    {
        return self::isAway($thrown) || self::isFull($thrown);
    }

    /** The database's own number; 0 where it is none of its faults. */
    private static function code(\Throwable $thrown): int
    {
        if (! ($thrown instanceof \PDOException)) {
            return 0;
        }
        $code = $thrown->errorInfo[1] ?? null;
        // Where no connection was made there is no errorInfo but in the words.
        if (! is_int($code) && preg_match('/SQLSTATE\[\w+\] \[(\d+)\]/', $thrown->getMessage(), $m) === 1) {
            $code = (int) $m[1];
        }

        return is_int($code) ? $code : 0;
    }
}
