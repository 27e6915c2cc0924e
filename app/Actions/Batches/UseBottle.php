<?php

namespace App\Actions\Batches;

use App\Models\Batch;
use App\Models\LogEntry;
use Kettle\Batch\Line\Used;
use Kettle\Diary\DiaryException;
use Kettle\Diary\Stage;
use Kettle\Measure\AmountException;
use Kettle\Measure\AmountWriter;
use Kettle\Measure\Kind;
use Kettle\Measure\PartOf;
use Kettle\Reason\RefusedException;
use Kettle\Trace\Person;
use Kettle\Vessel\FillingException;

/** Some of a bottle, or all that is left of it, used, given away or thrown away. */
final readonly class UseBottle
{
    public function __construct(private Logbook $logbook, private OilAmount $amount, private Records $records) {}

    /**
     * @param  ?string  $typed how much; null for all that is left
     * @param  string  $to for what, or to whom
     *
     * @throws RefusedException when there is no such bottle, less in it, or it is past its day
     */
    public function __invoke(Batch $batch, int $number, string $how, ?string $typed, string $to): LogEntry
    {
        return $this->logbook->write($batch, function (Batch $batch) use ($number, $how, $typed, $to): NewLine {
            if ($batch->stage !== Stage::Bottled && ! ($batch->stage === Stage::Discarded && $how === 'thrown')) {
                throw DiaryException::notOpen('use');
            }
            $bottle =
                $batch->bottles()->where('number', $number)->first() ??
                throw new FillingException('unknown', sprintf('There is no bottle number %d of this batch.', $number), 'bottle');
            if ($how !== 'thrown') {
                $this->records->refuseOver($batch);
            }
            $left = (float) $bottle->left_ml;
            if ($left <= 0.005) {
                throw new FillingException('empty', sprintf('Bottle %d is empty already.', $number), 'bottle');
            }
            $share = $typed === null ? 1.0 : AmountException::at('amount', fn () => PartOf::share($typed));
            $ml = $share === null ? $this->amount->ml($batch, (string) $typed) : $left * $share;
            // What is measured out with a spoon comes to a little more or less than the bottle held.
            if ($ml <= 0 || $ml > $left * 1.02) {
                throw new FillingException(
                    'too_much',
                    sprintf(
                        'Bottle %d holds %s yet. Take less of it, or leave the amount out for all of it.',
                        $number,
                        AmountWriter::plain($left, Kind::Volume),
                    ),
                    'amount',
                );
            }

            return new NewLine(new Used($number, $how, round(min($ml, $left), 3), $typed ?? '', Person::written($to)));
        });
    }
}
