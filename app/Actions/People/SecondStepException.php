<?php

namespace App\Actions\People;

use Kettle\Reason\RefusedException;

/** Somebody who has a second step at the door did not take it, or it is not as it was thought. */
final class SecondStepException extends RefusedException
{
    public static function wanted(): self
    {
        return new self('second', 'Type the six figures that your app shows, or one of the codes you have on paper.', 'code');
    }

    public static function wrong(): self
    {
        return new self('wrong', 'That code is not right, or was used already. Wait for the next one, or take one from paper.', 'code');
    }

    public static function tooOften(): self
    {
        return new self('often', 'Too many wrong codes. Wait a quarter of an hour.', 'code');
    }

    public static function notBegun(): self
    {
        return new self('begun', 'Begin with a new picture first.', 'code');
    }

    public static function on(): self
    {
        return new self('on', 'It is on already. Turn it off first, to begin with another phone.');
    }
}
