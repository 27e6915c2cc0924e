<?php

namespace App\Actions\Houses;

use Kettle\Reason\RefusedException;

/** A file that cannot be taken in. Nothing of it has been. */
final class ImportException extends RefusedException
{
    public static function broken(): self
    {
        return new self(
            'unreadable',
            'That is neither a zip nor a JSON document of a house, or it was cut short. Nothing was taken in. '.
                'Use a file made by Export everything.',
        );
    }

    public static function brokenZip(): self
    {
        return new self(
            'unreadable',
            'That is no zip of a house, or it was cut short. Nothing was taken in. Use a file made by Export everything.',
        );
    }

    public static function damaged(string $file): self
    {
        return new self('unreadable', "That zip is damaged: {$file} does not come out as it went in. Nothing was taken in.");
    }

    public static function notOurs(string $where, string $why): self
    {
        return new self('invalid', sprintf('That file is not a whole Warm Kettle house: at “%s”, %s. Nothing was taken in.', $where, $why));
    }

    public static function codeTaken(string $code): self
    {
        return new self(
            'clash',
            sprintf(
                'The file has a batch %s, and this house has another of that code. Nothing was taken in. Take it into a house of its own.',
                $code,
            ),
        );
    }
}
