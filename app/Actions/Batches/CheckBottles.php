<?php

namespace App\Actions\Batches;

use App\Models\Batch;
use App\Models\LogEntry;
use Kettle\Batch\Line\Checked;
use Kettle\Diary\DiaryException;
use Kettle\Diary\Stage;
use Kettle\Material\Tables;
use Kettle\Reason\RefusedException;
use Kettle\Stores\LotCheck;

/** What is bottled, smelled and held to the light. What does not pass closes the batch. */
final readonly class CheckBottles
{
    public function __construct(private Logbook $logbook, private Tables $tables) {}

    /**
     * @param  array<mixed>  $answers by question
     *
     * @throws RefusedException when it is not bottled, or a question is left open
     */
    public function __invoke(Batch $batch, array $answers, ?string $note): LogEntry
    {
        return $this->logbook->write($batch, function (Batch $batch) use ($answers, $note): NewLine {
            if ($batch->stage !== Stage::Bottled) {
                throw DiaryException::notOpen('smell');
            }
            $check = LotCheck::of(LotCheck::BOTTLED, $answers, $this->tables);

            return new NewLine(
                new Checked($check->verdict, $check->says(LotCheck::BOTTLED), array_column($check->answers, 'answer', 'ask')),
                $note,
            );
        });
    }
}
