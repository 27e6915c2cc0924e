<?php

declare(strict_types=1);

namespace Kettle\Vessel;

use Kettle\Measure\AmountWriter;
use Kettle\Measure\Kind;
use Kettle\Reason\RefusedException;

/** Bottles that cannot be filled from the oil there is. */
final class FillingException extends RefusedException
{
    public static function none(): self
    {
        return new self('missing', 'Say how many bottles of which size were filled.', 'bottles');
    }

    public static function count(int $count): self
    {
        return new self('out_of_range', sprintf('%d bottles is not a kitchen’s filling. Give a number from 0 to 500.', $count), 'bottles');
    }

    public static function moreThanThereIs(string $filled, string $there): self
    {
        return new self(
            'too_much',
            sprintf(
                'Those bottles hold %s, and %s was strained. Take fewer or smaller ones, or correct what was strained.',
                $filled,
                $there,
            ),
            'bottles',
        );
    }

    public static function notInStores(int $wanted, int $there): self
    {
        return new self(
            'short',
            sprintf(
                '%d are wanted, and Stores has %s of that size. Fill fewer, or enter more in Stores.',
                $wanted,
                $there === 0 ? 'none' : $there,
            ),
            'bottles',
        );
    }

    public static function noRoom(string $typed, string $into, float $holdsMl, float $inMl): self
    {
        return new self(
            'too_much',
            sprintf(
                '“%s” does not go into %s: to the brim it holds %s, and %s of oil count as in it. Write what went in besides, at most %s.',
                mb_substr($typed, 0, 20),
                $into,
                AmountWriter::plain($holdsMl, Kind::Volume),
                AmountWriter::plain($inMl, Kind::Volume),
                AmountWriter::plain(floor(max(0.0, $holdsMl - $inMl)), Kind::Volume),
            ),
            'amount',
        );
    }
}
