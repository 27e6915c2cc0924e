<?php

namespace App\Labels;

use Kettle\Reason\RefusedException;

/** A label that cannot be printed so. */
final class LabelException extends RefusedException
{
    public static function size(string $id): self
    {
        return new self(
            'unknown',
            sprintf('No sheet or roll is called “%s” here. Choose one from the list.', mb_substr($id, 0, 40)),
            'size',
        );
    }

    public static function start(int $start, int $each): self
    {
        return new self(
            'out_of_range',
            sprintf('That sheet has %d labels; the first free one cannot be number %d.', $each, $start),
            'start',
        );
    }

    public static function field(string $id): self
    {
        return new self('unknown', sprintf('A label has no field “%s”.', mb_substr($id, 0, 40)), 'fields');
    }

    public static function unsaid(): self
    {
        return new self(
            'does_not_fit',
            'What it contains, or what must be said of it, does not fit on this label, even small, so it is not '.
                'printed. Take a larger label, or a shorter name.',
            'size',
        );
    }

    public static function roll(): self
    {
        return new self('not_open', 'The simulated printer takes rolls only. Choose a roll, or print the sheet as PDF.', 'size');
    }
}
