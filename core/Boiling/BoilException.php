<?php

declare(strict_types=1);

namespace Kettle\Boiling;

use Kettle\Reason\RefusedException;
use Kettle\Time\Dates;

/** Something that cannot be done at a pot, or not now. */
final class BoilException extends RefusedException
{
    public static function on(): self
    {
        return new self('not_now', 'It is over the flame already.');
    }

    public static function off(): self
    {
        return new self('not_now', 'It is off the flame already.');
    }

    public static function moveLit(): self
    {
        return new self('not_now', 'It is over the flame: take it off before it is moved.', 'until');
    }

    public static function moveWhen(\DateTimeImmutable $now, int $days): self
    {
        return new self('out_of_range', sprintf('Say a time after %s, within %d days.', Dates::say($now, 'moment'), $days), 'until');
    }

    public static function moveTooFar(string $until): self
    {
        return new self('deadline', sprintf('What was poured into it is good until %s: it is cooked by then.', $until), 'until');
    }

    public static function closed(): self
    {
        return new self('not_now', 'It is strained, or thrown away: nothing more is done at the pot.');
    }

    public static function notLit(): self
    {
        return new self('not_now', 'It has not been over the flame yet.');
    }

    public static function notMade(): self
    {
        return new self('not_now', 'It is not strained yet.');
    }

    public static function noSigns(): self
    {
        return new self('never_so', 'Its signs are not looked at: it is done when it has come down to its mark.', 'signs');
    }

    public static function nothingSeen(): self
    {
        return new self('missing', 'Say what is seen of one sign at the least.', 'signs');
    }

    public static function earlier(string $at): self
    {
        return new self('out_of_range', sprintf('The line before it is of %s. Say a time from then on, and none to come.', $at), 'at');
    }

    public static function time(string $typed): self
    {
        return new self(
            'unreadable',
            sprintf('“%s” is not read as a time. Write 09:40, or yesterday 21:30.', mb_substr($typed, 0, 40)),
            'at',
        );
    }

    public static function noLevel(): self
    {
        return new self('missing', 'Say how high it stands, how much there is, or what it weighs.', 'level');
    }

    public static function aboveRim(): self
    {
        return new self('out_of_range', 'It cannot stand above the rim of the pot.', 'level');
    }

    public static function rises(string $before): self
    {
        return new self(
            'out_of_range',
            sprintf('It stood lower before: %s. It does not rise by itself; where more was poured in, say so.', $before),
            'level',
        );
    }

    public static function fellTooFast(string $gone, string $since): self
    {
        return new self(
            'out_of_range',
            sprintf('No flame boils %s off since %s. Read it again; where some was taken out, say so.', $gone, $since),
            'level',
        );
    }

    public static function warmth(): self
    {
        return new self('out_of_range', 'Warmth here is from 0 to 250 °C.', 'warmth');
    }

    public static function signsDisagree(string $why): self
    {
        return new self('not_done', sprintf('The four signs do not agree: %s Water left in it spoils the oil.', $why), 'anyway');
    }

    public static function tooMuch(string $there): self
    {
        return new self('out_of_range', sprintf('No more comes out than stood in it: %s.', $there), 'amount');
    }

    public static function onlyCooked(): self
    {
        return new self('said_twice', 'A long oil is cooked in what is poured from another pot; its cleansing is not. Plan the cooking.');
    }

    public static function notThere(string $kind): self
    {
        return new self(
            'unknown',
            $kind === 'cleanse' ? 'No oil that was cleansed here goes by that pot.' : 'No decoction that is here goes by that pot.',
        );
    }

    public static function pastItsDay(string $until): self
    {
        return new self('past', sprintf('It was good until %s. Nothing is taken of it any more: throw it away.', $until), 'amount');
    }

    public static function notSoMuchLeft(string $left): self
    {
        return new self('out_of_range', sprintf('There is %s left of it.', $left), 'amount');
    }
}
