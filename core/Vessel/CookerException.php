<?php

declare(strict_types=1);

namespace Kettle\Vessel;

use Kettle\Measure\AmountWriter;
use Kettle\Measure\Kind;
use Kettle\Reason\RefusedException;

/** A cooker that cannot be, or jars that it cannot take. */
final class CookerException extends RefusedException
{
    public static function moreThanHolds(string $typed, float $ml): self
    {
        return new self(
            'too_much',
            sprintf(
                '“%s” does not go in: round the jars it holds about %s. Write how much was poured; nothing is up to the full line.',
                mb_substr($typed, 0, 20),
                AmountWriter::plain(floor($ml / 10) * 10, Kind::Volume),
            ),
            'with',
        );
    }

    public static function shape(): self
    {
        return new self('unknown', 'A cooker is round, oval or square inside.', 'shape');
    }

    public static function measure(string $field, float $mm): self
    {
        return new self(
            'out_of_range',
            sprintf(
                '%s mm is no inner %s for a cooker. Give between 60 and 600 mm.',
                is_finite($mm) ? rtrim(rtrim(number_format($mm, 1, '.', ''), '0'), '.') : 'That',
                $field,
            ),
            $field,
        );
    }

    public static function round(): self
    {
        return new self('out_of_range', 'A round cooker is as wide as it is long. Choose oval, or give one width for both.', 'width');
    }

    public static function noRoom(string $cooker, int $jars, int $fit): self
    {
        return new self(
            'no_room',
            sprintf('%d of these jars cannot stand in %s at once; %s can.', $jars, $cooker, $fit === 0 ? 'none' : "only {$fit}"),
            'jars',
        );
    }

    public static function inUse(string $called): self
    {
        return new self('taken', sprintf('%s is in use. End that first, or take another.', ucfirst($called)));
    }

    public static function noJars(): self
    {
        return new self('unknown', 'Say which jars stand in it.', 'jars');
    }

    public static function tooMany(): self
    {
        return new self('out_of_range', 'No more than 24 jars at once.', 'jars');
    }
}
