<?php

namespace App\Actions\Batches;

use App\Models\Batch;
use App\Models\LogEntry;
use App\Words\CautionWords;
use Kettle\Batch\Line\Acknowledged;
use Kettle\Caution\CautionRefused;
use Kettle\Reason\Refused;

/** Somebody says that they have read a caution of this batch. Kept with its words as they were read. */
final readonly class Acknowledge
{
    public function __construct(private Logbook $logbook, private CautionWords $words)
    {
    }

    /** @throws Refused when no such caution holds, or it was read before */
    public function __invoke(Batch $batch, string $id): LogEntry
    {
        return $this->logbook->write($batch, function (Batch $batch) use ($id): NewLine {
            foreach ($this->words->of($batch) as $caution) {
                if ($caution->id === $id) {
                    return new NewLine(new Acknowledged([['id' => $id, 'says' => $caution->says]]));
                }
            }
            throw new CautionRefused('unknown', 'That caution does not hold for this batch, or no longer does.', 'caution');
        });
    }
}
