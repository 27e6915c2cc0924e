<?php

declare(strict_types=1);

namespace Kettle\Trace;

/** A name that somebody wrote who gave or sold something. */
final class Person
{
    /** By what one is known again: "Aunt Mo", "aunt mo" and "Aunt  Mo" are one, and have to be told once, of all of it. */
    public static function key(string $name): string
    {
        return mb_strtolower(self::written($name));
    }

    /** A name as it is kept: on one line, one space between its words. */
    public static function written(string $name): string
    {
        return (string) preg_replace('/^ | $/u', '', (string) preg_replace('/[\s\p{Z}]+/u', ' ', $name));
    }
}
