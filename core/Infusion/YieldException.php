<?php

declare(strict_types=1);

namespace Kettle\Infusion;

use Kettle\Reason\RefusedException;

/** A strained amount that cannot be. */
final class YieldException extends RefusedException
{
    public static function nothing(): self
    {
        return new self('not_above_zero', 'Say how much came out; it must be more than nothing.', 'amount');
    }

    public static function moreThanWentIn(string $out, string $in): self
    {
        return new self(
            'too_much',
            sprintf(
                '%s cannot come out when %s went in. Check the measure; was the weight of the jar taken off, or grams read as millilitres?',
                $out,
                $in,
            ),
            'amount',
        );
    }

    public static function whatJug(): self
    {
        return new self('missing', 'Say what the empty jug weighs, or 0 g where the scale has taken it off.', 'tare');
    }

    /** @param  array<string>  $of */
    public static function noneOf(string $said, string $field, array $of): self
    {
        return new self('unknown', sprintf('“%s” is none of %s.', mb_substr($said, 0, 40), implode(', ', $of)), $field);
    }

    public static function herbKeepsIt(): self
    {
        return new self('too_thick', 'With so little oil the herb would keep nearly all of it. Take a leaner ratio, or press it.', 'ratio');
    }
}
