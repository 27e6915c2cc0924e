<?php

namespace App\Actions\People;

use Kettle\Reason\RefusedException;

/** A house or an account that cannot be ended as it stands. */
final class EndingException extends RefusedException
{
    public static function notOut(): self
    {
        return new self('export', 'Export everything first, and fetch the zip: what is gone comes back from nothing else.');
    }

    public static function anotherName(string $name): self
    {
        return new self('name', "Type the house’s name as it stands: {$name}.", 'name');
    }

    /** @param  list<string>  $houses */
    public static function keeps(array $houses): self
    {
        return new self(
            'keeper',
            'Without you nobody keeps '.implode(', ', $houses).'. Make somebody else a keeper there first, or end it.',
        );
    }

    public static function ofAll(): self
    {
        return new self('demo', 'This one is for everybody to look around in, and stays.');
    }
}
