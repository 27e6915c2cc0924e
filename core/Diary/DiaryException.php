<?php

declare(strict_types=1);

namespace Kettle\Diary;

use Kettle\Reason\RefusedException;

/** A time, a day or a step that the diary cannot take. */
final class DiaryException extends RefusedException
{
    public static function time(string $typed): self
    {
        return new self('unreadable', sprintf('“%s” is not a time of day. Write it like 07:00 or 22:30.', mb_substr($typed, 0, 20)));
    }

    public static function shortDay(): self
    {
        return new self('out_of_range', 'Bed must come at least four hours after getting up, on the same day.');
    }

    /** @param  string  $moment of what was written down meanwhile, and done after it */
    public static function outOfTurn(string $moment): self
    {
        return new self(
            'out_of_turn',
            sprintf('Meanwhile something was written down that was done later, on %s. Keep this as a note, or let it go.', $moment),
        );
    }

    public static function putOffThen(): self
    {
        return new self('put_off_then', 'What is put off is put off from now on. Put it off again, if it is still wanted.');
    }

    public static function onlyShakenThen(): self
    {
        return new self('not_then', 'Of what is done at the stove only a shaking is written down later. Switch it here as it is now.');
    }

    public static function nothingToWarm(string $herb): self
    {
        return new self('not_open', sprintf('The %s is not filled yet, or strained already: there is nothing to warm.', $herb));
    }

    public static function standsInACooker(string $herb): self
    {
        return new self('not_open', sprintf('The %s stands in a cooker already.', $herb));
    }

    public static function onlyNotes(): self
    {
        return new self('cannot_correct', 'Only a note is corrected by a note. Undo the step instead, and enter it again.');
    }

    public static function hours(string $typed): self
    {
        return new self(
            'unreadable',
            sprintf('“%s” is not a while of the day. Write whiles in order, like 07:00-08:30, 17:00-22:30.', mb_substr($typed, 0, 40)),
        );
    }

    public static function endsFirst(string $typed): self
    {
        return new self(
            'unreadable',
            sprintf('“%s” ends before it begins. Write it by 24 hours, like 09:00-17:00, or 9am-5pm.', mb_substr($typed, 0, 40)),
        );
    }

    public static function thing(string $typed): self
    {
        return new self(
            'unknown',
            sprintf('“%s” is not among what there may be to work with. Choose from the list.', mb_substr($typed, 0, 40)),
        );
    }

    public static function room(string $least, string $most): self
    {
        return new self('out_of_range', "A room is between {$least} and {$most}.");
    }

    public static function weekday(string $typed): self
    {
        return new self(
            'unreadable',
            sprintf('“%s” is not a day of the week. Give 1 for Monday to 7 for Sunday.', mb_substr($typed, 0, 20)),
        );
    }

    public static function day(string $typed): self
    {
        return new self('unreadable', sprintf('“%s” is not a day. Write it like 2026-12-12.', mb_substr($typed, 0, 20)));
    }

    public static function past(string $day, string $today): self
    {
        return new self('in_the_past', sprintf('%s has gone by; today is %s. Choose today or a day to come.', $day, $today));
    }

    public static function begunToCome(string $day): self
    {
        return new self('to_come', sprintf('%s is to come: a jar that stands was begun today or before.', $day));
    }

    public static function begunLongAgo(string $day, int $years): self
    {
        return new self(
            'out_of_range',
            sprintf('%s is more than %d years ago. What stood under oil so long is thrown away, and is not planned.', $day, $years),
        );
    }

    public static function begunAndToBegin(): self
    {
        return new self('disagree', 'It stands already, or it is to be begun: leave one of the two days out.');
    }

    public static function begunWarm(string $method): self
    {
        return new self(
            'never_so',
            sprintf('By %s it would be done by now, and nobody knows how long it was warm. Enter the way it stands now.', $method),
        );
    }

    public static function madeAndToMake(): self
    {
        return new self('disagree', 'It was made before, or it is to be made: leave the other day out.');
    }

    public static function madeToCome(string $day): self
    {
        return new self('to_come', sprintf('%s is to come: an oil that is there was strained today or before.', $day));
    }

    public static function neitherDay(): self
    {
        return new self('missing', 'Say when it was strained, or the best-before day that is written on it: one of the two tells its age.');
    }

    public static function bestBeforeMade(): self
    {
        return new self('disagree', 'It was best before a day on which it was not yet made. One of the two days is a slip.');
    }

    public static function farFromNow(string $day, int $years): self
    {
        return new self(
            'out_of_range',
            sprintf('%s is more than %d years from now. No oil keeps so long; look at the year.', $day, $years),
        );
    }

    public static function howMuchIsThere(): self
    {
        return new self('missing', 'Say how much of it there is, such as 250 mL, or how many bottles of which size.');
    }

    public static function coldAndOver(): self
    {
        return new self(
            'never_so',
            'What is kept cold of fresh herb has four days, and is not entered afterwards: use it up or freeze it within them, '.
                'and throw away what is older or of which nobody knows the hour.',
        );
    }

    public static function tooFar(string $day, string $most): self
    {
        return new self('out_of_range', sprintf('%s is more than %s off. Choose a nearer day.', $day, $most));
    }

    public static function pastStraining(string $day, string $verb): self
    {
        return new self(
            'deadline',
            sprintf('By then it has been strained: that is due on %s. Choose a day before, or do not %s it at all.', $day, $verb),
            'until',
        );
    }

    public static function startAfterReady(string $start, string $ready): self
    {
        return new self(
            'in_the_past',
            sprintf('It cannot start on %s and be ready on %s. Start earlier, or want it later.', $start, $ready),
        );
    }

    public static function deadline(string $verb): self
    {
        return new self(
            'deadline',
            sprintf('That is not put off: after its day it is not safe. What is too late to %s is thrown away.', $verb),
            'until',
        );
    }

    public static function warmthUnknown(): self
    {
        return new self(
            'warmth_unknown',
            'Nobody wrote down the warmth that was planned. Say whether it had it: without it, it keeps otherwise.',
            'warmth',
        );
    }

    public static function pastToppingUp(): self
    {
        return new self('past', 'It is past its best: fresh oil does not mend it. Throw it away, and begin anew.');
    }

    public static function notOpen(string $task): self
    {
        return new self(
            'not_open',
            sprintf('There is nothing to %s just now; it may have been done already. Look again at what comes next.', $task),
        );
    }

    public static function cannotSkip(string $task): self
    {
        return new self(
            'cannot_skip',
            sprintf('A batch cannot go on without the step “%s”. Put it off instead, or discard the batch.', $task),
        );
    }
}
