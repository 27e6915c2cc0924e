<?php

declare(strict_types=1);

namespace Kettle\Warmth;

use Kettle\Reason\RefusedException;

/** A warmth, a pot, a log or a colour that cannot be. */
final class WarmthException extends RefusedException
{
    public static function water(float $celsius): self
    {
        return new self(
            'out_of_range',
            sprintf('%s °C is no warmth of water in a kitchen. Give between 0 and 200 °C.', round($celsius, 1)),
        );
    }

    public static function height(float $metres): self
    {
        return new self(
            'out_of_range',
            sprintf('%s m is no height for a kitchen. Give between 500 m below the sea and 6000 m above.', round($metres)),
        );
    }

    public static function pot(string $what, string $field, float $least, float $most, string $unit): self
    {
        return new self(
            'out_of_range',
            sprintf(
                '%s must lie between %s and %s %s.',
                $what,
                rtrim(rtrim(number_format($least, 2, '.', ''), '0'), '.'),
                rtrim(rtrim(number_format($most, 2, '.', ''), '0'), '.'),
                $unit,
            ),
            $field,
        );
    }

    public static function reading(float $celsius): self
    {
        return new self(
            'out_of_range',
            sprintf('A reading of %s °C is not of this pot. Was it in Fahrenheit, or the probe out of the oil?', round($celsius, 1)),
            'readings',
        );
    }

    public static function readRange(string $typed): self
    {
        return new self('range', sprintf('“%s” is more than one warmth. Write the one it reads now.', mb_substr($typed, 0, 20)), 'warmth');
    }

    public static function notOfPot(string $typed): self
    {
        return new self(
            'out_of_range',
            sprintf('“%s” is no warmth of this pot. Is the thermometer in it, and are those its degrees?', mb_substr($typed, 0, 20)),
            'warmth',
        );
    }

    /** @param  bool  $fahrenheit what a bare number would be */
    public static function otherDegrees(string $typed, bool $fahrenheit): self
    {
        [$own, $other] = $fahrenheit ? ['Fahrenheit', 'Celsius'] : ['Celsius', 'Fahrenheit'];

        return new self(
            'ambiguous',
            sprintf(
                '“%1$s” would be far from this pot’s band in %2$s, and within it in %3$s. Write %1$s %5$s or %1$s %4$s.',
                mb_substr(preg_replace('/[\s°º]+$/u', '', $typed) ?? $typed, 0, 20),
                $own,
                $other,
                $own[0],
                $other[0],
            ),
            'warmth',
        );
    }

    public static function sends(string $called): self
    {
        return new self('not_by_eye', sprintf('“%s” tells of this pot by itself: nothing is written down by eye.', $called), 'warmth');
    }

    public static function notFromHere(): self
    {
        return new self('not_open', 'That can no longer be taken back here.', 'entry');
    }

    public static function standsElsewhere(string $called): self
    {
        return new self('taken', sprintf('“%s” stands in another pot just now.', $called));
    }

    public static function order(): self
    {
        return new self('out_of_order', 'The readings must come in the order of their times, each once.', 'readings');
    }

    public static function band(): self
    {
        return new self(
            'out_of_range',
            'The band goes from its low end over the target to the ceiling: give three warmths in that order.',
            'band',
        );
    }

    public static function tooFewLooks(int $least): self
    {
        return new self('too_few', sprintf('There are too few looks to say: at least %d, on different days.', $least), 'looks');
    }

    public static function noRise(): self
    {
        return new self('no_rise', 'Nothing rises in what was seen, so there is no end to foretell.', 'looks');
    }

    public static function look(): self
    {
        return new self(
            'out_of_range',
            'A look has its time since the beginning, and what was seen: neither below nothing nor past all measure.',
            'looks',
        );
    }

    public static function noEnd(): self
    {
        return new self('no_end', 'Too few looks, or too straight a line, to say where it ends. Go on looking.', 'looks');
    }

    public static function place(): self
    {
        return new self(
            'out_of_range',
            'Give a latitude between 90° south and 90° north, and a longitude between 180° west and 180° east.',
            'place',
        );
    }

    public static function colour(): self
    {
        return new self('out_of_range', 'A colour is three numbers from 0 to 255: red, green and blue.', 'colour');
    }

    public static function darkCard(): self
    {
        return new self(
            'out_of_range',
            'The white card is too dark or washed out to set the colours by. Take the picture again in daylight, without flash.',
            'card',
        );
    }

    public static function warmUp(string $why): self
    {
        return new self('too_few', $why, 'readings');
    }

    public static function future(): self
    {
        return new self('in_the_future', 'A reading from the future: is the clock of the sender right?', 'readings');
    }

    public static function tooOld(): self
    {
        return new self('in_the_past', 'A reading from before the session began.', 'readings');
    }

    public static function noReading(string $typed): self
    {
        return new self('unreadable', sprintf('“%s” is not a warmth. Write it like 49.5 or 121 F.', mb_substr($typed, 0, 20)), 'readings');
    }

    public static function noMoment(string $typed): self
    {
        return new self(
            'unreadable',
            sprintf('“%s” is not a moment. Write it like 2026-12-12T14:05:00Z, or as seconds since 1970.', mb_substr($typed, 0, 40)),
            'readings',
        );
    }

    public static function skipped(string $typed): self
    {
        return new self(
            'unreadable',
            sprintf(
                'The clocks went past “%s” that night, forward. Write it with its zone, as in 2026-03-29T01:30:00Z.',
                mb_substr($typed, 0, 40),
            ),
            'readings',
        );
    }

    public static function twice(string $typed): self
    {
        return new self(
            'unreadable',
            sprintf(
                'The clocks showed “%s” twice that night. Write it with its zone, as in 2026-10-25T01:30:00Z.',
                mb_substr($typed, 0, 40),
            ),
            'readings',
        );
    }

    public static function weather(string $what): self
    {
        return new self('out_of_range', $what, 'weather');
    }
}
