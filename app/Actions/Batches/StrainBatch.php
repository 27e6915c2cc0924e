<?php

namespace App\Actions\Batches;

use App\House\KitchenFactory;
use App\Models\Batch;
use App\Models\LogEntry;
use Kettle\Batch\Line\Strained;
use Kettle\Batch\Straining;
use Kettle\Diary\DiaryException;
use Kettle\Diary\Stage;
use Kettle\Infusion\Outcome;
use Kettle\Infusion\Uptake;
use Kettle\Infusion\YieldException;
use Kettle\Material\Cupboard;
use Kettle\Measure\AmountException;
use Kettle\Measure\Kind;
use Kettle\Measure\Weighing;
use Kettle\Reason\RefusedException;

/** Writes down what came out of the cloth, weighed or measured, against what was expected. */
final readonly class StrainBatch
{
    /** Above this, a sixteenth of a tonne, it was not put on a kitchen scale. */
    private const MOST_G = 60_000.0;

    public function __construct(
        private Logbook $logbook,
        private KitchenFactory $kitchens,
        private Cupboard $cupboard,
        private OilAmount $amount,
        private Records $records,
    ) {}

    /**
     * @param  string  $typed what came out; empty where it was weighed with its jug
     * @param  array{warmth?: string, gross?: string, tare?: string, spent?: string, spent_to?: string, way?: string,
     *     filter?: string, signs?: list<string>}  $more
     *
     * @throws RefusedException when it is not steeping, or the amount cannot be
     */
    public function __invoke(Batch $batch, string $typed, ?string $note, array $more = []): LogEntry
    {
        return $this->logbook->write($batch, function (Batch $batch) use ($typed, $note, $more): NewLine {
            if ($batch->stage !== Stage::Steeping || ! $batch->plan->isStrained()) {
                throw DiaryException::notOpen('strain');
            }
            $this->records->refuseOver($batch);
            $way = $more['way'] ?? $batch->plan->way;
            if (! in_array($way, Uptake::WAYS, true)) {
                throw new YieldException('unknown', 'Herb is drained, squeezed or pressed.', 'way');
            }
            $spentTo = $this->choice($more['spent_to'] ?? '', 'spent_to', Straining::SPENT);
            $filter = $this->choice($more['filter'] ?? '', 'filter', Straining::FILTERS);
            $signs = array_values(array_unique($more['signs'] ?? []));
            foreach ($signs as $i => $sign) {
                in_array($sign, Straining::SIGNS, true) || throw YieldException::noneOf($sign, "signs.{$i}", Straining::SIGNS);
            }
            $warmth = $more['warmth'] ?? '';
            $this->records->refuseUnsaidWarmth($batch, $warmth);
            $weighed = ($more['gross'] ?? '') !== '';
            $ml = $weighed
                ? $this->net($batch, (string) ($more['gross'] ?? ''), (string) ($more['tare'] ?? ''))
                : $this->amount->ml($batch, $typed);
            $spent = ($more['spent'] ?? '') === '' ? null : $this->grams((string) $more['spent'], 'spent');
            $dry = $batch->plan->dryG();
            $poured = $this->records->of($batch)->oilInMl();
            $outcome = Outcome::of($ml, $poured, $dry, $this->expected($batch, $way, $dry));

            return new NewLine(
                new Strained(
                    $weighed ? sprintf('%s with the jug, the jug %s', $more['gross'] ?? '', $more['tare'] ?? '') : $typed,
                    round($ml, 3),
                    $outcome->verdict,
                    $outcome->says(),
                    $outcome->uptakeMlPerG === null ? null : round($outcome->uptakeMlPerG, 3),
                    $way,
                    $weighed,
                    $warmth,
                    $spent === null ? null : round($spent, 2),
                    $spentTo,
                    $filter,
                    $signs,
                ),
                $note,
            );
        });
    }

    /** @throws AmountException */
    private function net(Batch $batch, string $gross, string $tare): float
    {
        // A jug nobody weighed would be counted as oil; one that the scale took off weighs nothing.
        $jug = match (true) {
            $tare === '' => throw YieldException::whatJug(),
            preg_match('/^0+(?:[.,]0+)?\s*\p{L}*$/u', $tare) === 1 => 0.0,
            default => $this->grams($tare, 'tare'),
        };
        $net = Weighing::net($this->grams($gross, 'gross'), $jug);

        return $batch->plan->density($this->cupboard)->volumeOf($net);
    }

    /**
     * @param  array<string, string>  $of by id
     * @return ?string null where nothing was said
     *
     * @throws YieldException
     */
    private function choice(string $said, string $field, array $of): ?string
    {
        return $said === '' ? null : (isset($of[$said]) ? $said : throw YieldException::noneOf($said, $field, array_keys($of)));
    }

    /** @throws AmountException */
    private function grams(string $typed, string $field): float
    {
        try {
            return $this->kitchens->plain()->measured()->within($typed, Kind::Mass, 'g', 0.01, self::MOST_G)->value;
        } catch (AmountException $refused) {
            throw $refused->about($field);
        }
    }

    /** @return array{low: float, value: float, high: float} as planned; got out another way, as the house would expect of that */
    private function expected(Batch $batch, string $way, float $dryG): array
    {
        $record = $this->records->of($batch);
        if ($way === $batch->plan->way) {
            return $record->expected();
        }
        $uptake = $this->kitchens->plain()->uptakeOf($batch->plan->uptakeKey(), $way);

        return $batch->plan->through($uptake, $this->cupboard->tables())->yield($record->oilInMl(), $dryG);
    }
}
