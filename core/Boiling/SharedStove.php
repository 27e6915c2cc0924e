<?php

declare(strict_types=1);

namespace Kettle\Boiling;

use Kettle\Diary\Availability;
use Kettle\Diary\Burners;
use Kettle\Time\Interval;

/** Pots that are boiled down on one stove: one that is lit keeps its burner, the others have one as it comes free, in turn. */
final readonly class SharedStove
{
    /** Who has a burner first: what is lit, what was, what is yet to be. */
    private const TURN = ['on' => 0, 'off' => 1, 'planned' => 2];

    /**
     * @param  ?int  $burners null where nobody counted them: then nothing waits
     * @param  list<Interval>  $others when a burner is taken by what is no pot of these: a water bath, a double boiler
     */
    public function __construct(
        private ?int $burners,
        private array $others,
        private \DateTimeImmutable $now,
        private Availability $availability,
    ) {}

    /**
     * The days of each, so that no more stand over a flame at once than there are burners.
     *
     * @param  array<int, BoilState>  $states open ones, in the order they were begun
     * @return array<int, Level> by the same keys
     */
    public function lay(array $states): array
    {
        $turn = fn (BoilState $state): int => self::TURN[$state->stage->value] ?? count(self::TURN);
        uasort($states, fn (BoilState $a, BoilState $b) => $turn($a) <=> $turn($b));
        $levels = [];
        foreach ($states as $key => $state) {
            $levels[$key] = Level::of(
                $state,
                $this->now,
                $this->availability,
                $this->burners === null || $state->stage === Stage::On ? null : $this->free($levels),
            );
        }

        return $levels;
    }

    /**
     * When somebody is by and a burner is free as well.
     *
     * @param  array<int, Level>  $levels what has its days already
     */
    public function free(array $levels): Availability
    {
        if ($this->burners === null) {
            return $this->availability;
        }
        $taken = [...$this->others, ...array_merge(...array_values(array_map(fn (Level $level) => $level->sessions, $levels)))];

        return $this->availability->without(
            array_map(fn (Interval $all) => [$all->from, $all->to], Burners::allTaken($taken, $this->burners)),
        );
    }
}
