<?php

namespace App\Actions\Batches;

use App\House\KitchenFactory;
use App\Models\Batch;
use App\Models\LogEntry;
use Kettle\Batch\Line\Ready;
use Kettle\Diary\DiaryException;
use Kettle\Diary\Stage;
use Kettle\Reason\RefusedException;
use Kettle\Reason\Said;

/** What is left on its sediment is ready: from now on it is used from the top, out of the jar it stands in. */
final readonly class SayReady
{
    public function __construct(private Logbook $logbook, private Records $records, private KitchenFactory $kitchens) {}

    /**
     * @param  string  $warmth whether it had the warmth that nobody logged
     *
     * @throws RefusedException when it is not steeping, or is to be strained
     */
    public function __invoke(Batch $batch, string $warmth = ''): LogEntry
    {
        return $this->logbook->write($batch, function (Batch $batch) use ($warmth): NewLine {
            if ($batch->stage !== Stage::Steeping || $batch->plan->isStrained()) {
                throw DiaryException::notOpen('use from the top');
            }
            $this->records->refuseOver($batch);
            $this->records->refuseUnsaidWarmth($batch, $warmth);
            $jar = $batch->plan->told($this->kitchens->words())->jar;
            $ml = round($this->records->of($batch)->oilInMl(), 3);
            $called = $this->kitchens->words()->of(Said::of('ready.vessel', ['jar' => $jar->called]));

            return new NewLine(new Ready($ml, $called, $jar->count, $warmth));
        });
    }
}
