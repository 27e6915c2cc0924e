<?php

namespace App\Actions\Diary;

use Kettle\Reason\RefusedException;

/** A calendar that cannot be read, or a while away that cannot be. */
final class CalendarException extends RefusedException
{
    public static function unreadable(): self
    {
        return new self('unreadable', 'That is not a calendar that can be read. Save it as an .ics file and choose it again.', 'ics');
    }

    public static function endless(): self
    {
        return new self(
            'too_much',
            'Something in that calendar comes again so often that it cannot be taken in. Take that entry out, and choose it again.',
            'ics',
        );
    }

    public static function neverComes(): self
    {
        return new self(
            'unreadable',
            'Something in that calendar is to come again on a day or at an hour that there never is. Take that '.
                'entry out, and choose it again.',
            'ics',
        );
    }

    public static function tooMany(int $most): self
    {
        return new self('too_much', sprintf('There are more than %d busy times in it. Save a calendar with less in it.', $most), 'ics');
    }

    public static function moment(string $field, string $typed): self
    {
        return new self(
            'unreadable',
            sprintf('“%s” is not a day or a moment. Write it like 2026-12-24 or 2026-12-24T14:00.', mb_substr($typed, 0, 20)),
            $field,
        );
    }

    public static function backwards(): self
    {
        return new self('out_of_range', 'It must end after it begins.', 'to');
    }

    public static function tooLong(): self
    {
        return new self('out_of_range', 'Nobody plans to be away longer than a year here. Give a shorter while.', 'to');
    }

    public static function gone(): self
    {
        return new self('in_the_past', 'That is over already.', 'to');
    }
}
