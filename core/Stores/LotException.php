<?php

declare(strict_types=1);

namespace Kettle\Stores;

use Kettle\Reason\RefusedException;

/** A lot, a taking or a check that cannot be. */
final class LotException extends RefusedException
{
    public static function sizeless(): self
    {
        return new self('missing', 'Say how much each holds to the brim, such as 30 mL.', 'material');
    }

    public static function kind(): self
    {
        return new self('unknown', 'Say what it is: herb, carrier, wax, scent, addition, jar, bottle or tin.', 'kind');
    }

    public static function noSuch(string $id): self
    {
        return new self(
            'unknown',
            sprintf(
                'There is no lot “%s” in Stores. Choose another, or leave it open: the oldest sound one is taken.',
                mb_substr($id, 0, 40),
            ),
            'lot',
        );
    }

    public static function ofAnother(string $lot, string $wanted): self
    {
        return new self('disagree', sprintf('The lot “%s” in Stores is not %s. Choose one that is.', $lot, $wanted), 'lot');
    }

    public static function nameless(): self
    {
        return new self('missing', 'Choose what it is from the list, or write its name.', 'material');
    }

    public static function tooLong(string $field, int $most): self
    {
        return new self('too_long', sprintf('That is too long: at most %d letters.', $most), $field);
    }

    public static function count(string $typed): self
    {
        return new self(
            'unreadable',
            sprintf('“%s” is not a number of pieces. Write a whole number from 0 to 10000.', mb_substr($typed, 0, 20)),
            'amount',
        );
    }

    public static function moreThanCame(string $typed, string $got): self
    {
        return new self(
            'out_of_range',
            sprintf(
                '“%s” is far more than the %s that came in. Write what is left; or if more came in, change how much there was first.',
                mb_substr($typed, 0, 20),
                $got,
            ),
            'amount',
        );
    }

    public static function partOfWhich(string $typed, string $got, string $ofGot, string $left, string $ofLeft): self
    {
        return new self(
            'ambiguous',
            sprintf(
                '“%s” is %s of the %s that came in, and %s of the %s there should be. Write which amount is left.',
                mb_substr($typed, 0, 20),
                $ofGot,
                $got,
                $ofLeft,
                $left,
            ),
            'amount',
        );
    }

    public static function otherMoney(string $typed, string $sign): self
    {
        return new self(
            'unknown',
            sprintf(
                '“%s” is in %s, and this house reckons in other money. Write what it cost in the house’s.',
                mb_substr($typed, 0, 20),
                $sign,
            ),
            'price',
        );
    }

    public static function price(string $typed): self
    {
        return new self(
            'unreadable',
            sprintf('“%s” is not a price. Write it like 6.40; leave it out where it cost nothing.', mb_substr($typed, 0, 20)),
            'price',
        );
    }

    public static function day(string $typed, string $field): self
    {
        return new self('unreadable', sprintf('“%s” is not a day. Write it like 2026-10-03.', mb_substr($typed, 0, 20)), $field);
    }

    public static function toCome(string $field): self
    {
        return new self('in_the_future', 'That day is still to come. Give the day it happened.', $field);
    }

    public static function openedBefore(): self
    {
        return new self('disagree', 'It cannot have been opened before it was got. Check the two days.', 'opened_on');
    }

    public static function pastWhenGot(): self
    {
        return new self(
            'disagree',
            'Its best before lies before the day it was got. Check the two days; what was past its day when you got it is best left out.',
            'best_before',
        );
    }

    public static function how(string $typed): self
    {
        return new self(
            'unknown',
            sprintf('“%s” is not how a lot is got: write bought or gathered, or leave it out and note it.', mb_substr($typed, 0, 20)),
            'got_how',
        );
    }

    public static function yesOrNo(string $typed, string $field): self
    {
        return new self('unreadable', sprintf('“%s” is neither yes nor no.', mb_substr($typed, 0, 20)), $field);
    }

    public static function nothingToCheck(LotKind|string $kind): self
    {
        return new self(
            'not_open',
            sprintf('There is nothing to check about a %s but that it is whole and dry.', $kind instanceof LotKind ? $kind->word() : $kind),
            'answers',
        );
    }

    public static function unanswered(string $asks, string $field): self
    {
        return new self('missing', sprintf('Answer this too: “%s”.', $asks), $field);
    }

    public static function emptier(string $lot, string $left, string $wanted): self
    {
        return new self(
            'too_much',
            sprintf(
                '%s holds %s, and %s is wanted from it. Take stock of it, plan a smaller batch, or take the rest from another.',
                ucfirst($lot),
                $left,
                $wanted,
            ),
            'takes',
        );
    }
}
