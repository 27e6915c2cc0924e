<?php

namespace App\Actions\Batches;

use App\House\Kitchens;
use App\Models\Batch;
use App\Models\LogEntry;
use Kettle\Diary\DiaryRefused;
use Kettle\Diary\Stage;
use Kettle\Infusion\Outcome;
use Kettle\Measure\AmountRefused;
use Kettle\Measure\Kind;
use Kettle\Reason\Refused;

/** Writes down what came out of the cloth, weighed or measured, against what was expected. */
final readonly class StrainBatch
{
    public function __construct(private Logbook $logbook, private Kitchens $kitchens, private PlanFacts $facts)
    {
    }

    /** @throws Refused when it is not steeping, or the amount cannot be */
    public function __invoke(Batch $batch, string $typed, ?string $note): LogEntry
    {
        return $this->logbook->write($batch, function (Batch $batch) use ($typed, $note): array {
            if ($batch->stage !== Stage::Steeping) {
                throw DiaryRefused::notOpen('strain');
            }
            $density = $this->facts->density($batch);
            try {
                $ml = $this->kitchens->plain()->reader()->read($typed, Kind::Volume, 'mL', $density)->value;
            } catch (AmountRefused $refused) {
                throw $refused->about('amount');
            }
            $outcome = Outcome::of($ml, $this->facts->number($batch, 'oil_volume'), $this->facts->number($batch, 'herb_mass'), $this->facts->expected($batch));

            return ['kind' => 'strained', 'note' => $note, 'data' => [
                'typed' => $typed, 'ml' => round($ml, 3), 'verdict' => $outcome->verdict, 'says' => $outcome->says(),
                'uptake_ml_per_g' => $outcome->uptakeMlPerG === null ? null : round($outcome->uptakeMlPerG, 3),
            ]];
        });
    }
}
