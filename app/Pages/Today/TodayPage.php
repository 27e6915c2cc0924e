<?php

namespace App\Pages\Today;

use App\Actions\Batches\Records;
use App\House\KitchenFactory;
use App\House\Times;
use App\Models\Batch;
use App\Models\StoveJar;
use App\Models\StoveSession;
use App\Models\Task;
use App\Pages\Batch\BatchPresenter;
use App\Pages\Boil\BoilList;
use App\Pages\Making\MeltTasks;
use App\Pages\Stores\StoresPresenter;
use App\Pages\Stove\PotPresenter;
use App\Responses\Stove\StoveCard;
use App\Responses\Today\DayBar;
use App\Responses\Today\DayGroup;
use App\Responses\Today\DayMark;
use App\Responses\Today\PlaceGroup;
use App\Responses\Today\TaskView;
use App\Responses\Today\Today;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Carbon;
use Kettle\Diary\Step;
use Kettle\Time\Dates;

/** What wants doing now and in the coming days, a page of it however large the house. */
final readonly class TodayPage
{
    private const DUE_LIMIT = 40;

    private const COMING_LIMIT = 12;

    private const COMING_DAYS = 14;

    private const PLACES = ['press' => 'At the press', 'stove' => 'At the stove', 'bench' => 'At the bench', 'shelf' => 'At the shelf'];

    public function __construct(
        private KitchenFactory $kitchens,
        private TaskPresenter $words,
        private Times $times,
        private Headline $headline,
        private StoresPresenter $storeWords,
        private PotPresenter $stoveWords,
        private Records $records,
        private MeltTasks $melt,
        private BoilList $boils,
    ) {}

    public function now(): Today
    {
        $kitchen = $this->kitchens->plain();
        $tonight = Carbon::instance($kitchen->today()->modify('+1 day'))->utc();
        // What stands warm at the Stove is shaken and taken off there, by its thermometer.
        $atStove = StoveJar::query()
            ->whereNull('out_at')
            ->whereHas('session', fn (Builder $query) => $query->where('state', StoveSession::ON)->where('speed', 1))
            ->select('batch_id');
        $due = $this->first(self::DUE_LIMIT)
            ->where('due_at', '<', $tonight)
            ->where(fn (Builder $query) => $query->whereNotIn('batch_id', $atStove)->orWhereNotIn('step', [Step::WarmOff, Step::Shake]))
            ->where(
                fn (Builder $query) => $query
                    ->where('open', true)
                    ->orWhere(fn (Builder $waiting) => $waiting->where('step', Step::Settle)->where('due_at', '>', Carbon::now())),
            );
        $coming = $this->first(self::COMING_LIMIT)
            ->whereBetween('due_at', [$tonight, $tonight->copy()->addDays(self::COMING_DAYS)])
            ->whereIn('step', [Step::Moisten, Step::WarmOil, Step::Fill, Step::WarmOn, Step::Strain, Step::Decant, Step::Bottle]);
        // Read at once for both, and their batches too.
        $tasks = $due
            ->unionAll($coming)
            ->get()
            ->load(['batch' => fn ($query) => $query->select(BatchPresenter::COLUMNS)])
            ->sortBy(fn (Task $task) => [$task->getRawOriginal('due_at'), $task->id]);
        $isDue = fn (Task $task): bool => $task->due_at < $tonight;
        [$due, $coming] = [$tasks->filter($isDue), $tasks->reject($isDue)];
        $stove = $this->stove();
        $melt = $this->melt->now();
        $boils = $this->boils->wanting();
        $total =
            $due->count() < self::DUE_LIMIT
                ? $due->where('open', true)->count()
                : Task::query()->where('due_at', '<', $tonight)->where('open', true)->count();
        [$stores, $storesMore] = $this->storeWords->tasks();
        // Of what is past the hours it may be used, nothing else is to be done.
        $due = $due->reject(
            fn (Task $task) => $task->step !== Step::UseUp &&
                $task->batch->use_by !== null &&
                $this->records->lateness($task->batch)->isPastUse(),
        );
        $views = array_values($due->map(fn (Task $task) => $this->words->view($task, $task->batch))->all());

        return new Today(
            headline: $this->headline->of($views, $total),
            date: Dates::say($kitchen->now, 'full'),
            throw_away: array_values(array_filter($views, fn (TaskView $task) => $task->danger)),
            bar: $this->bar($views),
            places: $this->places($views),
            coming: $this->days($coming),
            stove: $stove,
            melt: $melt,
            boils: $boils,
            stores: $stores,
            stores_more: $storesMore,
            due: $total,
            shown: $due->where('open', true)->count(),
            empty: $views === [] && $melt === [] && $boils === [] && $coming->isEmpty() && Batch::query()->doesntExist(),
        );
    }

    /** @return list<StoveCard> the pots that are warm just now */
    private function stove(): array
    {
        return array_values(
            StoveSession::query()
                ->where('state', '!=', StoveSession::ENDED)
                ->where('speed', 1)
                ->orderByDesc('id')
                ->limit(4)
                ->with(['jars.batch', 'probes.probe'])
                ->get()
                ->map($this->stoveWords->card(...))
                ->all(),
        );
    }

    /** @return Builder<Task> */
    private function first(int $limit): Builder
    {
        return Task::query()->orderBy('due_at')->orderBy('id')->limit($limit);
    }

    /**
     * @param  list<TaskView>  $views
     * @return list<PlaceGroup>
     */
    private function places(array $views): array
    {
        $groups = [];
        foreach (self::PLACES as $place => $name) {
            $tasks = array_values(array_filter($views, fn (TaskView $task) => $task->place === $place && ! $task->danger));
            if ($tasks !== []) {
                $groups[] = new PlaceGroup($place, $name, $tasks);
            }
        }

        return $groups;
    }

    /**
     * @param  Collection<int, Task>  $tasks
     * @return list<DayGroup>
     */
    private function days(Collection $tasks): array
    {
        $days = [];
        foreach ($tasks as $task) {
            $days[$this->kitchens->local($task->due_at)->format('Y-m-d')][] = $this->words->view($task, $task->batch);
        }

        return array_map(
            fn (string $day, array $views) => new DayGroup(
                $day,
                $this->times->day(Carbon::parse($day, $this->kitchens->now()->getTimezone())),
                $views,
            ),
            array_keys($days),
            $days,
        );
    }

    /** @param  list<TaskView>  $views */
    private function bar(array $views): DayBar
    {
        $kitchen = $this->kitchens->plain();
        $from = $kitchen->waking->from($kitchen->now)->getTimestamp();
        $length = $kitchen->waking->to($kitchen->now)->getTimestamp() - $from;
        $share = fn (int $moment): float => round(($moment - $from) / $length, 4);
        $marks = [];
        foreach ($views as $task) {
            $moment = new \DateTimeImmutable($task->due_at);
            $at = $share($moment->getTimestamp());
            if ($at >= 0 && $at <= 1 && ! $task->waiting) {
                $marks[] = new DayMark($at, $this->times->clock($moment).' '.$task->title);
            }
        }
        $now = $share($kitchen->now->getTimestamp());

        return new DayBar(
            $kitchen->waking->fromText(),
            $kitchen->waking->toText(),
            $now >= 0 && $now <= 1 ? $now : null,
            Dates::say($kitchen->now, 'clock'),
            $marks,
        );
    }
}
