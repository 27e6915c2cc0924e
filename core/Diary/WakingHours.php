<?php

declare(strict_types=1);

namespace Kettle\Diary;

/** The hours somebody is up, in the house's own time zone: "07:00" to "22:30". */
final readonly class WakingHours
{
    private function __construct(private int $fromMinute, private int $toMinute)
    {
    }

    /** @throws DiaryRefused when unreadable, or shorter than four hours */
    public static function between(string $from, string $to): self
    {
        $minutes = [];
        foreach ([$from, $to] as $time) {
            if (preg_match('/^([01]?\d|2[0-3]):([0-5]\d)$/', $time, $m) !== 1) {
                throw DiaryRefused::time($time);
            }
            $minutes[] = (int) $m[1] * 60 + (int) $m[2];
        }
        if ($minutes[1] - $minutes[0] < 240) {
            throw DiaryRefused::shortDay();
        }

        return new self($minutes[0], $minutes[1]);
    }

    public function from(\DateTimeImmutable $day): \DateTimeImmutable
    {
        return $day->setTime(intdiv($this->fromMinute, 60), $this->fromMinute % 60);
    }

    public function to(\DateTimeImmutable $day): \DateTimeImmutable
    {
        return $day->setTime(intdiv($this->toMinute, 60), $this->toMinute % 60);
    }

    /** The moment itself when somebody is up, else the next getting up. */
    public function nextAwake(\DateTimeImmutable $moment): \DateTimeImmutable
    {
        return match (true) {
            $moment < $this->from($moment) => $this->from($moment),
            $moment > $this->to($moment) => $this->from($moment->modify('+1 day')),
            default => $moment,
        };
    }

    /** Mid-morning: two hours after getting up, for work that need not be early. */
    public function midMorning(\DateTimeImmutable $day): \DateTimeImmutable
    {
        return $this->from($day)->modify('+2 hours');
    }

    public function hours(): float
    {
        return ($this->toMinute - $this->fromMinute) / 60;
    }

    public function fromText(): string
    {
        return sprintf('%02d:%02d', intdiv($this->fromMinute, 60), $this->fromMinute % 60);
    }

    public function toText(): string
    {
        return sprintf('%02d:%02d', intdiv($this->toMinute, 60), $this->toMinute % 60);
    }
}
