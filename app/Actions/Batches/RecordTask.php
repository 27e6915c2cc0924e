<?php

namespace App\Actions\Batches;

use App\House\KitchenFactory;
use App\House\WhenDone;
use App\Models\Batch;
use App\Models\LogEntry;
use App\Models\StoveJar;
use Kettle\Batch\Line\Outcome;
use Kettle\Batch\Line\TaskLine;
use Kettle\Diary\DiaryException;
use Kettle\Diary\Progress;
use Kettle\Diary\Step;
use Kettle\Reason\RefusedException;
use Kettle\Reason\Said;
use Kettle\Time\Dates;
use Kettle\Time\Day;

/** A step was done, skipped for a reason, or put off. */
final readonly class RecordTask
{
    /** Named so, its next warming may be put off whatever its number, and before the jar is filled. */
    private const NEXT_WARMING = 'next_warm_on';

    public function __construct(
        private Logbook $logbook,
        private Records $records,
        private KitchenFactory $kitchens,
        private OilAmount $amount,
        private WhenDone $done,
    ) {}

    /**
     * @param  string  $outcome done, skipped or later
     * @param  list<string>  $seen under the lid, or on the flame
     * @param  ?float  $warmH hours at warmth that a thermometer counted
     * @param  ?string  $amount of oil that was added at a topping up, as it was typed
     * @param  ?Said  $against what was foretold, where it is switched on all the same
     *
     * @throws RefusedException when the step is not open, cannot be skipped, or wants amounts
     */
    public function __invoke(
        Batch $batch,
        string $key,
        string $outcome,
        ?string $reason,
        ?string $until,
        array $seen = [],
        ?float $warmH = null,
        ?Said $against = null,
        ?string $amount = null,
    ): LogEntry {
        return $this->logbook->write($batch, function (Batch $batch) use (
            $key,
            $outcome,
            $reason,
            $until,
            $seen,
            $warmH,
            $against,
            $amount,
        ): NewLine {
            $progress = $this->records->progress($batch);
            $task = $key === self::NEXT_WARMING && $outcome === 'later' ? $progress->nextWarming() : $progress->open($key);
            $key = $task->key();
            if ($task->step === Step::WarmOff && $outcome === 'done' && $warmH === null && $this->standsAtStove($batch)) {
                throw new DiaryException(
                    'at_the_stove',
                    'It stands at the Stove: switch it off or take it out there, so that its hours are counted.',
                );
            }
            if ($task->step->isWaiting()) {
                throw DiaryException::notOpen($task->step->verb());
            }
            if ($outcome === 'skipped' && ! $task->step->skippable()) {
                throw DiaryException::cannotSkip($task->step->verb());
            }
            if ($outcome === 'done' && $task->step->wantsAmounts()) {
                throw new DiaryException('wants_amounts', 'Take it to the Press, so that what came out is written down.');
            }
            $later = '';
            if ($outcome === 'later') {
                $this->done->isLate() && throw DiaryException::putOffThen();
                $to = $this->until((string) $until, $task->dueAt);
                if ($task->step->tends()) {
                    $this->refusePastStraining($progress, $task->step, $to);
                }
                if ($task->step === Step::UseUp || ($batch->use_by !== null && $to > $batch->use_by)) {
                    throw DiaryException::deadline($task->step->verb());
                }
                $later = $to->format(DATE_ATOM);
            }

            $ml = $task->step === Step::TopUp && $outcome === 'done' && $amount !== null ? $this->added($batch, $amount) : null;

            return new NewLine(new TaskLine($key, Outcome::from($outcome), $later, $seen, $warmH, $against, $ml), $reason);
        });
    }

    private function standsAtStove(Batch $batch): bool
    {
        return StoveJar::standing()->where('batch_id', $batch->id)->exists();
    }

    /** @throws RefusedException when more than the jar has room for */
    private function added(Batch $batch, string $typed): float
    {
        $record = $this->records->of($batch);

        return $this->amount->added($batch, $typed, $record->plan->jar->name(), $record->holdsMl(), $record->oilInMl());
    }

    /** What tends a jar is done while it stands, or not at all. */
    private function refusePastStraining(Progress $progress, Step $step, \DateTimeImmutable $to): void
    {
        foreach ($progress->tasks as $task) {
            if (in_array($task->step, [Step::Strain, Step::Ready], true) && $to > $task->dueAt) {
                throw DiaryException::pastStraining(Dates::say($this->kitchens->local($task->dueAt), 'weekday'), $step->verb());
            }
        }
    }

    private function until(string $typed, \DateTimeImmutable $due): \DateTimeImmutable
    {
        $kitchen = $this->kitchens->plain();
        [$date, $clock] = [...explode('T', $typed, 2), null];
        $day = Day::read((string) $date, $kitchen->now->getTimezone()) ?? throw DiaryException::day($typed)->about('until');
        if ($clock !== null && preg_match('/^([01]\d|2[0-3]):[0-5]\d$/D', $clock) !== 1) {
            throw DiaryException::time($clock)->about('until');
        }
        [$hour, $minute] = explode(':', $clock ?? $due->format('G:i'));
        if ($day < $kitchen->today()) {
            throw DiaryException::past(Dates::say($day, 'day'), Dates::say($kitchen->today(), 'day'))->about('until');
        }
        if ($day > $kitchen->today()->modify('+1 year')) {
            throw DiaryException::tooFar(Dates::say($day, 'day'), 'a year')->about('until');
        }
        $to = $day->setTime((int) $hour, (int) $minute);
        if ($clock !== null && $to < $kitchen->now) {
            throw DiaryException::past(Dates::say($to, 'at'), Dates::say($kitchen->now, 'at'))->about('until');
        }

        return $kitchen->waking->nextAwake(max($to, $kitchen->now));
    }
}
