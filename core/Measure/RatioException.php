<?php

declare(strict_types=1);

namespace Kettle\Measure;

use Kettle\Reason\RefusedException;

/** A ratio of herb to oil that cannot be read or planned. */
final class RatioException extends RefusedException
{
    public static function unreadable(string $typed): self
    {
        return new self('unreadable', sprintf('“%s” is not a ratio. Write it like 1:5, 1 to 7 or 1:5 w/w.', mb_substr($typed, 0, 40)));
    }

    public static function outOfRange(float $parts): self
    {
        return new self(
            'out_of_range',
            sprintf(
                'One part of herb to %s of oil is outside what is made. Choose between 1:1 and 1:60; 1:5 is the usual.',
                rtrim(rtrim(number_format($parts, 2, '.', ''), '0'), '.'),
            ),
        );
    }

    public static function unknownConvention(string $by): self
    {
        return new self('unknown', sprintf('“%s” is not a way of reckoning a ratio. Use w/v, w/w or v/v.', mb_substr($by, 0, 20)));
    }
}
