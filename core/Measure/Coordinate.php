<?php

declare(strict_types=1);

namespace Kettle\Measure;

/** A latitude or a longitude as a map or a telephone shows it: "59.25", "59°15′ N", "2 36 0 W". */
final class Coordinate
{
    /** Degrees, minutes and seconds, each parted from the one before it by its sign or a space: "1234" is no 123 degrees and 4 minutes. */
    private const PATTERN =
        '/^([NSEW])?\s*([-−+])?\s*(\d{1,3}(?:\.\d+)?)'.
        '(?:\s*(?:°|º|deg|\s)(?:\s*(\d{1,2}(?:\.\d+)?)(?:\s*(?:[′\'’]|min|\s)'.
        '(?:\s*(\d{1,2}(?:\.\d+)?)\s*(?:[″"”]|\'\'|sec)?)?)?)?)?\s*([NSEW])?$/iu';

    /**
     * Degrees, north and east of nought above it; null when it is none of its kind.
     *
     * @param  string  $above the letter of what is above nought, N or E
     */
    public static function read(string $typed, string $above): ?float
    {
        $text = preg_replace('/(?<=\d),(?=\d)/', '.', trim(Figures::ascii($typed))) ?? '';
        if (preg_match(self::PATTERN, $text, $m) !== 1) {
            return null;
        }
        $m += array_fill(0, 7, '');
        $letter = strtoupper($m[1].$m[6]);
        [$minutes, $seconds] = [(float) $m[4], (float) $m[5]];
        $below = $above === 'N' ? 'S' : 'W';
        // "−2.6 W" may be either side, and 61 minutes are none.
        if (! in_array($letter, ['', $above, $below], true) || ($letter !== '' && $m[2] !== '') || $minutes >= 60 || $seconds >= 60) {
            return null;
        }
        if ($m[4] !== '' && str_contains($m[3], '.')) {
            return null;
        }
        $degrees = (float) $m[3] + $minutes / 60 + $seconds / 3600;

        return round($letter === $below || in_array($m[2], ['-', '−'], true) ? -$degrees : $degrees, 6);
    }
}
