<?php

namespace App\Actions\Batches;

use App\Models\Batch;
use App\Models\LogEntry;
use Kettle\Batch\Line\PurposeChanged;
use Kettle\Batch\PurposeChange;
use Kettle\Diary\DiaryException;
use Kettle\Diary\Stage;
use Kettle\Reason\RefusedException;
use Kettle\Recipe\Planning;

/** An oil put to another purpose than it was made for. From skin to food only where every part of it is food. */
final readonly class ChangePurpose
{
    public function __construct(private Logbook $logbook, private Planning $planning) {}

    /** @throws RefusedException when it would not be safe, or is no purpose */
    public function __invoke(Batch $batch, string $purpose): LogEntry
    {
        $this->planning->cupboard()->purpose($purpose);

        return $this->logbook->write($batch, function (Batch $batch) use ($purpose): NewLine {
            if ($batch->stage === Stage::Discarded) {
                throw DiaryException::notOpen('change');
            }
            if ($batch->purpose === $purpose) {
                throw new DiaryException('not_open', 'It is for that already.', 'purpose');
            }
            $refused =
                $purpose === 'kitchen' ? PurposeChange::toKitchen($batch->plan, $this->planning->cupboard(), self::lots($batch)) : null;
            if ($refused !== null) {
                throw $refused;
            }

            return new NewLine(new PurposeChanged($batch->purpose, $purpose));
        });
    }

    /** @return list<array{called: string, food: bool}> the herbs and oils it took from Stores, one for each thing */
    private static function lots(Batch $batch): array
    {
        $lots = [];
        foreach (LotsUsed::of($batch) as $lot) {
            $key = $lot->kind->value.'|'.($lot->material ?: $lot->called);
            // One lot of a thing that is not food makes the thing not food.
            $lots[$key] = ['called' => $lot->called, 'food' => ($lots[$key]['food'] ?? true) && $lot->food_grade];
        }

        return array_values($lots);
    }
}
