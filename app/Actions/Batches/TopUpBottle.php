<?php

namespace App\Actions\Batches;

use App\Models\Batch;
use App\Models\LogEntry;
use Kettle\Batch\Line\Topped;
use Kettle\Diary\DiaryException;
use Kettle\Diary\Stage;
use Kettle\Reason\RefusedException;
use Kettle\Vessel\FillingException;

/** Fresh oil on what is used from the top, out of Stores where it is there. It keeps no longer for it. */
final readonly class TopUpBottle
{
    public function __construct(private Logbook $logbook, private OilAmount $amount, private Records $records) {}

    /** @throws RefusedException when it was strained, is past its day, or is not there */
    public function __invoke(Batch $batch, int $number, string $typed): LogEntry
    {
        return $this->logbook->write($batch, function (Batch $batch) use ($number, $typed): NewLine {
            if ($batch->stage !== Stage::Bottled || $batch->plan->isStrained()) {
                throw DiaryException::notOpen('top up');
            }
            $this->records->refuseOver($batch);
            if ($this->records->lateness($batch)->isPastBest()) {
                throw DiaryException::pastToppingUp();
            }
            $bottle =
                $batch->bottles()->where('number', $number)->first() ??
                throw new FillingException('unknown', sprintf('There is no number %d of this batch.', $number), 'bottle');
            // It is used from the jar it stands in.
            $holds = $batch->plan->jar->brimMl;

            return new NewLine(
                new Topped($number, $this->amount->added($batch, $typed, "number {$number}", $holds, (float) $bottle->left_ml), $typed),
            );
        });
    }
}
