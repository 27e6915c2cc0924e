<?php

declare(strict_types=1);

namespace Kettle\Diary;

use Kettle\Time\Interval;
use Kettle\Time\Later;

/** Jars of one warmth that stand in one cooker from first to last, over one session or several. */
final readonly class CookerRun
{
    /**
     * @param  non-empty-list<CookerJob>  $jobs
     * @param  non-empty-list<Interval>  $sessions
     * @param  int  $warmUpMin minutes of each session before they are warm
     */
    public function __construct(public string $place, public array $jobs, public array $sessions, public int $warmUpMin = 0) {}

    public function start(): \DateTimeImmutable
    {
        return $this->sessions[0]->from;
    }

    public function end(): \DateTimeImmutable
    {
        return $this->sessions[count($this->sessions) - 1]->to;
    }

    /**
     * The sessions of one of its jobs: those of the run, until its own hours are full.
     *
     * @return list<Interval>
     */
    public function slots(CookerJob $job): array
    {
        $seconds = (int) round($job->hours * 3600);
        $slots = [];
        foreach ($this->sessions as $session) {
            $warm = min($seconds, $session->seconds() - $this->warmUpMin * 60);
            if ($warm > 0) {
                $slots[] = new Interval($session->from, Later::seconds($session->from, $warm + $this->warmUpMin * 60));
                $seconds -= $warm;
            }
        }

        return $slots;
    }

    public function ends(CookerJob $job): \DateTimeImmutable
    {
        $slots = $this->slots($job);

        return $slots === [] ? $this->start() : $slots[count($slots) - 1]->to;
    }
}
