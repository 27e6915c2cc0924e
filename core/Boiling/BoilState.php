<?php

declare(strict_types=1);

namespace Kettle\Boiling;

use Kettle\Batch\Entry;
use Kettle\Batch\Line\Discarded;
use Kettle\Batch\Logbook;
use Kettle\Boiling\Line\Covered;
use Kettle\Boiling\Line\Lit;
use Kettle\Boiling\Line\Made;
use Kettle\Boiling\Line\Marked;
use Kettle\Boiling\Line\Moved;
use Kettle\Boiling\Line\SignsSeen;
use Kettle\Boiling\Line\Taken;
use Kettle\Boiling\Line\Warmed;
use Kettle\Time\Interval;

/** Where a pot stands: folded from what it was begun with and its logbook, whenever it is asked. */
final readonly class BoilState
{
    /** What is left of less than this is nothing, mL or g. */
    private const NOTHING = 0.5;

    /**
     * @param  list<Interval>  $flames when it was over the flame; the last one ends now where it is yet
     * @param  ?\DateTimeImmutable  $onSince since when it is over the flame; null where it is not
     * @param  list<array{at: \DateTimeImmutable, h: float, ml: float}>  $marks since more was poured in last, by hours of flame in all
     * @param  array<string, array{is: string, at: \DateTimeImmutable, h: float}>  $seen the last look at each sign
     * @param  list<array{at: \DateTimeImmutable, celsius: float}>  $warmths oldest first, since it was put over the flame last
     * @param  float  $left of what came of it, in what it was made in
     * @param  ?\DateTimeImmutable  $lastAt of the last line that later ones come after
     * @param  ?\DateTimeImmutable  $notBefore somebody moved it: it is lit no sooner
     */
    private function __construct(
        public FrozenBoil $plan,
        public Stage $stage,
        public array $flames,
        public ?\DateTimeImmutable $onSince,
        public array $marks,
        public array $seen,
        public array $warmths,
        public ?Made $made,
        public ?\DateTimeImmutable $madeAt,
        public float $left,
        public ?\DateTimeImmutable $lastAt,
        public float $flameH,
        public ?\DateTimeImmutable $notBefore,
    ) {}

    public static function of(FrozenBoil $plan, Logbook $log, \DateTimeImmutable $now): self
    {
        $flames = $marks = $seen = $warmths = [];
        $onSince = $made = $madeAt = $lastAt = $notBefore = null;
        $hours = $taken = 0.0;
        $discarded = false;
        foreach (self::inTime($log) as $entry) {
            $line = $entry->line;
            $lastAt = $entry->at;
            $h = $hours + ($onSince === null ? 0.0 : self::hours($onSince, $entry->at));
            if ($line instanceof Lit && $onSince === null) {
                $onSince = $entry->at;
                $warmths = [];
                $notBefore = null;
            } elseif ($line instanceof Moved) {
                $notBefore = $line->until;
            } elseif ($line instanceof Marked) {
                $marks = [...$line->anew ? [] : $marks, ['at' => $entry->at, 'h' => $h, 'ml' => $line->ml]];
            } elseif ($line instanceof Warmed) {
                $warmths[] = ['at' => $entry->at, 'celsius' => $line->celsius];
            } elseif ($line instanceof SignsSeen) {
                foreach ($line->seen as $sign => $is) {
                    $seen[$sign] = ['is' => $is, 'at' => $entry->at, 'h' => $h];
                }
            } elseif ($line instanceof Made) {
                [$made, $madeAt] = [$line, $entry->at];
            } elseif ($line instanceof Taken) {
                $taken += $line->amount;
            } elseif ($line instanceof Discarded) {
                $discarded = true;
            }
            // Strained or thrown away, it is off the flame, whether somebody said so or not.
            if ($onSince !== null && ($line instanceof Covered || $line instanceof Made || $line instanceof Discarded)) {
                $flames[] = new Interval($onSince, $entry->at);
                [$hours, $onSince] = [$h, null];
            }
        }
        if ($onSince !== null) {
            $now = max($now, $onSince);
            $flames[] = new Interval($onSince, $now);
            $hours += self::hours($onSince, $now);
        }
        $left = $made === null ? 0.0 : max(0.0, $made->amount - $taken);

        return new self(
            $plan,
            match (true) {
                $discarded => Stage::Discarded,
                $made !== null => $left < self::NOTHING || $made->batch !== null ? Stage::Gone : Stage::Made,
                $onSince !== null => Stage::On,
                $flames !== [] => Stage::Off,
                default => Stage::Planned,
            },
            $flames,
            $onSince,
            $marks,
            $seen,
            $warmths,
            $made,
            $madeAt,
            $left,
            $lastAt,
            $hours,
            $notBefore,
        );
    }

    /** Whether what it was filled from is gone: thrown away before it was over a flame, nothing of it was. */
    public function isFilled(): bool
    {
        return $this->stage !== Stage::Discarded || $this->flames !== [] || $this->made !== null;
    }

    /** Hours of flame up to a moment. */
    public function flameHAt(\DateTimeImmutable $moment): float
    {
        $hours = 0.0;
        foreach ($this->flames as $flame) {
            if ($flame->from < $moment) {
                $hours += self::hours($flame->from, min($flame->to, $moment));
            }
        }

        return $hours;
    }

    /** Hours of flame it has had on the day of a moment. */
    public function flameHOn(\DateTimeImmutable $moment): float
    {
        $midnight = $moment->setTime(0, 0);

        return $this->flameHAt($moment) - $this->flameHAt($midnight);
    }

    /** @return list<Entry> what stands, by when it happened: a line may be written down later than another that happened after it */
    private static function inTime(Logbook $log): array
    {
        $entries = $log->standing;
        usort($entries, fn (Entry $a, Entry $b) => $a->at <=> $b->at);

        return $entries;
    }

    private static function hours(\DateTimeImmutable $from, \DateTimeImmutable $to): float
    {
        return max(0, $to->getTimestamp() - $from->getTimestamp()) / 3600;
    }
}
