<?php

namespace App\Actions\Stove;

use App\Actions\Batches\BatchProjector;
use App\Actions\Batches\Records;
use App\House\KitchenFactory;
use App\Models\Batch;
use App\Models\DiaryMove;
use App\Models\StoveJar;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Kettle\Diary\Availability;
use Kettle\Diary\CookerDiary;
use Kettle\Diary\CookerJob;
use Kettle\Diary\CookerPlace;
use Kettle\Diary\Progress;
use Kettle\Diary\Reservation;
use Kettle\Diary\Stage;
use Kettle\Diary\Timetable;
use Kettle\Infusion\Method;
use Kettle\Reason\Said;
use Kettle\Time\Interval;
use Kettle\Vessel\WaterBath;

/**
 * Places what is still to be warmed in the house's cookers anew, and writes it to the batches it moves.
 * Run whenever something it stands on has changed; what stays where it was is not touched.
 */
final readonly class PlanDiary
{
    /** So many are placed; a house with more at once has them placed as these are done. */
    private const BATCHES = 60;

    /** A session moved by less is not worth telling, minutes. */
    private const WORTH_TELLING_MIN = 15;

    /** Moves kept to be told. */
    private const MOVES = 40;

    public function __construct(private KitchenFactory $kitchens, private Records $records, private BatchProjector $fold) {}

    /** @param  ?Said  $why told with each move: "because somebody is away" */
    public function __invoke(?Said $why = null): void
    {
        DB::transaction(function () use ($why): void {
            $availability = $this->kitchens->availability();
            $batches = Batch::query()
                ->whereIn('stage', [Stage::Planned, Stage::Steeping])
                ->where('shelf->heated', true)
                ->orderBy('start_at')
                ->orderBy('id')
                ->limit(self::BATCHES)
                ->with('entries')
                ->get();
            $standing = $this->standing();
            $jobs = [];
            foreach ($batches as $batch) {
                $job = $this->job($batch, $this->records->progress($batch, availability: $availability), $standing, $availability);
                if ($job !== null) {
                    $jobs[$batch->uid] = $job;
                }
            }
            $places = $this->kitchens->places();
            $diary = CookerDiary::plan(array_values($jobs), $places, $availability, $this->kitchens->now());
            $names = array_column(array_map(fn (CookerPlace $place) => [$place->cooker->id, $place->cooker->called], $places), 1, 0);
            foreach ($batches as $batch) {
                $this->write($batch, isset($jobs[$batch->uid]) ? $this->plan($jobs[$batch->uid], $diary, $names) : null, $why);
            }
            $this->kitchens->forgetBookings();
        });
    }

    /** @param  array<int, string>  $standing cooker by batch */
    private function job(Batch $batch, Progress $progress, array $standing, Availability $availability): ?CookerJob
    {
        $method = $batch->plan->method;
        $jar = $batch->plan->jar;
        $routine = $this->records->of($batch)->routine();
        $left = $progress->warmed->left($routine->hours);
        // A pan on a flame is nobody's cooker, and is not shared.
        if ($left <= 0 || $progress->warmFrom === null || ! $routine->method->has(Method::IN_COOKER)) {
            return null;
        }
        $readyBy = is_string($batch->wish['ready_by'] ?? null) ? $batch->wish['ready_by'] : null;
        $onSince = $progress->warmed->onSince;
        // Switched on without a session at the Stove, it stands where the diary kept a place for it.
        $stands = $standing[$batch->id] ?? ($onSince !== null ? $batch->diary?->cooker : null);
        if ($onSince !== null && $stands === null) {
            return null;
        }

        return new CookerJob(
            $batch->uid,
            $batch->herbs,
            $method->id,
            $method->targetOrUsual(),
            $method->ceilingOrUsual(),
            $left,
            array_fill(0, $jar->count, $jar->diameterMm + 2 * WaterBath::WALL_MM),
            $progress->warmFrom,
            $readyBy === null
                ? null
                : Timetable::warmthOverBy(
                    $routine,
                    $this->kitchens->local(Carbon::parse($readyBy, $this->kitchens->now()->getTimezone())),
                    $availability,
                ),
            $routine->method->tending->attended,
            $stands,
            $stands === null ? null : $onSince,
            $method->load,
            $method->warmUpMin,
            $routine->tailMin(),
        );
    }

    /** @return array<int, string> which cooker each batch stands in */
    private function standing(): array
    {
        $standing = [];
        $jars = StoveJar::standing()->with('session.cooker')->get();
        foreach ($jars as $jar) {
            $cooker = $jar->session->cooker;
            if ($cooker !== null) {
                $standing[$jar->batch_id] = $cooker->uid;
            }
        }

        return $standing;
    }

    /**
     * @param  array<string, string>  $names of cookers
     */
    private function plan(CookerJob $job, CookerDiary $diary, array $names): Reservation
    {
        $run = $diary->runOf($job->id);
        $slots =
            $run === null
                ? []
                : array_filter($run->slots($job), fn (Interval $slot) => $job->onSince === null || $slot->from > $job->onSince);

        return new Reservation(
            array_values($slots),
            $run?->place,
            $run === null ? null : $names[$run->place] ?? null,
            $run->warmUpMin ?? $job->warmUpMin,
            $diary->says($job),
            $job->toArray(),
        );
    }

    private function write(Batch $batch, ?Reservation $plan, ?Said $why): void
    {
        // As they are read back: the order of keys in a column is the database's own.
        if ($plan?->toArray() == $batch->diary?->toArray()) {
            return;
        }
        $was = $batch->diary?->next();
        $is = $plan?->next();
        $now = $this->kitchens->now();
        if (
            $was !== null &&
            $is !== null &&
            $was > $now &&
            abs($was->getTimestamp() - $is->getTimestamp()) >= self::WORTH_TELLING_MIN * 60
        ) {
            DiaryMove::query()->create([
                'batch_id' => $batch->id,
                'was_at' => Carbon::instance($was)->utc(),
                'is_at' => Carbon::instance($is)->utc(),
                'why' => $why,
                'moved_at' => Carbon::now(),
            ]);
            $oldest = DiaryMove::query()->orderByDesc('id')->skip(self::MOVES)->value('id');
            $oldest === null || DiaryMove::query()->where('id', '<=', $oldest)->delete();
        }
        $batch->diary = $plan;
        $batch->unsetRelation('entries');
        $batch->save();
        $this->fold->refresh($batch);
    }
}
