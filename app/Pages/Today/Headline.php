<?php

namespace App\Pages\Today;

use App\House\KitchenFactory;
use App\Responses\Today\TaskView;
use Kettle\Recipe\Numbers;
use Kettle\Time\Dates;

/** The day in a sentence: "Tuesday. Half an hour of hands, and one jar that cannot wait." */
final readonly class Headline
{
    /** What may be done a day later, and nothing spoils. */
    private const CAN_WAIT = ['shake', 'smell'];

    public function __construct(private KitchenFactory $kitchens) {}

    /**
     * @param  list<TaskView>  $tasks those shown
     * @param  int  $total of open ones, shown or not
     */
    public function of(array $tasks, int $total): string
    {
        $day = Dates::say($this->kitchens->now(), 'name_of_day');
        $open = array_filter($tasks, fn (TaskView $task) => $task->open);
        if ($open === []) {
            return "{$day}. Nothing wants doing.";
        }
        $late = count(
            array_unique(
                array_map(
                    fn (TaskView $t) => $t->batch,
                    array_filter($open, fn (TaskView $t) => $t->overdue && ! in_array($t->step, self::CAN_WAIT, true)),
                ),
            ),
        );
        $hands = $this->hands(array_sum(array_map(fn (TaskView $task) => $task->minutes, $open)));
        $danger = count(array_filter($open, fn (TaskView $task) => $task->danger));
        if ($danger > 0) {
            return sprintf('%s. Throw %s away before anything else.', $day, $danger === 1 ? 'one jar' : Numbers::word($danger).' jars');
        }
        if ($total > count($open)) {
            return sprintf('%s. %d things to do; the first %d are here.', $day, $total, count($open));
        }

        return match (true) {
            $late === 1 => "{$day}. {$hands} of hands, and one jar that cannot wait.",
            $late > 1 => sprintf('%s. %s of hands, and %s jars that cannot wait.', $day, $hands, Numbers::word($late)),
            default => "{$day}. {$hands} of hands.",
        };
    }

    private function hands(int $minutes): string
    {
        return match (true) {
            $minutes < 10 => 'A few minutes',
            $minutes < 23 => 'A quarter of an hour',
            $minutes < 40 => 'Half an hour',
            $minutes < 53 => 'Three quarters of an hour',
            $minutes < 75 => 'An hour',
            default => ucfirst(Numbers::word((int) round($minutes / 60))).($minutes < 90 ? ' hour' : ' hours'),
        };
    }
}
