<?php

namespace App\Pages\Diary;

use App\House\KitchenFactory;
use App\Models\Task;
use App\Models\Tenancy\CurrentHouse;
use App\Pages\Boil\BoilDiary;
use App\Pages\Making\WantedPage;
use App\Pages\Today\TaskPresenter;
use Illuminate\Support\Carbon;
use Kettle\Diary\Step;
use Sabre\VObject\Component\VCalendar;

/** What is to be done in the days to come, as iCalendar (RFC 5545). */
final readonly class DiaryFile
{
    private const DAYS = 120;

    private const TASKS = 1000;

    private const PLACES = ['bench' => 'the bench', 'shelf' => 'the shelf', 'stove' => 'the stove', 'press' => 'the press'];

    public function __construct(
        private CurrentHouse $current,
        private TaskPresenter $words,
        private WantedPage $wanted,
        private KitchenFactory $kitchens,
        private BoilDiary $boils,
    ) {}

    public function __invoke(): string
    {
        $house = $this->current->house();
        $calendar = new VCalendar([
            'PRODID' => '-//Warm Kettle//Diary//EN',
            'X-WR-CALNAME' => $house->name,
            'METHOD' => 'PUBLISH',
        ]);
        $calendar->add('REFRESH-INTERVAL', 'PT1H', ['VALUE' => 'DURATION']);
        $tasks = Task::query()
            ->where('due_at', '<', Carbon::now()->addDays(self::DAYS))
            ->where('step', '!=', Step::Settle)
            ->orderBy('due_at')
            ->orderBy('id')
            ->limit(self::TASKS)
            ->with(['batch' => fn ($query) => $query->select(\App\Pages\Batch\BatchPresenter::COLUMNS)])
            ->get();
        $off = $tasks
            ->where('step', Step::WarmOff)
            ->keyBy(fn (Task $task) => $task->batch_id.' '.str_replace('warm_off', 'warm_on', $task->key));
        foreach ($tasks as $task) {
            $view = $this->words->view($task, $task->batch);
            $ends = $task->step === Step::WarmOn ? $off->get($task->batch_id.' '.$task->key)?->due_at : null;
            $calendar->add('VEVENT', [
                'UID' => "{$task->batch->uid}.{$task->key}@{$house->uid}.warm-kettle",
                'DTSTAMP' => Carbon::now()->utc()->toDateTimeImmutable(),
                'DTSTART' => $task->due_at->copy()->utc()->toDateTimeImmutable(),
                'DTEND' => ($ends ?? $task->due_at->copy()->addMinutes(max(5, $task->minutes)))->copy()->utc()->toDateTimeImmutable(),
                'SUMMARY' => $view->title,
                'DESCRIPTION' => $task->batch->code.': '.$view->detail,
                'LOCATION' => self::PLACES[$task->place] ?? $task->place,
                // A reminder of what to do is no reason to be taken for busy.
                'TRANSP' => 'TRANSPARENT',
            ]);
        }

        $now = $this->kitchens->now();
        foreach ($this->boils->coming() as ['boil' => $boil, 'while' => $while]) {
            $calendar->add('VEVENT', [
                'UID' => "{$boil->uid}.{$while->from->format('Ymd.Hi')}@{$house->uid}.warm-kettle",
                'DTSTAMP' => Carbon::now()->utc()->toDateTimeImmutable(),
                'DTSTART' => $while->from->setTimezone(new \DateTimeZone('UTC')),
                'DTEND' => $while->to->setTimezone(new \DateTimeZone('UTC')),
                'SUMMARY' => $boil->name,
                'DESCRIPTION' => "{$boil->code}: over the flame, and covered after.",
                'LOCATION' => 'the stove',
                'TRANSP' => 'TRANSPARENT',
            ]);
        }
        foreach ($this->wanted->dated($now->setTime(0, 0), $now->modify('+'.self::DAYS.' days')) as $wanted) {
            foreach ($this->wanted->things($wanted) as $i => ['at' => $at, 'says' => $says, 'pot' => $pot]) {
                $event = $calendar->createComponent('VEVENT', [
                    'UID' => "{$wanted->uid}.{$i}@{$house->uid}.warm-kettle",
                    'DTSTAMP' => Carbon::now()->utc()->toDateTimeImmutable(),
                    'SUMMARY' => "{$wanted->name}: {$says}",
                    'LOCATION' => $pot ? 'the melt' : 'the bench',
                    'TRANSP' => 'TRANSPARENT',
                ]);
                if ($pot) {
                    $event->add('DTSTART', $wanted->make_at->copy()->utc()->toDateTimeImmutable());
                    $event->add('DTEND', $wanted->make_at->copy()->addMinutes(max(5, $wanted->minutes))->utc()->toDateTimeImmutable());
                } else {
                    $event->add('DTSTART', $at->format('Ymd'), ['VALUE' => 'DATE']);
                }
                $calendar->add($event);
            }
        }

        return $calendar->serialize();
    }
}
