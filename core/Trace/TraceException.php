<?php

declare(strict_types=1);

namespace Kettle\Trace;

use Kettle\Reason\RefusedException;

/** What was asked to be followed is not known, or could not be so. */
final class TraceException extends RefusedException
{
    public static function kind(string $kind): self
    {
        return new self('unknown', sprintf('“%s” is none of %s.', mb_substr($kind, 0, 40), implode(', ', Graph::KINDS)));
    }

    public static function unknown(string $id): self
    {
        return new self('unknown', sprintf('Nothing here goes by “%s”.', mb_substr($id, 0, 60)));
    }

    public static function twice(string $id, string $known, string $kind): self
    {
        return new self('twice', sprintf('“%s” is a %s here, and cannot be a %s too.', mb_substr($id, 0, 60), $known, $kind));
    }

    public static function backwards(string $what, string $is, string $into, string $that): self
    {
        return new self(
            'backwards',
            sprintf(
                '“%s” is a %s and “%s” a %s: the one does not go into the other.',
                mb_substr($what, 0, 60),
                $is,
                mb_substr($into, 0, 60),
                $that,
            ),
        );
    }
}
