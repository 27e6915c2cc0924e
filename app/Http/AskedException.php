<?php

namespace App\Http;

use Kettle\Reason\RefusedException;
use Kettle\Reason\UnknownField;

/** Something after the question mark of an address that is not asked there, or not so. */
final class AskedException extends RefusedException
{
    /** @param  list<string>  $known */
    public static function unknown(string $name, array $known): self
    {
        return new self('unknown_field', UnknownField::sentence($name, $known), mb_substr($name, 0, 40));
    }

    /** @param  list<string>  $values */
    public static function noneOf(string $name, string $value, array $values): self
    {
        return new self('unknown', sprintf('“%s” is none of %s.', mb_substr($value, 0, 40), implode(', ', $values)), $name);
    }

    public static function tooMany(string $name, int $most): self
    {
        return new self('too_many', sprintf('“%s” may hold at most %d.', $name, $most), $name);
    }

    public static function unreadable(string $name): self
    {
        return new self('unreadable', sprintf('“%s” cannot be read. Write it once, as the document of this interface says.', $name), $name);
    }
}
