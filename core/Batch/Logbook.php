<?php

declare(strict_types=1);

namespace Kettle\Batch;

use Kettle\Batch\Line\Line;
use Kettle\Batch\Line\Started;
use Kettle\Batch\Line\TaskLine;
use Kettle\Batch\Line\Topped;
use Kettle\Batch\Line\Used;
use Kettle\Diary\DiaryException;
use Kettle\Diary\Event;
use Kettle\Diary\Step;
use Kettle\Time\Dates;

/** What was written down of a batch, oldest first. Nothing is ever taken out: a line is corrected or struck out by another. */
final readonly class Logbook
{
    /** @var list<Entry> what stands: without what was corrected or struck out, and without the striking */
    public array $standing;

    /** @param  list<Entry>  $entries oldest first */
    public function __construct(array $entries)
    {
        $corrected = [];
        foreach ($entries as $entry) {
            if ($entry->corrects !== null) {
                $corrected[$entry->corrects] = true;
            }
        }
        $stands = fn (Entry $entry) => ! isset($corrected[$entry->id]) && ! $entry->isUndone();
        $this->standing = array_values(array_filter($entries, $stands));
    }

    /**
     * @template T of Line
     *
     * @param  class-string<T>  $kind
     * @return list<T> oldest first
     */
    public function all(string $kind): array
    {
        return array_values(
            array_filter(array_map(fn (Entry $entry) => $entry->line, $this->standing), fn (Line $line) => $line instanceof $kind),
        );
    }

    /**
     * @template T of Line
     *
     * @param  class-string<T>  $kind
     * @return T|null
     */
    public function last(string $kind): ?Line
    {
        $all = $this->all($kind);

        return $all === [] ? null : end($all);
    }

    /** @param  class-string<Line>  $kind */
    public function lastEntry(string $kind): ?Entry
    {
        foreach (array_reverse($this->standing) as $entry) {
            if ($entry->line instanceof $kind) {
                return $entry;
            }
        }

        return null;
    }

    /** Oil added at toppings up, mL, as far as it was measured. */
    public function toppedUpMl(): float
    {
        return array_sum(array_map(fn (TaskLine $line) => $line->ml ?? 0.0, $this->all(TaskLine::class))) +
            array_sum(array_map(fn (Topped $line) => $line->ml, $this->all(Topped::class)));
    }

    /** @return list<Event> oldest first, what it all means for the days */
    public function events(): array
    {
        return array_values(array_filter(array_map(fn (Entry $entry) => $entry->line->event($entry->at), $this->standing)));
    }

    /**
     * What is written down later than it was done is not put in before the beginning or the filling, nor a step before
     * one that was done after it. Notes and looks stand by themselves.
     *
     * @throws DiaryException
     */
    public function refuseOutOfTurn(Line $line, \DateTimeImmutable $at): void
    {
        foreach ($this->standing as $entry) {
            $before =
                $entry->line instanceof Started ||
                ($line->event($at) !== null && $entry->line instanceof TaskLine && $entry->line->step() === Step::Fill) ||
                ($line->carries() && $entry->line->rests());
            if ($before && $entry->at > $at) {
                throw DiaryException::outOfTurn(Dates::say($entry->at, 'moment'));
            }
        }
    }

    /**
     * A line that is to be struck out.
     *
     * @throws DiaryException when it was struck out before, or later steps rest on it
     */
    public function toStrike(string $id): Entry
    {
        $rested = false;
        foreach (array_reverse($this->standing) as $entry) {
            if ($entry->id === $id) {
                return match (true) {
                    $entry->line instanceof Started => throw new DiaryException(
                        'cannot_undo',
                        'The beginning cannot be undone. Discard it instead.',
                    ),
                    $entry->line instanceof Used && ! $entry->line->canBeStruck() => throw new DiaryException(
                        'cannot_undo',
                        sprintf('That went into %s. Undo it there, and it comes back.', $entry->line->to ?: 'a product'),
                    ),
                    $rested && $entry->line->carries() => throw new DiaryException(
                        'cannot_undo',
                        'A later step rests on that one. Undo the later step first.',
                    ),
                    default => $entry,
                };
            }
            $rested = $rested || $entry->line->rests();
        }
        throw new DiaryException('cannot_undo', 'That was undone already.');
    }
}
