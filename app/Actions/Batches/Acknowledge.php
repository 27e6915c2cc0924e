<?php

namespace App\Actions\Batches;

use App\Models\Batch;
use App\Models\LogEntry;
use Kettle\Batch\Line\Acknowledged;
use Kettle\Caution\CautionException;
use Kettle\Reason\RefusedException;

/** Somebody says that they have read a caution of this batch. Kept with its words as they were read. */
final readonly class Acknowledge
{
    public function __construct(private Logbook $logbook, private BatchCautions $cautions) {}

    /** @throws RefusedException when no such caution holds, or it was read before */
    public function __invoke(Batch $batch, string $id): LogEntry
    {
        return $this->logbook->write($batch, function (Batch $batch) use ($id): NewLine {
            $says = $this->cautions->says($batch, $id);
            if ($says !== null) {
                return new NewLine(new Acknowledged([['id' => $id, 'says' => $says]]));
            }
            throw new CautionException('unknown', 'That caution does not hold for this batch, or no longer does.', 'caution');
        });
    }
}
