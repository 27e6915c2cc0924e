<?php

declare(strict_types=1);

namespace Kettle\Keeping;

use Kettle\Reason\RefusedException;

/** A way of keeping the tables do not know, or an amount that cannot be. */
final class KeepingException extends RefusedException
{
    /** @param  list<string>  $known */
    public static function unknown(string $what, string $id, array $known): self
    {
        return new self('unknown', sprintf('“%s” is no %s here. Choose one of %s.', mb_substr($id, 0, 40), $what, implode(', ', $known)));
    }

    public static function noOil(): self
    {
        return new self('not_above_zero', 'Say how much oil it is for: more than nothing, and at most 20 L.', 'oil_ml');
    }
}
