<?php

declare(strict_types=1);

namespace Kettle\Diary;

/** What a house's cookers are booked for, to see where one more jar would find its place among it, and whom it would move. */
final class Bookings
{
    /** Less is not worth telling, minutes. */
    private const WORTH_TELLING_MIN = 15;

    /** The diary without one more: placed once, for many that are tried beside each other. */
    private ?CookerDiary $asItStands = null;

    /**
     * @param  list<CookerPlace>  $places
     * @param  list<array{job: CookerJob, from: ?\DateTimeImmutable}>  $booked with when each is to be put to warm next, as it stands
     */
    public function __construct(public readonly array $places, private readonly array $booked) {}

    public static function none(): self
    {
        return new self([], []);
    }

    /** @return list<CookerPlace> those a method is done in */
    public function placesFor(string $method): array
    {
        return array_values(array_filter($this->places, fn (CookerPlace $place) => in_array($method, $place->kinds, true)));
    }

    /**
     * Where one more would be warmed.
     *
     * @param  bool  $among whether the others may be placed anew for it; else it goes where they leave room
     */
    public function place(CookerJob $job, Availability $availability, \DateTimeImmutable $now, bool $among = true): Booking
    {
        $jobs = array_column($this->booked, 'job');
        $diary = $among
            ? CookerDiary::plan([...$jobs, $job], $this->places, $availability, $now)
            : ($this->asItStands ??= CookerDiary::plan($jobs, $this->places, $availability, $now))->with($job);
        $run = $diary->runOf($job->id);
        $moves = [];
        foreach ($this->booked as ['job' => $other, 'from' => $was]) {
            $is = $diary->runOf($other->id)?->start();
            if (
                $was !== null &&
                $was > $now &&
                $is !== null &&
                abs($is->getTimestamp() - $was->getTimestamp()) >= self::WORTH_TELLING_MIN * 60
            ) {
                $moves[] = ['called' => $other->called, 'was' => $was, 'is' => $is];
            }
        }

        return new Booking(
            $run?->slots($job) ?? [],
            $run->warmUpMin ?? $job->warmUpMin,
            $this->called($run?->place),
            $this->sharedWith($run, $job),
            $moves,
            $diary->says($job),
        );
    }

    private function called(?string $id): string
    {
        foreach ($this->places as $place) {
            if ($place->cooker->id === $id) {
                return $place->cooker->called;
            }
        }

        return '';
    }

    /** @return list<string|array<string, mixed>> */
    private function sharedWith(?CookerRun $run, CookerJob $job): array
    {
        return $run === null
            ? []
            : array_values(
                array_map(fn (CookerJob $each) => $each->called, array_filter($run->jobs, fn (CookerJob $each) => $each->id !== $job->id)),
            );
    }
}
