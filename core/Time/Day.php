<?php

declare(strict_types=1);

namespace Kettle\Time;

/** A day as it is written: 2026-10-03. */
final class Day
{
    /** Its midnight in a zone; null where it is written otherwise, or there is no such day. */
    public static function read(string $typed, \DateTimeZone $zone): ?\DateTimeImmutable
    {
        // Asked first, for the parser is stopped by a nul and is content with 2026-02-31.
        if (preg_match('/^\d{4}-\d\d-\d\d$/D', $typed) !== 1) {
            return null;
        }
        $day = \DateTimeImmutable::createFromFormat('!Y-m-d', $typed, $zone);

        return $day !== false && $day->format('Y-m-d') === $typed ? $day : null;
    }

    /** The first of those that are known; null where none is. */
    public static function earliest(?\DateTimeImmutable ...$days): ?\DateTimeImmutable
    {
        $known = array_filter($days);

        return $known === [] ? null : min($known);
    }
}
