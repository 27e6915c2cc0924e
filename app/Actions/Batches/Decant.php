<?php

namespace App\Actions\Batches;

use App\Models\Batch;
use App\Models\LogEntry;
use Kettle\Batch\Line\Decanted;
use Kettle\Diary\DiaryException;
use Kettle\Diary\Stage;
use Kettle\Infusion\YieldException;
use Kettle\Measure\AmountWriter;
use Kettle\Measure\Kind;
use Kettle\Reason\RefusedException;

/** Poured off its sediment, perhaps through paper once more: how much is left to bottle. */
final readonly class Decant
{
    public function __construct(private Logbook $logbook, private OilAmount $amount, private Records $records) {}

    /**
     * @param  ?string  $typed how much there is now; null where nobody measured
     * @param  bool  $again whether it was filtered a second time
     *
     * @throws RefusedException when it is not settling, or there is more than was strained
     */
    public function __invoke(Batch $batch, ?string $typed, bool $again, ?string $note): LogEntry
    {
        return $this->logbook->write($batch, function (Batch $batch) use ($typed, $again, $note): NewLine {
            if ($batch->stage !== Stage::Settling) {
                throw DiaryException::notOpen('pour off');
            }
            $this->records->refuseOver($batch);
            $strained = (float) $batch->strained_ml;
            $ml = $strained;
            if ($typed !== null) {
                $ml = $this->amount->ml($batch, $typed);
                if ($ml > $strained * 1.02 || $ml <= 0) {
                    throw new YieldException(
                        'too_much',
                        sprintf(
                            '%s was strained: what is poured off is less than that, and more than nothing.',
                            AmountWriter::plain($strained, Kind::Volume),
                        ),
                        'amount',
                    );
                }
            }

            return new NewLine(
                new Decanted($typed ?? '', round(min($ml, $strained), 3), round(max(0.0, $strained - $ml), 3), $again),
                $note,
            );
        });
    }
}
