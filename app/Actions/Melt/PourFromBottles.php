<?php

namespace App\Actions\Melt;

use App\Actions\Batches\DrawFromBottles;
use App\Actions\Batches\Logbook;
use App\Actions\Batches\NewLine;
use App\Actions\Batches\Records;
use App\House\Times;
use App\Models\Batch;
use App\Models\Making;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use Kettle\Batch\Line\Undone;
use Kettle\Batch\Line\Used;
use Kettle\Making\MakingException;
use Kettle\Measure\AmountWriter;
use Kettle\Measure\Kind;
use Kettle\Melt\MeltException;

/**
 * What a product takes of the house's bottles stands in the logbooks of their batches too, and follows what is written in the
 * product's own: more when more was weighed, back when it is undone. Called where the product's line is written, in one with it.
 */
final readonly class PourFromBottles
{
    public function __construct(private Logbook $logbook, private Records $records, private Times $times) {}

    /**
     * @param  array<string, float>  $wanted mL by the batch's uid
     *
     * @throws MakingException when the bottles hold less by now
     * @throws \Kettle\Reason\RefusedException when a batch is past its day
     */
    public function follow(Making $making, array $wanted): void
    {
        // The rows as they are now, also where another request has written since this one began to look.
        $before = DB::table('making_batches')->where('making_id', $making->id)->lockForUpdate()->pluck('ml', 'batch_id');
        /** @var Collection<int, Batch> $batches */
        $batches = Batch::query()
            ->where(fn ($query) => $query->whereIn('uid', array_keys($wanted))->orWhereIn('id', $before->keys()))
            ->orderBy('id')
            ->lockForUpdate()
            ->get();
        foreach ($batches as $batch) {
            $ml = round($wanted[$batch->uid] ?? 0.0, 3);
            $was = is_numeric($before[$batch->id] ?? null) ? (float) $before[$batch->id] : 0.0;
            // What is over now is not poured; what was poured before comes back all the same.
            if ($ml > $was + 0.0005) {
                $this->refuseOver($batch);
            }
            if (abs($ml - $was) > 0.0005) {
                $this->pour($making, $batch, $ml);
            }
        }
    }

    private function refuseOver(Batch $batch): void
    {
        $this->records->refuseOver($batch);
        if ($this->records->lateness($batch)->isPastBest()) {
            throw MeltException::past($batch->herb_name.' oil', $this->times->date($batch->best_before));
        }
    }

    private function pour(Making $making, Batch $batch, float $ml): void
    {
        foreach ($this->records->log($batch)->standing as $entry) {
            if ($entry->line instanceof Used && $entry->line->making === $making->uid) {
                $this->logbook->write($batch, fn () => new NewLine(new Undone(Used::KIND), null, $entry->id));
            }
        }
        DB::table('making_batches')->where('making_id', $making->id)->where('batch_id', $batch->id)->delete();
        if ($ml <= 0) {
            return;
        }
        $there = DrawFromBottles::left($batch);
        if ($ml > $there * DrawFromBottles::READ) {
            throw MakingException::bottle(
                $batch->herb_name.' oil',
                AmountWriter::plain($there, Kind::Volume),
                AmountWriter::plain($ml, Kind::Volume),
            );
        }
        foreach (DrawFromBottles::of($batch, min($ml, $there)) as $number => $of) {
            $used = new Used($number, 'used', $of, '', $making->code, $making->uid);
            $this->logbook->write($batch, fn () => new NewLine($used));
        }
        $this->note($making, $batch, $ml);
    }

    /** So that it is found from either. */
    public function note(Making $making, Batch $batch, float $ml): void
    {
        DB::table('making_batches')->insert([
            'house_id' => $making->getAttribute('house_id'),
            'making_id' => $making->id,
            'batch_id' => $batch->id,
            'ml' => $ml,
        ]);
    }
}
