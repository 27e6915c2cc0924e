<?php

declare(strict_types=1);

namespace Kettle\Caution;

use Kettle\Reason\RefusedException;

/** Something that would not be safe, or a caution nobody has read. */
final class CautionException extends RefusedException
{
    public static function untested(string $herb): self
    {
        return new self(
            'untested',
            sprintf('There is no tested way here to sour %s. It is known for garlic, basil, oregano and rosemary.', $herb),
            'kept',
        );
    }

    public static function unread(string $says): self
    {
        return new self('unread', sprintf('Say that you have read this first: %s', $says), 'acknowledged');
    }

    public static function pastUse(string $day): self
    {
        return new self('past_use', sprintf('It was to be used by %s, and is not used or given after that. Throw it away.', $day));
    }

    public static function warmTooLong(string $by): self
    {
        return new self(
            'warm_too_long',
            sprintf(
                'It was to be strained and in the refrigerator by %s. It stood warm too long since: throw it away, and do not taste it.',
                $by,
            ),
        );
    }

    public static function place(string $place): self
    {
        return new self(
            'unknown',
            sprintf('There are no cautions for “%s”. Places are %s.', mb_substr($place, 0, 40), implode(', ', Caution::PLACES)),
            'place',
        );
    }
}
