<?php

declare(strict_types=1);

namespace Kettle\Practice;

use Kettle\Reason\RefusedException;

/** What was asked of a made-up jar is not there, or could not be read. */
final class PracticeException extends RefusedException
{
    public static function noSuchJar(int $number, int $count): self
    {
        return new self('unknown', sprintf('There are made-up jars from 1 to %d, and none of number %d.', $count, $number), 'jar');
    }

    public static function noSuchTask(string $id): self
    {
        return new self('unknown', sprintf('Nothing is practised here by the name of “%s”.', mb_substr($id, 0, 40)), 'task');
    }

    public static function noSuchChoice(): self
    {
        return new self('unknown', 'Choose one of those that are offered.', 'answer');
    }
}
