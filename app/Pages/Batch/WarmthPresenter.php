<?php

namespace App\Pages\Batch;

use App\Actions\Batches\Records;
use App\House\Times;
use App\Models\Batch;
use App\Models\StoveJar;
use App\Pages\Stove\PotPresenter;
use App\Responses\Batch\BatchSession;
use App\Responses\Batch\BatchWarmth;
use Kettle\Measure\AmountWriter;

/** All the warmth a batch has had: its sessions with their lines, and what is to come. */
final readonly class WarmthPresenter
{
    private const SESSIONS = 6;

    public function __construct(private PotPresenter $stove, private Records $records, private Times $times) {}

    public function of(Batch $batch): BatchWarmth
    {
        $progress = $this->records->progress($batch);
        $planned = $batch->plan->method->hours;
        $jars = StoveJar::query()
            ->where('batch_id', $batch->id)
            ->whereHas('session', fn ($query) => $query->where('speed', 1))
            ->orderByDesc('id')
            ->limit(self::SESSIONS)
            ->with(['session.jars.batch', 'session.probes.probe', 'session.cooker'])
            ->get();
        $had = $progress->warmed->hours();
        $sessions = [];
        foreach ($jars as $jar) {
            $view = $this->stove->view($jar->session);
            $mine = array_values(array_filter($view->jars, fn ($each) => $each->batch === $batch->uid))[0] ?? null;
            $here = $jar->hours === null ? null : (float) $jar->hours;
            if ($jar->out_at === null && $mine !== null) {
                $had = max($had, $mine->share * $planned);
            }
            $sessions[] = new BatchSession(
                $view->id,
                $view->title.', '.$this->times->logged($jar->in_at),
                ($here === null ? $mine->had_text ?? '' : AmountWriter::clockSpan($here)).' at warmth',
                $view->over_text,
                $view->chart,
                $view->scale,
            );
        }
        $next = $batch->diary?->next();

        return new BatchWarmth(
            AmountWriter::clockSpan($had),
            AmountWriter::span($planned),
            $planned > 0 ? round(min(1.0, $had / $planned), 4) : 0.0,
            $next !== null && $progress->warmed->onSince === null
                ? 'next warm '.
                    $this->times->due($next).
                    ($batch->diary->cookerName === null ? '' : ', in the '.$batch->diary->cookerName)
                : null,
            $sessions,
        );
    }
}
