<?php

declare(strict_types=1);

namespace Kettle\Making;

use Kettle\Reason\RefusedException;

/** A step of making a product that cannot be; says what was wrong with what. */
final class MakingException extends RefusedException
{
    public static function notOpen(Stage $stage): self
    {
        return new self(
            'not_now',
            match ($stage) {
                Stage::Discarded => 'It was thrown away. Undo that first.',
                Stage::Poured => 'It is poured already. Undo the pouring first.',
                default => 'It is not poured yet. Pour it first.',
            },
        );
    }

    public static function part(string $id): self
    {
        return new self('unknown', sprintf('Nothing called “%s” goes into this pot.', mb_substr($id, 0, 60)), 'part');
    }

    public static function weighedAlready(string $name): self
    {
        return new self('twice', sprintf('%s is in already. Undo that line if it was wrong.', ucfirst($name)), 'part');
    }

    public static function mendedSince(): self
    {
        return new self('not_now', 'The pot was mended since. Put more in as a mend, or undo the mend.', 'part');
    }

    public static function amount(): self
    {
        return new self('out_of_range', 'Say how much is in: more than nothing, and at most 20 kg.', 'amount');
    }

    public static function overLimit(string $name, string $most): self
    {
        return new self('over_limit', sprintf('That is more %s than the skin should bear here. At most %s go in.', $name, $most), 'amount');
    }

    public static function step(string $id): self
    {
        return new self('unknown', sprintf('“%s” is no step of this product.', mb_substr($id, 0, 60)), 'step');
    }

    public static function leafFirst(): self
    {
        return new self('not_now', 'There is no leaf in it. Stir it in first.', 'step');
    }

    public static function leafIn(): self
    {
        return new self('not_now', 'The leaf is in it yet. Sieve it out first.');
    }

    public static function sieved(string $there): self
    {
        return new self(
            'out_of_range',
            sprintf('Sieved there is less than the %s that were in the pot. Weigh it without the pan.', $there),
            'mass',
        );
    }

    public static function stepDone(): self
    {
        return new self('twice', 'That step is done already.', 'step');
    }

    public static function warmth(): self
    {
        return new self('out_of_range', 'A pot is between 0 and 150 °C warm.', 'warmth');
    }

    public static function room(): self
    {
        return new self('out_of_range', 'A room is between -20 and 60 °C warm.', 'room');
    }

    public static function spoon(): self
    {
        return new self('too_much', 'More went with the spoons than there is in the pot.', 'stuck');
    }

    public static function nothing(): self
    {
        return new self('missing', 'Say what went in, or what was taken out.', 'amount');
    }

    public static function out(): self
    {
        return new self('too_much', 'More was taken out than there is in the pot.', 'out');
    }

    public static function notFood(string $name): self
    {
        return new self(
            'not_food',
            sprintf('%s is nothing to eat, and this is eaten. Mend it with something that is.', ucfirst($name)),
            'part',
        );
    }

    public static function noTins(): self
    {
        return new self('missing', 'Say how many of which size were filled.', 'tins');
    }

    public static function tooManyTins(int $most): self
    {
        return new self('out_of_range', sprintf('At most %d are poured from one pot.', $most), 'tins');
    }

    public static function moreThanThereIs(string $poured, string $there): self
    {
        return new self(
            'too_much',
            sprintf('Those hold %s, and there are %s in the pot. Take fewer, or smaller ones.', $poured, $there),
            'tins',
        );
    }

    public static function oilThrown(string $code): self
    {
        return new self(
            'not_now',
            sprintf('Its oil, %s, was thrown away since. Throw this away too, and tell whoever has some of it.', $code),
        );
    }

    public static function tin(int $number): self
    {
        return new self('unknown', sprintf('There is no number %d of this product.', $number), 'tin');
    }

    public static function gone(int $number): self
    {
        return new self('twice', sprintf('Number %d is gone already. Undo that line if it was wrong.', $number), 'tin');
    }

    public static function bottle(string $called, string $there, string $asked): self
    {
        return new self(
            'not_so_much',
            sprintf(
                'The bottles of %s hold %s by now, and %s are wanted. Somebody may have poured from them meanwhile.',
                $called,
                $there,
                $asked,
            ),
        );
    }
}
