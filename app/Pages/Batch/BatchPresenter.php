<?php

namespace App\Pages\Batch;

use App\Actions\Batches\Records;
use App\House\KitchenFactory;
use App\House\Times;
use App\Models\Batch;
use App\Responses\Shelf\ShelfJar;
use Illuminate\Support\Carbon;
use Kettle\Batch\Lateness;
use Kettle\Diary\Stage;
use Kettle\Measure\AmountWriter;

/** Where a batch stands, in words and as the Shelf draws it. */
final readonly class BatchPresenter
{
    /** What the Shelf and lists need of a batch; whole plans are not read for them. */
    public const COLUMNS = [
        'id',
        'house_id',
        'uid',
        'code',
        'herbs',
        'oils',
        'stage',
        'shelf',
        'start_at',
        'filled_at',
        'strain_at',
        'strained_at',
        'bottled_at',
        'best_before',
        'use_by',
        'strained_ml',
        'version',
    ];

    public function __construct(private Times $times, private Records $records, private KitchenFactory $kitchens) {}

    public function jar(Batch $batch): ShelfJar
    {
        $shelf = $batch->shelf;
        $late = $this->records->lateness($batch);

        return new ShelfJar(
            id: $batch->uid,
            code: $batch->code,
            herb: ucfirst($batch->herb_name),
            oils: $batch->oils_name,
            stage: $batch->stage->value,
            jar: $shelf->jar,
            height_mm: $shelf->heightMm,
            diameter_mm: $shelf->diameterMm,
            kind: $shelf->kind,
            bed_mm: $batch->stage === Stage::Planned ? 0.0 : $shelf->bedMm,
            level_mm: $batch->stage === Stage::Planned ? 0.0 : $shelf->levelMm,
            progress: $this->progress($batch),
            days: $this->days($batch, $late),
            alert: $this->alert($batch, $late),
            colours: $shelf->colours,
            seen: $shelf->seen === '' ? '' : 'herb stood out at the last look',
        );
    }

    public function stage(Batch $batch): string
    {
        return match ($batch->stage) {
            Stage::Planned => 'to be filled '.$this->times->due($batch->start_at),
            Stage::Steeping => $this->days($batch, $this->records->lateness($batch)),
            Stage::Settling => 'settling since '.$this->times->due($batch->strained_at ?? Carbon::now()),
            Stage::Poured => 'poured off, ready for its bottles',
            Stage::Bottled => ($batch->plan->isStrained() ? 'bottled ' : 'ready since ').
                $this->times->day($batch->bottled_at ?? Carbon::now()).
                ', best before '.
                $this->times->date($batch->best_before),
            Stage::Discarded => 'discarded',
        };
    }

    /** Share of the planned time gone by, 0 to 1. */
    private function progress(Batch $batch): float
    {
        if ($batch->stage !== Stage::Steeping || $batch->filled_at === null) {
            return $batch->stage === Stage::Planned ? 0.0 : 1.0;
        }
        $warm = $batch->shelf->warmShare();
        if ($warm !== null) {
            return round($warm, 4);
        }
        $whole = $batch->strain_at->getTimestamp() - $batch->filled_at->getTimestamp();

        return $whole <= 0
            ? 1.0
            : round(min(1.0, max(0.0, (Carbon::now()->getTimestamp() - $batch->filled_at->getTimestamp()) / $whole)), 4);
    }

    private function days(Batch $batch, Lateness $late): string
    {
        $shelf = $batch->shelf;
        if ($batch->stage !== Stage::Steeping || $batch->filled_at === null) {
            return match ($batch->stage) {
                Stage::Planned => 'fill '.$this->times->due($batch->start_at),
                Stage::Settling => 'settling',
                Stage::Poured => 'ready for bottles',
                Stage::Bottled => 'best before '.$this->times->date($batch->best_before),
                default => $batch->stage->value,
            };
        }
        if ($shelf->heated) {
            $method = $this->kitchens->words()->thing(['method' => $shelf->method]);

            return match (true) {
                $shelf->warmNow => "{$method}, warm now",
                $shelf->hadH > 0 => sprintf(
                    '%s, %s of %s had',
                    $method,
                    AmountWriter::span($shelf->hadH),
                    AmountWriter::span($shelf->hours),
                ),
                default => sprintf('%s, %s of warmth', $method, AmountWriter::span($shelf->hours)),
            };
        }

        return sprintf(
            '%s, day %d of %d',
            $this->kitchens->words()->thing(['method_short' => $shelf->method]),
            $late->daysOnHerb(),
            $late->daysPlanned(),
        );
    }

    private function alert(Batch $batch, Lateness $late): string
    {
        $over = $late->strainDaysLate();

        return match (true) {
            $batch->use_by !== null && $batch->stage !== Stage::Discarded => $late->isPastUse()
                ? 'past its day: throw it away'
                : 'use by '.$this->times->logged($batch->use_by),
            $batch->stage === Stage::Steeping && $over > 0 => $over.($over === 1 ? ' day' : ' days').' over, strain',
            $batch->stage === Stage::Steeping && $over === 0 && ! $batch->shelf->isStillWarming() => 'strain today',
            $late->fillDaysLate() > 0 => 'should have been filled',
            $batch->stage === Stage::Bottled && $late->isPastBest() => 'past its best',
            default => '',
        };
    }
}
