<?php

namespace App\Pages\Today;

use App\Actions\Batches\Records;
use App\House\KitchenFactory;
use App\House\Times;
use App\Models\Batch;
use App\Models\Task;
use App\Responses\Today\TaskView;
use Illuminate\Support\Carbon;
use Kettle\Batch\Lateness;
use Kettle\Caution\ColdStorage;
use Kettle\Diary\Step;
use Kettle\Infusion\Method;

/** What there is to do, in a cook's words. */
final readonly class TaskPresenter
{
    public function __construct(private Times $times, private KitchenFactory $kitchens, private Records $records) {}

    public function view(Task $task, Batch $batch): TaskView
    {
        $now = Carbon::now();
        $due = $task->due_at;
        $waiting = $task->step->isWaiting();
        // Asked once, and of few: it reads all the moments of the batch.
        $late = in_array($task->step, [Step::Strain, Step::UseUp], true) ? $this->records->lateness($batch) : null;
        $over = $task->step === Step::UseUp && $late?->isPastUse() === true;

        return new TaskView(
            key: $task->key,
            step: $task->step->value,
            place: $task->place,
            batch: $batch->uid,
            code: $batch->code,
            title: $this->title($task, $batch, $over),
            detail: $this->detail($task, $batch, $late),
            due_at: $due->toAtomString(),
            due_text: $this->times->due($due),
            overdue: $task->open && $this->times->daysBetween($due, $now) > 0,
            open: $task->open,
            waiting: $waiting,
            danger: $over,
            skippable: $task->step->skippable(),
            at_press: $task->step->wantsAmounts(),
            minutes: $task->minutes,
        );
    }

    /** @param  bool  $over past the hours it may be used */
    private function title(Task $task, Batch $batch, bool $over): string
    {
        $herb = $batch->herb_name;

        return match ($task->step) {
            Step::Moisten => "Moisten the {$herb} with spirit",
            Step::WarmOil => "Warm the oil for the {$herb}",
            Step::Fill => $batch->shelf->has(Method::POURED_HOT) ? "Pour the warm oil over the {$herb}" : "Fill the {$herb}",
            Step::TopUp => "Top up the {$herb}",
            Step::Check => "Look at the {$herb}",
            Step::Shake => ($batch->shelf->has(Method::IN_PAN) ? 'Stir' : 'Shake')." the {$herb}",
            Step::WarmOn => $batch->shelf->has(Method::IN_PAN) ? "Put the {$herb} on the flame" : "Put the {$herb} to warm",
            Step::WarmOff => "Take the {$herb} off",
            Step::Strain => "Strain the {$herb}",
            Step::Ready => "The {$herb} is ready to use",
            Step::Settle => "The {$herb} is settling",
            Step::Decant => "Pour off the {$herb}",
            Step::Bottle => "Bottle the {$herb}",
            Step::Smell => "Smell the {$herb}",
            Step::UseUp => match (true) {
                $over => "Throw the {$herb} away",
                $batch->strained_at === null => "Get the {$herb} into the refrigerator",
                default => "Use up the {$herb}, or throw it away",
            },
        };
    }

    /** How warm the oil is poured, degrees C. */
    private function pouredC(Batch $batch): float
    {
        return $this->records->of($batch)->method()->warming->pouredC ?? 60.0;
    }

    /** @param  ?Lateness  $late of what is to be strained or used up */
    private function detail(Task $task, Batch $batch, ?Lateness $late): string
    {
        $jar = $batch->shelf->jar;

        return match ($task->step) {
            Step::Moisten => 'ground, moist and not wet, covered 8 to 12 h; no flame near it',
            Step::WarmOil => "{$batch->oils_name}, to about ".
                $this->kitchens->plain()->warmth($this->pouredC($batch)).
                ', and the jar warm beside it',
            Step::Fill => $batch->shelf->has(Method::POURED_HOT)
                ? "slowly, into the warm, dry {$jar}; closed when it is cool; label"
                : "{$batch->oils_name}, in the {$jar}; weigh, pour, poke out the air, label",
            Step::TopUp => $batch->shelf->heated
                ? 'in the warmth herb drinks 10 mm or more in an hour: add warm oil if it stands out'
                : 'herb drinks oil: add some if it stands out',
            Step::Check => 'herb under the oil, no drops under the lid, no fur',
            Step::Shake => $batch->shelf->has(Method::IN_PAN)
                ? 'gently, to the bottom; watch it, and never leave the flame'
                : ($batch->shelf->heated
                    ? 'take out, wipe, shake, put back; top up the water'
                    : 'turn it over or shake it'),
            Step::WarmOn => match (true) {
                $batch->shelf->has(Method::IN_PAN) => 'the lowest flame; the bubbling is its water leaving',
                $batch->shelf->has(Method::OWN_WARMTH) => "no water; {$jar} open in it, its lid on",
                default => "water on, {$jar} in while all is cold",
            },
            Step::WarmOff => $batch->shelf->has(Method::IN_PAN)
                ? 'when the bubbling has calmed and the colour has turned'
                : 'off; wipe the jar dry',
            Step::Strain => $this->strain($task, $batch, $late),
            Step::Ready => 'left on its sediment: pour it from the top',
            Step::Settle => 'till '.
                $this->times->due($task->due_at).
                ', '.
                ($batch->use_by === null ? 'covered and still' : 'in the refrigerator, covered and still'),
            Step::Decant => 'off the sediment; throw away the last murky spoonful'.
                ($batch->use_by === null ? '' : '; back into the refrigerator at once'),
            Step::Bottle => 'clean, bone-dry bottles; label at once'.
                ($batch->use_by === null ? '' : '; out of the refrigerator and back into it'),
            Step::Smell => 'open one, smell it, hold it to the light; best before '.$this->times->date($batch->best_before),
            Step::UseUp => match (true) {
                $late?->isWarmTooLong() === true => 'it stood warm for more than '.
                    ColdStorage::MOST_WARM_H.
                    ' hours: do not taste it, do not give it to anybody',
                $batch->strained_at === null => 'strained, and at '.
                    $this->kitchens->plain()->warmth(ColdStorage::CELSIUS).
                    ' or colder, by '.
                    $this->times->logged($batch->use_by ?? $task->due_at).
                    '; later than that it is thrown away',
                default => 'wet kitchen herb in oil: not used or given after '.$this->times->logged($batch->use_by ?? $task->due_at),
            },
        };
    }

    private function strain(Task $task, Batch $batch, ?Lateness $late): string
    {
        if ($batch->use_by !== null || $batch->shelf->cold) {
            return 'at once, unsqueezed, and into the refrigerator'.
                ($batch->use_by === null ? '' : ' by '.$this->times->logged($batch->use_by));
        }
        $how = match ($batch->shelf->way) {
            'drained' => 'Drain it, do not squeeze it.',
            'pressed' => 'Press it.',
            default => 'Dried: squeeze it.',
        };
        if ($batch->shelf->heated) {
            return 'wipe the jar dry first. '.$how;
        }
        if ($batch->filled_at === null || $late === null) {
            return lcfirst($how);
        }
        [$days, $planned] = [$late->daysOnHerb(), $late->daysPlanned()];

        return $task->open && $days >= $planned
            ? "{$days} days in {$batch->oils_name}, planned for {$planned}. {$how}"
            : "{$planned} days in {$batch->oils_name}. {$how}";
    }
}
