<?php

namespace App\Backup;

/** A passphrase that shuts nothing, or opens nothing. */
final class SealException extends \RuntimeException
{
    public static function short(int $least): self
    {
        return new self("A passphrase of {$least} letters at the least, please: a few words do.");
    }

    public static function none(): self
    {
        return new self('These are no sealed secrets, or they are damaged.');
    }

    public static function wrong(): self
    {
        return new self('The passphrase is another, or the sealed secrets are damaged.');
    }
}
