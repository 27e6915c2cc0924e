<?php

namespace App\Pages\Diary;

use App\House\KitchenFactory;
use App\House\Times;
use App\Models\Absence;
use App\Models\Batch;
use App\Models\BusyCalendar;
use App\Models\DiaryMove;
use App\Models\Task;
use App\Models\Tenancy\CurrentHouse;
use App\Pages\Batch\BatchPresenter;
use App\Pages\Boil\BoilDiary;
use App\Pages\Making\WantedPage;
use App\Pages\Today\TaskPresenter;
use App\Responses\Diary\AbsenceView;
use App\Responses\Diary\CalendarView;
use App\Responses\Diary\DayWhile;
use App\Responses\Diary\DiaryDay;
use App\Responses\Diary\DiaryMoveView;
use App\Responses\Diary\DiaryPage;
use App\Responses\Diary\DiarySession;
use App\Responses\Diary\DiaryTrouble;
use App\Responses\Diary\WantedOnDay;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Kettle\Diary\Availability;
use Kettle\Diary\Stage;
use Kettle\Diary\Step;
use Kettle\Time\Dates;
use Kettle\Time\Interval;

/** The days to come, in words. */
final readonly class DiaryPresenter
{
    private const DAYS = 14;

    private const TASKS = 200;

    private const BATCHES = 60;

    public function __construct(
        private KitchenFactory $kitchens,
        private CurrentHouse $current,
        private TaskPresenter $tasks,
        private Times $times,
        private WantedPage $wanted,
        private BoilDiary $boils,
    ) {}

    /** @param  list<string>  $notes of what was just done */
    public function page(\DateTimeImmutable $from, array $notes = []): DiaryPage
    {
        $availability = $this->kitchens->availability();
        $to = $from->modify('+'.self::DAYS.' days');
        $batches = Batch::query()
            ->where('in_diary', true)
            ->orderBy('id')
            ->limit(self::BATCHES)
            ->get(['id', 'uid', 'herbs', 'diary', 'version', 'house_id']);
        $running = Task::query()
            ->where('step', Step::WarmOff)
            ->where('open', true)
            ->whereIn('batch_id', $batches->pluck('id'))
            ->get()
            ->keyBy('batch_id');
        $due = Task::query()
            ->whereBetween('due_at', [Carbon::instance($from)->utc(), Carbon::instance($to)->utc()])
            ->whereNotIn('step', [Step::WarmOff, Step::Settle])
            ->orderBy('due_at')
            ->orderBy('id')
            ->limit(self::TASKS)
            ->with(['batch' => fn ($query) => $query->select(BatchPresenter::COLUMNS)])
            ->get()
            ->groupBy(fn (Task $task) => $this->kitchens->local($task->due_at)->format('Y-m-d'));
        $warm = [...$this->warm($batches, $running), ...$this->boiling()];
        $wanted = $this->wanted->between($from, $to);
        $days = [];
        for ($day = $from; $day < $to; $day = $day->modify('+1 day')) {
            $days[] = $this->day(
                $day,
                $availability,
                $warm,
                $due->get($day->format('Y-m-d')) ?? new Collection(),
                $wanted[$day->format('Y-m-d')] ?? [],
            );
        }
        $today = $this->kitchens->now()->setTime(0, 0);

        return new DiaryPage(
            from: $from->format('Y-m-d'),
            before: $from > $today ? max($today, $from->modify('-'.self::DAYS.' days'))->format('Y-m-d') : null,
            after: $to->format('Y-m-d'),
            days: $days,
            moves: array_values(
                DiaryMove::query()
                    ->with('batch:id,uid,herbs,house_id')
                    ->orderByDesc('id')
                    ->limit(12)
                    ->get()
                    ->map(
                        fn (DiaryMove $move) => new DiaryMoveView(
                            $move->batch->uid,
                            $move->batch->herb_name,
                            $this->moment($move->was_at),
                            $this->moment($move->is_at),
                            $this->kitchens->words()->of($move->why),
                        ),
                    )
                    ->all(),
            ),
            troubles: array_values([
                ...$this->coldOnes($availability),
                ...$batches
                    ->filter(fn (Batch $batch) => $batch->diary?->says !== null)
                    ->map(
                        fn (Batch $batch) => new DiaryTrouble(
                            $batch->uid,
                            $batch->herb_name,
                            $this->kitchens->words()->of($batch->diary?->says),
                        ),
                    )
                    ->all(),
            ]),
            absences: array_values(
                Absence::query()
                    ->whereNull('calendar_id')
                    ->where('to_at', '>', Carbon::now())
                    ->orderBy('from_at')
                    ->limit(50)
                    ->get()
                    ->map(fn (Absence $each) => new AbsenceView($each->uid, $each->called, $this->span($each)))
                    ->all(),
            ),
            calendars: array_values(
                BusyCalendar::query()
                    ->withCount(['absences' => fn (Builder $query) => $query->where('to_at', '>', Carbon::now())])
                    ->orderBy('id')
                    ->limit(20)
                    ->get()
                    ->map(
                        fn (BusyCalendar $each) => new CalendarView(
                            $each->uid,
                            $each->called,
                            $each->absences_count.($each->absences_count === 1 ? ' busy time' : ' busy times').' to come',
                        ),
                    )
                    ->all(),
            ),
            feed: $this->current->house()->feed_hash !== null,
            notes: $notes,
        );
    }

    /**
     * @param  Collection<int, Batch>|\Illuminate\Database\Eloquent\Collection<int, Batch>  $batches
     * @param  Collection<int, Task>  $running
     * @return list<array{cooker: string, from: \DateTimeImmutable, to: \DateTimeImmutable, herbs: list<string>,
     *     batches: list<string>, on: bool, task: bool, boil: ?string}>
     */
    private function warm(Collection $batches, Collection $running): array
    {
        $warm = [];
        foreach ($batches as $batch) {
            $cooker = $batch->diary->cookerName ?? 'a cooker';
            $slots = [];
            foreach ($batch->diary->slots ?? [] as $i => $slot) {
                $slots[] = [$this->kitchens->local($slot->from), $this->kitchens->local($slot->to), false, $i === 0];
            }
            $off = $running->get($batch->id);
            if ($off !== null) {
                $slots[] = [
                    $this->kitchens->now(),
                    max($this->kitchens->local($off->due_at), $this->kitchens->now()->modify('+15 minutes')),
                    true,
                    false,
                ];
            }
            foreach ($slots as [$from, $to, $on, $first]) {
                $key = $cooker.' '.$from->format(DATE_ATOM);
                $warm[$key] ??= [
                    'cooker' => $cooker,
                    'from' => $from,
                    'to' => $to,
                    'herbs' => [],
                    'batches' => [],
                    'on' => $on,
                    'task' => $first,
                    'boil' => null,
                ];
                $warm[$key]['to'] = max($warm[$key]['to'], $to);
                $warm[$key]['herbs'][] = $batch->herb_name;
                $warm[$key]['batches'][] = $batch->uid;
            }
        }

        return array_values($warm);
    }

    /**
     * @return list<array{cooker: string, from: \DateTimeImmutable, to: \DateTimeImmutable, herbs: list<string>,
     *     batches: list<string>, on: bool, task: bool, boil: ?string}> pots that are boiled down
     */
    private function boiling(): array
    {
        return array_map(
            fn (array $each) => [
                'cooker' => "pot {$each['boil']->code}",
                'from' => $each['while']->from,
                'to' => $each['while']->to,
                'herbs' => [$each['boil']->name],
                'batches' => [],
                'on' => $each['on'],
                'task' => false,
                'boil' => $each['boil']->uid,
            ],
            $this->boils->coming(),
        );
    }

    /**
     * @param  list<array{cooker: string, from: \DateTimeImmutable, to: \DateTimeImmutable, herbs: list<string>,
     *     batches: list<string>, on: bool, task: bool, boil: ?string}>  $warm
     * @param  Collection<int, Task>  $due
     * @param  list<WantedOnDay>  $wanted
     */
    private function day(\DateTimeImmutable $day, Availability $availability, array $warm, Collection $due, array $wanted): DiaryDay
    {
        $midnight = $day->modify('+1 day');
        $length = $midnight->getTimestamp() - $day->getTimestamp();
        $share = fn (\DateTimeImmutable $at): float => round(max(0, min(1, ($at->getTimestamp() - $day->getTimestamp()) / $length)), 4);
        $home = array_map(
            fn (Interval $while) => new DayWhile(
                $share($while->from),
                $share($while->to),
                Dates::say($while->from, 'clock').' to '.Dates::say($while->to, 'clock'),
            ),
            $availability->on($day),
        );
        $sessions = [];
        foreach ($warm as $each) {
            if ($each['from'] < $midnight && $each['to'] > $day) {
                $sessions[] = new DiarySession(
                    $each['cooker'],
                    implode(', ', $each['herbs']),
                    $each['batches'],
                    $each['task'] ? 'warm_on' : null,
                    $share($each['from']),
                    $share($each['to']),
                    $each['on']
                        ? 'on, till '.Dates::say($each['to'], 'clock')
                        : Dates::say($each['from'], 'clock').' to '.Dates::say($each['to'], 'clock'),
                    $each['on'],
                    $each['boil'],
                );
            }
        }

        return new DiaryDay(
            $day->format('Y-m-d'),
            $this->times->day($day),
            $home === [] ? 'nobody at home' : 'at home '.implode(', ', array_map(fn (DayWhile $while) => $while->text, $home)),
            $home,
            $sessions,
            array_values(
                $due
                    ->filter(fn (Task $task) => $task->step !== Step::WarmOn)
                    ->map(fn (Task $task) => $this->tasks->view($task, $task->batch))
                    ->all(),
            ),
            $wanted,
        );
    }

    /** @return list<DiaryTrouble> what must be used up on a day when nobody is at home */
    private function coldOnes(Availability $availability): array
    {
        $troubles = [];
        $cold = Batch::query()
            ->where('use_by', '>', Carbon::now())
            ->whereIn('stage', [Stage::Steeping, Stage::Settling, Stage::Poured, Stage::Bottled])
            ->orderBy('use_by')
            ->limit(self::BATCHES)
            ->get(BatchPresenter::COLUMNS);
        foreach ($cold as $batch) {
            if (
                $batch->use_by === null ||
                $batch->filled_at === null ||
                ($batch->stage === Stage::Bottled && $batch->shelf->bottlesLeft === 0)
            ) {
                continue;
            }
            $day = $availability->missed($this->kitchens->local($batch->use_by), $this->kitchens->local($batch->filled_at));
            if ($day !== null) {
                $troubles[] = new DiaryTrouble(
                    $batch->uid,
                    $batch->herb_name,
                    sprintf(
                        'The %s oil is to be used up by %s, and nobody is at home then: use it, freeze it or throw it away by %s.',
                        $batch->herb_name,
                        $this->moment($batch->use_by),
                        $this->moment($day),
                    ),
                );
            }
        }

        return $troubles;
    }

    private function moment(\DateTimeInterface $moment): string
    {
        return Dates::say($this->kitchens->local($moment), 'moment');
    }

    private function span(Absence $absence): string
    {
        $from = $this->kitchens->local($absence->from_at);
        $to = $this->kitchens->local($absence->to_at);
        if ($from->format('H:i') === '00:00' && $to->format('H:i') === '00:00') {
            $last = $to->modify('-1 day');

            return $from->format('Y-m-d') === $last->format('Y-m-d')
                ? Dates::say($from, 'short_weekday')
                : Dates::say($from, 'short_weekday').' to '.Dates::say($last, 'short_weekday');
        }

        return Dates::say($from, 'moment').' to '.Dates::say($to, $from->format('Y-m-d') === $to->format('Y-m-d') ? 'clock' : 'moment');
    }
}
