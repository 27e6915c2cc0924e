<?php

declare(strict_types=1);

namespace Kettle\Fault;

use Kettle\Reason\RefusedException;

/** Nothing was seen, or what nobody here knows. */
final class FaultException extends RefusedException
{
    public static function nothingSeen(): self
    {
        return new self('missing', 'Say what is seen or smelled: at least one sign.', 'signs');
    }

    public static function unknown(string $sign): self
    {
        return new self('unknown', sprintf('“%s” is no sign on the list. Choose from it.', mb_substr($sign, 0, 40)), 'signs');
    }
}
