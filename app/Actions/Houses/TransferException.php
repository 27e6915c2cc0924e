<?php

namespace App\Actions\Houses;

use Kettle\Reason\RefusedException;

/** What cannot be carried out of a house or into it as it was asked. */
final class TransferException extends RefusedException
{
    public static function tooLarge(): self
    {
        return new self(
            'large',
            'There is more in this house than one JSON document is given for. Take it out as a zip, which holds any house.',
        );
    }

    public static function gone(): self
    {
        return new self('gone', 'That is not there any more. Begin anew.');
    }

    public static function gap(int $got): self
    {
        return new self('gap', "So far {$got} bytes are here. Send what comes after them.", 'from');
    }

    public static function notWhole(int $got, int $size): self
    {
        return new self('gap', "Of {$size} bytes only {$got} are here. Send the rest first.", 'from');
    }

    public static function tooMuch(int $megabytes): self
    {
        return new self('large', "More than {$megabytes} MB are not taken in here.", 'size');
    }

    public static function busy(): self
    {
        return new self('busy', 'It is at work already.');
    }
}
